import type { EntryBody } from '../../../core/logbook/entry'
import { readingSlip } from '../../../core/setup/distanceSlip'
import type { NotedSet } from '../../../core/stages/measure/measurement'
import { normalClock } from '../../../core/frame/clock'
import { fromCore, type UnitSystem } from '../../../core/units/unitSystem'
import { typedValue, unitOf, withUnit } from '../../forms/typed'
import type { MethodForm } from '../../methods/form'
import { seenClock, type ViewFrom } from '../../wording/otherEnd'

/** What stands in the boxes of one set, as typed. */
export interface ReadingTexts {
  units: UnitSystem
  positions: number[]
  /** Zeroed at 12 for 12 and 6, again at 3 for 3 and 9. */
  zeroedTwice: boolean
  /** Turned to the marks the other way than the sets before, to find play. */
  turnedBack: boolean
  /** By circle, then by clock angle. */
  circles: Record<string, Record<string, string>>
  /** Each head tells its own clock angle at a stop. */
  ownAngles: boolean
  /** Those angles as typed, by circle and stop; an empty one is the stop's. */
  angles: Record<string, Record<string, string>>
  /** From which end those angles are told. */
  seenFrom: ViewFrom
  /** By circle. */
  returned: Record<string, string>
  /** The set being corrected, if one is. */
  correcting: string
}

export const FOUR_QUARTERS: readonly number[] = [0, 90, 180, 270]
/** A value in each plane stands at 12 for the vertical, at 3 for the horizontal. */
export const TWO_PLANES: readonly number[] = [0, 90]

/** Ways a set is taken round the clock, by the positions in the order they are read. */
export const WAYS = {
  four: FOUR_QUARTERS,
  'from-3': [90, 180, 270, 0],
  'from-6': [180, 270, 0, 90],
  'from-9': [270, 0, 90, 180],
  twice: [0, 180, 90, 270],
  three: [270, 0, 90],
  tram: [90, 0, 270],
  arc: [300, 0, 60],
  '12-6': [0, 180],
  '3-9': [90, 270],
} as const satisfies Readonly<Record<string, readonly number[]>>
export type Way = keyof typeof WAYS

/** The way these boxes are taken; null for a list of one's own. */
export const wayOf = ({
  positions,
  zeroedTwice,
}: Pick<ReadingTexts, 'positions' | 'zeroedTwice'>): Way | null =>
  (Object.keys(WAYS) as Way[]).find(
    (w) => WAYS[w].join() === positions.join() && (w === 'twice') === zeroedTwice,
  ) ?? null

/** Where dials stand at zero by agreement: where the set starts, and where they were zeroed again. */
export const zerosOf = ({ positions, zeroedTwice }: Pick<ReadingTexts, 'positions' | 'zeroedTwice'>) =>
  zeroedTwice ? [0, 90] : positions.slice(0, 1)

/** How a method's readings come about. */
export type Reads = MethodForm['reads']

/** Where a circle's dial stands when the first stands at `clock`: a second face dial is half a turn on. */
export const ownClock = (circle: string, clock: number): number =>
  circle === 'face2' ? (clock + 180) % 360 : clock

/** Where a set is read on this kind of machine unless somebody says otherwise: a drum at a side, at 12 and at the other side. */
export const usualPositions = (drive: string): readonly number[] =>
  drive === 'drum' ? WAYS.tram : FOUR_QUARTERS

/** Empty boxes; the first position is where dials are zeroed. */
export const blankReadings = (
  circles: readonly string[],
  units: UnitSystem,
  asked: readonly number[] = FOUR_QUARTERS,
  reads: Reads = 'dials',
  zeroedTwice = false,
  seenFrom: ViewFrom = 'movable',
): ReadingTexts => {
  const positions =
    reads === 'values' ? TWO_PLANES : asked.join() === TWO_PLANES.join() ? FOUR_QUARTERS : asked
  const zeros = zerosOf({ positions: [...positions], zeroedTwice })
  return {
    units,
    positions: [...positions],
    zeroedTwice,
    turnedBack: false,
    circles: Object.fromEntries(
      circles.map((c) => [
        c,
        reads === 'dials' ? Object.fromEntries(zeros.map((z) => [String(ownClock(c, z)), '0'])) : {},
      ]),
    ),
    ownAngles: false,
    angles: {},
    seenFrom,
    returned: Object.fromEntries(circles.map((c) => [c, ''])),
    correcting: '',
  }
}

/** An angle as it is typed: a tenth of a degree is finer than a head tells. */
const angleText = (clock: number, from: ViewFrom): string =>
  String(Math.round(seenClock(clock, from) * 100) / 100)

/** A logged set in its boxes, to be corrected. */
export const editReadings = (
  noted: NotedSet,
  units: UnitSystem,
  seenFrom: ViewFrom = 'movable',
): ReadingTexts => {
  const { set } = noted
  const text = (mm: number) => String(Number(fromCore(mm, 'displacement', units).toPrecision(10)))
  const first = set.setUp.circles[0] ?? ''
  const positions = (set.read[first] ?? []).map((r) => r.clock)
  const ownAngles = set.setUp.circles.some((c) => set.read[c]?.some((r) => !positions.includes(r.clock)))
  // With angles of their own the boxes go by the stop, which is where the first head stood.
  const stopOf = (at: number, clock: number) => (ownAngles ? (positions[at] ?? clock) : clock)
  return {
    units,
    positions,
    ownAngles,
    angles: ownAngles
      ? Object.fromEntries(
          set.setUp.circles.map((c) => [
            c,
            Object.fromEntries(
              (set.read[c] ?? []).map((r, i) => [String(stopOf(i, r.clock)), angleText(r.clock, seenFrom)]),
            ),
          ]),
        )
      : {},
    seenFrom,
    zeroedTwice: (set.read[first] ?? []).some((r) => r.group !== undefined),
    turnedBack: set.entry.payload.turned === 'against',
    circles: Object.fromEntries(
      set.setUp.circles.map((c) => [
        c,
        Object.fromEntries((set.read[c] ?? []).map((r, i) => [String(stopOf(i, r.clock)), text(r.value)])),
      ]),
    ),
    returned: Object.fromEntries(
      set.setUp.circles.map((c) => [c, set.returned ? text(set.returned[c] ?? 0) : '']),
    ),
    correcting: set.entry.id,
  }
}

/** The same texts meaning the same in other units. */
export const nameReadingUnits = (texts: ReadingTexts, was: UnitSystem): void => {
  const unit = unitOf('displacement', was)
  for (const boxes of Object.values(texts.circles))
    for (const clock of Object.keys(boxes)) boxes[clock] = withUnit(boxes[clock] ?? '', unit)
  for (const circle of Object.keys(texts.returned))
    texts.returned[circle] = withUnit(texts.returned[circle] ?? '', unit)
}

/** The same boxes for somebody who stands at this end: angles of their own are told the other way round. */
export const seenFromEnd = (texts: ReadingTexts, now: ViewFrom): ReadingTexts => {
  if (texts.seenFrom === now) return texts
  const turned = (text: string) => {
    const told = typedValue(text, 'plain', texts.units)
    return told === null ? text : angleText(normalClock(told), 'stationary')
  }
  return {
    ...texts,
    seenFrom: now,
    angles: Object.fromEntries(
      Object.entries(texts.angles).map(([circle, boxes]) => [
        circle,
        Object.fromEntries(Object.entries(boxes).map(([stop, text]) => [stop, turned(text)])),
      ]),
    ),
  }
}

/** A box of a set: a circle at a stop, or what it showed after the full turn. */
export interface ReadingBox {
  readonly circle: string
  /** Null for the full turn. */
  readonly clock: number | null
}

export interface ReadingsRead {
  /** Every box in the order they are filled: all circles at a stop, then the next stop, then the turn. */
  readonly order: readonly ReadingBox[]
  readonly missing: readonly ReadingBox[]
  /** Nothing was typed beyond the zero at the start. */
  readonly blank: boolean
  /** Positions where a reading looks like a slipped decimal point, by circle. */
  readonly slips: Readonly<Record<string, readonly number[]>>
  /** Stops whose own angle can't be read, by circle. */
  readonly unclearAngles: Readonly<Record<string, readonly number[]>>
  /** In the unit of the boxes, by circle and clock. */
  readonly value: (circle: string, clock: number) => number | null
  /** What is there so far, as an entry: incomplete sets fold too, so that each digit shows its result. */
  readonly body: Extract<EntryBody, { kind: 'readings-taken' }>
}

/** Reads the boxes of a set of these circles. `graduation` by circle, in the unit of the boxes. */
export const readReadings = (
  texts: ReadingTexts,
  circles: readonly string[],
  units: UnitSystem,
  graduation: Readonly<Record<string, number>>,
  reads: Reads = 'dials',
): ReadingsRead => {
  const turns = reads === 'dials'
  const zeros = zerosOf(texts)
  const at = (text: string | undefined) => typedValue(text, 'displacement', units)
  const value = (circle: string, clock: number) => at(texts.circles[circle]?.[String(clock)])
  const order: ReadingBox[] = [
    ...texts.positions.flatMap((clock) =>
      circles.map((circle) => ({ circle, clock: ownClock(circle, clock) })),
    ),
    ...(turns ? circles.map((circle) => ({ circle, clock: null })) : []),
  ]
  /** Where a circle stood at a stop; null when its own angle was typed and can't be read. */
  const standing = (circle: string, stop: number): number | null => {
    const text = texts.ownAngles ? (texts.angles[circle]?.[String(stop)] ?? '').trim() : ''
    if (text === '') return stop
    const told = typedValue(text, 'plain', units)
    return told === null || told < 0 || told > 360 ? null : seenClock(normalClock(told), texts.seenFrom)
  }
  const unclearAngles = Object.fromEntries(
    circles.map((c) => [c, texts.positions.filter((stop) => standing(c, stop) === null)]),
  )
  const missing = order.filter((b) =>
    b.clock === null
      ? at(texts.returned[b.circle]) === null
      : value(b.circle, b.clock) === null || unclearAngles[b.circle]?.includes(b.clock),
  )
  const slips = Object.fromEntries(
    circles.map((circle) => [
      circle,
      texts.positions.filter((clock) => {
        const own = value(circle, clock)
        const others = texts.positions.filter((c) => c !== clock).flatMap((c) => value(circle, c) ?? [])
        return own !== null && others.length > 1 && readingSlip(own, others, graduation[circle] ?? 0)
      }),
    ]),
  )
  const list = (circle: string) =>
    texts.positions.flatMap((stop) => {
      const v = value(circle, stop)
      const clock = standing(circle, stop)
      if (v === null || clock === null) return []
      return texts.zeroedTwice && turns
        ? [{ clock, value: v, group: stop % 180 === 0 ? '12-6' : '3-9' }]
        : [{ clock, value: v }]
    })
  const turned = circles.map((c) => [c, at(texts.returned[c])] as const)
  return {
    order,
    missing,
    slips,
    unclearAngles,
    value,
    blank: texts.positions
      .filter((clock) => !turns || !zeros.includes(clock))
      .every((clock) =>
        circles.every((c) => (texts.circles[c]?.[String(ownClock(c, clock))] ?? '').trim() === ''),
      ),
    body: {
      kind: 'readings-taken',
      payload: {
        units,
        circles: Object.fromEntries(circles.map((c) => [c, list(c)])),
        returned:
          !turns || turned.some(([, v]) => v === null)
            ? null
            : Object.fromEntries(turned.map(([c, v]) => [c, v ?? 0])),
        ...(texts.turnedBack ? { turned: 'against' as const } : {}),
      },
    },
  }
}
