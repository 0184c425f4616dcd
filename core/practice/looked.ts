import type { Verdict } from '../judge/judge'
import type { BenchFault } from './faults'
import type { HabitSeen } from './habits'
import type { HintStep, PracticeStep } from './steps'

/** What was there to be seen in a try, from where on, and what became of it. */
export interface MomentOf<Doubt, Lay, Told> {
  readonly doubt: Doubt
  readonly fault: BenchFault | null
  /** Step after which it could be seen. */
  readonly from: number
  /** Step by which something was done about it; null when a move, or the end, came first. */
  readonly seenBy: number | null
  /** The move or the end that went past it; null where none did. */
  readonly passedAt: number | null
  /** How it really lay when it could first be seen, and what the readings in use said then. */
  readonly truth: Lay
  readonly told: Told | null
}

/** What every try comes to, whatever stood on the bench. */
export interface Looked {
  readonly habits: readonly HabitSeen[]
  readonly moves: number
  readonly fewest: number
  /** How it really lies at the end, judged. */
  readonly verdict: Verdict
  readonly hints: readonly HintStep[]
  readonly minutes: number
  /** Faults that were hidden, and whether each was cured or taken into account. */
  readonly faults: readonly { readonly fault: BenchFault; readonly cured: boolean }[]
}

type Open<M> = { -readonly [K in keyof M]: M[K] }

/** Keeps moments as a try is gone through: each begins once, is seen once it is no longer in force, or gone past. */
export class MomentKeeper<Doubt extends { readonly code: string; readonly about: string }, Lay, Told> {
  private readonly kept: Open<MomentOf<Doubt, Lay, Told>>[] = []

  private static same(a: { code: string; about: string }, b: { code: string; about: string }): boolean {
    return a.code === b.code && a.about === b.about
  }

  /** Something was decided while these were in force. */
  passed(doubts: readonly Doubt[], step: number): void {
    for (const m of this.kept)
      if (m.seenBy === null && m.passedAt === null && doubts.some((d) => MomentKeeper.same(d, m.doubt)))
        m.passedAt = step
  }

  /** These are in force after a step. */
  now(doubts: readonly Doubt[], step: number): void {
    for (const m of this.kept)
      if (m.seenBy === null && m.passedAt === null && !doubts.some((d) => MomentKeeper.same(d, m.doubt)))
        m.seenBy = step
  }

  begin(doubt: Doubt, more: Pick<MomentOf<Doubt, Lay, Told>, 'fault' | 'from' | 'truth' | 'told'>): void {
    if (this.kept.some((m) => MomentKeeper.same(m.doubt, doubt) && m.seenBy === null)) return
    this.kept.push({ doubt, seenBy: null, passedAt: null, ...more })
  }

  /** What is still in force at the end went past. */
  ended(steps: number): readonly MomentOf<Doubt, Lay, Told>[] {
    for (const m of this.kept) if (m.seenBy === null && m.passedAt === null) m.passedAt = steps
    return this.kept
  }
}

/** Minutes at the bench since the hands came in. */
export const minutesOf = (steps: readonly PracticeStep[], opened: number): number => {
  const first = steps[Math.min(opened, steps.length - 1)]
  const last = steps[steps.length - 1]
  return first && last ? Math.max(0, (Date.parse(last.at) - Date.parse(first.at)) / 60_000) : 0
}
