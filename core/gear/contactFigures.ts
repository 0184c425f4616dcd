import { marginIn, verdictOfMargin, worstVerdict, type Verdict } from '../judge/judge'
import type { Band } from '../judge/tolerance'

/** In percent of the face width, from the `from` end of the tooth to the `to` end: both flanks seen from one side. */
export type Percent = number
/** Where the paint begins and ends; the smaller first. */
export type PaintedZone = readonly [begins: Percent, ends: Percent]

/** The two ways the gears are turned under the paint. */
export const RUNS = ['forward', 'back'] as const
export type Run = (typeof RUNS)[number]
export type Runs<T> = Readonly<Record<Run, T>>

/** What a contact is judged by. */
export interface ContactLimits {
  /** How far the middle of the paint may lie from the middle that is wanted. */
  readonly off: Percent
  /** How long the paint may be. */
  readonly length: Band
  /** How much of the wanted zone the paint covers at least, in percent of that zone. */
  readonly covered: Percent
}

/** A middle this far off is let pass where neither the site nor the maker says otherwise: the starting value. */
export const STARTING_OFF: Percent = 10
/** The paint may be this much of the wanted length shorter or longer: the starting value. */
export const STARTING_LENGTH_SHARE = 0.25
/** Percent of the wanted zone to be covered: the starting value. */
export const STARTING_COVERED: Percent = 70
/** Paint that comes this near an end of the tooth runs onto its edge, unless it is wanted there. */
export const CLEAR_OF_END: Percent = 3

export type ContactQuantity = 'off' | 'length' | 'covered' | 'edge'

export interface JudgedContact {
  readonly name: `${ContactQuantity}.${Run}`
  readonly quantity: ContactQuantity
  readonly run: Run
  readonly value: number
  readonly low: number | null
  readonly high: number | null
  readonly margin: number
  readonly verdict: Verdict
}

/** What the two runs have in common, and what sets them apart; positive toward the `to` end. */
export interface TwoRuns {
  readonly together: Percent
  readonly apart: Percent
}

export interface ContactFigures extends TwoRuns {
  readonly quantities: readonly JudgedContact[]
  /** The two figures against the limit of a run. */
  readonly verdicts: Readonly<Record<keyof TwoRuns, Verdict>>
  readonly verdict: Verdict
  readonly runs: Runs<Verdict>
}

export const middleOf = ([begins, ends]: PaintedZone): Percent => (begins + ends) / 2
export const lengthOf = ([begins, ends]: PaintedZone): Percent => ends - begins

/** How much of `wanted` is painted, percent of it; a zone without length counts as covered where paint lies over it. */
const coveredBy = (zone: PaintedZone, wanted: PaintedZone): Percent => {
  const common = Math.min(zone[1], wanted[1]) - Math.max(zone[0], wanted[0])
  if (lengthOf(wanted) === 0) return common >= 0 ? 100 : 0
  return (100 * Math.max(0, common)) / lengthOf(wanted)
}

const toNearestEnd = ([begins, ends]: PaintedZone): Percent => Math.min(begins, 100 - ends)

/**
 * The two figures of both runs: half the sum and half the difference of how far the middles lie from the middles
 * that are wanted. `forward` is `together + apart`, `back` is `together - apart`.
 */
export const twoRuns = (painted: Runs<PaintedZone>, wanted: Runs<PaintedZone>): TwoRuns => {
  const off = (run: Run) => middleOf(painted[run]) - middleOf(wanted[run])
  return { together: (off('forward') + off('back')) / 2, apart: (off('forward') - off('back')) / 2 }
}

/** The limits that stand where nothing is given: from the zone that is wanted. Percent. */
export const startingLimits = (wanted: Runs<PaintedZone>): ContactLimits => {
  const lengths = RUNS.map((run) => lengthOf(wanted[run]))
  return {
    off: STARTING_OFF,
    length: [
      Math.min(...lengths) * (1 - STARTING_LENGTH_SHARE),
      Math.max(...lengths) * (1 + STARTING_LENGTH_SHARE),
    ],
    covered: STARTING_COVERED,
  }
}

/**
 * Judges the paint of both runs against the zones that are wanted: how far each middle is off, how long each is, how
 * much of the wanted zone it covers, and whether it runs onto an end of the tooth. All in percent of the face width,
 * both flanks seen from one side. Source: docs/methods/gear-contact.md.
 */
export const judgeContact = (
  painted: Runs<PaintedZone>,
  wanted: Runs<PaintedZone>,
  limits: ContactLimits,
): ContactFigures => {
  const judged = (quantity: ContactQuantity, run: Run, value: number, [low, high]: Band): JudgedContact => {
    const margin = marginIn(value, [low, high])
    return {
      name: `${quantity}.${run}`,
      quantity,
      run,
      value,
      low,
      high,
      margin,
      verdict: verdictOfMargin(margin),
    }
  }
  const quantities = RUNS.flatMap((run): readonly JudgedContact[] => {
    const [zone, want] = [painted[run], wanted[run]]
    return [
      judged('off', run, middleOf(zone) - middleOf(want), [-limits.off, limits.off]),
      judged('length', run, lengthOf(zone), limits.length),
      judged('covered', run, coveredBy(zone, want), [limits.covered, null]),
      // Where the wanted zone itself reaches an end, paint may too.
      ...(toNearestEnd(want) >= CLEAR_OF_END
        ? [judged('edge', run, toNearestEnd(zone), [CLEAR_OF_END, null])]
        : []),
    ]
  })
  const both = twoRuns(painted, wanted)
  const verdictOfFigure = (x: Percent) => verdictOfMargin(marginIn(x, [-limits.off, limits.off]))
  const ofRun = (run: Run) =>
    worstVerdict(quantities.filter((q) => q.run === run).map((q) => q.verdict)) as Verdict
  return {
    ...both,
    quantities,
    verdicts: { together: verdictOfFigure(both.together), apart: verdictOfFigure(both.apart) },
    verdict: worstVerdict(quantities.map((q) => q.verdict)) as Verdict,
    runs: { forward: ofRun('forward'), back: ofRun('back') },
  }
}
