import { execFileSync } from 'node:child_process'
import { join } from 'node:path'
import knexModule, { type Knex } from 'knex'
import { knexOptions } from '../../server/database/connection'
import { signInAll } from '../demo/signIn.mjs'
import { buildProgram } from '../local/prepare.mjs'
import { ROOT } from '../local/paths.mjs'
import { startPostgres } from '../local/postgres.mjs'
import { say } from '../local/say.mjs'
import { startWeb } from '../local/webServer.mjs'

/** Jobs of the small and of the big works, and entries that a job has in the mean. */
const SMALL = 1_000
const BIG = 100_000
const ENTRIES_A_JOB = 20
const TIMES = 40
const WARM = 5
const PORT = 4391
/** At most so much slower in the big works. */
const BAR = 2

/** What is asked, by name. */
const ASKED: Readonly<Record<string, string>> = {
  Today: '/api/today',
  'jobs, closed': '/api/jobs?open=no',
  'a machine': '/api/machines/CP-11',
  'logbook, all': '/api/logbook',
  'logbook, one word': '/api/logbook?words=coupling',
  'logbook, one job’s number': '/api/logbook?words=nr000017',
  'logbook, three words': '/api/logbook?words=clay%20ball%20mill',
  'logbook, a word nobody wrote': '/api/logbook?words=mill%20planned%20press',
  'logbook, words never together': '/api/logbook?words=press%20kiln%20glaze',
  'logbook, out of band': '/api/logbook?verdict=out',
  'logbook, place and state': '/api/logbook?area=kiln%20yard&state=closed',
  'logbook, machine and days': '/api/logbook?machine=CP-11&from=2022-01-01&to=2022-12-31',
  'logbook, nothing holds it': '/api/logbook?words=nowhere&verdict=edge',
}

/** Copies the closed jobs of the demo works until there are so many, spread over ten years; entries and figures with them. */
const grow = async (knex: Knex, jobs: number): Promise<void> => {
  await knex.raw(
    `
    create table made as
    select gen_random_uuid() as id, t.id as like_id, n,
      timestamptz '2016-01-01' + n * (interval '3650 days' / ?::int) as opened_at
    from generate_series(1, ?::int) as n
    join (select id, row_number() over (order by id) - 1 as nth, count(*) over () as of from jobs where closed_at is not null) t
      on t.nth = n % t.of`,
    [jobs, jobs],
  )
  const columns = async (table: string, not: readonly string[]): Promise<string> => {
    const all = Object.keys(await knex(table).columnInfo())
    return all.filter((c) => !not.includes(c)).join(', ')
  }
  const own = await columns('jobs', ['id', 'opened_at', 'closed_at', 'updated_at', 'next_due'])
  await knex.raw(`
    insert into jobs (id, opened_at, closed_at, updated_at, next_due, ${own})
    select m.id, m.opened_at, m.opened_at + interval '5 hours', m.opened_at + interval '5 hours', null,
      ${own
        .split(', ')
        .map((c) => `j.${c}`)
        .join(', ')}
    from made m join jobs j on j.id = m.like_id`)
  const entry = await columns('entries', ['id', 'job_id', 'after_entry', 'before_entry', 'supersedes', 'seq'])
  await knex.raw(
    `
    insert into entries (id, job_id, seq, ${entry})
    select gen_random_uuid(), m.id, s.seq, ${entry
      .split(', ')
      .map((c) => `e.${c}`)
      .join(', ')}
    from made m cross join generate_series(1, ?::int) as s(seq)
    join lateral (select * from entries where job_id = m.like_id order by seq offset (s.seq - 1) % 5 limit 1) e on true`,
    [ENTRIES_A_JOB],
  )
  const figure = await columns('job_figures', ['job_id', 'at'])
  await knex.raw(`
    insert into job_figures (job_id, at, ${figure})
    select m.id, m.opened_at, ${figure
      .split(', ')
      .map((c) => `f.${c}`)
      .join(', ')}
    from made m join job_figures f on f.job_id = m.like_id`)
  await knex.raw(`
    insert into job_search (job_id, opened_at, words, terms)
    select m.id, m.opened_at, strip(s.words || to_tsvector('simple', 'nr' || lpad(m.n::text, 6, '0'))), s.terms
    from made m join job_search s on s.job_id = m.like_id`)
  await knex.raw('drop table made')
  await knex.raw('analyze')
}

const median = (list: readonly number[]): number =>
  [...list].sort((a, b) => a - b)[list.length >> 1] as number

interface Works {
  readonly url: string
  readonly cookie: string
}

/** Milliseconds of one question to one works. */
const asked = async ({ url, cookie }: Works, path: string): Promise<number> => {
  const from = performance.now()
  const answer = await fetch(url + path, { headers: { cookie } })
  await answer.text()
  if (!answer.ok) throw new Error(`${path} answered ${answer.status}`)
  return performance.now() - from
}

/** Median milliseconds of each question in each works, asked in turns so that a busy moment falls on all alike. */
const timed = async (works: readonly Works[]): Promise<Readonly<Record<string, readonly number[]>>> => {
  const taken = new Map<string, number[][]>()
  for (let i = 0; i < TIMES; i++)
    for (const [name, path] of Object.entries(ASKED)) {
      const own = taken.get(name) ?? works.map(() => [])
      taken.set(name, own)
      for (const [at, one] of works.entries()) {
        const ms = await asked(one, path)
        // The first ones warm caches and plans.
        if (i >= WARM) own[at]?.push(ms)
      }
    }
  return Object.fromEntries([...taken].map(([name, own]) => [name, own.map(median)]))
}

/** Lists, Today and search in a works of 1 000 jobs and in one of 100 000 with 2 000 000 entries; 1 where a bar is broken. */
export const benchBig = async (): Promise<number> => {
  await buildProgram()
  const postgres = await startPostgres('bench', { port: 0, throwAway: true })
  const webs: Awaited<ReturnType<typeof startWeb>>[] = []
  /** Does this in a database, with nobody else in it. */
  const inside = async (database: string, work: (knex: Knex) => Promise<unknown>): Promise<void> => {
    const knex = knexModule(knexOptions(postgres.url(database)))
    try {
      await work(knex)
    } finally {
      await knex.destroy()
    }
  }
  const filled = (database: string, jobs: number) =>
    inside(database, async (knex) => {
      const from = performance.now()
      await grow(knex, jobs)
      const { count } = (await knex('entries').count('* as count').first()) as { count: string }
      say(`${jobs} jobs more, ${count} entries, in ${((performance.now() - from) / 1000).toFixed(0)} s`)
    })
  const opened = async (database: string, port: number): Promise<Works> => {
    webs.push(
      await startWeb({
        port,
        databaseUrl: postgres.url(database),
        env: { HC_LOG_LEVEL: 'error', HC_INSTRUMENTS: 'off' },
      }),
    )
    const url = `http://127.0.0.1:${port}`
    return { url, cookie: await signInAll(url) }
  }
  try {
    await inside('postgres', (knex) => knex.raw('create database small'))
    execFileSync(process.execPath, ['--import', 'tsx', join('scripts', 'seed.ts')], {
      cwd: ROOT,
      env: { ...process.env, DATABASE_URL: postgres.url('small') },
    })
    await filled('small', SMALL)
    await inside('postgres', (knex) => knex.raw('create database big template small'))
    await filled('big', BIG - SMALL)
    const times = await timed([await opened('small', PORT), await opened('big', PORT + 1)])
    let broken = false
    for (const [name, [was = 0, now = 0]] of Object.entries(times)) {
      const holds = now <= BAR * was
      broken ||= !holds
      say(
        `${name.padEnd(30)} ${was.toFixed(2).padStart(7)} ms  ${now.toFixed(2).padStart(7)} ms  ${(now / was).toFixed(2)} times, at most ${BAR}: ${holds ? 'holds' : 'BROKEN'}`,
      )
    }
    return broken ? 1 : 0
  } finally {
    for (const web of webs) await web.stop()
    await postgres.stop()
  }
}
