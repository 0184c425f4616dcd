import { ROUTES } from '../../../../shared/api/routes'
import { isUuid } from '../../../../shared/text'
import { en } from '../../../../shared/wording/en'
import { database } from '../../../database/connection'
import { notFound } from '../../../http/refusal'
import { route } from '../../../http/route'
import { findJob } from '../../../jobs/jobs.repository'
import { passOn } from '../../../jobs/news'

export default route(ROUTES.call, async ({ param, body }) => {
  const id = param('id').toLowerCase()
  if (!isUuid(id) || !(await findJob(database('read'), id))) throw notFound(en.answers.noJob)
  passOn(id, body)
  return { passedOn: true }
})
