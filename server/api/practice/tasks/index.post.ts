import { setResponseStatus } from 'h3'
import { ROUTES } from '../../../../shared/api/routes'
import { database } from '../../../database/connection'
import { route } from '../../../http/route'
import { setTask } from '../../../practice/practice'

export default route(ROUTES.setPractice, async ({ event, body }) => {
  const set = await setTask(database('write'), body)
  setResponseStatus(event, 201)
  return set
})
