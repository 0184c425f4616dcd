import type { EntryBody } from '../../../core/logbook/entry'
import { readingSlip } from '../../../core/setup/distanceSlip'
import type { NotedSet } from '../../../core/stages/measure/measurement'
import { fromCore, type UnitSystem } from '../../../core/units/unitSystem'
import { typedValue, unitOf, withUnit } from '../../forms/typed'
import type { MethodForm } from '../../methods/form'

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

/** Empty boxes; the first position is where dials are zeroed. */
export const blankReadings = (
  circles: readonly string[],
  units: UnitSystem,
  asked: readonly number[] = FOUR_QUARTERS,
  reads: Reads = 'dials',
  zeroedTwice = false,
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
    returned: Object.fromEntries(circles.map((c) => [c, ''])),
    correcting: '',
  }
}

/** A logged set in its boxes, to be corrected. */
export const editReadings = (noted: NotedSet, units: UnitSystem): ReadingTexts => {
  const { set } = noted
  const text = (mm: number) => String(Number(fromCore(mm, 'displacement', units).toPrecision(10)))
  const first = set.setUp.circles[0] ?? ''
  return {
    units,
    positions: (set.read[first] ?? []).map((r) => r.clock),
    zeroedTwice: (set.read[first] ?? []).some((r) => r.group !== undefined),
    turnedBack: set.entry.payload.turned === 'against',
    circles: Object.fromEntries(
      set.setUp.circles.map((c) => [
        c,
        Object.fromEntries((set.read[c] ?? []).map((r) => [String(r.clock), text(r.value)])),
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
  const missing = order.filter((b) =>
    b.clock === null ? at(texts.returned[b.circle]) === null : value(b.circle, b.clock) === null,
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
    texts.positions.flatMap((clock) => {
      const v = value(circle, clock)
      if (v === null) return []
      return texts.zeroedTwice && turns
        ? [{ clock, value: v, group: clock % 180 === 0 ? '12-6' : '3-9' }]
        : [{ clock, value: v }]
    })
  const turned = circles.map((c) => [c, at(texts.returned[c])] as const)
  return {
    order,
    missing,
    slips,
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
