import type { TestProject } from 'vitest/node'
import { ANY_DATABASE, startCluster } from '../support/cluster'

declare module 'vitest' {
  export interface ProvidedContext {
    /** The address of any database of the cluster that all files share. */
    readonly address: string
  }
}

/** One throw-away cluster for all API tests; each file has a database and a program of its own on it. */
export default async ({ provide }: TestProject) => {
  const cluster = await startCluster('test-api')
  provide('address', cluster.url(ANY_DATABASE))
  return () => cluster.stop()
}
