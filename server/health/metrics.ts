import { collectDefaultMetrics, Gauge, Histogram, Registry } from 'prom-client'
import { poolUse } from '../database/connection'
import { linesHeld } from '../instruments/hub'
import { viewersNow } from '../jobs/viewers'

/** What this process counts, for whoever keeps watch over it. */
const registry = new Registry()
collectDefaultMetrics({ register: registry, prefix: 'hc_' })

const answered = new Histogram({
  name: 'hc_request_seconds',
  help: 'Seconds a request took, by its route, its method and how it ended.',
  labelNames: ['method', 'route', 'status'] as const,
  buckets: [0.005, 0.01, 0.025, 0.05, 0.1, 0.25, 0.5, 1, 2.5, 5, 15, 45],
  registers: [registry],
})

new Gauge({
  name: 'hc_viewers',
  help: 'Views of jobs that are told of each entry as it comes.',
  registers: [registry],
  collect() {
    this.set(viewersNow())
  },
})

new Gauge({
  name: 'hc_instrument_lines',
  help: 'Lines of instruments that this process holds.',
  registers: [registry],
  collect() {
    this.set(linesHeld())
  },
})

new Gauge({
  name: 'hc_database_connections',
  help: 'Connections to the database by pool: in use, and waited for.',
  labelNames: ['pool', 'state'] as const,
  registers: [registry],
  collect() {
    for (const { use, used, waited } of poolUse()) {
      this.set({ pool: use, state: 'used' }, used)
      this.set({ pool: use, state: 'waited' }, waited)
    }
  },
})

/** Counts a request that was answered; one that takes no route of ours counts as `none`, so that no stranger makes names. */
export const countAnswer = (
  method: string,
  route: string | null,
  status: number,
  milliseconds: number,
): void =>
  answered.observe(
    { method: route === null ? 'any' : method, route: route ?? 'none', status },
    milliseconds / 1000,
  )

/** Everything that is counted, in the text format of Prometheus. */
export const metrics = (): Promise<string> => registry.metrics()

/** What that text is called. */
export const METRICS_TYPE = registry.contentType
