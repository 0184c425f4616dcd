import { centreChange, learnTurns, toEighths } from '../../belt/takeUp'
import type { BeltMachine } from '../../register/beltMachine'
import { toCore, type Millimetres, type Newtons } from '../../units/unitSystem'
import { stiffnessOf } from './band'
import type { TensionRounds } from './rounds'
import type { TensionRead } from './tension'

/** The first turns where nothing was learned yet and no stiffness is known: a small bite. */
export const FIRST_BITE = 1 / 4

/** What the screws or nuts get next; positive takes the motor away from the driven shaft. */
export interface TurnsToGive {
  /** More turns at each end, in eighths. */
  readonly turns: number
  readonly from: 'learned' | 'stiffness' | 'first-bite'
  /** Tension that a turn adds; null where it isn't learned. */
  readonly perTurn: Newtons | null
  /** 95 % interval of the turns; null for fewer than three readings. */
  readonly interval: readonly [number, number] | null
  /** Of the middle of the band. */
  readonly target: Newtons
  /** What the base has left after it; null where the register doesn't say. */
  readonly travelLeft: Millimetres | null
}

const meanTurns = ({ sheaveEnd, farEnd }: { readonly sheaveEnd: number; readonly farEnd: number }): number =>
  (sheaveEnd + farEnd) / 2

/** Turns given in this job since its belts were last slackened, and the tension read after each; since the last correction of the line only. */
export const turnHistory = (
  rounds: TensionRounds,
  reads: readonly (TensionRead | null)[],
): readonly { readonly turns: number; readonly force: Newtons }[] => {
  const points: { turns: number; force: Newtons }[] = []
  let given = 0
  rounds.forEach((round, i) => {
    const mean = reads[i]?.mean
    if (typeof mean === 'number') points.push({ turns: given, force: mean })
    if (round.adjusted) given += meanTurns(round.adjusted.payload)
    // Ended by moving the motor otherwise: what was learned before it holds no longer.
    else if (i < rounds.length - 1) points.length = 0
  })
  return points
}

/** Turns of each screw given so far. */
export const turnsGiven = (rounds: TensionRounds): number =>
  rounds.reduce((sum, r) => sum + (r.adjusted ? meanTurns(r.adjusted.payload) : 0), 0)

/**
 * Turns that bring the set to the middle of its band: learned from the last turns, else from the
 * belts' stiffness, else a small first bite. Null where it is in band, or no band or tension is known.
 */
export const turnsToGive = (
  rounds: TensionRounds,
  reads: readonly (TensionRead | null)[],
  machine: BeltMachine,
): TurnsToGive | null => {
  const now = reads[reads.length - 1]
  if (!now || now.mean === null || !now.band || now.leans === 'in' || now.unmatched) return null
  const [low, high] = now.band.tension
  const target = (low + high) / 2
  const own = (x: number) => toCore(x, 'distance', machine.units)
  const pitch = machine.base.screwPitch === null ? null : own(machine.base.screwPitch)
  const history = turnHistory(rounds, reads)
  const learned = history.length >= 2 ? learnTurns(history, target) : null
  const left = (turns: number): Millimetres | null =>
    machine.base.travelLeft === undefined || pitch === null
      ? null
      : own(machine.base.travelLeft) - (turnsGiven(rounds) + turns) * pitch
  const give = (turns: number, from: TurnsToGive['from'], rest: Partial<TurnsToGive> = {}): TurnsToGive => ({
    turns,
    from,
    perTurn: null,
    interval: null,
    target,
    travelLeft: left(turns),
    ...rest,
  })
  if (learned?.ok) {
    const { forcePerTurn: perTurn, interval, turns } = learned.value
    // What rounds to nothing is still a nudge the way it has to go.
    const eighths = toEighths(turns) || Math.sign(turns) / 8
    return give(eighths, 'learned', { perTurn, interval })
  }
  const stiffness = stiffnessOf(machine)
  if (stiffness > 0 && pitch !== null) {
    const by = centreChange(now.drive, stiffness, now.mean, target)
    if (by.ok) {
      const along = Math.cos((machine.base.lineAngle * Math.PI) / 180)
      const turns = by.value.exact / Math.max(0.2, along) / pitch
      return give(toEighths(turns) || Math.sign(turns) / 8, 'stiffness')
    }
  }
  return give(now.leans === 'slack' ? FIRST_BITE : -FIRST_BITE, 'first-bite')
}
