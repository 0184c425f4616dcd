import { ROUTES } from '../../../shared/api/routes'
import { database } from '../../database/connection'
import { route } from '../../http/route'
import { keepSession, sessionIn } from '../../people/session'
import { answerSession } from '../../people/signIn'

export default route(ROUTES.lock, async ({ event }) => {
  const session = { current: null, known: sessionIn(event).known }
  await keepSession(event, database('read'), session)
  return answerSession(database('read'), session)
})
