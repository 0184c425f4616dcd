import { readTypedNumber, type TypedMeasure } from '../../core/units/typedNumber'
import { fromCore, toCore, type UnitSystem } from '../../core/units/unitSystem'
import { issuesOf } from '../calculation/issues'
import { typingWords } from '../wording/en'
import type { Words } from '../wording/words'
import { beltLimitFields, type BeltLimitFields } from './beltLimits'

/** The boxes in the order they are asked, by what they are about. */
export const BOX_GROUPS = {
  line: ['offset', 'angle', 'tilt'],
  tension: [
    'serviceFactor',
    'ratioAt180',
    'newLow',
    'newHigh',
    'runInLow',
    'runInHigh',
    'spread',
    'gaugeOver',
  ],
  room: ['fitting', 'takeUp'],
} as const
export type BoxGroup = keyof typeof BOX_GROUPS
export type BeltLimitBox = (typeof BOX_GROUPS)[BoxGroup][number]
const BOXES: readonly BeltLimitBox[] = Object.values(BOX_GROUPS).flat()

/** What stands in the boxes of the works' limits for belt drives. */
export interface BeltLimitTexts {
  kind: NonNullable<BeltLimitFields['kind']> | ''
  source: string
  units: UnitSystem
  offsetBy: 'groove' | 'span'
  gaugeOf: 'span' | 'centre'
  inForce: boolean
  boxes: Record<BeltLimitBox, string>
}

/** A box's figure is a length only where the offset is given at the groove. */
export const typedAs = (box: BeltLimitBox, { offsetBy }: Pick<BeltLimitTexts, 'offsetBy'>): TypedMeasure =>
  box === 'offset' && offsetBy === 'groove' ? 'distance' : 'plain'

const shown = (x: number | null | undefined): string => (x == null ? '' : String(Number(x.toPrecision(6))))

export const textsOfBeltLimits = (l: Omit<BeltLimitFields, 'inForce'> & { readonly inForce?: boolean }) =>
  ({
    kind: l.kind ?? '',
    source: l.source,
    units: l.units,
    offsetBy: l.offset?.by ?? 'groove',
    gaugeOf: l.gauge?.of ?? 'span',
    inForce: l.inForce ?? true,
    boxes: {
      offset: shown(l.offset?.value),
      angle: shown(l.angle),
      tilt: shown(l.tilt),
      serviceFactor: shown(l.serviceFactor),
      ratioAt180: shown(l.ratioAt180),
      newLow: shown(l.factors.new?.[0]),
      newHigh: shown(l.factors.new?.[1]),
      runInLow: shown(l.factors['run-in']?.[0]),
      runInHigh: shown(l.factors['run-in']?.[1]),
      spread: shown(l.spread),
      gaugeOver: shown(l.gauge?.over),
      fitting: shown(l.fitting),
      takeUp: shown(l.takeUp),
    },
  }) satisfies BeltLimitTexts

export const blankBeltLimits = (units: UnitSystem): BeltLimitTexts =>
  textsOfBeltLimits({
    kind: null,
    source: '',
    units,
    offset: null,
    angle: null,
    tilt: null,
    spread: null,
    serviceFactor: null,
    ratioAt180: null,
    factors: { new: null, 'run-in': null },
    gauge: null,
    fitting: null,
    takeUp: null,
  })

/** in/ft to mm/m. */
const MM_A_METRE = 1000 / 12

/** The same figures in the other unit: only the offset has one. */
export const convertBeltLimits = (texts: BeltLimitTexts, to: UnitSystem): BeltLimitTexts => {
  const { units: was } = texts
  const read = readTypedNumber(texts.boxes.offset, typedAs('offset', texts), was)
  if (was === to || !read.ok) return { ...texts, units: to }
  const x =
    texts.offsetBy === 'groove'
      ? fromCore(toCore(read.value, 'distance', was), 'distance', to)
      : read.value * (to === 'metric' ? MM_A_METRE : 1 / MM_A_METRE)
  return { ...texts, units: to, boxes: { ...texts.boxes, offset: String(Number(x.toPrecision(5))) } }
}

/** Paths of the schema to those of the boxes. */
const boxPath = (path: string): string =>
  path
    .replace(/^offset\..*$/, 'offset')
    .replace(/^gauge\..*$/, 'gaugeOver')
    .replace(/^factors\.new\.0$/, 'newLow')
    .replace(/^factors\.new(\.1)?$/, 'newHigh')
    .replace(/^factors\.run-in\.0$/, 'runInLow')
    .replace(/^factors\.run-in(\.1)?$/, 'runInHigh')

/**
 * Reads the boxes; faults by the name of their box. `unread` are those of boxes that hold something that is no
 * figure: said at once, the others when it is to be saved.
 */
export const readBeltLimits = (
  texts: BeltLimitTexts,
  words: Words,
): {
  readonly fields: BeltLimitFields | null
  readonly unread: Readonly<Record<string, string>>
  readonly faults: Readonly<Record<string, string>>
} => {
  const unread: Record<string, string> = {}
  const read = Object.fromEntries(
    BOXES.map((box) => {
      const typed = readTypedNumber(texts.boxes[box], typedAs(box, texts), texts.units)
      if (typed.ok) return [box, typed.value]
      if (typed.fault !== 'empty') unread[box] = typingWords(words).faults[typed.fault]
      return [box, null]
    }),
  ) as Record<BeltLimitBox, number | null>
  const { offset, newLow, newHigh, runInLow, runInHigh, gaugeOver, ...plain } = read
  const pair = (low: number | null, high: number | null) =>
    low === null && high === null ? null : [low, high]
  const parsed = beltLimitFields.safeParse({
    kind: texts.kind || null,
    source: texts.source.trim(),
    units: texts.units,
    offset: offset === null ? null : { by: texts.offsetBy, value: offset },
    ...plain,
    gauge: gaugeOver === null ? null : { of: texts.gaugeOf, over: gaugeOver },
    factors: { 'run-in': pair(runInLow, runInHigh), new: pair(newLow, newHigh) },
    inForce: texts.inForce,
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
