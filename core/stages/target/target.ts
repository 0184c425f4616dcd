import { ALIGNED, eachPlane, type Misalignment } from '../../frame/planes'
import { growthTarget, type GrowthResult, type MachineGrowth } from '../../growth/growth'
import { EXPANSION } from '../../growth/materials'
import { planeShare } from '../../judge/judge'
import type { SettledTolerance } from '../../judge/tolerance'
import type { LogEntry } from '../../logbook/entry'
import { remember } from '../../logbook/remember'
import type { CoupledMachine } from '../../register/coupledMachine'
import { toCore } from '../../units/unitSystem'
import type { TargetPayload } from './entries'

/** An entry that says where the machine is to stand cold: set, or answered behind a hot check. */
export type TargetEntry = LogEntry<'target-set' | 'hot-answered'>

/** The last word of the logbook on the cold target; null where it says nothing. */
export const keepTarget = (now: TargetEntry | null, e: LogEntry): TargetEntry | null =>
  e.kind === 'target-set' || e.kind === 'hot-answered' ? e : now

/** Where the movable axis is to lie cold. Millimetres and mm/mm. */
export interface ColdTarget {
  readonly line: Misalignment
  /** Said in this job, known from the register, or nobody said any. */
  readonly from: 'none' | 'register' | 'job'
  readonly payload: TargetPayload | null
  /** How each foot pair rises, where it was worked out from that. */
  readonly growth: GrowthResult | null
}

const NO_TARGET: ColdTarget = { line: ALIGNED, from: 'none', payload: null, growth: null }

/** The growth of both machines as it is calculated with. */
export const machinesOf = (
  given: Extract<TargetPayload['given'], { way: 'growth' }>,
  units: TargetPayload['units'],
): readonly MachineGrowth[] => {
  const small = (t: number) => toCore(t, 'displacement', units)
  const tape = (t: number) => toCore(t, 'distance', units)
  const heat = (t: number) => toCore(t, 'temperature', units)
  return given.machines.map(({ machine, feet }) => ({
    role: machine,
    feet: feet.map((f) => {
      const at = { id: f.pair, x: tape(f.x) }
      return f.heat
        ? {
            ...at,
            alpha: f.heat.alpha ?? EXPANSION[f.heat.material ?? 'steel'],
            height: tape(f.heat.height),
            rise: heat(f.heat.running) - heat(f.heat.cold),
            sideRise: small(f.side),
          }
        : { ...at, typed: { v: small(f.rise ?? 0), h: small(f.side) } }
    }),
  }))
}

const settle = (payload: TargetPayload, from: 'register' | 'job'): ColdTarget => {
  const { given, units } = payload
  switch (given.way) {
    case 'none':
      return { line: ALIGNED, from, payload, growth: null }
    case 'growth': {
      const growth = growthTarget(machinesOf(given, units))
      return { line: growth.target, from, payload, growth }
    }
    case 'line': {
      const { offset, slope } = given.line
      const small = (x: number) => toCore(x, 'displacement', units)
      const lean = (x: number) => toCore(x, 'slope', units)
      return {
        line: {
          offset: { v: small(offset.v), h: small(offset.h) },
          slope: { v: lean(slope.v), h: lean(slope.h) },
        },
        from,
        payload,
        growth: null,
      }
    }
  }
}

const targetOfEntry = remember((entry: TargetEntry) =>
  settle(entry.kind === 'target-set' ? entry.payload : entry.payload.target, 'job'),
)
const targetOfRegister = remember((target: TargetPayload) => settle(target, 'register'))

/** What a payload comes to before anybody logs it. */
export const tryTarget = (payload: TargetPayload): ColdTarget => settle(payload, 'job')

/** The target in force: what this job says, else what the register knows. The same object for the same facts. */
export const coldTarget = (machine: CoupledMachine, said: TargetEntry | null): ColdTarget =>
  said ? targetOfEntry(said) : machine.target ? targetOfRegister(machine.target) : NO_TARGET

/** A micrometre on the shaft is a thousandth of what anybody types. */
const SAME = { small: 1e-6, lean: 1e-9 } as const

/** Whether two targets say the same: given the same way, from the same source, with the same rises and line. */
export const sameTarget = (a: ColdTarget, b: ColdTarget): boolean => {
  if (a.payload?.given.way !== b.payload?.given.way || a.payload?.source !== b.payload?.source) return false
  const near = (x: number | null | undefined, y: number | null | undefined, within: number) =>
    Math.abs((x ?? 0) - (y ?? 0)) <= within
  const rises = ({ growth }: ColdTarget) =>
    (growth?.machines ?? []).flatMap((m) => m.feet.map((f) => ({ key: `${m.role}.${f.id}`, rise: f.rise })))
  const [ra, rb] = [rises(a), rises(b)]
  return (
    (['v', 'h'] as const).every(
      (p) =>
        near(a.line.offset[p], b.line.offset[p], SAME.small) &&
        near(a.line.slope[p], b.line.slope[p], SAME.lean),
    ) &&
    ra.length === rb.length &&
    ra.every(({ key, rise }) => {
      const other = rb.find((r) => r.key === key)?.rise
      return other !== undefined && near(rise.v, other.v, SAME.small) && near(rise.h, other.h, SAME.small)
    })
  )
}

/** Least share of a limit that is worth setting a machine off for. */
const WORTH_IT = 0.05

/** A line with what is under that share of its limit at nothing: for sentences, which leave the noise of a reading out. */
export const worthTelling = (line: Misalignment, tolerance: SettledTolerance): Misalignment => {
  if (tolerance.form !== 'offset-slope') return line
  const least = (limit: number) => (x: number | null) =>
    x === null || Math.abs(x) >= WORTH_IT * limit ? x : 0
  const [offset, slope] = [least(tolerance.offset), least(tolerance.slope)]
  return {
    offset: eachPlane((p) => offset(line.offset[p])),
    slope: eachPlane((p) => slope(line.slope[p])),
  }
}

/** Whether it amounts to nothing: both machines rise alike, within a twentieth of every limit. */
export const amountsToNothing = ({ line }: ColdTarget, tolerance: SettledTolerance): boolean =>
  tolerance.form === 'window'
    ? [line.offset, line.slope].every((vh) => Math.abs(vh.v ?? 0) < 1e-9 && Math.abs(vh.h ?? 0) < 1e-9)
    : (['v', 'h'] as const).every((plane) => planeShare(line, tolerance, ALIGNED, plane) <= WORTH_IT)
