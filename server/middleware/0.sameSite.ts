import { defineEventHandler } from 'h3'
import { environment } from '../environment'
import { answerFailure } from '../http/route'
import { strangerAt } from '../http/sameSite'

/** Answers only what comes to this program by its own name and, to write, from its own pages. */
export default defineEventHandler((event) => {
  const { method = 'GET', url = '/', headers } = event.node.req
  const single = (name: string) => {
    const value = headers[name]
    return Array.isArray(value) ? value[0] : value
  }
  const refusal = strangerAt(
    {
      method,
      path: url,
      host: headers.host,
      origin: single('origin'),
      fetchSite: single('sec-fetch-site'),
      contentType: headers['content-type'],
    },
    environment().HC_HOSTS,
  )
  if (!refusal) return
  // What is still on its way is let go by, so that the sender can read the answer.
  event.node.req.resume()
  return answerFailure(event, refusal)
})
