import { setResponseStatus } from 'h3'
import { ROUTES } from '../../../shared/api/routes'
import { addStandstill } from '../../comeBack/standstills'
import { database } from '../../database/connection'
import { route } from '../../http/route'

export default route(ROUTES.addStandstill, async ({ event, body }) => {
  const added = await addStandstill(database('write'), body)
  setResponseStatus(event, 201)
  return added
})
