import { ROUTES } from '../../../shared/api/routes'
import { database } from '../../database/connection'
import { route } from '../../http/route'
import { listCustomers } from '../../people/customers.repository'

export default route(ROUTES.customers, () => listCustomers(database('read')))
