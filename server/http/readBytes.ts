import type { IncomingMessage } from 'node:http'
import type { H3Event } from 'h3'
import { Refused } from './refusal'

/**
 * Reads a body, counting bytes as they come so that a body without a length can't fill the memory. 413
 * with this sentence over the limit.
 */
export const readBytes = async (event: H3Event, most: number, tooLarge: string): Promise<Buffer> => {
  const { req } = event.node
  const declared = Number(req.headers['content-length'] ?? 0)
  const body = declared > most ? null : await bytesOf(req, most)
  if (body) return body
  hangUpAfterAnswer(event)
  throw new Refused(413, 'too-large', tooLarge)
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
export const hangUpAfterAnswer = (event: H3Event): void => {
  const { req, res } = event.node
  const { socket } = req
  res.setHeader('connection', 'close')
  socket.destroySoon = () => {
    socket.end()
    req.resume()
    setTimeout(() => socket.destroy(), LAST_WORDS).unref()
  }
}
