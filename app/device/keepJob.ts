import type { JobAnswer } from '~~/shared/api/answers'
import { deviceStore } from './database'
import { noteKeep } from './keeps'

/**
 * Keeps a job on the device as the server answered it. A full store costs the copy only.
 * @param used Somebody opened it here, from when on its weeks count.
 */
export const keepJob = async (answer: JobAnswer, used: boolean): Promise<void> => {
  const now = Date.now()
  const { id, machine, entries } = answer
  await deviceStore()
    .then((db) => db.put('jobs', answer))
    .then(() =>
      noteKeep('job', id, {
        tag: machine.tag,
        name: machine.name,
        copiedAt: now,
        closed: entries.some((e) => e.kind === 'job-closed'),
        ...(used ? { usedAt: now, opened: true } : {}),
      }),
    )
    .catch(() => null)
}
