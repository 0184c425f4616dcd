import { ROUTES } from '../../../../../shared/api/routes'
import { database } from '../../../../database/connection'
import { idIn } from '../../../../http/idIn'
import { route } from '../../../../http/route'
import { ownReportOf } from '../../../../people/customers'
import { currentIn } from '../../../../people/session'
import { answerReport } from '../../../../report/answerReport'

export default route(ROUTES.ownReport, async ({ event, param, query }) => {
  const job = idIn(param('id'))
  const { names } = await ownReportOf(database('read'), currentIn(event), job)
  return answerReport(event, database('read'), job, { ...query, view: 'movable', names })
})
