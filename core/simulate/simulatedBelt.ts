import { centreForLength, driveAtCentre, pitchLengthAt, type BeltDrive } from '../belt/geometry'
import type { Millimetres, Newtons } from '../units/unitSystem'

/** A belt drive on a motor base with two screws. */
export interface SimulatedBelt {
  readonly small: Millimetres
  readonly large: Millimetres
  /** Length of the belt without tension, before it bedded in. */
  readonly slackLength: Millimetres
  /** EA per belt. */
  readonly stiffness: Newtons
  readonly belts: number
  readonly screwPitch: Millimetres
  /** Force the base resists sliding with. */
  readonly friction: Newtons
  /** Bedding-in: the belt grows longer by this share of its length, with this time constant in days. */
  readonly bedding: { readonly share: number; readonly tau: number }
}

export interface BeltState {
  /** Cumulative turns of the screws. */
  readonly turns: number
  /** Centre distance the base really stands at. */
  readonly centre: Millimetres
  readonly days: number
}

const grownLength = (belt: SimulatedBelt, days: number): Millimetres =>
  belt.slackLength * (1 + belt.bedding.share * (1 - Math.exp(-days / belt.bedding.tau)))

/** Tension of one belt: how far it is stretched beyond its length on that day; never below zero. */
export const beltTensionNow = (belt: SimulatedBelt, state: BeltState): Newtons => {
  const slack = grownLength(belt, state.days)
  const stretch = pitchLengthAt(belt.small, belt.large, state.centre) / slack - 1
  return Math.max(0, belt.stiffness * stretch)
}

/** The drive as it stands. */
export const driveNow = (belt: SimulatedBelt, state: BeltState): BeltDrive => {
  const drive = driveAtCentre(belt.small, belt.large, state.centre)
  if (!drive.ok) throw new RangeError('the simulated sheaves touch')
  return drive.value
}

/** A belt just fitted, without tension. */
export const fittedBelt = (belt: SimulatedBelt): BeltState => {
  const centre = centreForLength(belt.small, belt.large, belt.slackLength)
  if (!centre.ok) throw new RangeError('the simulated belt is too short')
  return { turns: 0, centre: centre.value, days: 0 }
}

/**
 * Turns both screws. They push one way only: tightening drives the base; backing off lets the belts
 * pull it back until friction holds it, so that a base sticks.
 */
export const turnScrews = (belt: SimulatedBelt, state: BeltState, by: number): BeltState => {
  const turns = state.turns + by
  const start = fittedBelt(belt).centre
  const pushedTo = start + turns * belt.screwPitch
  if (pushedTo >= state.centre) return { ...state, turns, centre: pushedTo }
  const pull = (centre: Millimetres) => {
    const drive = driveAtCentre(belt.small, belt.large, centre)
    const wrap = drive.ok ? drive.value.wrapSmall : Math.PI
    return 2 * belt.belts * beltTensionNow(belt, { ...state, centre }) * Math.sin(wrap / 2)
  }
  if (pull(state.centre) <= belt.friction) return { ...state, turns }
  let low = pushedTo
  let high = state.centre
  if (pull(low) > belt.friction) return { ...state, turns, centre: low }
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2
    if (pull(middle) > belt.friction) high = middle
    else low = middle
  }
  return { ...state, turns, centre: high }
}

/** The same drive some days later. */
export const waitDays = (state: BeltState, days: number): BeltState => ({ ...state, days: state.days + days })
