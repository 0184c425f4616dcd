import type { Misalignment } from '../frame/planes'
import type { SettledTolerance } from '../judge/tolerance'
import { remember } from '../logbook/remember'
import type { FootedMachine } from '../register/footedMachine'
import type { PairPacks } from '../register/pair'
import { measureRound, type Measurement, type NotedSet } from '../stages/measure/measurement'
import { readSet } from '../stages/measure/readingSet'
import type { Round, Rounds, TakenSet } from '../stages/measure/rounds'
import type { MoveEvidence } from '../stages/move/evidence'
import { doFootwork, footworkOf, type FeetOf } from '../stages/move/footwork'
import { recordMove, type MoveRecord } from '../stages/move/moves'
import { settleSetUp, type SetUp } from '../stages/setUp/setUp'

/** A set with what people said of it since. */
export const takenNote = remember((taken: TakenSet, tolerance: SettledTolerance): NotedSet => ({
  set: readSet(taken.entry, settleSetUp(taken.setUp), tolerance),
  usedAnyway: taken.note?.kind === 'set-used-anyway' ? taken.note.payload.why : null,
  leftOut: taken.note?.kind === 'set-left-out' ? taken.note.payload.why : null,
}))

/** What the sets of one round say together. */
export const measureTaken = remember(
  (round: Pick<Round, 'sets'>, tolerance: SettledTolerance, target: Misalignment): Measurement =>
    measureRound(tolerance, target, ...round.sets.map((s) => takenNote(s, tolerance))),
)

/** What the sets say that were read with the coupling made up. */
export const measureMadeUp = remember(
  (sets: readonly TakenSet[], tolerance: SettledTolerance, target: Misalignment): Measurement =>
    measureRound(tolerance, target, ...sets.map((s) => takenNote(s, tolerance))),
)

/** How the machine stands between two moves, as far as the logbook tells. */
interface Walked {
  readonly packs: readonly PairPacks[]
  /** Where the last move should have brought the axis; null when it was unknown before. */
  readonly predicted: Misalignment | null
  readonly record: MoveRecord | null
}

const NOT_SET_UP = {}

/** Nothing moved yet: these packs lie under the feet. */
export const atStart = remember((packs: readonly PairPacks[]): Walked => ({
  packs,
  predicted: null,
  record: null,
}))

/** What lies under the feet once those that were filled in this round are counted. */
export const filledPacks = remember((walked: Walked, { filled }: Round): readonly PairPacks[] =>
  filled.reduce(
    (packs, { kind, payload }) =>
      doFootwork(
        packs,
        NO_FEET,
        payload.units,
        kind === 'foot-filled' ? [payload.change] : payload.changes,
        [],
      ).packs,
    walked.packs,
  ),
)
const NO_FEET: FeetOf = { movable: [], stationary: [] }

/** One round's move with everything known of it; remembered along the chain of rounds. */
const afterMove = remember(
  (
    walked: Walked,
    round: Round,
    before: Measurement,
    after: Measurement,
    feet: FeetOf,
    setUp: SetUp | typeof NOT_SET_UP,
    evidence: MoveEvidence,
  ): Walked => {
    const { move, plan } = round
    const packs = filledPacks(walked, round)
    if (!move) return { ...walked, packs, record: null }
    const footwork = footworkOf(move, packs, feet)
    const record = recordMove({
      entry: move,
      planned: plan && {
        entry: plan.entry,
        footwork: footworkOf(plan.entry, packs, feet),
      },
      footwork,
      from: before.coupling ?? walked.predicted,
      before,
      after,
      setUp: 'entry' in setUp ? setUp : null,
      evidence,
      counts: round.counts,
      feet,
    })
    return { packs: footwork.packs, predicted: record.predicted, record }
  },
)

/** What the rounds come to: a measurement each, and what every move did. */
interface Walk {
  readonly rounds: Rounds
  /** Everything besides the rounds that it rests on. */
  readonly by: readonly object[]
  readonly measurements: readonly Measurement[]
  /** How the machine stood after each move. */
  readonly walked: readonly Walked[]
  readonly moves: readonly MoveRecord[]
}

/** The last walk of each machine's job: a round that did not change need not be walked again. */
const lastWalk = new WeakMap<FootedMachine, Walk>()

/** Measures every round and carries every move out; rounds that did not change since the last walk are not walked again. */
export const walkRounds = (
  machine: FootedMachine,
  rounds: Rounds,
  tolerance: SettledTolerance,
  target: Misalignment,
  feet: FeetOf,
  setUp: SetUp | null,
  start: Walked,
  evidence: MoveEvidence,
): Walk => {
  const by = [tolerance, target, feet, setUp ?? NOT_SET_UP, start, evidence]
  const last = lastWalk.get(machine)
  const alike = last && by.every((x, i) => x === last.by[i]) ? last : null
  let same = 0
  while (alike && same < rounds.length && alike.rounds[same] === rounds[same]) same++
  const measurements = alike ? alike.measurements.slice(0, same) : []
  for (let i = same; i < rounds.length; i++)
    measurements.push(measureTaken(rounds[i] as Round, tolerance, target))
  // A move rests on the measurement before it and on the one after.
  const walked = alike ? alike.walked.slice(0, Math.max(0, same - 1)) : []
  // Every round but the last ends with a move: there are as many records.
  const moves = alike ? alike.moves.slice(0, walked.length) : []
  for (let i = walked.length; i < rounds.length - 1; i++) {
    const here = afterMove(
      walked[i - 1] ?? start,
      rounds[i] as Round,
      measurements[i] as Measurement,
      measurements[i + 1] as Measurement,
      feet,
      setUp ?? NOT_SET_UP,
      evidence,
    )
    walked.push(here)
    if (here.record) moves.push(here.record)
  }
  const walk = { rounds, by, measurements, walked, moves }
  lastWalk.set(machine, walk)
  return walk
}
