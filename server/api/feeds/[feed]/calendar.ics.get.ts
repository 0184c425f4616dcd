import { setResponseHeader } from 'h3'
import { ROUTES } from '../../../../shared/api/routes'
import { readFeed } from '../../../comeBack/feeds'
import { database } from '../../../database/connection'
import { route } from '../../../http/route'

export default route(ROUTES.readFeed, async ({ event, param }) => {
  const text = await readFeed(database('write'), param('feed'))
  setResponseHeader(event, 'content-type', 'text/calendar; charset=utf-8')
  setResponseHeader(event, 'cache-control', 'private, no-store')
  return text
})
