import { ROUTES } from '../../../../shared/api/routes'
import { isUuid } from '../../../../shared/text'
import { answerWords } from '../../../../shared/wording/viewWords'
import { database } from '../../../database/connection'
import { notFound } from '../../../http/refusal'
import { route } from '../../../http/route'
import { findJob } from '../../../jobs/jobs.repository'
import { passOn } from '../../../jobs/news'

export default route(ROUTES.call, async ({ param, body }) => {
  const id = param('id').toLowerCase()
  if (!isUuid(id) || !(await findJob(database('read'), id))) throw notFound(answerWords.noJob)
  passOn(id, body)
  return { passedOn: true }
})
