import { defineEventHandler, setResponseHeader } from 'h3'
import { answerWords } from '../../shared/wording/viewWords'
import { methodsAt } from '../http/contractRoutes'
import { notFound, Refused } from '../http/refusal'
import { answerFailure } from '../http/route'

/** Whatever no route answers: a sentence, not a page. */
export default defineEventHandler((event) => {
  const methods = methodsAt(event.path)
  if (methods.length === 0) return answerFailure(event, notFound(answerWords.nothingHere))
  setResponseHeader(event, 'allow', methods.join(', '))
  return answerFailure(event, new Refused(405, 'method-not-allowed', answerWords.noSuchMethod))
})
