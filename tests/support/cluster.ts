import { startPostgres } from '../../scripts/local/postgres.mjs'

/** A throw-away cluster for one run of tests; its data are gone afterwards. */
export const startCluster = () => startPostgres('test', { port: 0, throwAway: true })

export type Cluster = Awaited<ReturnType<typeof startCluster>>
