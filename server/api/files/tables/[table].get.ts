import { setResponseHeaders } from 'h3'
import { ROUTES } from '../../../../shared/api/routes'
import { JOB_TABLES } from '../../../../shared/files/tableNames'
import { answerWords } from '../../../../shared/wording/viewWords'
import { database } from '../../../database/connection'
import { tableOfJobs } from '../../../files/jobTables'
import { notFound } from '../../../http/refusal'
import { route } from '../../../http/route'

export default route(ROUTES.jobTable, async ({ event, param, query }) => {
  const table = JOB_TABLES.find((name) => name === param('table'))
  if (!table) throw notFound(answerWords.nothingHere)
  const text = await tableOfJobs(database('read'), table, query)
  setResponseHeaders(event, {
    'content-type': 'text/csv; charset=utf-8',
    'content-disposition': `attachment; filename="${table}.csv"`,
    'cache-control': 'no-store',
  })
  return text
})
