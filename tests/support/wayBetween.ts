import { createServer, request, type IncomingMessage, type ServerResponse } from 'node:http'
import type { AddressInfo } from 'node:net'

/** What stands between devices and the program: it can be cut, and can serve the program as if it were a newer build. */
export const wayTo = async (program: string) => {
  const { hostname, port } = new URL(program)
  const state = {
    /** Nothing comes through; what is under way breaks off. */
    cut: false,
    /** Name of the build that its worker says it is; empty for what it is. */
    build: '',
  }
  const asNewer = async (answer: IncomingMessage, res: ServerResponse) => {
    const parts: Buffer[] = []
    for await (const part of answer) parts.push(part as Buffer)
    const worker = Buffer.concat(parts).toString()
    const named = /[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}/g
    res.writeHead(200, { 'content-type': 'text/javascript', 'cache-control': 'no-cache' })
    res.end(worker.replace(named, state.build))
  }
  const server = createServer((req, res) => {
    if (state.cut) {
      req.socket.destroy()
      return
    }
    const { url: path = '/', method } = req
    const newer = state.build !== '' && path.startsWith('/sw.js')
    // A worker that is to be changed comes whole and as it is written.
    const headers = newer ? { host: req.headers.host } : req.headers
    const on = request({ hostname, port, path, method, headers }, (answer) => {
      if (newer) void asNewer(answer, res)
      else {
        res.writeHead(answer.statusCode ?? 502, answer.headers)
        answer.pipe(res)
      }
    })
    on.on('error', () => res.destroy())
    res.on('close', () => on.destroy())
    req.pipe(on)
  })
  await new Promise<void>((listening) => void server.listen(0, '127.0.0.1', listening))
  const { port: own } = server.address() as AddressInfo
  return {
    url: `http://127.0.0.1:${own}`,
    cut: () => {
      state.cut = true
      server.closeAllConnections()
    },
    mend: () => {
      state.cut = false
    },
    /** From now on it serves a build of this name. */
    newBuild: (name: string) => {
      state.build = name
    },
    stop: () =>
      new Promise<void>((done) => {
        server.close(() => done())
        server.closeAllConnections()
      }),
  }
}
export type Way = Awaited<ReturnType<typeof wayTo>>
