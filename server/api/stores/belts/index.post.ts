import { setResponseStatus } from 'h3'
import { ROUTES } from '../../../../shared/api/routes'
import { database } from '../../../database/connection'
import { route } from '../../../http/route'
import { spareBelts } from '../../../stores/spareBelts.repository'

export default route(ROUTES.addSpareBelts, async ({ event, body }) => {
  const added = await spareBelts.add(database('write'), body)
  setResponseStatus(event, 201)
  return added
})
