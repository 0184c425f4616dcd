import { defineEventHandler } from 'h3'
import { environment } from '../environment'
import { answerFailure } from '../http/route'
import { hangUpAfterAnswer } from '../http/readBytes'
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
  if (method !== 'GET' && method !== 'HEAD') hangUpAfterAnswer(event)
  return answerFailure(event, refusal)
})
