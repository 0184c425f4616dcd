import { setResponseStatus } from 'h3'
import { ROUTES } from '../../shared/api/routes'
import { health } from '../health/health'
import { route } from '../http/route'

export default route(ROUTES.health, async ({ event }) => {
  const answer = await health()
  if (answer.status !== 'ok') setResponseStatus(event, 503)
  return answer
})
