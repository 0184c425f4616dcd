import { setResponseHeader } from 'h3'
import { ROUTES } from '../../../shared/api/routes'
import { database } from '../../database/connection'
import { route } from '../../http/route'
import { resultsFile } from '../../practice/practice'

export default route(ROUTES.practiceCsv, async ({ event, query }) => {
  const file = await resultsFile(database('read'), query.person)
  setResponseHeader(event, 'content-type', 'text/csv; charset=utf-8')
  setResponseHeader(event, 'content-disposition', 'attachment; filename="practice.csv"')
  return file
})
