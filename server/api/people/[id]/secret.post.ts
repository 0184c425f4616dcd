import { ROUTES } from '../../../../shared/api/routes'
import { database } from '../../../database/connection'
import { idIn } from '../../../http/idIn'
import { route } from '../../../http/route'
import { resetSecret } from '../../../people/people'

export default route(ROUTES.resetSecret, ({ param, body }) =>
  resetSecret(database('write'), idIn(param('id')), body.secret),
)
