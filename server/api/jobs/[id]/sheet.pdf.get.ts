import { ROUTES } from '../../../../shared/api/routes'
import { database } from '../../../database/connection'
import { route } from '../../../http/route'
import { answerReport } from '../../../report/answerReport'

export default route(ROUTES.sheet, ({ event, param, query }) => {
  const { paper, units, view, method, filled, part } = query
  return answerReport(event, database('read'), param('id'), {
    paper,
    units,
    view,
    sheet: { method: method ?? null, filled: filled === 'yes', part: part ?? null },
  })
})
