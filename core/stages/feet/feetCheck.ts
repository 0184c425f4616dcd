import {
  FOOT_NAMES,
  SOFT_FOOT_LIMIT,
  softFoot,
  type Diagonal,
  type FootName,
  type SoftFootResult,
} from '../../feet/softFoot'
import type { CornerGaps, FootSize } from '../../feet/cornerGaps'
import { stepShim, type StepShim } from '../../feet/stepShim'
import { sizeVerdict } from '../../judge/sizeVerdict'
import type { LogEntry } from '../../logbook/entry'
import { remember } from '../../logbook/remember'
import type { Side } from '../../plan/pairNames'
import type { FootedMachine } from '../../register/footedMachine'
import { toCore, type Millimetres } from '../../units/unitSystem'
import type { FootRef } from './entries'

/** What was written about the feet between two cures. */
export interface FeetRound {
  readonly gaps: LogEntry<'gaps-felt'> | null
  readonly rises: LogEntry<'rises-read'> | null
  /** Rises read once more with the pipe flanges slack. */
  readonly slack: LogEntry<'rises-read'> | null
  /** The cure that ended it; null in the round under way, or where the feet were simply read again. */
  readonly filled: LogEntry<'foot-filled'> | null
}

/** Rounds of the feet; the last one is under way. */
export type FeetRounds = readonly [...(readonly FeetRound[]), FeetRound]

const EMPTY: FeetRound = { gaps: null, rises: null, slack: null, filled: null }
export const NO_FEET_ROUNDS: FeetRounds = [EMPTY]

/** Links what is said of the feet to its round: a cure begins a new one, and so do rises read again without one. */
export const keepFeet = (now: FeetRounds, e: LogEntry): FeetRounds => {
  const last = now[now.length - 1] as FeetRound
  const change = (round: FeetRound): FeetRounds => [...now.slice(0, -1), round]
  switch (e.kind) {
    case 'gaps-felt':
      return last.rises ? [...now, { ...EMPTY, gaps: e }] : change({ ...last, gaps: e })
    case 'rises-read':
      if (e.payload.pipe === 'slack') return change({ ...last, slack: e })
      return last.rises ? [...now, { ...EMPTY, gaps: last.gaps, rises: e }] : change({ ...last, rises: e })
    case 'foot-filled':
      return [...now.slice(0, -1), { ...last, filled: e }, EMPTY]
    default:
      return now
  }
}

export const footKeyOf = ({ machine, pair, side }: FootRef): string => `${machine}:${pair}:${side}`

/** A foot between the outer pairs that rises over the limit by itself. */
export interface InnerFoot extends FootRef {
  readonly rise: Millimetres
}

/** A foot whose corners were felt. Millimetres. */
export interface FeltFoot extends FootRef {
  readonly name: FootName | null
  readonly corners: CornerGaps
  /** At the corner that stands open most. */
  readonly widest: Millimetres
  readonly size: FootSize | null
  /** The recipe of stepped leaves where the gap is a wedge. */
  readonly steps: StepShim | null
}

/** The feet of the movable machine as read in one round. Millimetres. */
export interface FeetReading {
  readonly round: FeetRound
  /** Every foot's rise, by footKeyOf. */
  readonly byFoot: ReadonlyMap<string, Millimetres>
  readonly rises: Readonly<Record<FootName, Millimetres>>
  readonly slack: Readonly<Record<FootName, Millimetres>> | null
  readonly felt: readonly FeltFoot[]
  readonly limit: Millimetres
  readonly result: SoftFootResult
  /** Mean rise of f1 and f3, and of f2 and f4. */
  readonly diagonals: readonly [Millimetres, Millimetres]
  /** How far the two diagonals differ. */
  readonly twist: Millimetres
  /** Feet of inner pairs that rise over the limit: they are outside of the diagonals. */
  readonly inner: readonly InnerFoot[]
  readonly verdict: 'in' | 'edge' | 'out'
}

/** Share of the limit from which on a rise is on the edge. */
/** Leaves of a step shim. */
const STEPS = 4

/** Foot pairs of the movable machine, the nearest to the coupling first. */
export const pairsOutward = remember((machine: FootedMachine) =>
  [...machine.feet.movable].sort((a, b) => Math.abs(a.x ?? 0) - Math.abs(b.x ?? 0)),
)

/** Where the four named feet of the movable machine stand: on its outer pairs. */
export const outerFeet = (machine: FootedMachine): Readonly<Record<FootName, FootRef>> | null => {
  const pairs = pairsOutward(machine)
  const near = pairs[0]
  const far = pairs[pairs.length - 1]
  if (!near || !far || near === far) return null
  const foot = (pair: string, side: Side): FootRef => ({ machine: 'movable', pair, side })
  return {
    f1: foot(near.id, 'left'),
    f2: foot(near.id, 'right'),
    f3: foot(far.id, 'right'),
    f4: foot(far.id, 'left'),
  }
}

/** Short name of a foot; null for one between the outer pairs, or of the other machine. */
export const nameOfFoot = (machine: FootedMachine, foot: FootRef): FootName | null => {
  const names = outerFeet(machine)
  return FOOT_NAMES.find((f) => names && footKeyOf(names[f]) === footKeyOf(foot)) ?? null
}

/** The feet that have a gap with the bolts loose, as a round tells. */
export const feltFeet = (machine: FootedMachine, { gaps }: FeetRound): readonly FeltFoot[] => {
  if (!gaps) return []
  const { units } = gaps.payload
  return gaps.payload.gaps
    .filter((g) => g.machine === 'movable')
    .map((g): FeltFoot => {
      const mm = (t: number) => toCore(t, 'displacement', units)
      const corners = {
        outboardOuter: mm(g.corners.outboardOuter),
        outboardInner: mm(g.corners.outboardInner),
        inboardOuter: mm(g.corners.inboardOuter),
        inboardInner: mm(g.corners.inboardInner),
      }
      const size = g.size && {
        along: toCore(g.size.along, 'distance', units),
        across: toCore(g.size.across, 'distance', units),
      }
      const recipe = size && stepShim(corners, size, STEPS)
      return {
        machine: g.machine,
        pair: g.pair,
        side: g.side,
        name: nameOfFoot(machine, g),
        corners,
        widest: Math.max(...Object.values(corners)),
        size,
        steps: recipe && recipe.largestGap > recipe.smallestGap ? recipe : null,
      }
    })
}

const risesOf = (entry: LogEntry<'rises-read'>): ReadonlyMap<string, Millimetres> =>
  new Map(entry.payload.rises.map((r) => [footKeyOf(r), toCore(r.rise, 'displacement', entry.payload.units)]))

const named = (
  rises: ReadonlyMap<string, Millimetres>,
  names: Readonly<Record<FootName, FootRef>>,
): Readonly<Record<FootName, Millimetres>> | null => {
  const of = (f: FootName) => rises.get(footKeyOf(names[f]))
  const [f1, f2, f3, f4] = FOOT_NAMES.map(of)
  return f1 === undefined || f2 === undefined || f3 === undefined || f4 === undefined
    ? null
    : { f1, f2, f3, f4 }
}

const readRound = remember((machine: FootedMachine, round: FeetRound): FeetReading | null => {
  const names = outerFeet(machine)
  if (!names || !round.rises) return null
  const byFoot = risesOf(round.rises)
  const rises = named(byFoot, names)
  if (!rises) return null
  const slack = round.slack && named(risesOf(round.slack), names)
  const limit = SOFT_FOOT_LIMIT[machine.units]
  const felt = feltFeet(machine, round)
  const footSize = felt.find((f) => f.size !== null)?.size
  const result = softFoot({
    rises,
    limit,
    corners: Object.fromEntries(felt.flatMap((f) => (f.name ? [[f.name, f.corners]] : []))),
    ...(footSize ? { footSize } : {}),
    ...(slack ? { pipeLoosened: slack } : {}),
  })
  const inner = round.rises.payload.rises
    .filter((r) => r.machine === 'movable' && nameOfFoot(machine, r) === null)
    .map(({ machine: role, pair, side }) => ({ machine: role, pair, side }))
    .map((foot) => ({ ...foot, rise: byFoot.get(footKeyOf(foot)) ?? 0 }))
    .filter((foot) => foot.rise > limit)
  const unsound = result.diagnosis !== 'ok' || inner.length > 0 || result.pipeStrain
  return {
    round,
    byFoot,
    rises,
    slack,
    felt,
    limit,
    result,
    diagonals: [(rises.f1 + rises.f3) / 2, (rises.f2 + rises.f4) / 2],
    twist: Math.abs(result.twist) / 2,
    inner,
    verdict: unsound ? 'out' : sizeVerdict(Math.max(...byFoot.values()), limit),
  }
})

/** How the feet of the movable machine stand. */
export interface FeetCheck {
  readonly rounds: FeetRounds
  /** One a round; null where no rises were read. */
  readonly readings: readonly (FeetReading | null)[]
  /** The last that was read; null before. */
  readonly latest: FeetReading | null
  /** A foot was filled since. */
  readonly stale: boolean
  /** How often the fault has changed diagonals from one reading to the next. */
  readonly chase: number
}

/** How often a fault that was filled came back on the other diagonal. */
export const chaseOf = (readings: readonly (FeetReading | null)[]): number => {
  let changes = 0
  let last: Diagonal | null = null
  for (const r of readings) {
    if (!r || r.result.diagnosis !== 'rocking') continue
    if (last !== null && r.result.diagonal !== last) changes++
    last = r.result.diagonal
  }
  return changes
}

/** What the logbook says of the feet. */
export const checkFeet = remember((machine: FootedMachine, rounds: FeetRounds): FeetCheck => {
  const readings = rounds.map((round) => readRound(machine, round))
  const latest = readings.reduce<FeetReading | null>((found, r) => r ?? found, null)
  return {
    rounds,
    readings,
    latest,
    stale: latest !== null && latest.round.filled !== null,
    chase: chaseOf(readings),
  }
})
