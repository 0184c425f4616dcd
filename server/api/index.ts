import { defineEventHandler } from 'h3'
import { notFound } from '../http/refusal'
import { answerFailure } from '../http/route'
import { en } from '../../shared/wording/en'

/** Whatever no route answers: a sentence, not a page. */
export default defineEventHandler((event) => answerFailure(event, notFound(en.answers.nothingHere)))
