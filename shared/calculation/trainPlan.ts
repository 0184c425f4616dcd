import { issue } from '../issue'
import { z } from 'zod'
import { ALIGNED } from '../../core/frame/planes'
import { done, refused } from '../../core/outcome'
import type { PlanFoot } from '../../core/plan/planFoot'
import type { Train, TrainCoupling } from '../../core/train/train'
import { planOneMachine, planTrain } from '../../core/train/trainPlan'
import { highsWithin } from '../solver/highs'
import { defineOperation } from './defineOperation'
import { figure, idText, knownLine, oneOf, refuseTwins, rpm, tolerance, units, whole } from './fields'
import { lineOut, out, verdictOut } from './results'
import { settled } from './settled'
import { planFoot } from './planFoot'
import { stock } from './stock'

/** What the plan of a train takes. */
export const trainPlanInput = z
  .object({
    units,
    machines: z
      .array(
        z.object({
          id: idText,
          feet: z
            .array(planFoot)
            .length(2, { error: issue('give-two-foot-pairs-for-each') })
            .superRefine((list, context) => refuseTwins(list, context, 'foot-pairs')),
        }),
        { error: issue('give-the-machines-as-a-list') },
      )
      .min(2, { error: issue('a-train-has-two-machines-or') })
      .max(8, { error: issue('give-at-most-eight-machines') })
      .superRefine((list, context) => refuseTwins(list, context, 'machines')),
    couplings: z
      .array(
        z.object({
          id: idText,
          x: figure('coupling-centre-along-the-train', 'distance'),
          left: idText,
          right: idText,
          stationary: oneOf('which-machine-the-readings-call-stationary', ['left', 'right']),
          coupling: knownLine,
          target: knownLine.optional(),
          tolerance,
          rpm: rpm.optional(),
        }),
        { error: issue('give-the-couplings-as-a-list') },
      )
      .min(1, { error: issue('give-one-coupling-or-more') })
      .max(7, { error: issue('give-at-most-seven-couplings') }),
    stock,
    packLimit: whole('most-shims-a-pack-may-hold', 1, 6),
    alone: z
      .boolean()
      .optional()
      .describe('Adds what each machine by itself could do, the others left where they stand.'),
  })
  .superRefine((value, context) => {
    value.couplings.forEach((c, i) => {
      for (const side of ['left', 'right'] as const)
        if (!value.machines.some((m) => m.id === c[side]))
          context.addIssue({
            code: 'custom',
            path: ['couplings', i, side],
            message: issue('no-machine-called', c[side]),
          })
      if (c.left === c.right)
        context.addIssue({
          code: 'custom',
          path: ['couplings', i, 'right'],
          message: issue('a-coupling-joins-two-different-machines'),
        })
    })
  })

/** The train of an input in core units; which coupling lacks the speed its limits hang on, where one does. */
export const trainOf = (
  given: z.output<typeof trainPlanInput>,
): { readonly train: Train } | { readonly speedNeeded: number } => {
  const couplings: TrainCoupling[] = []
  for (const [i, c] of given.couplings.entries()) {
    const limits = settled(c.tolerance, c.rpm)
    if (!limits.ok) return { speedNeeded: i }
    couplings.push({ ...c, target: c.target ?? ALIGNED, tolerance: limits.value })
  }
  const machines = given.machines.map((m) => ({
    id: m.id,
    feet: m.feet.map((f): PlanFoot => ({ ...f, existing: { left: f.existing, right: f.existing } })),
  }))
  return { train: { machines, couplings } }
}

/** Moves of a train of three or more machines that bring every coupling in band. */
export const trainPlanOperation = defineOperation({
  name: 'train-plan',
  summary:
    'Moves of machines in a train that bring every coupling in band: closest, and with the least work.',
  input: trainPlanInput,
  result: z.object({
    feasible: z.boolean(),
    searched: z
      .string()
      .describe('`all`, or `within N s`: the whole-shim programs gave the best they had found by then.'),
    plans: z.array(
      z.object({
        kind: z.enum(['closest', 'least-work', 'one-machine']),
        only: z.string().optional().describe('The machine that a plan for one machine moves.'),
        feasible: z.boolean(),
        shimsHandled: out(),
        moves: z.array(
          z.object({
            machine: z.string(),
            id: z.string(),
            v: out('displacement'),
            h: out('displacement').describe('Toward 3 as seen looking toward lower x.'),
            takeOut: z.array(out('displacement')),
            putIn: z.array(out('displacement')),
          }),
        ),
        couplings: z.array(
          z.object({
            id: z.string(),
            predicted: lineOut,
            verdict: verdictOut,
            score: z.object({ v: out(), h: out() }),
          }),
        ),
      }),
    ),
  }),
  compute: async (given) => {
    const settledTrain = trainOf(given)
    if ('speedNeeded' in settledTrain)
      return refused('speed-needed', ['couplings', settledTrain.speedNeeded, 'rpm'])
    const { train } = settledTrain
    const solver = highsWithin()
    const plans = [...(await planTrain(train, given.stock, given.packLimit, solver.solve))]
    const free = train.machines.filter((m) => m.feet.some((f) => !f.locked))
    if (given.alone && free.length > 1)
      for (const { id } of free) {
        const plan = await planOneMachine(train, id, given.stock, given.packLimit, solver.solve)
        if (plan) plans.push(plan)
      }
    if (plans.length === 0) return refused('no-solution', ['machines'])
    return done({
      feasible: plans.some((p) => p.feasible),
      searched: solver.searched(),
      plans: plans.map((p) => ({
        kind: p.kind,
        ...(p.only === null ? {} : { only: p.only }),
        feasible: p.feasible,
        shimsHandled: p.shimsHandled,
        moves: p.moves.map((m) => ({
          machine: m.machine,
          id: m.id,
          v: m.v,
          h: m.h,
          takeOut: m.packs.left.takeOut,
          putIn: m.packs.left.putIn,
        })),
        couplings: p.couplings.map((c) => ({
          id: c.id,
          predicted: c.predicted,
          verdict: c.judgement.verdict,
          score: c.score,
        })),
      })),
    })
  },
})
