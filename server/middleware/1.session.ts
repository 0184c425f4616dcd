import { defineEventHandler, getHeader } from 'h3'
import { timingSafeEqual } from 'node:crypto'
import { ACCESS } from '../../shared/api/access'
import { database } from '../database/connection'
import { environment } from '../environment'
import { routeNameAt } from '../http/contractRoutes'
import { hangUpAfterAnswer } from '../http/readBytes'
import { answerFailure } from '../http/route'
import { peopleById } from '../jobs/people'
import { admit } from '../people/admit'
import { sessionOf } from '../people/session'

/** Whoever collects metrics shows a token, where the settings have one. */
const isCollector = (authorization: string | undefined): boolean => {
  const token = environment().HC_METRICS_TOKEN
  const shown = Buffer.from(authorization ?? '')
  const wanted = Buffer.from(`Bearer ${token}`)
  return token !== '' && shown.length === wanted.length && timingSafeEqual(shown, wanted)
}

/** Who a request comes from, and whether they may: asked before anything of it is read. */
export default defineEventHandler(async (event) => {
  const { method = 'GET' } = event.node.req
  if (!event.path.startsWith('/api/')) return
  const name = routeNameAt(method === 'HEAD' ? 'GET' : method, event.path)
  if (name === null) return
  if (name === 'metrics' && isCollector(getHeader(event, 'authorization'))) return
  const { asks, asksWho } = ACCESS[name]
  if (asks === null && !asksWho) return
  try {
    const session = await sessionOf(event, database('read'))
    event.context.session = session
    event.context.route = name
    if (asks === null) return
    const people = await peopleById(database('read'))
    event.context.second = await admit(event, () => database('write'), name, session, people)
  } catch (failure) {
    // Nobody who is not let in holds a connection with a body that never ends.
    if (method !== 'GET' && method !== 'HEAD') hangUpAfterAnswer(event)
    return answerFailure(event, failure)
  }
})
