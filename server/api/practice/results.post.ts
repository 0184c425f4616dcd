import { setResponseStatus } from 'h3'
import { ROUTES } from '../../../shared/api/routes'
import { database } from '../../database/connection'
import { route } from '../../http/route'
import { handIn } from '../../practice/practice'

export default route(ROUTES.handInPractice, async ({ event, body }) => {
  const kept = await handIn(database('write'), body)
  setResponseStatus(event, 201)
  return kept
})
