import { setResponseStatus } from 'h3'
import { ROUTES } from '../../../shared/api/routes'
import { makeFeed } from '../../comeBack/feeds'
import { database } from '../../database/connection'
import { route } from '../../http/route'

export default route(ROUTES.makeFeed, async ({ event, body }) => {
  const made = await makeFeed(database('write'), body)
  setResponseStatus(event, 201)
  return made
})
