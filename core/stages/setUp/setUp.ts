import type { FootPlane } from '../../coupling/feet'
import type { LogEntry } from '../../logbook/entry'
import { remember } from '../../logbook/remember'
import { circlesOf, methodToCore, type MethodGiven } from '../../methods/methods'
import { beyondReturnLimit, returnLimit } from '../../trust/returnToZero'
import { toCore, type Millimetres, type UnitSystem } from '../../units/unitSystem'

/** A set-up in core units, with the entry it came from. */
export interface SetUp {
  readonly entry: LogEntry<'set-up'>
  readonly units: UnitSystem
  readonly how: MethodGiven
  /** Names of the circles in the order they are read at a stop. */
  readonly circles: readonly string[]
  readonly graduation: Readonly<Record<string, Millimetres>>
  /** The coarsest graduation: what the checks go by. */
  readonly coarsest: Millimetres
  /** Foot pairs of the movable machine, nearest the coupling first. */
  readonly feet: readonly FootPlane[]
  /** Foot pairs of the stationary machine whose distance was taped. */
  readonly stationaryFeet: readonly FootPlane[]
  /** Its flange by tape, where it stands on one. */
  readonly flange: {
    readonly across: { readonly v: Millimetres; readonly h: Millimetres }
    readonly plane: Millimetres
  } | null
  readonly returned: Readonly<Record<string, Millimetres>>
  readonly returnLimits: Readonly<Record<string, Millimetres>>
  /** False when a dial missed zero after the full turn by more than a graduation. */
  readonly holdsZero: boolean
}

/** A set-up entry in core units; worked out once an entry. */
export const settleSetUp = remember((entry: LogEntry<'set-up'>): SetUp => {
  const { payload: p } = entry
  const length = (x: number) => toCore(x, 'displacement', p.units)
  const far = (x: number) => toCore(x, 'distance', p.units)
  const circles = circlesOf(p.how)
  const byCircle = <T>(of: (circle: string) => T): Readonly<Record<string, T>> =>
    Object.fromEntries(circles.map((c) => [c, of(c)]))
  const graduation = byCircle((c) => length(p.graduation[c] ?? 0))
  const returned = byCircle((c) => length(p.returned[c] ?? 0))
  const limitOf = (c: string) => graduation[c] || null
  const feetOf = (machine: 'movable' | 'stationary') =>
    p.feet
      .filter((f) => f.machine === machine)
      .map((f) => ({ id: f.pair, x: far(f.x) }))
      .sort((a, b) => Math.abs(a.x) - Math.abs(b.x))
  return {
    entry,
    units: p.units,
    // The pair of method and set-up comes apart in the conversion and is put together again here.
    how: { method: p.how.method, given: methodToCore(p.how, p.units) } as MethodGiven,
    circles,
    graduation,
    coarsest: Math.max(...circles.map((c) => graduation[c] ?? 0)),
    feet: feetOf('movable'),
    stationaryFeet: feetOf('stationary'),
    flange: p.flange
      ? { across: { v: far(p.flange.across.v), h: far(p.flange.across.h) }, plane: far(p.flange.plane) }
      : null,
    returned,
    returnLimits: byCircle((c) => returnLimit(p.units, limitOf(c))),
    holdsZero: circles.every((c) => !beyondReturnLimit(returned[c] ?? 0, p.units, limitOf(c))),
  }
})

/** The set-up in force; null before the first. */
export const keepSetUp = (now: LogEntry<'set-up'> | null, e: LogEntry): LogEntry<'set-up'> | null =>
  e.kind === 'set-up' ? e : now
