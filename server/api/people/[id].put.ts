import { ROUTES } from '../../../shared/api/routes'
import { database } from '../../database/connection'
import { idIn } from '../../http/idIn'
import { route } from '../../http/route'
import { changePerson } from '../../people/people'

export default route(ROUTES.changePerson, ({ param, body }) =>
  changePerson(database('write'), idIn(param('id')), body),
)
