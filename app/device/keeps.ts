import { deviceStore } from './database'

/** How long a job or machine that was opened here stays on the device by itself. */
export const KEPT_WEEKS = 8
const WEEK_MS = 7 * 24 * 3600_000

/** A job or a machine that stays on this device, to be worked on out of reach. */
export interface Keep {
  /** `job:<id>` or `machine:<tag>`. */
  readonly key: string
  readonly what: 'job' | 'machine'
  /** The job's id, or the machine's tag. */
  readonly id: string
  readonly tag: string
  readonly name: string
  /** Somebody opened it here; otherwise it came along with a machine whose past it is. */
  readonly opened: boolean
  /** When it was opened here last, or came, in milliseconds. */
  readonly usedAt: number
  /** Stays until somebody lets it go. */
  readonly pinned: boolean
  /** When its copy came, in milliseconds; null before the first. */
  readonly copiedAt: number | null
  /** Closed as far as this device knows: nothing of it changes any more. */
  readonly closed: boolean
}

export const keyOf = (what: Keep['what'], id: string): string => `${what}:${id}`

/** Those that nobody pinned and nobody has opened here for a while, and on which nothing waits to be sent. */
export const outlived = (
  keeps: readonly Keep[],
  now: number,
  waiting: ReadonlySet<string>,
): readonly Keep[] =>
  keeps.filter((k) => !k.pinned && now - k.usedAt > KEPT_WEEKS * WEEK_MS && !waiting.has(k.id))

/** Those of which one may make room, the longest unused first. */
export const spare = (
  keeps: readonly Keep[],
  waiting: ReadonlySet<string>,
  inView: string,
): readonly Keep[] =>
  keeps.filter((k) => !k.pinned && k.id !== inView && !waiting.has(k.id)).sort((a, b) => a.usedAt - b.usedAt)

/** All that is kept, what was used last first. */
export const allKeeps = async (): Promise<readonly Keep[]> =>
  [...(await (await deviceStore()).getAll('keeps'))].sort((a, b) => b.usedAt - a.usedAt)

/** What is known of a job or machine on this device; undefined where it isn't kept. */
export const keepOf = (what: Keep['what'], id: string): Promise<Keep | undefined> =>
  deviceStore()
    .then((db) => db.get('keeps', keyOf(what, id)))
    .catch(() => undefined)

/** Notes something about a job or machine; one that was not kept is from now on. */
export const noteKeep = async (
  what: Keep['what'],
  id: string,
  now: Partial<Omit<Keep, 'key' | 'what' | 'id'>>,
): Promise<void> => {
  const db = await deviceStore()
  const key = keyOf(what, id)
  const work = db.transaction('keeps', 'readwrite')
  const blank = {
    tag: '',
    name: '',
    opened: false,
    usedAt: Date.now(),
    pinned: false,
    copiedAt: null,
    closed: false,
  }
  const before = (await work.store.get(key)) ?? blank
  await work.store.put({ ...before, ...now, key, what, id })
  await work.done
}

/** Where the answers stand that a machine, and work on it, is made of. */
export const pathsOf = ({ tag }: Pick<Keep, 'tag'>): readonly string[] => {
  const path = `/api/machines/${encodeURIComponent(tag)}`
  return [path, `${path}/history`]
}

/** Takes a job or machine off this device. What waits to be sent stays. */
export const letGo = async (keep: Keep): Promise<void> => {
  const db = await deviceStore()
  if (keep.what === 'job') await db.delete('jobs', keep.id)
  await db.delete('keeps', keep.key)
  const others = await db.getAll('keeps')
  if (others.some((o) => o.tag === keep.tag)) return
  for (const path of pathsOf(keep)) await db.delete('copies', path)
}

/** Ids of jobs on which something waits to be sent. */
export const jobsWaiting = async (): Promise<ReadonlySet<string>> =>
  new Set((await (await deviceStore()).getAll('outbox')).map((r) => r.job))

/** Lets go of what has outlived its weeks, and of answers as old that nothing kept is made of. */
export const tidy = async (now = Date.now()): Promise<void> => {
  const waiting = await jobsWaiting()
  for (const keep of outlived(await allKeeps(), now, waiting)) await letGo(keep)
  const db = await deviceStore()
  const wanted = new Set((await allKeeps()).flatMap(pathsOf))
  for (const copy of await db.getAll('copies'))
    if (now - copy.at > KEPT_WEEKS * WEEK_MS && !wanted.has(copy.path)) await db.delete('copies', copy.path)
}

/**
 * Makes room when the device's store is full: lets go of the copies that were unused longest, half of them. False when there is none to spare.
 * @param inView Id of the job in view, which stays.
 */
export const makeRoom = async (inView: string): Promise<boolean> => {
  const keeps = spare(await allKeeps(), await jobsWaiting(), inView)
  for (const keep of keeps.slice(0, Math.ceil(keeps.length / 2))) await letGo(keep)
  return keeps.length > 0
}
