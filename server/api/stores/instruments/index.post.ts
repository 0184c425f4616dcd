import { setResponseStatus } from 'h3'
import { ROUTES } from '../../../../shared/api/routes'
import { database } from '../../../database/connection'
import { route } from '../../../http/route'
import { addInstrument } from '../../../stores/stores'

export default route(ROUTES.addInstrument, async ({ event, body }) => {
  const added = await addInstrument(database('write'), body)
  setResponseStatus(event, 201)
  return added
})
