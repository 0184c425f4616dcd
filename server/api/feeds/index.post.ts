import { setResponseStatus } from 'h3'
import { ROUTES } from '../../../shared/api/routes'
import { makeFeed } from '../../comeBack/feeds'
import { database } from '../../database/connection'
import { route } from '../../http/route'
import { currentIn } from '../../people/session'

export default route(ROUTES.makeFeed, async ({ event, body }) => {
  const made = await makeFeed(database('write'), body, currentIn(event))
  setResponseStatus(event, 201)
  return made
})
