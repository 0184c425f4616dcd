import { startPostgres } from '../../scripts/local/postgres.mjs'

/** A throw-away PostgreSQL on a free port, one for each worker of the tests. */
export const startCluster = () => {
  const worker = process.env.VITEST_POOL_ID
  return startPostgres(worker ? `test-${worker}` : 'test', { port: 0, throwAway: true })
}

export type Cluster = Awaited<ReturnType<typeof startCluster>>
