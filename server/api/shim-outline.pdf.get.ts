import { setResponseHeaders } from 'h3'
import { ROUTES } from '../../shared/api/routes'
import { route } from '../http/route'
import { outlinePdf } from '../report/outline'

export default route(ROUTES.shimOutline, async ({ event, query }) => {
  const pdf = await outlinePdf(query)
  setResponseHeaders(event, {
    'content-type': 'application/pdf',
    'content-disposition': 'inline; filename="shim.pdf"',
    'cache-control': 'no-store',
  })
  return Buffer.from(pdf)
})
