import { directionsWords, measuringWords } from '../../wording/en'
import { coveredArc } from '../../../core/frame/clock'
import type { Measurement } from '../../../core/stages/measure/measurement'
import type { SetUp } from '../../../core/stages/setUp/setUp'
import { trustOf, type ReadingSet } from '../../../core/stages/measure/readingSet'
import type { Millimetres } from '../../../core/units/unitSystem'
import { clockName } from '../../wording/directions'
import { figure } from '../../wording/figures'
import { circleName } from '../../wording/circles'
import { setName, standingWords } from '../../wording/readings'
import type { Telling } from '../../wording/telling'

const asText = (mm: Millimetres, { units }: Telling) => figure(mm, 'displacement', units, { sign: true })

/** What the last sound set read, by circle and clock, to stand faint at the boxes of the next one. */
export const ghostOf = (
  m: Measurement | undefined,
  circle: string,
  /** The set being corrected casts no ghost on itself. */
  correcting: string,
  telling: Telling,
): Readonly<Record<string, string>> => {
  const set = m?.sets
    .filter((s) => s.set.sound && s.leftOut === null && s.set.entry.id !== correcting)
    .at(-1)?.set
  return Object.fromEntries((set?.read[circle] ?? []).map((r) => [String(r.clock), asText(r.value, telling)]))
}

/** The positions ringed in the set being typed: only a lone suspect can be named. */
export const ringedOf = (m: Measurement | null, circle: string, set: string): readonly number[] =>
  m?.suspects.length === 1
    ? m.suspects.filter((s) => s.circle === circle && s.set === set).map((s) => s.clock)
    : []

/** One circle's sums against each other. */
export interface Balance {
  readonly name: string
  readonly topBottom: Millimetres | null
  readonly leftRight: Millimetres | null
  readonly limit: Millimetres | null
  readonly agrees: boolean | null
}

export const balanceOf = (set: ReadingSet | undefined, circle: string, telling: Telling): Balance => {
  const sums = set?.sums[circle]
  const trust = set ? trustOf(set, circle) : null
  return {
    name: circleName(circle, telling),
    topBottom: sums?.topBottom ?? null,
    leftRight: sums?.leftRight ?? null,
    limit: trust?.closureLimit ?? null,
    agrees: trust?.agrees ?? null,
  }
}

/** More readings than this are told by their number. */
const MOST_LISTED = 16

/** A logged set as a line of the list under the board. */
export interface ListedSet {
  readonly id: string
  readonly name: string
  readonly standing: string
  /** One line a circle: its name and what it read. */
  readonly lines: readonly string[]
  readonly leftOut: boolean
  /** Could be used and is not. */
  readonly idle: boolean
}

export const listSets = (m: Measurement | undefined, telling: Telling): readonly ListedSet[] =>
  (m?.sets ?? []).map((s) => ({
    id: s.set.entry.id,
    name: setName(m as Measurement, s.set.entry.id, telling),
    standing: standingWords(m as Measurement, s, telling),
    lines: s.set.setUp.circles.map((c) => {
      const read = s.set.read[c] ?? []
      if (read.length > MOST_LISTED)
        return measuringWords(telling.words).view.swept(
          circleName(c, telling).toLowerCase(),
          read.length,
          Math.round(coveredArc(read.map((r) => r.clock))),
        )
      const values = read.map((r) => asText(r.value, telling))
      return `${circleName(c, telling).toLowerCase()} ${values.join(' / ')}`
    }),
    leftOut: s.leftOut !== null,
    idle: !m?.used.includes(s.set.entry.id) && s.set.measured !== null,
  }))

/** Sets that a person may use against their check: the doubtful ones by name, not simply the newest. */
export const usableAnyway = (m: Measurement | undefined): readonly string[] => {
  if (m?.trust !== 'doubtful') return []
  if (m.disputed) return [m.disputed.first, m.disputed.second]
  return m.sets
    .filter((s) => s.leftOut === null && s.set.measured !== null && !s.set.sound)
    .map((s) => s.set.entry.id)
}

/** A circle by its name over its boxes; an angle that is told over a length says which. */
export const circleLabel = (setUp: SetUp | null, circle: string, telling: Telling): string =>
  setUp?.how.method === 'values' && circle === 'angle'
    ? measuringWords(telling.words).view.angleOver(
        figure(setUp.how.given.per, 'distance', telling.units, { unit: true }),
      )
    : circleName(circle, telling)

/** Where a reading was taken: a clock position, or the plane a value is told in. */
export const placeName = (setUp: SetUp | null, clock: number, telling: Telling): string => {
  const method = setUp?.how.method
  return method === 'values' || method === 'foot-values'
    ? directionsWords(telling.words).planes[clock === 0 ? 'v' : 'h']
    : clockName(clock, telling)
}

/** Where typed values belong along the shafts, by circle, millimetres: an angle is shown at the far feet. */
export const placesOfValues = (setUp: SetUp | null): Readonly<Record<string, Millimetres>> => {
  if (setUp?.how.method === 'foot-values')
    return { nearPlane: setUp.how.given.near, farPlane: setUp.how.given.far }
  return { offset: 0, angle: setUp?.feet.at(-1)?.x ?? 0 }
}

/** What plus means in the boxes, where an instrument's own signs are typed. */
export const signsNote = (setUp: SetUp | null, telling: Telling): string => {
  const w = measuringWords(telling.words).view
  if (setUp?.how.method !== 'values' && setUp?.how.method !== 'foot-values') return ''
  const { signs } = setUp.how.given
  return w.shownSigns(signs.high, signs.toward3)
}
