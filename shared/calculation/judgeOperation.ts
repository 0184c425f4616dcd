import { z } from 'zod'
import { ALIGNED } from '../../core/frame/planes'
import { judge } from '../../core/judge/judge'
import { settleTolerance } from '../../core/judge/tolerance'
import { toleranceToCore } from '../../core/judge/toleranceUnits'
import { done, refused } from '../../core/outcome'
import { fromCore } from '../../core/units/unitSystem'
import { toleranceSource } from '../wording/tolerances'
import { lineToCore } from './conversion'
import { defineOperation } from './defineOperation'
import { couplingLine, rpm, tolerance, units } from './fields'

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
    sd: couplingLine.optional().describe('Standard deviations of offset and slope.'),
  }),
  compute: (given) => {
    const u = given.units
    if (given.tolerance.form === 'speed-rule' && given.rpm === undefined)
      return refused('speed-needed', ['rpm'])
    const settled = settleTolerance(toleranceToCore(given.tolerance, u), given.rpm ?? 1)
    const judged = judge(
      lineToCore(given.coupling, u),
      settled,
      given.target ? lineToCore(given.target, u) : ALIGNED,
      given.sd ? lineToCore(given.sd, u) : null,
    )
    const back = (x: number | null, kind: 'displacement' | 'slope') =>
      x === null ? null : fromCore(x, kind, u)
    return done({
      verdict: judged.verdict,
      worst: judged.worst,
      quantities: judged.quantities.map((q) => ({
        name: q.name,
        value: back(q.value, q.kind),
        low: back(q.low, q.kind),
        high: back(q.high, q.kind),
        margin: q.margin,
        verdict: q.verdict,
      })),
      source: toleranceSource(given.tolerance, given.rpm ?? null),
    })
  },
})
