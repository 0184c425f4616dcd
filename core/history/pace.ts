import type { Measurement } from '../stages/measure/measurement'
import type { MoveRecord } from '../stages/move/moves'
import { startingMinutes, type Handling } from '../plan/usualTime'

/** One move of the past: what it should have taken by the starting values, and what it took. Minutes. */
export interface MoveTime {
  readonly said: number
  readonly took: number
}

/** How a works' moves go against the starting values. */
export interface Pace {
  /** 1.2: they take a fifth longer. */
  readonly factor: number
  /** Moves it rests on. */
  readonly moves: number
}

/** Moves a pace needs before it stands in for the starting values. */
const FEWEST_MOVES = 5

/** Shorter was written up afterwards, longer had a night or another job in it. Minutes. */
const BELIEVABLE = { least: 5, most: 5 * 60 }

const handled = (moves: readonly MoveRecord[]): Handling => {
  const changes = moves.flatMap((m) => m.entry.payload.changes)
  const opened = changes.filter((c) => c.takenOut.length + c.putIn.length > 0)
  const pushed = moves.flatMap((m) => m.entry.payload.side).filter((s) => s.moved !== 0)
  return {
    feetOpened: new Set(opened.map((c) => `${c.machine} ${c.pair} ${c.side}`)).size,
    shimsHandled: opened.reduce((n, c) => n + c.takenOut.length + c.putIn.length, 0),
    pairsPushed: new Set(pushed.map((s) => `${s.machine} ${s.pair}`)).size,
  }
}

const minutesBetween = (from: string, to: string): number => (Date.parse(to) - Date.parse(from)) / 60_000

/**
 * What each move of a job took, from the plan being taken to the next readings; moves made one after the
 * other without reading between count as one. `measurements[n]` was read after the n-th move. Moves
 * without a plan, or whose times can't be those of the work, are left out.
 */
export const moveTimes = (
  moves: readonly MoveRecord[],
  measurements: readonly Measurement[],
): readonly MoveTime[] => {
  const times: MoveTime[] = []
  let together: MoveRecord[] = []
  for (const [i, move] of moves.entries()) {
    together.push(move)
    const read = measurements[i + 1]?.sets[0]
    if (!read) continue
    const from = together[0]?.planned?.entry.madeAt
    const said = startingMinutes(handled(together))
    together = []
    if (!from || said === 0) continue
    const took = minutesBetween(from, read.set.entry.madeAt)
    if (took >= BELIEVABLE.least && took <= BELIEVABLE.most) times.push({ said, took })
  }
  return times
}

/** The middle one of what moves took against what was said of them; null where too few are known. */
export const paceOf = (times: readonly MoveTime[]): Pace | null => {
  if (times.length < FEWEST_MOVES) return null
  const ratios = times.map((t) => t.took / t.said).sort((a, b) => a - b)
  const [low, high] = [ratios[(ratios.length - 1) >> 1], ratios[ratios.length >> 1]] as [number, number]
  return { factor: (low + high) / 2, moves: times.length }
}
