import { sendStream, setResponseHeaders } from 'h3'
import { ROUTES } from '../../../shared/api/routes'
import { worksArchive } from '../../archive/writeWorks'
import { database } from '../../database/connection'
import { route } from '../../http/route'

export default route(ROUTES.worksArchive, ({ event }) => {
  setResponseHeaders(event, {
    'content-type': 'application/gzip',
    'content-disposition': 'attachment; filename="works.tar.gz"',
    'cache-control': 'no-store',
  })
  return sendStream(event, worksArchive(database('read')))
})
