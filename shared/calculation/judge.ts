import { z } from 'zod'
import { defineOperation } from './defineOperation'
import { couplingLine, lineSd, rpm, tolerance, units } from './fields'
import { judgementOut } from './results'
import { judged } from './settled'

/** Judges offset and slope against a limit and says where that limit comes from. */
export const judgeOperation = defineOperation({
  name: 'judge',
  summary: 'In band, on the edge or out: each judged quantity with its margin and the source of its limit.',
  input: z.object({
    units,
    coupling: couplingLine,
    target: couplingLine.optional(),
    tolerance,
    rpm: rpm.optional(),
    sd: lineSd.optional().describe('Standard deviations of offset and slope.'),
  }),
  result: judgementOut,
  compute: (given) => judged(given.coupling, given.tolerance, given.rpm, given.target, given.sd ?? null),
})
