import { createServer as createHttpServer } from 'node:http'
import { createServer, type Server, type Socket } from 'node:net'
import { WebSocketServer, type RawData } from 'ws'
import { LONGEST_LINE, type Told } from '../../shared/instruments/protocol'
import { log } from '../log'
import { Conversation, type Doorkeeper } from './conversation'
import { LineReader } from './lineReader'

/** Lines held at once, and of those such as have not been let in yet. */
const MOST_LINES = 200
const MOST_STRANGERS = 30
const TICK = 500
/** Bytes that wait to be read by an instrument: one that takes nothing is let go. */
const MOST_WAITING = 64_000

const isWebSocket = (first: Buffer) => first.subarray(0, 4).toString('latin1') === 'GET '

/** Where instruments call: JSON lines as they are, or over a WebSocket, at one port. */
export interface Listener {
  readonly port: number
  readonly close: () => Promise<void>
}

/** Listens for instruments. Rejects where the port is taken. */
export const listenAt = (host: string, port: number, door: Doorkeeper): Promise<Listener> => {
  const all = new Map<Conversation, () => void>()
  const join = (conversation: Conversation, drop: () => void) => {
    const strangers = [...all.keys()].filter((c) => !c.bound).length
    if (all.size >= MOST_LINES || strangers >= MOST_STRANGERS) return drop()
    all.set(conversation, drop)
  }

  // A page of any site may open a WebSocket to this machine: what a browser sends is not an instrument.
  const sockets = new WebSocketServer({ noServer: true, maxPayload: 4 * LONGEST_LINE })
  const http = createHttpServer((_, answer) => {
    answer.writeHead(426, { 'content-type': 'text/plain', connection: 'close' })
    answer.end('Instruments speak here over TCP or a WebSocket.\n')
  })
  http.on('upgrade', (request, socket, head) => {
    if (request.headers.origin !== undefined) {
      socket.end('HTTP/1.1 403 Forbidden\r\nConnection: close\r\n\r\n')
      return
    }
    sockets.handleUpgrade(request, socket, head, (web) => {
      const conversation = new Conversation(
        {
          send: (told) => {
            if (web.readyState === web.OPEN) web.send(JSON.stringify(told))
          },
          close: () => {
            web.close()
            setTimeout(() => web.terminate(), 500).unref()
          },
          from: request.socket.remoteAddress ?? '',
        },
        door,
      )
      web.on('message', (message: RawData) => {
        if (conversation.over) return
        const bytes = Buffer.isBuffer(message) ? message : Buffer.concat([message].flat() as Buffer[])
        for (const line of bytes.toString('utf8').split('\n')) {
          if (line.length > LONGEST_LINE) conversation.overlong()
          else if (line.trim() !== '') conversation.line(line)
        }
      })
      web.on('close', () => {
        conversation.ended()
        all.delete(conversation)
      })
      web.on('error', () => web.terminate())
      join(conversation, () => web.terminate())
    })
  })

  const converse = (socket: Socket, first: Buffer) => {
    const send = (told: Told) => {
      if (socket.writable) socket.write(`${JSON.stringify(told)}\n`)
      if (socket.writableLength > MOST_WAITING) socket.destroy()
    }
    const conversation: Conversation = new Conversation(
      {
        send,
        close: () => {
          // What was said last gets through; a sender that goes on is cut off.
          socket.end()
          setTimeout(() => socket.destroy(), 500).unref()
        },
        from: socket.remoteAddress ?? '',
      },
      door,
    )
    const reader = new LineReader(
      LONGEST_LINE,
      (text) => conversation.line(text),
      () => conversation.overlong(),
    )
    socket.on('data', (bytes: Buffer) => {
      if (!conversation.over) reader.take(bytes)
    })
    socket.on('close', () => {
      conversation.ended()
      all.delete(conversation)
    })
    join(conversation, () => socket.destroy())
    reader.take(first)
  }

  const server: Server = createServer((socket) => {
    socket.setNoDelay(true)
    socket.on('error', () => socket.destroy())
    const wait = setTimeout(() => socket.destroy(), 5000)
    socket.once('close', () => clearTimeout(wait))
    socket.once('data', (first: Buffer) => {
      clearTimeout(wait)
      if (!isWebSocket(first)) return converse(socket, first)
      socket.pause()
      http.emit('connection', socket)
      socket.unshift(first)
      socket.resume()
    })
  })
  const ticking = setInterval(() => {
    for (const conversation of all.keys()) conversation.tick(Date.now())
  }, TICK)

  return new Promise((resolve, reject) => {
    server.once('error', (failure) => {
      clearInterval(ticking)
      reject(failure)
    })
    server.listen(port, host, () => {
      const at = server.address()
      const taken = typeof at === 'object' && at ? at.port : port
      log.info({ host, port: taken }, 'listening for instruments')
      resolve({
        port: taken,
        close: async () => {
          clearInterval(ticking)
          for (const drop of all.values()) drop()
          await new Promise<void>((closed) => server.close(() => closed()))
        },
      })
    })
  })
}
