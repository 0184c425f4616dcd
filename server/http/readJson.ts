import type { H3Event } from 'h3'
import { environment } from '../environment'
import { Refused } from './refusal'
import { readBytes } from './readBytes'
import { settledJson } from './settledJson'
import { answerWords } from '../../shared/wording/viewWords'

const UTF8 = new TextDecoder('utf-8', { fatal: true })

/** Reads a JSON body: 413 over the limit, 400 when it isn't JSON or isn't UTF-8. */
export const readJson = async (event: H3Event): Promise<unknown> => {
  const most = environment().HC_LARGEST_BODY
  const body = await readBytes(event, most, answerWords.tooLarge(Math.floor(most / 1000)))
  if (body.length === 0) throw new Refused(400, 'no-body', answerWords.nothingSent)
  let parsed: unknown
  try {
    parsed = JSON.parse(UTF8.decode(body)) as unknown
  } catch {
    throw new Refused(400, 'not-json', answerWords.notJson)
  }
  return settledJson(parsed)
}
