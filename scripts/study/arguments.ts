import { argument } from '../arguments'

const given = process.argv.slice(2)

/** How many jobs were asked for on the command line. */
export const countOf = (usual: number): number => {
  const at = given.indexOf('--seed')
  const count = given.find((a, i) => /^\d+$/.test(a) && (at < 0 || i !== at + 1))
  return Number(count ?? usual)
}

/** `--seed n`: other jobs than the published ones, which are those of seed 0. */
export const seedOf = (): number => argument('seed', 0)
