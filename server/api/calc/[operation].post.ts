import { defineEventHandler, getRouterParam, setResponseStatus } from 'h3'
import { calculate } from '../../../shared/calculation/operations'
import { inThread } from '../../heavy/pool'
import { readJson } from '../../http/readJson'
import { answerFailure } from '../../http/route'

/** Operations that search or draw: they run in a thread of their own. */
const HEAVY = new Set(['move-plan', 'train-plan', 'shim-pack', 'uncertainty'])

export default defineEventHandler(async (event) => {
  try {
    const operation = getRouterParam(event, 'operation') ?? ''
    const input = await readJson(event)
    const answer = HEAVY.has(operation)
      ? await inThread('calculate', { operation, input }, event)
      : await calculate(operation, input)
    if (answer.ok) return answer.result
    setResponseStatus(event, answer.error.code === 'unknown-operation' ? 404 : 422)
    return { error: answer.error }
  } catch (failure) {
    return answerFailure(event, failure)
  }
})
