import { setResponseStatus } from 'h3'
import { ROUTES } from '../../../../shared/api/routes'
import { database } from '../../../database/connection'
import { route } from '../../../http/route'
import { addLot } from '../../../stores/stores'

export default route(ROUTES.addLot, async ({ event, body }) => {
  const added = await addLot(database('write'), body)
  setResponseStatus(event, 201)
  return added
})
