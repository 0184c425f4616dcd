import { log } from '../log'

/** One log line a request: method, path, status, milliseconds. */
export default defineNitroPlugin((nitro) => {
  nitro.hooks.hook('request', (event) => {
    event.context.startedAt = performance.now()
  })
  nitro.hooks.hook('afterResponse', (event) => {
    const { method, url } = event.node.req
    const started = event.context.startedAt as number | undefined
    log.info(
      {
        method,
        path: url,
        status: event.node.res.statusCode,
        ms: started ? Math.round(performance.now() - started) : null,
      },
      'request',
    )
  })
})
