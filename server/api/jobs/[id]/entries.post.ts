import { setResponseStatus } from 'h3'
import { ROUTES } from '../../../../shared/api/routes'
import { asDraft } from '../../../../shared/logbook/entry'
import { route } from '../../../http/route'
import { addEntry } from '../../../jobs/logbook'

export default route(ROUTES.addEntry, async ({ event, param, body }) => {
  const answer = await addEntry(param('id'), asDraft(body))
  setResponseStatus(event, answer.added ? 201 : 200)
  return answer
})
