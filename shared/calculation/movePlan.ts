import { issue } from '../issue'
import { z } from 'zod'
import { ALIGNED } from '../../core/frame/planes'
import { done, refused } from '../../core/outcome'
import {
  planMoves,
  type MovePlan,
  type PlanFoot,
  type PlanInput,
  type PlanResult,
} from '../../core/plan/movePlan'
import type { MachineRole } from '../../core/plan/pairNames'
import { defineOperation } from './defineOperation'
import {
  couplingLine,
  knownLine,
  notNegative,
  oneOf,
  refuseTwins,
  rpm,
  tolerance,
  units,
  whole,
} from './fields'
import { lineOut, out, verdictOut } from './results'
import type { SettledTolerance } from '../../core/judge/tolerance'
import { settled } from './settled'
import { planFoot } from './planFoot'
import { stock } from './stock'

const machine = z.object({
  feet: z
    .array(planFoot, { error: issue('give-the-feet-as-a-list') })
    .min(2, { error: issue('give-at-least-two-foot-pairs') })
    .max(6, { error: issue('give-at-most-six-foot-pairs') })
    .superRefine((list, context) => refuseTwins(list, context, 'foot-pairs')),
})

const WHICH = ['movable', 'stationary', 'both'] as const
type Which = (typeof WHICH)[number]

export const movePlanInput = z
  .object({
    units,
    coupling: knownLine,
    target: couplingLine.optional(),
    tolerance,
    rpm: rpm.optional(),
    machines: z.object({ movable: machine.optional(), stationary: machine.optional() }),
    stock,
    packLimit: whole('most-shims-a-pack-may-hold', 1, 6),
    movable: oneOf('which-machine-moves', WHICH),
    sideStep: notNegative('side-step', 'displacement')
      .optional()
      .describe('Rounds side moves; exact when missing.'),
  })
  .superRefine((value, context) => {
    for (const role of ['movable', 'stationary'] as const)
      if ((value.movable === role || value.movable === 'both') && !value.machines[role])
        context.addIssue({
          code: 'custom',
          path: ['machines', role],
          message: issue('feet-of-the-moving-machine', role),
        })
  })

const moveOut = z.object({
  machine: z.enum(['movable', 'stationary']),
  id: z.string(),
  v: out('displacement'),
  h: out('displacement'),
  takeOut: z.array(out('displacement')).describe('Under each foot of the pair.'),
  putIn: z.array(out('displacement')),
  pack: z.array(out('displacement')).describe('The pack after it, bottom up.'),
  right: z
    .object({
      takeOut: z.array(out('displacement')),
      putIn: z.array(out('displacement')),
      pack: z.array(out('displacement')),
    })
    .optional()
    .describe('Under the right foot, when a short shelf makes its pack another one than the left.'),
})
const score = z.object({ v: out(), h: out() })
const planOut = z.object({
  kind: z.enum(['closest', 'fewest-feet', 'fewest-shims', 'least-lift']),
  moves: z.array(moveOut),
  predicted: lineOut,
  verdict: verdictOut,
  score,
  feetOpened: out(),
  shimsHandled: out(),
  lift: out('displacement'),
})

const planOf = (plan: MovePlan) => ({
  kind: plan.kind,
  moves: plan.moves.map((m) => ({
    machine: m.machine,
    id: m.id,
    v: m.v,
    h: m.h,
    takeOut: m.packs.left.takeOut,
    putIn: m.packs.left.putIn,
    pack: m.packs.left.shims,
    ...(m.packs.right.shims.join() === m.packs.left.shims.join()
      ? {}
      : {
          right: {
            takeOut: m.packs.right.takeOut,
            putIn: m.packs.right.putIn,
            pack: m.packs.right.shims,
          },
        }),
  })),
  predicted: plan.predicted,
  verdict: plan.judgement.verdict,
  score: plan.score,
  feetOpened: 2 * plan.pairsOpened,
  shimsHandled: plan.shimsHandled,
  lift: plan.lift,
})

type MovePlanGiven = z.infer<typeof movePlanInput>

/** The planner's input for either machine or both, from the contract's input in core units. */
export const planInputOf = (
  given: MovePlanGiven,
  tolerance: SettledTolerance,
  which: Which = given.movable,
): PlanInput => {
  const feetOf = (role: MachineRole): readonly PlanFoot[] =>
    (given.machines[role]?.feet ?? []).map((f) => ({
      ...f,
      machine: role,
      existing: { left: f.existing, right: f.existing },
    }))
  return {
    coupling: given.coupling,
    target: given.target ?? ALIGNED,
    tolerance,
    feet: which === 'both' ? [...feetOf('movable'), ...feetOf('stationary')] : feetOf(which),
    stock: given.stock,
    packLimit: given.packLimit,
    sideStep: given.sideStep ?? 0,
  }
}

/** Whole-shim plans for either machine or both, with what stands in the way and what else would work. */
export const movePlanOperation = defineOperation({
  name: 'move-plan',
  summary:
    'Whole-shim and side-move plans for either machine or both, up to four kinds, with the feet that block.',
  input: movePlanInput,
  result: z.object({
    feasible: z.boolean(),
    score,
    plans: z.array(planOut),
    searched: z
      .string()
      .describe('all, or within N: settings looked at, or micrometres, of more than could be looked at.'),
    blocked: z.array(
      z.object({
        machine: z.enum(['movable', 'stationary']),
        id: z.string(),
        plane: z.enum(['v', 'h']),
        need: out('displacement'),
        room: out('displacement'),
        reason: z.enum(['no-shim', 'pack-height', 'bolt-bound', 'locked']),
      }),
    ),
    alternatives: z
      .array(
        z.object({
          movable: z.enum(WHICH),
          feasible: z.boolean(),
          score,
          predicted: lineOut,
          plan: planOut,
        }),
      )
      .describe('When the wanted plan is not feasible: what the other choices would reach.'),
  }),
  compute: (given) => {
    const limits = settled(given.tolerance, given.rpm)
    if (!limits.ok) return limits
    const target = given.target ?? ALIGNED
    const unknown = [target.offset, target.slope].some((vh) => vh.v === null || vh.h === null)
    if (unknown) return refused('nothing-measured', ['target'])
    const planFor = (which: Which): PlanResult => planMoves(planInputOf(given, limits.value, which))
    const result = planFor(given.movable)
    const others = WHICH.filter(
      (which) =>
        which !== given.movable &&
        (which === 'both'
          ? given.machines.movable && given.machines.stationary
          : given.machines[which] !== undefined && given.movable !== 'both'),
    )
    const alternatives = result.feasible
      ? []
      : others.flatMap((which) => {
          const other = planFor(which)
          const [plan] = other.plans
          return plan
            ? [
                {
                  movable: which,
                  feasible: other.feasible,
                  score: other.score,
                  predicted: plan.predicted,
                  plan: planOf(plan),
                },
              ]
            : []
        })
    return done({
      feasible: result.feasible,
      score: result.score,
      plans: result.plans.map(planOf),
      searched: result.searched,
      blocked: result.blocked,
      alternatives,
    })
  },
})
