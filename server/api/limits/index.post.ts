import { setResponseStatus } from 'h3'
import { ROUTES } from '../../../shared/api/routes'
import { database } from '../../database/connection'
import { route } from '../../http/route'
import { limitSets } from '../../limits/limits'

export default route(ROUTES.addLimits, async ({ event, body }) => {
  const added = await limitSets.add(database('write'), body)
  setResponseStatus(event, 201)
  return added
})
