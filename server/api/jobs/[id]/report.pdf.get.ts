import { ROUTES } from '../../../../shared/api/routes'
import { database } from '../../../database/connection'
import { route } from '../../../http/route'
import { answerReport } from '../../../report/answerReport'

export default route(ROUTES.report, ({ event, param, query: { names, ...wanted } }) =>
  answerReport(event, database('read'), param('id'), { ...wanted, names: names === 'yes' }),
)
