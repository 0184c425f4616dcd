import { existsSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { Knex } from 'knex'
import { afterAll, describe, expect, it } from 'vitest'
import { ArchiveTrouble, backUp, holdsOf, restore } from '../../scripts/archive'
import { letOldDemoIn } from '../../scripts/demo/people'
import { DEMO_NAMES } from '../../scripts/demo/signIn.mjs'
import { ROOT } from '../../scripts/local/paths.mjs'
import { jobIdsAfter } from '../../server/jobs/jobs.repository'
import { refoldJob } from '../../server/jobs/logbook'
import type { JobAnswer, JobSummary, Page } from '../../shared/api/answers'
import { AUTHOR, draft } from '../support/entries'
import { programOn } from '../support/program'
import { useProgram } from './client'
import { useDatabases } from './databases'

const api = useProgram('archive')
const folder = mkdtempSync(join(tmpdir(), 'archive-'))
afterAll(() => rmSync(folder, { recursive: true }))

const { open, empty: emptyDatabase } = useDatabases()

/** Every row of every table, put to one short figure a table. */
const rowsOf = async (knex: Knex): Promise<Record<string, string>> => {
  const tables = (await knex('pg_tables').where({ schemaname: 'public' }).select('tablename')) as {
    tablename: string
  }[]
  const told = tables.map(async ({ tablename }) => {
    const { rows } = (await knex.raw(
      "select count(*) || ':' || md5(coalesce(string_agg(t::text, '|' order by t::text), '')) as all from ?? as t",
      [tablename],
    )) as { rows: { all: string }[] }
    return [tablename, rows[0]?.all ?? ''] as const
  })
  return Object.fromEntries(await Promise.all(told))
}

describe('a works that is saved', () => {
  const file = join(folder, 'works.dump')

  it('comes back into an empty database, every row of every table', async () => {
    const there = open(api.program().databaseUrl)
    await backUp(api.program().databaseUrl, file)
    expect(existsSync(`${file}.part`)).toBe(false)
    const { address, knex } = await emptyDatabase('brought_back')
    expect(await restore(knex, address, file)).toEqual([])
    expect(await rowsOf(knex)).toEqual(await rowsOf(there))
    expect((await holdsOf(knex)).jobs).toBeGreaterThan(20)
  })

  it('never goes over what is there: neither a file nor a works', async () => {
    await expect(backUp(api.program().databaseUrl, file)).rejects.toThrow(/is there already/)
    const there = open(api.program().databaseUrl)
    const before = await rowsOf(there)
    await expect(restore(there, api.program().databaseUrl, file)).rejects.toThrow(/not empty/)
    expect(await rowsOf(there)).toEqual(before)
  })

  it('says plainly what is wrong with a file, and leaves the database empty', async () => {
    const { address, knex } = await emptyDatabase('left_empty')
    const broken = join(folder, 'broken.dump')
    writeFileSync(broken, 'no archive at all')
    await expect(restore(knex, address, broken)).rejects.toBeInstanceOf(ArchiveTrouble)
    await expect(restore(knex, address, join(folder, 'none.dump'))).rejects.toThrow(/There is no file/)
    expect(await knex('pg_tables').where({ schemaname: 'public' })).toEqual([])
  })
})

describe.each([
  ['0007-history', 16],
  ['0016-practice', 34],
])('a works saved at %s', (name, jobs) => {
  it('is brought up to today: every job reads as it did, is found, and takes the next entry', async () => {
    const { address, knex } = await emptyDatabase(`kept_${name.slice(0, 4)}`)
    const ran = await restore(knex, address, join(ROOT, 'tests', 'archives', `${name}.dump`))
    expect(ran.at(-1)).toBe('0020-search-words')
    const verdicts = () => knex('jobs').select('id', 'kind', 'verdict', 'closed_at').orderBy('id')
    const signed = await verdicts()
    expect(signed).toHaveLength(jobs)
    for (const id of await jobIdsAfter(knex, null, 200)) await refoldJob(knex, id)
    expect(await verdicts()).toEqual(signed)

    const program = await programOn(address)
    try {
      // Nobody could sign in then: a lead of the old register takes a PIN, and a millwright is given one.
      await program.firstLead('Maintenance lead')
      await program.letIn(AUTHOR)
      const ask = async <T>(path: string) => {
        const answer = await program.fetch(path)
        expect(answer.status, path).toBe(200)
        return (await answer.json()) as T
      }
      for (const { id } of signed as { id: string }[])
        expect((await ask<JobAnswer>(`/api/jobs/${id}`)).entries.length).toBeGreaterThan(0)
      await ask('/api/today')
      const found = await ask<{ rows: unknown[] }>('/api/logbook?words=CP-11')
      expect(found.rows.length).toBeGreaterThan(0)
      const { rows } = await ask<Page<JobSummary>>('/api/jobs?open=yes')
      const [job] = rows
      const remark = draft({ kind: 'remark', payload: { text: 'Brought back.' } })
      const answer = await program.fetch(`/api/jobs/${job?.id}/entries`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(remark),
      })
      expect(answer.status).toBe(201)
      // A demo that was started before lets everybody in by the PIN that its page names, once.
      expect(await knex.transaction(letOldDemoIn)).toBe(true)
      expect(await knex.transaction(letOldDemoIn)).toBe(false)
      await program.signIn([DEMO_NAMES.night])
    } finally {
      await program.stop()
    }
  })
})
