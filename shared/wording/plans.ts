import type { Judgement } from '../../core/judge/judge'
import type { BlockedFoot, MovePlan } from '../../core/plan/movePlan'
import type { UnitSystem } from '../../core/units/unitSystem'
import { shimWords } from './directions'
import { figure } from './figures'
import { BLOCK_REASONS } from './names'
import type { Meaning } from './readings'

/** `add 12.0 / add 18.0`: what happens under the inboard and the outboard feet. */
export const liftWords = (plan: Pick<MovePlan, 'moves'>, units: UnitSystem): string =>
  plan.moves.map((m) => shimWords(m.v, units).replace(' as it is', '')).join(' / ')

/** `both pairs, 6 shims handled`. */
export const handlingWords = (plan: Pick<MovePlan, 'pairsOpened' | 'shimsHandled' | 'moves'>): string => {
  const pairs =
    plan.pairsOpened === 0
      ? 'no shims'
      : plan.pairsOpened === 2
        ? 'both pairs'
        : `${plan.moves.find((m) => m.packs.left.changes + m.packs.right.changes > 0)?.id ?? 'one'} only`
  return plan.shimsHandled === 0 ? pairs : `${pairs}, ${plan.shimsHandled} shims`
}

/** A foot that can't do what is asked of it. */
export const blockedWords = (b: BlockedFoot, units: UnitSystem): string => {
  const d = (x: number) => figure(Math.abs(x), 'displacement', units, { unit: true })
  const way = b.plane === 'v' ? (b.need > 0 ? 'up' : 'down') : `toward ${b.need > 0 ? '3' : '9'}`
  const pair = b.id === 'inboard' ? 'Inboard' : 'Outboard'
  return `${pair} feet should go ${d(b.need)} ${way}, can go ${d(b.room)}: ${BLOCK_REASONS[b.reason]}.`
}

/** What the plan in hand means. */
export const meaningOfPlan = (now: Judgement | null, after: Judgement | null, moves: boolean): Meaning => {
  if (!now || !after)
    return {
      mark: 'todo',
      headline: 'There is nothing to plan from yet.',
      detail: 'Read as found until two sets agree.',
    }
  const verdict = after.verdict === 'unknown' ? 'todo' : after.verdict
  if (!moves) {
    if (now.verdict === 'in')
      return { mark: 'in', headline: 'It is in band as it stands. Nothing needs to move.', detail: '' }
    return {
      mark: verdict,
      headline: 'This plan moves nothing.',
      detail: 'Take one of the plans below, or drag a foot.',
    }
  }
  if (after.verdict === 'in') return { mark: 'in', headline: 'This move brings it in band.', detail: '' }
  if (after.verdict === 'edge')
    return {
      mark: 'edge',
      headline: 'This move brings it inside the limit, near its edge.',
      detail: 'Ordinary scatter in the move may leave it out. Look for a closer plan.',
    }
  return { mark: 'out', headline: 'This move leaves it out of band.', detail: '' }
}
