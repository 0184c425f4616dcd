import { setResponseStatus } from 'h3'
import { ROUTES } from '../../../../shared/api/routes'
import { database } from '../../../database/connection'
import { route } from '../../../http/route'
import { shimLots } from '../../../stores/lots.repository'

export default route(ROUTES.addLot, async ({ event, body }) => {
  const added = await shimLots.add(database('write'), body)
  setResponseStatus(event, 201)
  return added
})
