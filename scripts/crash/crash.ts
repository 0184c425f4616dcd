/**
 * `npm run crash`: server and database are killed in turn, at moments of chance, while several hands write.
 * `-- --kills 4 --seed 7` for fewer, or other moments. Nothing acknowledged may be lost, nothing may stand
 * twice, and every job's columns must say what its logbook says.
 */
import { randomUUID } from 'node:crypto'
import { execFileSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import knexModule from 'knex'
import { seededRandom } from '../../core/random/random'
import { knexOptions } from '../../server/database/connection'
import { argument } from '../arguments'
import { signInAll } from '../demo/signIn.mjs'
import { buildProgram } from '../local/prepare.mjs'
import { ROOT } from '../local/paths.mjs'
import { startPostgres } from '../local/postgres.mjs'
import { run, say } from '../local/say.mjs'
import { startWeb } from '../local/webServer.mjs'
import { draft } from '../bench/workingDay'

const KILLS = argument('kills', 30)
const SEED = argument('seed', 1)
const PORT = argument('port', 4393)
const HANDS = 6
const JOBS = 3
const URL_AT = `http://127.0.0.1:${PORT}`

let cookie = ''
const post = async (path: string, body: unknown): Promise<number> => {
  const answer = await fetch(URL_AT + path, {
    method: 'POST',
    body: JSON.stringify(body),
    headers: { 'content-type': 'application/json', cookie },
    signal: AbortSignal.timeout(10_000),
  })
  await answer.arrayBuffer()
  return answer.status
}
const pause = (ms: number) => new Promise<void>((resolve) => setTimeout(resolve, ms))

await run(async () => {
  await buildProgram()
  // The disk is waited for: a killed database must have what it acknowledged.
  const postgres = await startPostgres('crash', { port: 0, throwAway: true, durable: true })
  const databaseUrl = postgres.url('postgres')
  const random = seededRandom(SEED)
  const acknowledged = new Map<string, string>()
  const faults: string[] = []
  let web: Awaited<ReturnType<typeof startWeb>> | null = null
  const startServer = () => startWeb({ port: PORT, databaseUrl, env: { HC_LOG_LEVEL: 'silent' } })
  let writing = true
  try {
    execFileSync(process.execPath, ['--import', 'tsx', join('scripts', 'seed.ts')], {
      cwd: ROOT,
      env: { ...process.env, DATABASE_URL: databaseUrl },
    })
    web = await startServer()
    cookie = await signInAll(URL_AT, 'day')
    const jobs: string[] = []
    for (let i = 0; i < JOBS; i++) {
      const id = randomUUID()
      const opening = draft({
        kind: 'job-opened',
        payload: { reason: 'planned', rpm: 990, customer: '', note: '' },
      })
      if ((await post('/api/jobs', { id, machine: 'CP-11', opening })) !== 201) throw new Error('no job')
      acknowledged.set(opening.id, id)
      jobs.push(id)
    }
    /** A hand writes one entry after the other; what was not acknowledged is sent again, as a tablet does. */
    const hands = Array.from({ length: HANDS }, async (_, hand) => {
      for (let n = 0; writing; n++) {
        const job = jobs[(hand + n) % JOBS] as string
        const entry = draft({ kind: 'remark', payload: { text: `hand ${hand}, entry ${n}` } })
        for (;;) {
          const status = await post(`/api/jobs/${job}/entries`, entry).catch(() => 0)
          if (status === 201 || status === 200) {
            acknowledged.set(entry.id, job)
            break
          }
          if (status !== 0 && status !== 503) faults.push(`an entry was answered ${status}`)
          if (!writing) break
          await pause(50)
        }
      }
    })

    for (let kill = 1; kill <= KILLS; kill++) {
      await pause(150 + random() * 700)
      const which = random() < 0.5 ? 'server' : 'database'
      if (which === 'server') {
        await web.kill()
        web = await startServer()
      } else {
        const pid = Number(readFileSync(join(postgres.data, 'postmaster.pid'), 'utf8').split('\n')[0])
        process.kill(pid, 'SIGKILL')
        await pause(200)
        await postgres.resume()
        const until = Date.now() + 30_000
        while (Date.now() < until) {
          const ok = await fetch(`${URL_AT}/api/health`).then(
            (a) => a.ok,
            () => false,
          )
          if (ok) break
          await pause(100)
        }
      }
      if (kill % 5 === 0 || kill === KILLS) say(`${kill} kills, ${acknowledged.size} entries acknowledged`)
    }
    await pause(500)
    writing = false
    await Promise.all(hands)

    const knex = knexModule(knexOptions(databaseUrl))
    try {
      const kept = (await knex('entries').select('id', 'job_id', 'seq')) as {
        id: string
        job_id: string
        seq: number
      }[]
      const byId = new Map(kept.map((e) => [e.id, e.job_id]))
      const lost = [...acknowledged].filter(([id, job]) => byId.get(id) !== job)
      if (lost.length > 0) faults.push(`${lost.length} acknowledged entries are lost`)
      if (byId.size !== kept.length) faults.push(`${kept.length - byId.size} entries stand twice`)
      for (const job of jobs) {
        const own = kept.filter((e) => e.job_id === job).map((e) => e.seq)
        const whole = own.sort((a, b) => a - b).every((seq, i) => seq === i + 1)
        const row = (await knex('jobs').where({ id: job }).first('entry_count')) as { entry_count: number }
        if (!whole) faults.push(`a logbook has gaps`)
        if (row.entry_count !== own.length)
          faults.push(`a job says ${row.entry_count} entries, has ${own.length}`)
      }
      say(
        `${KILLS} kills, seed ${SEED}: ${acknowledged.size} entries acknowledged, ${kept.length} kept; ${faults.length === 0 ? 'nothing lost, nothing doubled' : faults.join('; ')}.`,
      )
    } finally {
      await knex.destroy()
    }
  } finally {
    writing = false
    await web?.stop()
    await postgres.stop()
  }
  return faults.length === 0 ? 0 : 1
})
