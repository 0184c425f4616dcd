import { ROUTES } from '../../../shared/api/routes'
import { database } from '../../database/connection'
import { route } from '../../http/route'
import { changeMachine } from '../../machines/register'

export default route(ROUTES.changeMachine, ({ param, body }) =>
  changeMachine(database('write'), param('tag'), body),
)
