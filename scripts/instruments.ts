/** `npm run instruments`: simulated instruments that call the program, with a page to pair them and make them misbehave. */
import { parseArgs } from 'node:util'
import { Device } from './instruments/device'
import { makes } from './instruments/makes'
import { servePages, type Room } from './instruments/pages'
import { playScript } from './instruments/script'
import { standUp, type StandWanted } from './instruments/stand'

const { values } = parseArgs({
  options: {
    program: { type: 'string', default: process.env.HC_PROGRAM ?? 'http://127.0.0.1:4310' },
    line: { type: 'string', default: process.env.HC_INSTRUMENTS ?? '127.0.0.1:4312' },
    port: { type: 'string', default: process.env.HC_DEVICES_PORT ?? '4313' },
    machine: { type: 'string', default: '' },
    seed: { type: 'string', default: '11' },
    script: { type: 'string' },
  },
})

const [host = '127.0.0.1', linePort = '4312'] = values.line.includes(':')
  ? values.line.split(':')
  : ['127.0.0.1', values.line]
const stand: StandWanted = { machine: values.machine, seed: Number(values.seed), lie: 'roughed', heads: null }

try {
  const room: Room = {
    devices: [],
    bench: await standUp(values.program, stand),
    stand,
    program: values.program,
  }
  const devices = makes().map((make) => new Device(make, () => room.bench, { host, port: Number(linePort) }))
  Object.assign(room, { devices })
  const pages = await servePages(room, Number(values.port))
  process.stdout.write(`Simulated instruments are at http://127.0.0.1:${values.port}\n`)
  const stop = () => {
    for (const device of devices) device.unpair()
    pages.close()
    process.exit(0)
  }
  process.once('SIGINT', stop)
  process.once('SIGTERM', stop)
  if (process.env.HC_ENDS_WITH_PARENT) {
    const parent = process.ppid
    setInterval(() => process.ppid !== parent && stop(), 1000).unref()
  }
  if (values.script) await playScript(room, values.script)
} catch (failure) {
  process.stderr.write(`${(failure as Error).message}\n`)
  process.exit(1)
}
