import { randomUUID } from 'node:crypto'
import { ROUTES } from '../../shared/api/routes'
import { countAnswer } from '../health/metrics'
import { routeAt } from '../http/contractRoutes'
import { log } from '../log'

/** Seconds in which a request's head, and all of it, must have come. */
const HEAD_SECONDS = 15
const WHOLE_SECONDS = 60
/** Seconds that an idle connection is kept: longer than whoever stands before us keeps it, so that none is cut under a request. */
const IDLE_SECONDS = 65

/** What may be done with an answer that is not one of our pages: nothing. */
const FOR_DATA = "default-src 'none'; frame-ancestors 'none'"
/** Scripts and workers come from here alone. A page brings a policy of its own. */
const FOR_FILES =
  "default-src 'self'; script-src 'self' 'wasm-unsafe-eval'; img-src 'self' data:; style-src 'self' 'unsafe-inline'; frame-ancestors 'none'"

/** An id and our policies on every answer; one log line a request, with the route it took and how long. */
export default defineNitroPlugin((nitro) => {
  const limited = new WeakSet<object>()
  nitro.hooks.hook('request', (event) => {
    const { req, res } = event.node
    const id = randomUUID()
    event.context.startedAt = performance.now()
    event.context.requestId = id
    res.setHeader('x-request-id', id)
    res.setHeader('cross-origin-resource-policy', 'same-origin')
    res.setHeader('x-content-type-options', 'nosniff')
    const isData = req.url?.startsWith('/api/') ?? false
    res.setHeader('content-security-policy', isData ? FOR_DATA : FOR_FILES)
    // What sets policies on pages works them out anew for each request: data has its own, above.
    if (isData) event.context.security = { rules: { enabled: false }, route: '/api' }
    // A sender that never comes to an end is cut off by the server itself.
    const server = (req.socket as { server?: import('node:http').Server }).server
    if (server && !limited.has(server)) {
      limited.add(server)
      server.headersTimeout = HEAD_SECONDS * 1000
      server.requestTimeout = WHOLE_SECONDS * 1000
      server.keepAliveTimeout = IDLE_SECONDS * 1000
    }
  })
  nitro.hooks.hook('afterResponse', (event) => {
    const { method = 'GET', url = '/' } = event.node.req
    const started = event.context.startedAt as number | undefined
    const route = routeAt(method, url)
    const status = event.node.res.statusCode
    // A stream lasts as long as somebody looks.
    if (started !== undefined && route !== ROUTES.stream.path)
      countAnswer(method, route, status, performance.now() - started)
    if (!log.isLevelEnabled('info')) return
    log.info(
      {
        id: event.context.requestId as string,
        method,
        route,
        path: url.slice(0, 500),
        status,
        ms: started === undefined ? null : Math.round(performance.now() - started),
      },
      'request',
    )
  })
  // What nobody caught is a line like any other, not a page of text between them.
  process.on('unhandledRejection', (failure) => log.error({ err: failure }, 'nobody waited for this to fail'))
})
