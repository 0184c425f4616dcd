import { setResponseStatus } from 'h3'
import { ROUTES } from '../../../../shared/api/routes'
import { database } from '../../../database/connection'
import { route } from '../../../http/route'
import { keepView } from '../../../search/search'

export default route(ROUTES.keepSearchView, async ({ event, body }) => {
  const kept = await keepView(database('write'), body)
  setResponseStatus(event, 201)
  return kept
})
