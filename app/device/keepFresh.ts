import type { JobAnswer, MachineAnswer } from '~~/shared/api/answers'
import { keepCopy } from './copies'
import { deviceStore } from './database'
import { keepJob } from './keepJob'
import { allKeeps, keepOf, noteKeep, pathsOf, tidy, type Keep } from './keeps'
import { savesData } from './savesData'

/** What every view starts from, whether or not it was opened on this device before. */
const ALWAYS = [
  '/api/today',
  '/api/machines',
  '/api/works',
  '/api/people',
  '/api/stores',
  '/api/limits',
  '/api/belt-limits',
  '/api/sections',
  '/api/calendar',
  '/api/jobs?open=yes',
] as const

/** What the server says; null where it has no answer for who is signed in. Throws while it is away. */
const asked = async <T>(path: string): Promise<T | null> => {
  try {
    return await askServer<T>(path)
  } catch (failure) {
    if (failure instanceof ApiFailure && !failure.passing) return null
    throw failure
  }
}
const keeping = async <T>(path: string): Promise<T | null> => {
  const answer = await asked<T>(path)
  if (answer !== null) await keepCopy(path, answer)
  return answer
}
const freshJob = async (id: string): Promise<void> => {
  const answer = await asked<JobAnswer>(`/api/jobs/${id}`)
  if (answer) await keepJob(answer, false)
}

/** A pinned machine brings the job that is open on it. */
const freshMachine = async (keep: Keep): Promise<void> => {
  const [path = ''] = pathsOf(keep)
  const answer = await keeping<MachineAnswer>(path)
  const open = answer?.jobs.rows.find((j) => !j.closedAt)
  if (keep.pinned && open) await freshJob(open.id)
  await noteKeep('machine', keep.id, { copiedAt: Date.now() })
}

/** Fetches what a machine that was just pinned is made of; quiet where the server is away. */
export const keepMachineFresh = async (tag: string): Promise<void> => {
  const keep = await keepOf('machine', tag)
  try {
    if (keep) await freshMachine(keep)
    if (keep) for (const path of pathsOf(keep)) await keeping(path)
  } catch (failure) {
    if (!(failure instanceof ApiFailure)) throw failure
  }
}

/** Copies of jobs that an older version of the program kept, which noted nothing of them. */
const adopt = async (): Promise<void> => {
  const known = new Set((await allKeeps()).map((k) => k.id))
  for (const job of (await (await deviceStore()).getAll('jobs')) as unknown as readonly JobAnswer[])
    if (!known.has(job.id))
      await noteKeep('job', job.id, { tag: job.machine.tag, name: job.machine.name, opened: true })
}

/**
 * Brings what this device keeps up to what the server has: what the views start from, jobs and machines that were opened
 * here in the last weeks or are pinned. One request after the other; ends quietly where the server goes away. Whoever
 * saves data has the pinned ones only.
 * @returns Whether it came to its end.
 */
export const keepFresh = async (person: string): Promise<boolean> => {
  try {
    await adopt()
    await tidy()
    const keeps = await allKeeps()
    const all = !savesData()
    if (all) for (const path of [...ALWAYS, `/api/practice?person=${person}`]) await keeping(path)
    const done = new Set<string>()
    for (const keep of keeps) {
      if (!all && !keep.pinned) continue
      if (keep.what === 'job' && !(keep.closed && keep.copiedAt)) await freshJob(keep.id)
      if (keep.what === 'machine') await freshMachine(keep)
      for (const path of pathsOf(keep)) if (!done.has(path) && done.add(path)) await keeping(path)
    }
    return true
  } catch (failure) {
    if (!(failure instanceof ApiFailure)) throw failure
    return false
  }
}
