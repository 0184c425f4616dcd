import { ROUTES } from '../../../shared/api/routes'
import { database } from '../../database/connection'
import { route } from '../../http/route'
import { keepSession, sessionIn } from '../../people/session'
import { answerSession, signOut } from '../../people/signIn'

export default route(ROUTES.signOut, async ({ event, body }) => {
  const knex = database('write')
  const session = await signOut(knex, sessionIn(event), body.everywhere)
  await keepSession(event, knex, session)
  return answerSession(knex, session)
})
