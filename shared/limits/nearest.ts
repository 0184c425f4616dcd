import {
  LIMITED,
  nearestLimit,
  rowAt,
  setsFor,
  type Limited,
  type LimitSet,
} from '../../core/judge/limitSets'
import { STARTER_RULES, starterLimit } from '../../core/judge/starterRules'
import type { Grade } from '../../core/judge/tolerance'
import { toleranceToCore } from '../../core/judge/toleranceUnits'
import { toCore } from '../../core/units/unitSystem'
import type { CoupledFields } from '../register/coupledMachine'

export const TIERS = ['machine', 'coupling', 'works', 'starter'] as const
export type Tier = (typeof TIERS)[number]

/** What one tier says of one quantity. Core units; null where it says nothing. */
export interface TierCell {
  readonly tier: Tier
  readonly value: number | null
  /** The table it comes from. */
  readonly set: LimitSet | null
  /** The speed up to which its row holds; null for every speed, and where there is no row. */
  readonly upTo: number | null
  readonly wins: boolean
}

export interface TierRow {
  readonly quantity: Limited
  readonly cells: readonly TierCell[]
}

/** Quantities that a machine is judged by; none where it has a window of its own. */
const quantitiesOf = ({ tolerance }: Pick<CoupledFields, 'tolerance'>): readonly Limited[] => {
  switch (tolerance.form) {
    case 'window':
      return []
    case 'flex-plane':
      return ['flexSlope']
    case 'offset-slope':
      return ['offset', 'slope']
    case 'speed-rule':
      return LIMITED.filter((q) => (q === 'flexSlope') === (tolerance.spoolLength !== undefined))
  }
}

const ownOf = ({ tolerance, units }: CoupledFields, quantity: Limited): number | null => {
  const own = toleranceToCore(tolerance, units)
  if (own.form === 'offset-slope') return quantity === 'flexSlope' ? null : own[quantity]
  return own.form === 'flex-plane' && quantity === 'flexSlope' ? own.slope : null
}

/** What each tier says of each quantity of a machine at a speed, and which wins: the nearest that says anything. */
export const limitTiers = (
  machine: CoupledFields,
  sets: readonly LimitSet[],
  rpm: number,
): readonly TierRow[] => {
  const grade: Grade = machine.tolerance.form === 'speed-rule' ? machine.tolerance.grade : 'standard'
  const near = setsFor(machine.couplingKind, sets)
  return quantitiesOf(machine).map((quantity) => {
    const own = ownOf(machine, quantity)
    const found = nearestLimit(near, quantity, grade, rpm)
    const won: Tier = own !== null ? 'machine' : (found.from?.set.level ?? 'starter')
    const bySet = (tier: 'coupling' | 'works'): Omit<TierCell, 'wins'> => {
      const set = near.find((s) => s.level === tier) ?? null
      const row = set && rowAt(set, rpm)
      const value = row?.[grade][quantity] ?? null
      return {
        tier,
        set,
        upTo: row?.upTo ?? null,
        value:
          set && value !== null
            ? toCore(value, quantity === 'offset' ? 'displacement' : 'slope', set.units)
            : null,
      }
    }
    const cells: readonly Omit<TierCell, 'wins'>[] = [
      { tier: 'machine', value: own, set: null, upTo: null },
      bySet('coupling'),
      bySet('works'),
      {
        tier: 'starter',
        value: starterLimit(STARTER_RULES[grade][quantity], quantity, rpm),
        set: null,
        upTo: null,
      },
    ]
    return { quantity, cells: cells.map((c) => ({ ...c, wins: c.tier === won })) }
  })
}
