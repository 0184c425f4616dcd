/** Asked now and then by a search how much it has done, from 0 on; answering false stops it. */
export type GoOn = (steps: number) => boolean

/** Steps between two questions whether to go on. */
const ASK_EVERY = 4096

/**
 * What a search has done and may still do. A search that is cut gives the best it has found; what is said
 * of it then is how far it looked.
 */
export class Work {
  /** What has been built already and costs nothing to look at again. */
  readonly seen = new WeakSet<object>()
  private steps = 0
  private nextAsk = ASK_EVERY
  private stopped = false
  private narrowed: number | null = null
  private readonly parts: Work[] = []

  constructor(
    private readonly most: number,
    private readonly goOn: GoOn = () => true,
  ) {}

  /** Counts steps; true when no more may be done. */
  spend(steps: number): boolean {
    this.steps += steps
    if (this.steps >= this.nextAsk && !this.stopped) {
      this.nextAsk = this.steps + ASK_EVERY
      if (!this.goOn(this.steps)) this.stopped = true
    }
    if (this.steps > this.most) this.stopped = true
    return this.stopped
  }

  /** Only this many of what there is are looked at, since all would be too many. */
  narrow(to: number): void {
    this.narrowed = this.narrowed === null ? to : Math.min(this.narrowed, to)
  }

  /** A search of its own, whose end is told of here as well. */
  part(most: number): Work {
    const part = new Work(most, this.goOn)
    this.parts.push(part)
    return part
  }

  /** `all`, or `within N`: the settings that were looked at of those there are. */
  get searched(): string {
    const limits = [this, ...this.parts].flatMap((w) => [
      ...(w.stopped ? [Math.min(w.steps, w.most)] : []),
      ...(w.narrowed === null ? [] : [w.narrowed]),
    ])
    return limits.length === 0 ? 'all' : `within ${Math.min(...limits)}`
  }
}

/** Settings a kind of plan looks at before what it has must do: some tenths of a second. */
export const MOST_STEPS = 700_000
