import { connect, type Socket } from 'node:net'
import { WebSocket } from 'ws'
import type { Told } from '../../shared/instruments/protocol'

/** An instrument's end of its line, whichever way it is carried. */
export interface Line {
  readonly send: (line: object | string) => void
  readonly close: () => void
}

interface Hears {
  readonly opened: () => void
  readonly told: (told: Told) => void
  readonly ended: () => void
}

const asText = (line: object | string) => (typeof line === 'string' ? line : JSON.stringify(line))

/** JSON lines over TCP. */
export const overTcp = (host: string, port: number, hears: Hears): Line => {
  const socket: Socket = connect({ host, port, noDelay: true })
  let rest = ''
  socket.setEncoding('utf8')
  socket.on('connect', hears.opened)
  socket.on('data', (text: string) => {
    const lines = (rest + text).split('\n')
    rest = lines.pop() ?? ''
    for (const line of lines) if (line !== '') hears.told(JSON.parse(line) as Told)
  })
  socket.on('error', () => socket.destroy())
  socket.on('close', hears.ended)
  return {
    send: (line) => void (socket.writable && socket.write(`${asText(line)}\n`)),
    close: () => socket.destroy(),
  }
}

/** The same lines over a WebSocket, one a message. */
export const overWebSocket = (host: string, port: number, hears: Hears): Line => {
  const web = new WebSocket(`ws://${host}:${port}/`)
  web.on('open', hears.opened)
  web.on('message', (bytes: Buffer) => hears.told(JSON.parse(bytes.toString('utf8')) as Told))
  web.on('error', () => web.terminate())
  web.on('close', hears.ended)
  return {
    send: (line) => {
      if (web.readyState === WebSocket.OPEN) web.send(asText(line))
    },
    close: () => web.terminate(),
  }
}
