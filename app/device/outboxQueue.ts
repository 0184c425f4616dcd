import { deviceStore, type OutboxRow } from './database'

/** All rows in the order they were written. */
export const allRows = async (): Promise<readonly OutboxRow[]> => (await deviceStore()).getAll('outbox')

/** The first row of a job's queue; undefined when it is empty. */
export const headOf = async (job: string): Promise<OutboxRow | undefined> => {
  const rows = await (await deviceStore()).getAllFromIndex('outbox', 'job', job)
  return rows.reduce<OutboxRow | undefined>(
    (first, r) => (!first || (r.n ?? 0) < (first.n ?? 0) ? r : first),
    undefined,
  )
}

export const addRow = async (row: OutboxRow): Promise<number> => (await deviceStore()).add('outbox', row)

export const removeRow = async (n: number): Promise<void> => (await deviceStore()).delete('outbox', n)

/** Writes a row anew in its place. */
export const replaceRow = async (row: OutboxRow): Promise<void> => {
  await (await deviceStore()).put('outbox', row)
}

/**
 * Runs while nobody else does the same for this job, in this tab or another; false when somebody does. Without the platform's locks (an insecure
 * origin) tabs may send the same head twice, which a UUID makes harmless.
 */
export const alone = async (job: string, work: () => Promise<void>): Promise<boolean> => {
  const { locks } = navigator as Partial<Pick<Navigator, 'locks'>>
  if (!locks) {
    await work()
    return true
  }
  let ran = false
  await locks.request(`hc.outbox.${job}`, { ifAvailable: true }, async (lock) => {
    ran = lock !== null
    if (lock) await work()
  })
  return ran
}

/** Entries that an older version of the program left waiting: they were all of the first version. */
export const takeOverOldQueue = async (): Promise<void> => {
  for (const key of ['hc.outbox', 'hc.turned-down'] as const) {
    const kept = localStorage.getItem(key)
    if (!kept) continue
    const rows = JSON.parse(kept) as { jobId: string; entry: OutboxRow['entry']; message?: string }[]
    for (const { jobId, entry, message } of rows)
      await addRow({
        job: jobId,
        id: entry.id,
        entry: { version: 1, after: null, before: null, ...entry },
        machine: null,
        turnedDown: message ? { status: 409, code: 'turned-down', message } : null,
      })
    localStorage.removeItem(key)
  }
}
