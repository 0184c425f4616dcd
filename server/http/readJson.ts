import type { H3Event } from 'h3'
import { environment } from '../environment'
import { Refused } from './refusal'
import { en } from '../../shared/wording/en'

/**
 * Reads a JSON body, counting bytes as they come so that a body without a length can't fill the
 * memory. 413 over the limit, 400 when it isn't JSON or isn't UTF-8.
 */
export const readJson = async (event: H3Event): Promise<unknown> => {
  const most = environment().HC_LARGEST_BODY
  const tooLarge = () => new Refused(413, 'too-large', en.answers.tooLarge(Math.floor(most / 1000)))
  const { req } = event.node
  if (Number(req.headers['content-length'] ?? 0) > most) {
    // What is still on its way is let go by, so that the sender can read the answer.
    req.resume()
    throw tooLarge()
  }
  const chunks: Buffer[] = []
  let size = 0
  for await (const chunk of req as AsyncIterable<Buffer>) {
    size += chunk.length
    if (size <= most) chunks.push(chunk)
    else chunks.length = 0
  }
  if (size > most) throw tooLarge()
  if (size === 0) throw new Refused(400, 'no-body', en.answers.nothingSent)
  try {
    const decoded = new TextDecoder('utf-8', { fatal: true }).decode(Buffer.concat(chunks))
    return JSON.parse(decoded) as unknown
  } catch {
    throw new Refused(400, 'not-json', en.answers.notJson)
  }
}
