/** `npm run bench:server` (with `-- --big`: lists and search of a works of 100 000 jobs): appending entries beside a bare insert route of the same server on as many connections, and on long jobs beside short ones. */
import { randomUUID } from 'node:crypto'
import { execFileSync } from 'node:child_process'
import { join } from 'node:path'
import knexModule from 'knex'
import { knexOptions } from '../../server/database/connection'
import { signInAll } from '../demo/signIn.mjs'
import { buildWithBareRoute } from '../local/prepare.mjs'
import { ROOT } from '../local/paths.mjs'
import { startPostgres } from '../local/postgres.mjs'
import { run, say } from '../local/say.mjs'
import { startWeb } from '../local/webServer.mjs'
import { benchBig } from './big'
import { at, load, type Load } from './load'
import { day, draft } from './workingDay'

const CONNECTIONS = 10
const POSTS = 1500
const JOBS = 50
const ROUNDS = 5
/** Entries of one writer before the other job has its turn. */
const TURN = 60
const PORT = 4390
const WEB = `http://127.0.0.1:${PORT}`

let cookie = ''
const remark = () => draft({ kind: 'remark', payload: { text: 'A word on what was found at the pump end.' } })

const open = async (): Promise<{ readonly id: string; readonly last: string }> => {
  const id = randomUUID()
  const opening = draft({
    kind: 'job-opened',
    payload: { reason: 'planned', rpm: 990, customer: '', note: '' },
  })
  await load(1, [{ url: `${WEB}/api/jobs`, body: { id, machine: 'CP-11', opening } }], cookie)
  return { id, last: opening.id }
}
const entriesOf = (job: string) => `${WEB}/api/jobs/${job}/entries`

const median = (list: readonly number[]): number =>
  [...list].sort((a, b) => a - b)[list.length >> 1] as number
const line = (label: string, loads: readonly Load[]): string =>
  `${label.padEnd(46)} ${median(loads.map((l) => l.perSecond))
    .toFixed(0)
    .padStart(
      6,
    )} a second   median ${median(loads.map((l) => at(l, 0.5))).toFixed(2)} ms   99 % ${median(loads.map((l) => at(l, 0.99))).toFixed(2)} ms`

await run(async () => {
  if (process.argv.includes('--big')) return benchBig()
  const program = await buildWithBareRoute()
  const postgres = await startPostgres('bench', { port: 0, throwAway: true, durable: true })
  let broken = false
  const bar = (name: string, value: number, holds: boolean) => {
    broken ||= !holds
    return `${name} ${value.toFixed(2)}: ${holds ? 'holds' : 'BROKEN'}`
  }
  try {
    const databaseUrl = postgres.url('postgres')
    execFileSync(process.execPath, ['--import', 'tsx', join('scripts', 'seed.ts')], {
      cwd: ROOT,
      env: { ...process.env, DATABASE_URL: databaseUrl },
    })
    const knex = knexModule(knexOptions(databaseUrl))
    await knex.schema.createTable('bare', (t) => {
      t.uuid('id').primary()
      t.uuid('job').notNullable().index()
      t.jsonb('payload').notNullable()
      t.timestamp('at').notNullable().defaultTo(knex.fn.now())
    })
    await knex.destroy()
    const web = await startWeb({
      port: PORT,
      databaseUrl,
      program,
      env: { HC_LOG_LEVEL: 'error' },
    })
    try {
      cookie = await signInAll(WEB)
      const jobs: string[] = []
      for (let i = 0; i < JOBS; i++) jobs.push((await open()).id)
      const bare: Load[] = []
      const many: Load[] = []
      const one: Load[] = []
      const bareposts = () =>
        Array.from({ length: POSTS }, (_, i) => ({
          url: `${WEB}/api/bare`,
          body: { ...remark(), job: jobs[i % JOBS] },
        }))
      const overJobs = () =>
        Array.from({ length: POSTS }, (_, i) => ({
          url: entriesOf(jobs[i % JOBS] as string),
          body: remark(),
        }))
      // Warm, then in turns, so that a busy moment of the machine falls on all alike.
      await load(CONNECTIONS, bareposts(), cookie)
      await load(CONNECTIONS, overJobs(), cookie)
      for (let round = 0; round < ROUNDS; round++) {
        bare.push(await load(CONNECTIONS, bareposts(), cookie))
        many.push(await load(CONNECTIONS, overJobs(), cookie))
        const { id } = await open()
        one.push(
          await load(
            CONNECTIONS,
            Array.from({ length: POSTS }, () => ({ url: entriesOf(id), body: remark() })),
            cookie,
          ),
        )
      }
      const rate = (loads: readonly Load[]) => median(loads.map((l) => l.perSecond))
      const tail = (loads: readonly Load[]) => median(loads.map((l) => at(l, 0.99)))
      say(line(`bare insert, ${CONNECTIONS} connections`, bare))
      say(line(`append over ${JOBS} jobs`, many))
      say(
        `  ${bar('throughput against bare, at least 0.5:', rate(many) / rate(bare), rate(many) >= 0.5 * rate(bare))}`,
      )
      say(`  ${bar('99 % against bare, at most 3:', tail(many) / tail(bare), tail(many) <= 3 * tail(bare))}`)
      say(line('append on one job', one))
      say(
        `  ${bar('throughput against bare, at least 0.25:', rate(one) / rate(bare), rate(one) >= 0.25 * rate(bare))}`,
      )

      // One writer, entry after entry: on a long job and on short ones in turns, so that a busy moment falls on both.
      const writer = async (length: number) => {
        const { id, last } = await open()
        const entries = day(length, last)
        return (from: number, to: number) =>
          load(
            1,
            entries
              .slice(from, to)
              .reverse()
              .map((body) => ({ url: entriesOf(id), body })),
            cookie,
          )
      }
      const onLong = await writer(5000 + ROUNDS * TURN)
      await onLong(0, 5000)
      const short: Load[] = []
      const long: Load[] = []
      for (let round = 0; round < ROUNDS; round++) {
        const onShort = await writer(100 + TURN)
        await onShort(0, 100)
        short.push(await onShort(100, 100 + TURN))
        long.push(await onLong(5000 + round * TURN, 5000 + (round + 1) * TURN))
      }
      say(line('append, mixed kinds, at 100 entries', short))
      say(line('append, mixed kinds, at 5000 entries', long))
      const half = (loads: readonly Load[]) => median(loads.map((l) => at(l, 0.5)))
      const ratio = half(long) / half(short)
      say(`  ${bar('cost against 100 entries, at most 1.5:', ratio, ratio <= 1.5)}`)
    } finally {
      await web.stop()
    }
  } finally {
    await postgres.stop()
  }
  return broken ? 1 : 0
})
