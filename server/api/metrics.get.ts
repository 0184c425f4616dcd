import { setResponseHeader } from 'h3'
import { ROUTES } from '../../shared/api/routes'
import { METRICS_TYPE, metrics } from '../health/metrics'
import { route } from '../http/route'

export default route(ROUTES.metrics, async ({ event }) => {
  const told = await metrics()
  setResponseHeader(event, 'content-type', METRICS_TYPE)
  return told
})
