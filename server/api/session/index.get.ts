import { ROUTES } from '../../../shared/api/routes'
import { database } from '../../database/connection'
import { route } from '../../http/route'
import { sessionIn } from '../../people/session'
import { answerSession } from '../../people/signIn'

export default route(ROUTES.session, ({ event }) => answerSession(database('read'), sessionIn(event)))
