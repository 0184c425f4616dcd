import { ROUTES } from '../../../shared/api/routes'
import { database } from '../../database/connection'
import { route } from '../../http/route'
import { slowDown } from '../../people/guesses'
import { currentIn, keepSession, sessionIn } from '../../people/session'
import { answerSession, changeSecret } from '../../people/signIn'

export default route(ROUTES.changeSecret, async ({ event, body }) => {
  const knex = database('write')
  const current = currentIn(event)
  const session = await slowDown(event, () => changeSecret(knex, sessionIn(event), current, body))
  await keepSession(event, knex, session)
  return answerSession(knex, session)
})
