import { setResponseStatus } from 'h3'
import { ROUTES } from '../../../shared/api/routes'
import { asDraft } from '../../../shared/logbook/entry'
import { database } from '../../database/connection'
import { route } from '../../http/route'
import { openJob } from '../../jobs/logbook'

export default route(ROUTES.openJob, async ({ event, body }) => {
  const answer = await openJob(database('write'), { ...body, opening: asDraft(body.opening) })
  setResponseStatus(event, answer.added ? 201 : 200)
  return answer
})
