import type { WireEntry } from '../../shared/logbook/lifts'

type Viewer = (entry: WireEntry) => void

const viewers = new Map<string, Set<Viewer>>()

/** Tells everyone who looks at this job of a new entry. */
export const tellViewers = (jobId: string, entry: WireEntry): void => {
  for (const viewer of viewers.get(jobId) ?? []) viewer(entry)
}

/** Joins the viewers of a job; the answer leaves them again. */
export const joinViewers = (jobId: string, viewer: Viewer): (() => void) => {
  const set = viewers.get(jobId) ?? new Set()
  set.add(viewer)
  viewers.set(jobId, set)
  return () => {
    set.delete(viewer)
    if (set.size === 0) viewers.delete(jobId)
  }
}
