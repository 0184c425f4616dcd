import { ROUTES } from '../../../shared/api/routes'
import { database } from '../../database/connection'
import { route } from '../../http/route'
import { slowDown } from '../../people/guesses'
import { keepSession, sessionIn } from '../../people/session'
import { answerSession, signIn } from '../../people/signIn'

export default route(ROUTES.signIn, async ({ event, body }) => {
  const knex = database('write')
  const session = await slowDown(event, () => signIn(knex, sessionIn(event), body))
  await keepSession(event, knex, session)
  return answerSession(knex, session)
})
