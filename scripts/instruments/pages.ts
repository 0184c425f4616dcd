import { readFileSync } from 'node:fs'
import { createServer, type IncomingMessage, type ServerResponse } from 'node:http'
import { join } from 'node:path'
import { z } from 'zod'
import { placeOfKey } from '../../core/instruments/places'
import { MISDEEDS, type Device } from './device'
import { standUp, type StandWanted } from './stand'
import type { Workbench } from './workbench'

/** Everything the pages show and change. */
export interface Room {
  readonly devices: readonly Device[]
  bench: Workbench
  stand: StandWanted
  readonly program: string
}

const foot = z.union([z.literal(1), z.literal(2), z.literal(3), z.literal(4)])
const mm = z.number().min(-20).max(20)
const act = z.discriminatedUnion('act', [
  z.object({ act: z.literal('turn'), by: z.number().min(-720).max(720) }),
  z.object({
    act: z.literal('push'),
    machine: z.enum(['movable', 'stationary']),
    pair: z.union([z.literal(0), z.literal(1)]),
    by: mm,
  }),
  z.object({ act: z.literal('bolts'), tight: z.boolean() }),
  z.object({ act: z.literal('bolt'), foot, tight: z.boolean() }),
  z.object({ act: z.literal('foot-dial'), foot }),
  z.object({ act: z.literal('leaves'), foot, out: z.array(mm).max(20), in: z.array(mm).max(20) }),
  z.object({ act: z.literal('couple'), made: z.boolean() }),
  z.object({ act: z.literal('guard'), on: z.boolean() }),
  z.object({ act: z.literal('lock'), on: z.boolean() }),
  z.object({ act: z.literal('run'), minutes: z.number().min(0).max(600) }),
  z.object({ act: z.literal('wait'), minutes: z.number().min(0).max(6000) }),
])
const stand = z.object({
  machine: z.string().max(20),
  seed: z.int().min(0).max(1e9),
  lie: z.enum(['dropped', 'roughed', 'height-only', 'side-only', 'close']),
  heads: z.object({ stationary: z.number(), movable: z.number() }).nullable(),
})
const order = z.discriminatedUnion('do', [
  z.object({ do: z.literal('pair'), code: z.string().min(1).max(20) }),
  z.object({ do: z.literal('unpair') }),
  z.object({ do: z.literal('cut'), ms: z.int().min(0).max(120_000).default(1000) }),
  z.object({ do: z.literal('zero') }),
  z.object({ do: z.literal('tap') }),
  z.object({ do: z.literal('misbehave'), how: z.enum(MISDEEDS), on: z.boolean() }),
])
const belt = z.object({ tension: z.number().positive().max(1e5) })

const PAGE = readFileSync(join(import.meta.dirname, 'page.html'), 'utf8')

const stateOf = (room: Room) => ({
  stand: room.stand,
  turned: room.bench.turned,
  feet: room.bench.feet,
  belt: room.bench.belt,
  devices: room.devices.map((d) => ({
    ...d.make,
    state: d.state,
    said: d.said,
    place: d.place && placeOfKey(d.place) ? d.place : null,
    shows: d.shows,
    beeps: d.beeps,
    taken: d.taken,
    misdeeds: [...d.misdeeds],
  })),
})

const carryOut = (device: Device, what: z.infer<typeof order>): void => {
  switch (what.do) {
    case 'pair':
      return device.pair(what.code)
    case 'unpair':
      return device.unpair()
    case 'cut':
      return device.cut(what.ms)
    case 'zero':
      return device.zero()
    case 'tap':
      return device.tap()
    case 'misbehave':
      if (what.on) device.misdeeds.add(what.how)
      else device.misdeeds.delete(what.how)
  }
}

const bodyOf = async (request: IncomingMessage): Promise<unknown> => {
  let text = ''
  for await (const part of request) {
    text += String(part)
    if (text.length > 20_000) throw new Error('That is too much at once.')
  }
  return JSON.parse(text)
}

/** What was asked for, done; answers a sentence where it can't be. */
const answerPost = async (room: Room, path: string, body: unknown): Promise<string> => {
  if (path === '/stand') {
    const wanted = stand.parse(body)
    room.bench = await standUp(room.program, wanted)
    room.stand = wanted
    return ''
  }
  if (path === '/belt') {
    room.bench.belt = { ...room.bench.belt, ...belt.parse(body) }
    return ''
  }
  if (path === '/nudge') {
    room.bench.nudge(z.object({ circle: z.string().max(40) }).parse(body).circle)
    return ''
  }
  if (path === '/hands') return (await room.bench.do(act.parse(body))) ?? ''
  const device = room.devices.find((d) => `/devices/${d.make.id}` === path)
  if (!device) return 'There is no such instrument.'
  carryOut(device, order.parse(body))
  return ''
}

const isOurs = ({ headers }: IncomingMessage) =>
  /^(127\.0\.0\.1|localhost)(:\d+)?$/.test(headers.host ?? '') &&
  (headers.origin === undefined || headers.origin === `http://${headers.host}`)

const answer = async (room: Room, request: IncomingMessage, response: ServerResponse): Promise<void> => {
  const path = (request.url ?? '/').split('?')[0] ?? '/'
  const json = (status: number, value: unknown) => {
    response.writeHead(status, { 'content-type': 'application/json', 'cache-control': 'no-store' })
    response.end(JSON.stringify(value))
  }
  if (!isOurs(request)) return json(403, { say: 'Open this page at its own address.' })
  if (request.method === 'GET' && path === '/state') return json(200, stateOf(room))
  if (request.method === 'GET') {
    response.writeHead(200, { 'content-type': 'text/html; charset=utf-8' })
    response.end(PAGE)
    return
  }
  if (request.method !== 'POST' || !(request.headers['content-type'] ?? '').startsWith('application/json'))
    return json(415, { say: 'Send JSON.' })
  try {
    const say = await answerPost(room, path, await bodyOf(request))
    json(say === '' ? 200 : 409, { say })
  } catch (failure) {
    json(422, {
      say: failure instanceof z.ZodError ? 'That does not fit.' : String((failure as Error).message),
    })
  }
}

/** Serves the pages of the simulated instruments, on loopback alone. */
export const servePages = (room: Room, port: number) =>
  new Promise<{ readonly close: () => void }>((resolve, reject) => {
    const server = createServer((request, response) => void answer(room, request, response))
    server.once('error', reject)
    server.listen(port, '127.0.0.1', () => resolve({ close: () => void server.close() }))
  })
