import { busy } from '../http/databaseFailure'

interface Waiting<T, R> {
  readonly item: T
  readonly resolve: (result: R) => void
  readonly reject: (failure: unknown) => void
  readonly since: number
}

/** What became of one item of a batch. */
export type Settled<R> = { readonly done: R } | { readonly failed: unknown }

interface Bounds {
  /** Items worked at once. */
  readonly most: number
  /** Items that wait for one key at most; more are told to come again. */
  readonly mostWaiting: number
  /** Milliseconds after which one that still waits is told to come again. */
  readonly patience: number
}

/**
 * Works items of one key one batch after the other, of different keys side by side. Whoever waits for a key
 * waits here, in memory, and holds no connection: a job that is busy or locked costs the others nothing.
 */
export class Batches<T, R> {
  private readonly queues = new Map<string, Waiting<T, R>[]>()

  constructor(
    private readonly work: (key: string, items: readonly T[]) => Promise<readonly Settled<R>[]>,
    private readonly bounds: Bounds,
  ) {}

  /** Resolves or rejects as the work on this item did. Rejects with `busy` when too many wait. */
  add(key: string, item: T): Promise<R> {
    const queue = this.queues.get(key)
    if (queue && queue.length >= this.bounds.mostWaiting) return Promise.reject(busy())
    return new Promise<R>((resolve, reject) => {
      const waiting = { item, resolve, reject, since: Date.now() }
      if (queue) queue.push(waiting)
      else {
        const begun = [waiting]
        this.queues.set(key, begun)
        void this.run(key, begun)
      }
    })
  }

  private async run(key: string, queue: Waiting<T, R>[]): Promise<void> {
    while (queue.length > 0) {
      const batch = queue.splice(0, this.bounds.most)
      const fresh = batch.filter((w) => {
        const late = Date.now() - w.since > this.bounds.patience
        if (late) w.reject(busy())
        return !late
      })
      if (fresh.length === 0) continue
      try {
        const results = await this.work(
          key,
          fresh.map((w) => w.item),
        )
        fresh.forEach((w, i) => {
          const result = results[i]
          if (result && 'done' in result) w.resolve(result.done)
          else w.reject(result?.failed)
        })
      } catch (failure) {
        for (const w of fresh) w.reject(failure)
      }
    }
    this.queues.delete(key)
  }
}
