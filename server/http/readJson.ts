import type { IncomingMessage } from 'node:http'
import type { H3Event } from 'h3'
import { environment } from '../environment'
import { Refused } from './refusal'
import { settledJson } from './settledJson'
import { en } from '../../shared/wording/en'

const UTF8 = new TextDecoder('utf-8', { fatal: true })

/**
 * Reads a JSON body, counting bytes as they come so that a body without a length can't fill the
 * memory. 413 over the limit, 400 when it isn't JSON or isn't UTF-8.
 */
export const readJson = async (event: H3Event): Promise<unknown> => {
  const most = environment().HC_LARGEST_BODY
  const tooLarge = () => new Refused(413, 'too-large', en.answers.tooLarge(Math.floor(most / 1000)))
  const { req } = event.node
  if (Number(req.headers['content-length'] ?? 0) > most) {
    hangUpAfterAnswer(event)
    throw tooLarge()
  }
  const body = await bytesOf(req, most)
  if (!body) {
    hangUpAfterAnswer(event)
    throw tooLarge()
  }
  if (body.length === 0) throw new Refused(400, 'no-body', en.answers.nothingSent)
  let parsed: unknown
  try {
    parsed = JSON.parse(UTF8.decode(body)) as unknown
  } catch {
    throw new Refused(400, 'not-json', en.answers.notJson)
  }
  return settledJson(parsed)
}

/** The whole body, or null as soon as it is larger than `most`. */
const bytesOf = (req: IncomingMessage, most: number): Promise<Buffer | null> =>
  new Promise((resolve, reject) => {
    const chunks: Buffer[] = []
    let size = 0
    const done = (body: Buffer | null) => {
      req.off('data', take).off('end', end).off('error', reject).off('aborted', gone)
      resolve(body)
    }
    const take = (chunk: Buffer) => {
      size += chunk.length
      if (size > most) {
        req.pause()
        done(null)
      } else chunks.push(chunk)
    }
    const end = () => done(Buffer.concat(chunks))
    const gone = () => done(Buffer.alloc(0))
    req.on('data', take).on('end', end).on('error', reject).on('aborted', gone)
  })

/** Milliseconds in which a sender that never ends can still read why it is cut off. */
const LAST_WORDS = 1000

/**
 * A body without end would hold its connection for good: it is cut once the answer is out. Not at
 * once, though: closing a socket with unread bytes resets it, and a reset throws away an answer its
 * sender hasn't read yet. So our side says it has finished, and swallows what still comes for a while.
 */
const hangUpAfterAnswer = (event: H3Event): void => {
  const { req, res } = event.node
  const { socket } = req
  res.setHeader('connection', 'close')
  socket.destroySoon = () => {
    socket.end()
    req.resume()
    setTimeout(() => socket.destroy(), LAST_WORDS).unref()
  }
}
