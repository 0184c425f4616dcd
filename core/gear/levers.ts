import type { Millimetres } from '../units/unitSystem'
import type { Percent, TwoRuns } from './contactFigures'

/** What can be shifted along the tooth: the bearing blocks as a whole, or the gear along its own shaft. */
export const LEVERS = ['blocks', 'gear'] as const
export type Lever = (typeof LEVERS)[number]
export type Figure = keyof TwoRuns
const FIGURES: readonly Figure[] = ['together', 'apart']

/** Which lever a site or a maker has for what both runs have in common; the other one is for what sets them apart. */
export const SCHOOLS = ['together-blocks', 'together-gear'] as const
export type GearSchool = (typeof SCHOOLS)[number]

/** How the paint goes with a shift, percent of the face width a millimetre toward the `to` end. */
export type Response = Readonly<TwoRuns>

/** A shift that was made, with the paint before and after it. */
export interface ShiftSeen {
  readonly lever: Lever
  /** Toward the `to` end positive. */
  readonly by: Millimetres
  readonly before: TwoRuns
  readonly after: TwoRuns
}

/** The middle of a painted zone is told no better than this by eye: the starting value. */
export const PAINT_TELLS: Percent = 2.5
/** The first shift is a test: the starting value, six mil. */
export const TEST_SHIFT: Millimetres = 6 * 0.0254

/** What a shift did, beside what the rule says of it. */
export type ShiftTold =
  /** The figure it was made for went the way the rule says. */
  | 'as-the-rule'
  /** It went, and the rule says no way: now it is known. */
  | 'learned'
  /** The figure went away from where the rule says. */
  | 'other-way'
  /** The other figure went, more than the one it was made for. */
  | 'other-figure'
  /** No more than paint tells. */
  | 'nothing'

/** The figure that a lever is for, by the school. */
export const figureOf = (school: GearSchool, lever: Lever): Figure =>
  (school === 'together-blocks') === (lever === 'blocks') ? 'together' : 'apart'

/** The lever that a figure asks for, by the school. */
export const leverFor = (school: GearSchool, figure: Figure): Lever =>
  LEVERS.find((lever) => figureOf(school, lever) === figure) as Lever

const other = (lever: Lever): Lever => (lever === 'blocks' ? 'gear' : 'blocks')
const otherFigure = (figure: Figure): Figure => (figure === 'together' ? 'apart' : 'together')

const moved = ({ before, after }: ShiftSeen): TwoRuns => ({
  together: after.together - before.together,
  apart: after.apart - before.apart,
})

/**
 * What a shift did. Both runs are expected to follow what is shifted for the figure they have in common; for what
 * sets them apart no way is expected: only the paint tells.
 */
export const whatItDid = (school: GearSchool, seen: ShiftSeen): ShiftTold => {
  const figure = figureOf(school, seen.lever)
  const went = moved(seen)
  const [meant, beside] = [Math.abs(went[figure]), Math.abs(went[otherFigure(figure)])]
  if (Math.max(meant, beside) < PAINT_TELLS) return 'nothing'
  if (beside > 2 * meant) return 'other-figure'
  if (figure === 'apart') return 'learned'
  return went.together * seen.by > 0 ? 'as-the-rule' : 'other-way'
}

export const responseOf = (seen: ShiftSeen): Response => {
  const went = moved(seen)
  return { together: went.together / seen.by, apart: went.apart / seen.by }
}

/** What is known of a lever: from the shifts of this job, from the register, or by the rule alone. */
export interface LeverKnown {
  readonly response: Response
  readonly from: 'job' | 'register'
}
export type LeversKnown = Readonly<Record<Lever, LeverKnown | null>>

/**
 * What the shifts of this job told of each lever: the last one that did anything counts. What the register remembers
 * from jobs before serves until this job tells otherwise.
 */
export const leversKnown = (
  seen: readonly ShiftSeen[],
  remembered: Readonly<Record<Lever, Response | null>>,
): LeversKnown => {
  const of = (lever: Lever): LeverKnown | null => {
    const told = seen.filter(
      (s) => s.lever === lever && FIGURES.some((f) => Math.abs(moved(s)[f]) >= PAINT_TELLS),
    )
    const last = told[told.length - 1]
    if (last) return { response: responseOf(last), from: 'job' }
    const kept = remembered[lever]
    return kept && { response: kept, from: 'register' }
  }
  return { blocks: of('blocks'), gear: of('gear') }
}

/** Whether the lever moves this figure at least half as much as the other. */
const serves = ({ response }: LeverKnown, figure: Figure): boolean =>
  Math.abs(response[figure]) * 2 >= Math.abs(response[otherFigure(figure)])

export interface NextShift {
  readonly figure: Figure
  readonly lever: Lever
  /** Toward the `to` end positive. */
  readonly by: Millimetres
  /** What it would take, where there is not so much room. */
  readonly wanted: Millimetres
  /** test: nobody knows yet what it does; learned: told by a shift, of this job or of one before. */
  readonly from: 'test' | 'job' | 'register'
  /** Percent a millimetre; null for a test. */
  readonly rate: number | null
  /** What the paint is expected to show; null for a test. */
  readonly predicted: TwoRuns | null
  /** Against the school: the paint has shown that its own lever does not serve. */
  readonly againstRule: boolean
}

/** Nothing to shift along the tooth serves any more. */
export type NoShift = 'neither-lever' | 'no-room' | 'nothing-moves'

export interface ShiftAsked {
  readonly school: GearSchool
  readonly now: TwoRuns
  readonly seen: readonly ShiftSeen[]
  readonly remembered: Readonly<Record<Lever, Response | null>>
  readonly testShift: Millimetres
  /** What is left toward the `from` end and toward the `to` end; null where nobody knows. */
  readonly room: Readonly<Record<Lever, { readonly from: Millimetres; readonly to: Millimetres } | null>>
}

/** Shifts of this lever one after another that did nothing the paint could tell, latest ones. */
const idleShifts = (school: GearSchool, seen: readonly ShiftSeen[], lever: Lever): number => {
  const latestFirst = seen.filter((s) => s.lever === lever).reverse()
  const told = latestFirst.findIndex((s) => whatItDid(school, s) !== 'nothing')
  return told < 0 ? latestFirst.length : told
}

/**
 * What to shift next, which way and how far: for the figure that is worse, the school's lever, until the paint has
 * shown that the other one serves. The first shift of a lever nobody knows is a test; from then on the distance is the
 * figure over the rate. A test that did nothing is doubled once. Millimetres and percent.
 */
export const nextShift = (asked: ShiftAsked): NextShift | NoShift => {
  const { school, now, seen, room } = asked
  const known = leversKnown(seen, asked.remembered)
  const figure: Figure = Math.abs(now.together) >= Math.abs(now.apart) ? 'together' : 'apart'
  const own = leverFor(school, figure)
  const held = (lever: Lever) => known[lever] === null && idleShifts(school, seen, lever) > 1
  const ofOwn = known[own]
  if (held(own)) return 'nothing-moves'
  const lever = ofOwn === null || serves(ofOwn, figure) ? own : other(own)
  if (lever !== own) {
    if (held(lever)) return 'nothing-moves'
    const ofOther = known[lever]
    if (ofOther && !serves(ofOther, figure)) return 'neither-lever'
  }
  const k = known[lever]
  const rate = k?.response[figure] ?? null
  const idle = idleShifts(school, seen, lever)
  const wanted =
    rate !== null ? -now[figure] / rate : -Math.sign(now[figure] || 1) * asked.testShift * 2 ** idle
  const left = room[lever]
  const by = left === null ? wanted : Math.max(-left.from, Math.min(left.to, wanted))
  // Less than a tenth of what is wanted is no shift.
  if (Math.abs(by) < Math.abs(wanted) / 10) return 'no-room'
  return {
    figure,
    lever,
    by,
    wanted,
    from: k?.from ?? 'test',
    rate,
    predicted: k && {
      together: now.together + by * k.response.together,
      apart: now.apart + by * k.response.apart,
    },
    againstRule: lever !== own,
  }
}
