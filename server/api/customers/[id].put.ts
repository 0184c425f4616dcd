import { ROUTES } from '../../../shared/api/routes'
import { database } from '../../database/connection'
import { idIn } from '../../http/idIn'
import { route } from '../../http/route'
import { changeCustomer } from '../../people/customers'

export default route(ROUTES.changeCustomer, ({ param, body }) =>
  changeCustomer(database('write'), idIn(param('id')), body),
)
