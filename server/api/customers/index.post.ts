import { setResponseStatus } from 'h3'
import { ROUTES } from '../../../shared/api/routes'
import { database } from '../../database/connection'
import { route } from '../../http/route'
import { addCustomer } from '../../people/customers'

export default route(ROUTES.addCustomer, async ({ event, body }) => {
  const added = await addCustomer(database('write'), body)
  setResponseStatus(event, 201)
  return added
})
