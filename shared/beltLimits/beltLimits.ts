import { z } from 'zod'
import type { BeltLimits } from '../../core/belt/beltLimits'
import { BELT_KINDS } from '../../core/belt/sheaveLine'
import { figure, oneOf, positive, units } from '../calculation/fields'
import { issue, type Thing } from '../issue'
import { uuid, words } from '../text'

const upTo = (what: Thing, most: number) => positive(what).max(most, { error: issue('at-most', what, most) })
/** Factors of one age, the least first. */
const factors = z
  .tuple([upTo('belt-factors', 10), upTo('belt-factors', 10)], { error: issue('give-both-factors') })
  .refine(([least, most]) => least < most, { path: [1], error: issue('range-upside-down') })
  .nullable()

const fields = z.object({
  kind: oneOf('kind-of-belt', BELT_KINDS).nullable(),
  source: words('source-of-the-limits', 200),
  units,
  offset: z
    .object({ by: oneOf('offset-at-groove-or-span', ['groove', 'span']), value: positive('offset-limit') })
    .nullable(),
  angle: upTo('angle-limit', 45).nullable(),
  tilt: upTo('angle-limit', 45).nullable(),
  spread: upTo('spread-limit', 100).nullable(),
  serviceFactor: upTo('service-factor', 10).nullable(),
  ratioAt180: figure('strand-ratio-at-half-a-turn')
    .gt(1, { error: issue('the-strand-ratio-must-be-above') })
    .max(50, { error: issue('at-most', 'strand-ratio-at-half-a-turn', 50) })
    .nullable(),
  factors: z.object({ 'run-in': factors, new: factors }),
  gauge: z
    .object({
      of: oneOf('gauge-of-span-or-centre', ['span', 'centre']),
      over: positive('span-over').max(200, { error: issue('at-most', 'span-over', 200) }),
    })
    .nullable(),
  fitting: upTo('fitting-room', 20).nullable(),
  takeUp: upTo('take-up-room', 20).nullable(),
  /** Jobs opened from now on are judged by it; another of its kind of belt no longer. */
  inForce: z.boolean({ error: issue('in-force-or-not') }),
})

/** What a person writes of what belt drives are judged by; a null says nothing of it. */
export const beltLimitFields = fields.superRefine((l, context) => {
  const { offset, angle, tilt, spread, serviceFactor, ratioAt180, gauge, fitting, takeUp } = l
  const said = [offset, angle, tilt, spread, serviceFactor, ratioAt180, gauge, fitting, takeUp]
  if ([...said, l.factors.new, l.factors['run-in']].every((x) => x === null))
    context.addIssue({ code: 'custom', path: ['offset'], message: issue('no-limit-in-the-set') })
})
export type BeltLimitFields = Omit<BeltLimits, 'id'> & { readonly inForce: boolean }

export const newBeltLimits = z.intersection(z.object({ id: uuid('limits-id') }), beltLimitFields)
export const beltLimitsChange = z.intersection(
  z.object({ version: z.int({ error: issue('give-the-version-you-changed') }).min(1) }),
  beltLimitFields,
)

/** A table as the program keeps it. */
export type BeltLimitsRecord = BeltLimitFields & { readonly id: string; readonly version: number }

/** A table as a job keeps it from its opening on. */
export const keptBeltLimits = fields.omit({ inForce: true }).extend({ id: z.string() })

/** What of a table a job keeps. */
export const asKept = ({ inForce: _, version: __, ...limits }: BeltLimitsRecord): BeltLimits => limits
