import type { DialSet, FaceSet } from '../../core/coupling/dialSet'
import type { EntryBody } from '../../core/logbook/entry'
import { settleTolerance } from '../../core/judge/tolerance'
import { circlesOf, type MethodGiven } from '../../core/methods/methods'
import type { FaceMount, RimMount } from '../../core/methods/method'
import type { CoupledMachine } from '../../core/register/machine'
import type { SetUpPayload } from '../../core/stages/setUp/entries'
import type { TypedReading } from '../../core/stages/measure/entries'
import { toCore, fromCore, type UnitSystem } from '../../core/units/unitSystem'

interface Measured {
  readonly units: UnitSystem
  readonly feet?: readonly { readonly id: string; readonly x: number }[]
  readonly graduation?: number
  readonly returnToZero?: number | Readonly<Record<string, number>>
}
interface Values {
  readonly offset: { readonly v?: number; readonly h?: number }
  readonly slope: { readonly v?: number; readonly h?: number }
}
/** Inputs of the measuring operations, in contract units. */
interface Inputs {
  'rim-face': Measured & {
    readonly rim: DialSet
    readonly face?: FaceSet
    readonly faces?: readonly [FaceSet, FaceSet]
  }
  'reverse-rim': Measured & { readonly onStationary: DialSet; readonly onMovable: DialSet }
  'spacer-faces': Measured & {
    readonly atStationary: FaceSet
    readonly atMovable: FaceSet
    readonly spoolLength: number
  }
  heads: Measured & {
    readonly stationaryPlane: number
    readonly movablePlane: number
    readonly samples: readonly {
      readonly clock: number
      readonly movableClock?: number
      readonly stationary: number
      readonly movable: number
    }[]
  }
  'coupling-values': Measured & { readonly coupling: Values }
  'foot-values': Measured & {
    readonly values: readonly { readonly x: number; readonly v: number; readonly h: number }[]
    readonly kind: 'position' | 'correction'
  }
}
type MeasuringSum = keyof Inputs

/** A sum's input as a job would hold it: how it was measured, and what was read. */
interface Kept {
  readonly how: MethodGiven
  readonly read: Readonly<Record<string, readonly TypedReading[]>>
  /** Read off dials that are turned and come back: their return belongs to the set-up. */
  readonly turns: boolean
}

const rim = ({ readings: _, turning = 'both', readingSign = 1, ...mount }: DialSet): RimMount => ({
  ...mount,
  turning,
  readingSign,
})
const face = ({ readings: _, sag = 0, readingSign = 1, ...mount }: FaceSet): FaceMount => ({
  ...mount,
  sag,
  readingSign,
})
const PLUS = { high: 1, toward3: 1, endHigh: 1, endToward3: 1 } as const
/** The length an angle is told over, so that it is a figure like an offset. */
const OVER: Readonly<Record<UnitSystem, number>> = { inch: 1, metric: 100 }
/** A value in either plane: kept at 12 and 3. */
const planes = (v: number | undefined, h: number | undefined): readonly TypedReading[] => [
  ...(v === undefined ? [] : [{ clock: 0, value: v }]),
  ...(h === undefined ? [] : [{ clock: 90, value: h }]),
]

/** One row a method: its contract input as the job's set-up and readings; null where a job can't hold it. */
const KEEPS: { readonly [S in MeasuringSum]: (input: Inputs[S]) => Kept | null } = {
  'rim-face': ({ rim: r, face: one, faces: two }) => {
    const faces = two ?? (one ? ([one] as const) : null)
    if (!faces) return null
    const [first, second] = faces
    const read: Record<string, readonly TypedReading[]> = second
      ? { rim: r.readings, face1: first.readings, face2: second.readings }
      : { rim: r.readings, face: first.readings }
    return {
      how: {
        method: 'rim-face',
        given: { rim: rim(r), faces: second ? [face(first), face(second)] : [face(first)] },
      },
      read,
      turns: true,
    }
  },
  'reverse-rim': ({ onStationary, onMovable }) => ({
    how: {
      method: 'reverse-rim',
      given: { onStationary: rim(onStationary), onMovable: rim(onMovable) },
    },
    read: { onStationary: onStationary.readings, onMovable: onMovable.readings },
    turns: true,
  }),
  'spacer-faces': ({ atStationary, atMovable, spoolLength }) => ({
    how: {
      method: 'spacer-faces',
      given: { atStationary: face(atStationary), atMovable: face(atMovable), spoolLength },
    },
    read: { atStationary: atStationary.readings, atMovable: atMovable.readings },
    turns: true,
  }),
  heads: ({ stationaryPlane, movablePlane, samples }) => ({
    how: { method: 'heads', given: { stationaryPlane, movablePlane } },
    read: {
      stationary: samples.map((s) => ({ clock: s.clock, value: s.stationary })),
      movable: samples.map((s) => ({ clock: s.movableClock ?? s.clock, value: s.movable })),
    },
    turns: true,
  }),
  'coupling-values': ({ units, coupling: { offset, slope } }) => ({
    how: { method: 'values', given: { per: OVER[units], signs: PLUS } },
    read: { offset: planes(offset.v, offset.h), angle: planes(slope.v, slope.h) },
    turns: false,
  }),
  'foot-values': ({ values, kind }) => {
    const [near, far] = [values[0], values[values.length - 1]]
    if (!near || !far) return null
    // A correction is what it takes to bring it there: the position the other way.
    const sign = kind === 'correction' ? -1 : 1
    return {
      how: {
        method: 'foot-values',
        given: { near: near.x, far: far.x, signs: { high: 1, toward3: 1 } },
      },
      read: {
        nearPlane: planes(near.v * sign, near.h * sign),
        farPlane: planes(far.v * sign, far.h * sign),
      },
      turns: false,
    }
  },
}

/** What a sum without limits of its own is drawn and unfolded beside: the starter's rule at an ordinary speed. */
export const UNJUDGED = settleTolerance(
  { form: 'speed-rule', mode: 'plane', grade: 'standard', source: '' },
  1800,
)

export const isMeasuring = (id: string): id is MeasuringSum => Object.hasOwn(KEEPS, id)

const keptOf = (id: MeasuringSum, input: unknown): Kept | null =>
  (KEEPS[id] as (input: unknown) => Kept | null)(input)

/** The sum's feet on this machine: by their names, else in their order; null where there are not as many. */
const feetOn = (machine: CoupledMachine, { units, feet }: Measured): SetUpPayload['feet'] | null => {
  const pairs = machine.feet.movable
  const registered = pairs.map((p) => ({
    machine: 'movable' as const,
    pair: p.id,
    x: fromCore(toCore(p.x, 'distance', machine.units), 'distance', units),
  }))
  if (!feet) return registered
  if (feet.length !== pairs.length) return null
  const named = pairs.every((p) => feet.some((f) => f.id === p.id))
  const inOrder = [...feet].sort((a, b) => a.x - b.x)
  return registered.map((f, i) => ({
    ...f,
    x: (named ? feet.find((own) => own.id === f.pair) : inOrder[i])?.x ?? f.x,
  }))
}

/** One graduation of an ordinary dial, where the sum was not told. */
const GRADUATION: Readonly<Record<UnitSystem, number>> = { inch: 0.5, metric: 0.01 }

type KeptEntries = readonly [
  Extract<EntryBody, { kind: 'set-up' }>,
  Extract<EntryBody, { kind: 'readings-taken' }>,
]

/** The sum's own feet, where no machine says which pairs they are. */
const feetAsGiven = (input: Measured & { readonly values?: Measured['feet'] }): SetUpPayload['feet'] =>
  (input.feet ?? input.values ?? []).map((f) => ({ machine: 'movable', pair: f.id, x: f.x }))

/** A measuring sum as set-up and set, on a machine or on the feet it names itself; null where it holds no measurement. */
export const measurementEntries = (
  id: MeasuringSum,
  input: unknown,
  machine: CoupledMachine | null,
): KeptEntries | null => {
  const given = input as Measured
  const kept = keptOf(id, input)
  const feet = machine ? feetOn(machine, given) : feetAsGiven(given)
  if (!kept || !feet) return null
  const { how, read, turns } = kept
  const circles = circlesOf(how)
  const byCircle = (of: (circle: string) => number) => Object.fromEntries(circles.map((c) => [c, of(c)]))
  const back = given.returnToZero
  const returned = byCircle((c) => (typeof back === 'number' ? back : (back?.[c] ?? 0)))
  return [
    {
      kind: 'set-up',
      payload: {
        units: given.units,
        how,
        told: { sag: 'hang', circle: 'diameter' },
        feet,
        graduation: byCircle(() => given.graduation ?? GRADUATION[given.units]),
        returned,
        why: '',
      },
    },
    {
      kind: 'readings-taken',
      payload: { units: given.units, circles: read, returned: turns ? returned : null },
    },
  ]
}

/**
 * A measuring sum as the set-up and the set that its stage would have written. Null where a job can't take it so: the
 * machine has other feet, or dials were read and nobody said what they showed after the full turn.
 */
export const measurementToKeep = (
  id: MeasuringSum,
  input: unknown,
  machine: CoupledMachine,
): readonly EntryBody[] | null => (wantsReturn(id, input) ? null : measurementEntries(id, input, machine))

/** Whether nothing but the dials' return keeps a measuring sum from being kept as one. */
export const wantsReturn = (id: string, input: unknown): boolean =>
  isMeasuring(id) &&
  (input as Measured | undefined)?.returnToZero === undefined &&
  !['coupling-values', 'foot-values'].includes(id)
