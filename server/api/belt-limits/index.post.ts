import { setResponseStatus } from 'h3'
import { ROUTES } from '../../../shared/api/routes'
import { database } from '../../database/connection'
import { route } from '../../http/route'
import { beltLimits } from '../../beltLimits/beltLimits'

export default route(ROUTES.addBeltLimits, async ({ event, body }) => {
  const added = await beltLimits.add(database('write'), body)
  setResponseStatus(event, 201)
  return added
})
