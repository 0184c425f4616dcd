import type { BeltSection } from '../../core/belt/sections'
import { readTypedNumber, type TypedMeasure } from '../../core/units/typedNumber'
import { fromCore, toCore, type Measured, type UnitSystem } from '../../core/units/unitSystem'
import { issuesOf } from '../calculation/issues'
import { typingWords } from '../wording/en'
import type { Words } from '../wording/words'
import { sectionFields, type SectionFields } from './section'

/** The boxes of a section and what they measure; mass and the part of the span are bare figures. */
export const SECTION_BOXES = {
  topWidth: 'distance',
  height: 'distance',
  mass: 'massPerLength',
  smallestSheave: 'distance',
  stiffness: 'force',
  spanOver: null,
} as const satisfies Readonly<Record<string, Measured | null>>
export type SectionBox = keyof typeof SECTION_BOXES
export const SECTION_BOX_NAMES = Object.keys(SECTION_BOXES) as readonly SectionBox[]

/** The boxes of a row of its chart. Speeds are bare figures: m/s or ft/min. */
export const ROW_BOXES = {
  from: 'distance',
  to: 'distance',
  speedFrom: null,
  speedTo: null,
  newLow: 'force',
  newHigh: 'force',
  runInLow: 'force',
  runInHigh: 'force',
} as const satisfies Readonly<Record<string, Measured | null>>
export type RowBox = keyof typeof ROW_BOXES
export const ROW_BOX_NAMES = Object.keys(ROW_BOXES) as readonly RowBox[]
export type RowTexts = Record<RowBox, string>

/** What stands in the boxes of a section. */
export interface SectionTexts {
  section: string
  source: string
  units: UnitSystem
  inUse: boolean
  construction: NonNullable<SectionFields['construction']> | ''
  boxes: Record<SectionBox, string>
  rows: RowTexts[]
}

/** How a box is typed: a length or a force with its unit, the rest as a bare figure. */
export const typedAs = (measure: Measured | null): TypedMeasure =>
  measure === 'distance' || measure === 'force' ? measure : 'plain'

const FEET_A_MINUTE_IN_METRES_A_SECOND = 0.00508
const shown = (x: number | null | undefined): string => (x == null ? '' : String(Number(x.toPrecision(5))))
export const blankRow = (): RowTexts =>
  Object.fromEntries(ROW_BOX_NAMES.map((name) => [name, ''])) as RowTexts

export const textsOfSection = (s: Omit<BeltSection, 'id'> & { readonly inUse?: boolean }): SectionTexts => ({
  section: s.section,
  construction: s.construction ?? '',
  source: s.source,
  units: s.units,
  inUse: s.inUse ?? true,
  boxes: {
    topWidth: shown(s.topWidth),
    height: shown(s.height),
    mass: shown(s.mass),
    smallestSheave: shown(s.smallestSheave),
    stiffness: shown(s.stiffness),
    spanOver: shown(s.spanOver),
  },
  rows: s.rows.map((r) => ({
    from: shown(r.from),
    to: shown(r.to),
    speedFrom: shown(r.speed?.from),
    speedTo: shown(r.speed?.to),
    newLow: shown(r.force.new?.[0]),
    newHigh: shown(r.force.new?.[1]),
    runInLow: shown(r.force['run-in']?.[0]),
    runInHigh: shown(r.force['run-in']?.[1]),
  })),
})

export const blankSection = (units: UnitSystem): SectionTexts =>
  textsOfSection({
    section: '',
    construction: null,
    source: '',
    units,
    topWidth: null,
    height: null,
    mass: null,
    smallestSheave: null,
    stiffness: null,
    spanOver: 64,
    rows: [],
  })

/** The same figures in the other unit. */
export const convertSection = (texts: SectionTexts, to: UnitSystem): SectionTexts => {
  const { units: was } = texts
  if (was === to) return texts
  const other = (text: string, measure: Measured | null, speed = false): string => {
    const read = readTypedNumber(text, typedAs(measure), was)
    if (!read.ok || (measure === null && !speed)) return text
    const x = measure
      ? fromCore(toCore(read.value, measure, was), measure, to)
      : read.value * (to === 'inch' ? 1 / FEET_A_MINUTE_IN_METRES_A_SECOND : FEET_A_MINUTE_IN_METRES_A_SECOND)
    return String(Number(x.toPrecision(4)))
  }
  return {
    ...texts,
    units: to,
    boxes: Object.fromEntries(
      SECTION_BOX_NAMES.map((n) => [n, other(texts.boxes[n], SECTION_BOXES[n])]),
    ) as SectionTexts['boxes'],
    rows: texts.rows.map(
      (r) =>
        Object.fromEntries(
          ROW_BOX_NAMES.map((n) => [n, other(r[n], ROW_BOXES[n], n === 'speedFrom' || n === 'speedTo')]),
        ) as RowTexts,
    ),
  }
}

/** Paths of the schema to those of the boxes. */
const boxPath = (path: string): string =>
  path
    .replace(/^rows\.(\d+)\.force\.new\.0$/, 'rows.$1.newLow')
    .replace(/^rows\.(\d+)\.force\.new(\.1)?$/, 'rows.$1.newHigh')
    .replace(/^rows\.(\d+)\.force\.run-in\.0$/, 'rows.$1.runInLow')
    .replace(/^rows\.(\d+)\.force(\.run-in(\.1)?)?$/, 'rows.$1.runInHigh')
    .replace(/^rows\.(\d+)\.speed\.from$/, 'rows.$1.speedFrom')
    .replace(/^rows\.(\d+)\.speed(\.to)?$/, 'rows.$1.speedTo')

/**
 * Reads the boxes; faults by the path of their box, like `rows.2.newLow`. `unread` are those of boxes that hold
 * something that is no figure: said at once, the others when it is to be saved.
 */
export const readSection = (
  texts: SectionTexts,
  words: Words,
): {
  readonly fields: SectionFields | null
  readonly unread: Readonly<Record<string, string>>
  readonly faults: Readonly<Record<string, string>>
} => {
  const unread: Record<string, string> = {}
  const number = (text: string, path: string, measure: Measured | null): number | null => {
    const read = readTypedNumber(text, typedAs(measure), texts.units)
    if (read.ok) return read.value
    if (read.fault !== 'empty') unread[path] = typingWords(words).faults[read.fault]
    return null
  }
  const pair = (low: number | null, high: number | null) =>
    low === null && high === null ? null : [low, high]
  const rows = texts.rows.map((r, i) => {
    const of = (n: RowBox) => number(r[n], `rows.${String(i)}.${n}`, ROW_BOXES[n])
    const [speedFrom, speedTo] = [of('speedFrom'), of('speedTo')]
    return {
      from: of('from') ?? 0,
      to: of('to'),
      speed: speedFrom === null && speedTo === null ? null : { from: speedFrom ?? 0, to: speedTo },
      force: { new: pair(of('newLow'), of('newHigh')), 'run-in': pair(of('runInLow'), of('runInHigh')) },
    }
  })
  const boxes = Object.fromEntries(
    SECTION_BOX_NAMES.map((n) => [n, number(texts.boxes[n], n, SECTION_BOXES[n])]),
  )
  const parsed = sectionFields.safeParse({
    section: texts.section.trim(),
    construction: texts.construction || null,
    source: texts.source.trim(),
    units: texts.units,
    inUse: texts.inUse,
    ...boxes,
    rows,
  })
  const faults = { ...unread }
  if (!parsed.success)
    for (const { path, message } of issuesOf(parsed.error)) faults[boxPath(path)] ??= message
  return {
    fields: parsed.success && Object.keys(faults).length === 0 ? parsed.data : null,
    unread,
    faults,
  }
}
