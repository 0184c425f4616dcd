import { z } from 'zod'
import { done } from '../../core/outcome'
import { backlash } from '../../core/trust/backlash'
import { repeatLimit } from '../../core/trust/repeat'
import { defineOperation } from './defineOperation'
import { positive, units } from './fields'
import { feetOut, lineOut, maybe, out } from './results'
import { measuredSet, methodField, methodInput, refineTwoSets } from './twoSets'

const input = z
  .object({
    units,
    operation: methodField,
    clockwise: methodInput.describe('Readings with the stops turned to clockwise.'),
    counterclockwise: methodInput.describe('The same stops turned to the other way.'),
    limit: positive('repeat-limit', 'displacement')
      .optional()
      .describe('1 mil or 0.02 mm, or two graduations where that is more, when missing.'),
  })
  .superRefine(refineTwoSets('clockwise', 'counterclockwise'))

const position = z.object({ clock: out(), difference: out('displacement'), over: z.boolean() })

/** The same stops turned to both ways: which dial differs where, and what it does to the feet. */
export const backlashOperation = defineOperation({
  name: 'backlash',
  summary:
    'The same positions turned to both ways: which dial differs where, how far it trails, what it does to the feet.',
  input,
  result: z.object({
    over: z.boolean().describe('Some position differs by more than the limit.'),
    limit: out('displacement'),
    dial: z.string().nullable().describe('The dial that differs most.'),
    dials: z.array(
      z.object({
        name: z.string(),
        positions: z.array(position).describe('Counterclockwise less clockwise, each less its constant.'),
        worst: position.nullable(),
        lag: maybe().describe(
          'Degrees by which it trails, counterclockwise against clockwise; null where it travels too little to tell.',
        ),
        over: z.boolean(),
      }),
    ),
    change: lineOut.describe('What the line reads counterclockwise less clockwise.'),
    feet: feetOut.describe('What that change does to the moves.'),
    middle: lineOut.describe('Half-way between: right when the play works alike both ways.'),
  }),
  compute: (given) => {
    const first = measuredSet(given.operation, given.clockwise, 'clockwise')
    if (!first.ok) return first
    const second = measuredSet(given.operation, given.counterclockwise, 'counterclockwise')
    if (!second.ok) return second
    const limit = given.limit ?? repeatLimit(given.units, second.value.given.graduation ?? null)
    const { feet } = second.value.given
    return done({ ...backlash(first.value, second.value, { limit, feet }), limit })
  },
})
