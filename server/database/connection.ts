import knexModule, { type Knex } from 'knex'
import type { Client } from 'pg'
import { environment } from '../environment'
import { log } from '../log'

/** Milliseconds that a connection waits: for a row another holds, for one statement, for a server that is silent. */
const WAITS = { lock: 2000, statement: 3500, silence: 4000 }
/** Connections of each pool. Reads have their own, so that no writer can use them up; so has health. */
const MOST = { write: 10, read: 8, health: 1 }
export type Use = keyof typeof MOST

const connectionOf = (url: string) => ({
  connectionString: url,
  connectionTimeoutMillis: WAITS.silence,
  keepAlive: true,
})

/** Options for a Knex on PostgreSQL that waits as long as a statement takes: migrations, seeding, tools. */
export const knexOptions = (url: string): Knex.Config => ({
  client: 'pg',
  connection: connectionOf(url),
  pool: { min: 0, max: 10, idleTimeoutMillis: 30_000, acquireTimeoutMillis: 5000 },
})

/**
 * A connection whose server falls silent in the middle of a statement is given up: a stopped process keeps
 * its socket open, and only silence tells.
 */
const endWhenSilent = (client: Client & { readonly readyForQuery?: boolean }): void => {
  const { stream } = (client as unknown as { connection: { stream: import('node:net').Socket } }).connection
  stream.setTimeout(WAITS.silence, () => {
    if (client.readyForQuery === false) stream.destroy()
  })
}

/** What Knex has to say is a log line like any other: its first line, not a page of stack. */
const said = (level: 'warn' | 'error' | 'debug') => (message: unknown) =>
  log[level]({ from: 'knex' }, String(message).split('\n')[0] ?? '')

/** Options of the server's own pools: nothing waits longer than a person would. */
const hastyOptions = (url: string, use: Use): Knex.Config => ({
  client: 'pg',
  log: { warn: said('warn'), error: said('error'), deprecate: said('warn'), debug: said('debug') },
  connection: {
    ...connectionOf(url),
    lock_timeout: WAITS.lock,
    statement_timeout: WAITS.statement,
    idle_in_transaction_session_timeout: 10_000,
    application_name: `hushed-caliper ${use}`,
  } as Knex.PgConnectionConfig,
  pool: {
    min: 0,
    max: MOST[use],
    idleTimeoutMillis: 30_000,
    acquireTimeoutMillis: WAITS.silence,
    afterCreate: (client: Client, done: (failure: unknown, client: Client) => void) => {
      endWhenSilent(client)
      done(null, client)
    },
  },
})

const open = new Map<Use, Knex>()

/** The Knex of this process for a use; each has a pool of its own. */
export const database = (use: Use): Knex => {
  const known = open.get(use)
  if (known) return known
  const made = knexModule(hastyOptions(environment().DATABASE_URL, use))
  open.set(use, made)
  return made
}

/** How many connections of each pool are in use, and how many are waited for. */
export const poolUse = (): readonly { readonly use: Use; readonly used: number; readonly waited: number }[] =>
  [...open].map(([use, knex]) => {
    const pool = knex.client.pool as { numUsed: () => number; numPendingAcquires: () => number }
    return { use, used: pool.numUsed(), waited: pool.numPendingAcquires() }
  })

/** Ends all connections; the next use opens new ones. */
export const closeDatabase = async (): Promise<void> => {
  const all = [...open.values()]
  open.clear()
  await Promise.all(all.map((knex) => knex.destroy()))
}
