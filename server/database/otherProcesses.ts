import pg from 'pg'
import { environment } from '../environment'
import { log } from '../log'

/** Milliseconds until a lost line to the others is tried again. */
const TRY_AGAIN = 2000
/** PostgreSQL carries less than 8000 bytes in a notification. */
const MOST_BYTES = 7900

type Hear = (payload: string) => void

const heard = new Map<string, Hear>()
const linkedAgain: (() => void)[] = []
let line: pg.Client | null = null
let closed = false
/** One notification after another: a connection does one thing at a time. */
let said: Promise<unknown> = Promise.resolve()
let unsaid = 0
/** More than this waiting means that the database is slow: what is only passing is let go. */
const MOST_WAITING = 500

/** Whether the others can be told now. */
export const othersInReach = (): boolean => line !== null

/** Hears what other server processes say on a channel. To be asked before the line is opened. */
export const hearOthers = (channel: string, hear: Hear): void => {
  heard.set(channel, hear)
}

/** Called whenever the line to the others stands, again or for the first time. */
export const whenLinked = (linked: () => void): void => {
  linkedAgain.push(linked)
}

/** Tells the other server processes; false where it did not get through, or is too long to. */
export const tellOthers = async (channel: string, payload: string): Promise<boolean> => {
  if (!line || unsaid >= MOST_WAITING || Buffer.byteLength(payload) > MOST_BYTES) return false
  unsaid += 1
  const told = said.then(async () => {
    try {
      if (!line) return false
      await line.query('select pg_notify($1, $2)', [channel, payload])
      return true
    } catch {
      return false
    } finally {
      unsaid -= 1
    }
  })
  said = told
  return told
}

/** Opens the line to the other server processes; comes back by itself after the database was away. */
export const openLine = (): void => {
  if (closed) return
  const client = new pg.Client({
    connectionString: environment().DATABASE_URL,
    keepAlive: true,
    connectionTimeoutMillis: 4000,
    application_name: 'hushed-caliper news',
  })
  let over = false
  const again = () => {
    if (over) return
    over = true
    if (line === client) line = null
    client.end().catch(() => null)
    if (!closed) setTimeout(openLine, TRY_AGAIN).unref()
  }
  client.on('error', again)
  client.on('end', again)
  client.on('notification', (message) => {
    if (message.processId === (client as unknown as { processID: number }).processID) return
    heard.get(message.channel)?.(message.payload ?? '')
  })
  client
    .connect()
    .then(() => client.query([...heard.keys()].map((channel) => `listen ${channel}`).join('; ')))
    .then(() => {
      line = client
      for (const linked of linkedAgain) linked()
    })
    .catch((failure: unknown) => {
      log.debug({ err: failure }, 'no line to the other processes yet')
      again()
    })
}

/** Closes the line for good. */
export const closeLine = async (): Promise<void> => {
  closed = true
  const open = line
  line = null
  await open?.end().catch(() => null)
}
