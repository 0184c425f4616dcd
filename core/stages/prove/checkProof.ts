import { feetFor, type FootPlane } from '../../coupling/feet'
import { lineDifference, PLANES, type Misalignment, type VH } from '../../frame/planes'
import type { SettledTolerance } from '../../judge/tolerance'
import type { MeasuredMachine } from '../../register/measuredMachine'
import { feelerLimits } from '../../register/hubs'
import { couplingStrain, type StrainResult } from '../../strain/couplingStrain'
import { toCore, type Millimetres } from '../../units/unitSystem'
import type { Measurement } from '../measure/measurement'
import { PROOF_POINTS, type ProofPoint } from './entries'
import { isBumping, type ProofFacts } from './proof'

/** Everything that is proved before the guard goes on, in working order. */
export const PROOF_STEPS = [
  'rotation',
  'greased',
  'heaters',
  'made-up',
  'read-coupled',
  'set-screws',
  'hold-down-bolts',
  'turns-freely',
  'guard-on',
] as const
export type ProofStep = (typeof PROOF_STEPS)[number]

export interface ProofRow {
  readonly step: ProofStep
  /** wrong: it turned the other way, the gap is out of its window, or the coupling bends the shafts. */
  readonly stands: 'todo' | 'done' | 'not-here' | 'wrong'
}

/** Coupled against uncoupled. Millimetres. */
export interface ProvedStrain extends StrainResult {
  readonly coupled: Misalignment
  readonly uncoupled: Misalignment
  /** What each reading alone would have asked of the feet. */
  readonly plans: readonly { readonly id: string; readonly coupled: VH; readonly uncoupled: VH }[]
}

export interface Proof {
  readonly facts: ProofFacts
  readonly bumping: boolean
  /** What the sets read with the coupling made up say. */
  readonly measurement: Measurement
  /** The gap between the faces once it is made up; a verdict only where the register has its window. */
  readonly gap: {
    readonly value: Millimetres
    readonly least: Millimetres | null
    readonly most: Millimetres | null
    readonly verdict: 'in' | 'out' | null
  } | null
  /** Null until both were read, and while the made-up reading is doubtful. */
  readonly strain: ProvedStrain | null
  /** Times it was opened again, with the strain that was read before; null where it was not read. */
  readonly openedAgain: readonly {
    readonly why: string
    readonly at: string
    readonly strain: ProvedStrain | null
  }[]
  readonly rows: readonly ProofRow[]
  /** What wants hands next; null when everything is proved. */
  readonly next: ProofStep | null
}

/** How well the sets of a measurement repeated: the largest difference in any plane. */
const spreadOf = (m: Measurement): { readonly offset: Millimetres; readonly slope: number } => {
  const lines = m.sets
    .filter((s) => m.used.includes(s.set.entry.id))
    .flatMap((s) => (s.set.measured ? [s.set.measured.coupling] : []))
  const apart = (of: 'offset' | 'slope') =>
    Math.max(
      0,
      ...lines.flatMap((a, i) =>
        lines.slice(i + 1).flatMap((b) => PLANES.map((p) => Math.abs(lineDifference(b, a)[of][p] ?? 0))),
      ),
    )
  return { offset: apart('offset'), slope: apart('slope') }
}

/** Coupled against uncoupled, with what each plan would have been; see docs/methods/strain.md. */
const strainBetween = (
  made: Measurement,
  open: Measurement,
  feet: readonly FootPlane[],
  tolerance: SettledTolerance,
  target: Misalignment,
): ProvedStrain | null => {
  const [coupled, uncoupled] = [made.coupling, open.coupling]
  if (!coupled || !uncoupled || made.trust === 'doubtful') return null
  const [a, b] = [spreadOf(made), spreadOf(open)]
  const repeat = { offset: Math.max(a.offset, b.offset), slope: Math.max(a.slope, b.slope) }
  const byUncoupled = feetFor(uncoupled, feet, target)
  return {
    ...couplingStrain({ coupled, uncoupled, feet, tolerance, repeat }),
    coupled,
    uncoupled,
    plans: feetFor(coupled, feet, target).map((f, i) => ({
      id: f.id,
      coupled: f.move,
      uncoupled: byUncoupled[i]?.move ?? f.move,
    })),
  }
}

const gapOf = (machine: MeasuredMachine, { madeUp }: ProofFacts): Proof['gap'] => {
  if (madeUp?.payload.gap == null) return null
  const { least, most } = feelerLimits(machine).gap
  const value = toCore(madeUp.payload.gap, 'distance', madeUp.payload.units)
  const known = least !== null || most !== null
  const inside = value >= (least ?? -Infinity) - 1e-9 && value <= (most ?? Infinity) + 1e-9
  return { value, least, most, verdict: known ? (inside ? 'in' : 'out') : null }
}

/** What a proof is checked from. */
export interface ToProve {
  readonly machine: MeasuredMachine
  readonly facts: ProofFacts
  /** Sets taken together as one measurement. */
  readonly measure: (sets: ProofFacts['sets']) => Measurement
  /** What was left, read with the coupling open; null where nobody read it. */
  readonly uncoupled: Measurement | null
  readonly feet: readonly FootPlane[]
  readonly tolerance: SettledTolerance
  readonly target: Misalignment
  /** Nothing was opened or moved: the guard alone went off. */
  readonly guardOnly: boolean
  /** An instrument measures it: then it may be read made up. */
  readonly byReading: boolean
}

/** What is left to prove, and what was found by then. */
export const checkProof = ({
  machine,
  facts,
  measure,
  uncoupled,
  feet,
  tolerance,
  target,
  guardOnly,
  byReading,
}: ToProve): Proof => {
  const gap = gapOf(machine, facts)
  const measurement = measure(facts.sets)
  const strainOf = (made: Measurement) => uncoupled && strainBetween(made, uncoupled, feet, tolerance, target)
  const strain = strainOf(measurement)
  const said = (point: ProofPoint): ProofRow['stands'] => {
    const last = facts.confirmed.find((c) => c.payload.point === point)
    return last ? last.payload.how : 'todo'
  }
  const stands = (step: ProofStep): ProofRow['stands'] => {
    switch (step) {
      case 'rotation': {
        const seen = facts.rotation?.payload.seen
        if (!seen) return 'todo'
        return seen === 'right' ? 'done' : seen === 'wrong' ? 'wrong' : 'not-here'
      }
      case 'made-up':
        return facts.madeUp ? (gap?.verdict === 'out' ? 'wrong' : 'done') : 'todo'
      case 'read-coupled':
        if (strain) return strain.strained ? 'wrong' : 'done'
        return said('read-coupled')
      default:
        return said(step)
    }
  }
  const steps = guardOnly
    ? (['guard-on'] as const)
    : PROOF_STEPS.filter((s) => s !== 'read-coupled' || byReading)
  const rows = steps.map((step): ProofRow => ({ step, stands: stands(step) }))
  return {
    facts,
    bumping: isBumping(facts),
    measurement,
    gap,
    strain,
    openedAgain: facts.opened.map(({ entry, sets }) => ({
      why: entry.payload.why,
      at: entry.madeAt,
      strain: strainOf(measure(sets)),
    })),
    rows,
    next: rows.find((r) => r.stands === 'todo' || r.stands === 'wrong')?.step ?? null,
  }
}

/** Whether a step is confirmed with one tap, rather than read, seen or made. */
export const isPoint = (step: ProofStep): step is ProofPoint =>
  (PROOF_POINTS as readonly string[]).includes(step)
