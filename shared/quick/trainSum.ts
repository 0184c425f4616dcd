import type { Verdict } from '../../core/judge/judge'
import type { TrainPlanKind } from '../../core/train/trainPlan'
import type { Train } from '../../core/train/train'
import type { Misalignment } from '../../core/frame/planes'
import { toCore, type UnitSystem } from '../../core/units/unitSystem'
import { trainOf, trainPlanInput } from '../calculation/trainPlan'
import { inputToCore } from '../calculation/unitConversion'
import type { PairMove } from '../stages/trainPlan/drawing'

/** The train of a planning sum’s input, millimetres; null while it is not whole. */
export const trainSheet = (raw: unknown): { readonly train: Train; readonly units: UnitSystem } | null => {
  const parsed = trainPlanInput.safeParse(raw)
  if (!parsed.success) return null
  const { units } = parsed.data
  const given = trainOf(inputToCore(trainPlanInput, parsed.data, units))
  return 'train' in given ? { train: given.train, units } : null
}

/** A plan as the sum tells it, contract units. */
interface ToldPlan {
  readonly kind: TrainPlanKind
  readonly only?: string
  readonly moves: readonly {
    readonly machine: string
    readonly id: string
    readonly v: number
    readonly h: number
  }[]
  readonly couplings: readonly {
    readonly id: string
    readonly predicted: Misalignment
    readonly verdict: Verdict | 'unknown'
  }[]
}

/** One plan of the sum, ready to be drawn. Millimetres and mm/mm. */
export interface DrawnTrainPlan {
  readonly key: string
  readonly kind: TrainPlanKind
  readonly only: string | null
  readonly moves: readonly PairMove[]
  readonly couplings: readonly { readonly id: string; readonly predicted: Misalignment }[]
}

/** The plans of a result on this train. */
export const trainPlansDrawn = (
  { train, units }: NonNullable<ReturnType<typeof trainSheet>>,
  result: unknown,
): readonly DrawnTrainPlan[] => {
  const small = (t: number | null) => (t === null ? null : toCore(t, 'displacement', units))
  const lean = (t: number | null) => (t === null ? null : toCore(t, 'slope', units))
  const placeOf = (machine: string, id: string) =>
    train.machines.find((m) => m.id === machine)?.feet.find((f) => f.id === id)?.x ?? 0
  return ((result as { readonly plans?: readonly ToldPlan[] } | null)?.plans ?? []).map((p) => ({
    key: `${p.kind}.${p.only ?? ''}`,
    kind: p.kind,
    only: p.only ?? null,
    moves: p.moves.map((m) => ({
      machine: m.machine,
      id: m.id,
      x: placeOf(m.machine, m.id),
      v: small(m.v) ?? 0,
      h: small(m.h) ?? 0,
    })),
    couplings: p.couplings.map(({ id, predicted: { offset, slope } }) => ({
      id,
      predicted: {
        offset: { v: small(offset.v), h: small(offset.h) },
        slope: { v: lean(slope.v), h: lean(slope.h) },
      },
    })),
  }))
}
