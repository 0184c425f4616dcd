import knexModule, { type Knex } from 'knex'
import { environment } from '../environment'

let instance: Knex | undefined

/** Options for a Knex on PostgreSQL; short waits, so that a stopped database is told at once. */
export const knexOptions = (url: string): Knex.Config => ({
  client: 'pg',
  connection: { connectionString: url, connectionTimeoutMillis: 4000, keepAlive: true },
  pool: { min: 0, max: 10, idleTimeoutMillis: 30_000, acquireTimeoutMillis: 5000 },
})

/** The one Knex of this process. */
export const database = (): Knex => (instance ??= knexModule(knexOptions(environment().DATABASE_URL)))

/** Ends all connections; the next use opens new ones. */
export const closeDatabase = async (): Promise<void> => {
  const open = instance
  instance = undefined
  await open?.destroy()
}
