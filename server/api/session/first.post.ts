import { setResponseStatus } from 'h3'
import { ROUTES } from '../../../shared/api/routes'
import { database } from '../../database/connection'
import { route } from '../../http/route'
import { slowDown } from '../../people/guesses'
import { keepSession, sessionIn } from '../../people/session'
import { answerSession, makeFirstLead } from '../../people/signIn'

export default route(ROUTES.firstLead, async ({ event, body }) => {
  const knex = database('write')
  const session = await slowDown(event, () => makeFirstLead(knex, sessionIn(event), body))
  await keepSession(event, knex, session)
  setResponseStatus(event, 201)
  return answerSession(knex, session)
})
