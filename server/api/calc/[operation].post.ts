import { defineEventHandler, getRouterParam, setResponseStatus } from 'h3'
import { calculate } from '../../../shared/calculation/operations'
import { readJson } from '../../http/readJson'
import { answerFailure } from '../../http/route'

export default defineEventHandler(async (event) => {
  try {
    const answer = await calculate(getRouterParam(event, 'operation'), await readJson(event))
    if (answer.ok) return answer.result
    setResponseStatus(event, answer.error.code === 'unknown-operation' ? 404 : 422)
    return { error: answer.error }
  } catch (failure) {
    return answerFailure(event, failure)
  }
})
