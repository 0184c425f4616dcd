import { setResponseHeaders } from 'h3'
import { ROUTES } from '../../../../shared/api/routes'
import { database } from '../../../database/connection'
import { route } from '../../../http/route'
import { reportFor } from '../../../report/report'

export default route(ROUTES.sheet, async ({ event, param, query }) => {
  const { paper, units, view, method, filled, part } = query
  const { pdf, name } = await reportFor(database('read'), param('id'), {
    paper,
    units,
    view,
    sheet: { method: method ?? null, filled: filled === 'yes', part: part ?? null },
  })
  setResponseHeaders(event, {
    'content-type': 'application/pdf',
    'content-disposition': `inline; filename="${name}"`,
    'cache-control': 'no-store',
  })
  return Buffer.from(pdf)
})
