import { defineEventHandler } from 'h3'
import { notFound } from '../http/refusal'
import { answerFailure } from '../http/route'

/** Whatever no route answers: a sentence, not a page. */
export default defineEventHandler((event) =>
  answerFailure(
    event,
    notFound('There is nothing at this address. The addresses are listed at /api/openapi.json.'),
  ),
)
