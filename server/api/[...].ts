import { defineEventHandler, setResponseHeader } from 'h3'
import { en } from '../../shared/wording/en'
import { methodsAt } from '../http/contractRoutes'
import { notFound, Refused } from '../http/refusal'
import { answerFailure } from '../http/route'

/** Whatever no route answers: a sentence, not a page. */
export default defineEventHandler((event) => {
  const methods = methodsAt(event.path)
  if (methods.length === 0) return answerFailure(event, notFound(en.answers.nothingHere))
  setResponseHeader(event, 'allow', methods.join(', '))
  return answerFailure(event, new Refused(405, 'method-not-allowed', en.answers.noSuchMethod))
})
