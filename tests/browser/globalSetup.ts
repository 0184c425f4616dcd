import { ANY_DATABASE, startCluster } from '../support/cluster'

/** One throw-away cluster for all browser tests; each worker starts its own program on it. */
export default async () => {
  const cluster = await startCluster()
  process.env.HC_TEST_DATABASE = cluster.url(ANY_DATABASE)
  return () => cluster.stop()
}
