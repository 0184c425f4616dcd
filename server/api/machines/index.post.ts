import { setResponseStatus } from 'h3'
import { ROUTES } from '../../../shared/api/routes'
import { database } from '../../database/connection'
import { route } from '../../http/route'
import { addMachine } from '../../machines/register'

export default route(ROUTES.addMachine, async ({ event, body }) => {
  const added = await addMachine(database('write'), body)
  setResponseStatus(event, 201)
  return added
})
