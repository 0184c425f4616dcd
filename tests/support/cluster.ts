import { startPostgres } from '../../scripts/local/postgres.mjs'

/** A throw-away PostgreSQL on a free port. */
export const startCluster = (name = 'test') => startPostgres(name, { port: 0, throwAway: true })

export type Cluster = Awaited<ReturnType<typeof startCluster>>

/** Stands for the name in an address of whichever database of a cluster. */
export const ANY_DATABASE = 'DATABASE'
/** From the address of any database of a cluster to that of one. */
export const databaseOf = (address: string) => (name: string) => address.replace(ANY_DATABASE, name)
