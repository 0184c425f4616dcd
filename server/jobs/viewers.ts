import type { WireEntry } from '../../shared/logbook/lifts'

type Viewer = (entry: WireEntry) => void

interface Viewed {
  readonly viewers: Set<Viewer>
  /** Entries of the logbook that they have, or were told of. */
  told: number
}

const jobs = new Map<string, Viewed>()

/** How many entries of this job its viewers know; null when nobody looks. */
export const toldSoFar = (jobId: string): number | null => jobs.get(jobId)?.told ?? null

/** Jobs that somebody looks at. */
export const viewedJobs = (): readonly string[] => [...jobs.keys()]

/** How many look at any job. */
export const viewersNow = (): number => [...jobs.values()].reduce((n, { viewers }) => n + viewers.size, 0)

/** Tells everyone who looks at this job of entry number `seq`, once. */
export const tellViewers = (jobId: string, entry: WireEntry, seq: number): void => {
  const viewed = jobs.get(jobId)
  if (!viewed || seq <= viewed.told) return
  viewed.told = seq
  for (const viewer of viewed.viewers) viewer(entry)
}

/** Joins the viewers of a job whose logbook has `known` entries; the answer leaves them again. */
export const joinViewers = (jobId: string, known: number, viewer: Viewer): (() => void) => {
  const viewed = jobs.get(jobId) ?? { viewers: new Set(), told: known }
  // What came since somebody else looked is told to all again rather than lost to one.
  viewed.told = Math.min(viewed.told, known)
  viewed.viewers.add(viewer)
  jobs.set(jobId, viewed)
  return () => {
    viewed.viewers.delete(viewer)
    if (viewed.viewers.size === 0) jobs.delete(jobId)
  }
}
