import { z } from 'zod'
import { targetFromHotCheck } from '../../core/coupling/hotCheck'
import { done } from '../../core/outcome'
import { defineOperation } from './defineOperation'
import { couplingLine, units } from './fields'
import { lineOut } from './results'

/** The cold target that a hot check asks for. */
export const hotCheckOperation = defineOperation({
  name: 'hot-check',
  summary: 'The new cold target from a cold and a hot measurement: cold less hot.',
  input: z.object({ units, cold: couplingLine, hot: couplingLine }),
  result: z.object({ target: lineOut }),
  compute: ({ cold, hot }) => done({ target: targetFromHotCheck(cold, hot) }),
})
