import { randomUUID } from 'node:crypto'
import knexModule from 'knex'
import { describe, expect, it } from 'vitest'
import { PEOPLE } from '../../scripts/demo/works'
import { knexOptions } from '../../server/database/connection'
import { fillFromRows } from '../../server/database/migrations/0018-job-search'
import type { SavedView, SearchAnswer } from '../../shared/search/search'
import { draft, OPENING } from '../support/entries'
import { expectRefusal, issuePaths, useProgram } from './client'

const api = useProgram('search')
const search = async (query: Record<string, string>): Promise<SearchAnswer> => {
  const answer = await api.ask(`/api/logbook?${new URLSearchParams(query).toString()}`)
  expect(answer.status, JSON.stringify(answer.body)).toBe(200)
  return answer.body as unknown as SearchAnswer
}
const ids = ({ rows }: SearchAnswer) => rows.map((r) => r.id)
const remark = (text: string) => ({ kind: 'remark', payload: { text } }) as const

describe('the logbook of the works', () => {
  it('finds a job by what was written in it, the moment it is written, and by the beginning of a word', async () => {
    const job = await api.openJob('CP-14')
    expect(ids(await search({ words: 'zirconflakes' }))).toEqual([])
    await api.log(job, remark('Grease full of zirconflakes at the pump end.'))
    expect(ids(await search({ words: 'ZIRCON' }))).toEqual([job])
    expect(ids(await search({ words: 'pump zircon cp-14 extruder' }))).toEqual([job])
    expect(ids(await search({ words: 'zircon kiln' }))).toEqual([])
    // What has no letters and no figures narrows nothing down; quotes and operators are words like others.
    expect((await search({ words: ' --- ' })).counted).toBe((await search({})).counted)
    expect(ids(await search({ words: `zircon' & ! | <-> ("pump"` }))).toEqual([job])
  })

  it('narrows down by what jobs were, and says how many are left of each', async () => {
    const all = await search({ most: '200' })
    expect(all.counted).toBe(all.rows.length)
    const counts = Object.fromEntries(all.facets?.state.map((f) => [f.value, f.count]) ?? [])
    expect(counts['open']).toBe(all.rows.filter((r) => r.closedAt === null).length)
    expect(counts['closed']).toBe(all.rows.filter((r) => r.closedAt !== null).length)
    for (const [facet, values] of Object.entries(all.facets ?? {}))
      for (const { value, count } of values) {
        const found = await search({ [facet]: value, most: '200' })
        expect(found.rows.length, `${facet} ${value}`).toBe(count)
      }
    const kiln = await search({ machine: 'cp-11', state: 'closed' })
    expect(kiln.rows.length).toBeGreaterThan(0)
    expect(new Set(kiln.rows.map((r) => r.tag))).toEqual(new Set(['CP-11']))
  })

  it('follows a correction of the opening, and who writes', async () => {
    const id = randomUUID()
    const opening = draft({
      ...OPENING,
      payload: { ...OPENING.payload, customer: 'Harbour Works' },
    } as typeof OPENING)
    expect((await api.post('/api/jobs', { id, machine: 'CP-11', opening })).status).toBe(201)
    expect(ids(await search({ customer: 'harbour works' }))).toEqual([id])
    const put = draft({ ...OPENING, payload: { ...OPENING.payload, customer: 'Quarry' } } as typeof OPENING, {
      supersedes: { entry: opening.id, reason: 'another customer' },
      after: opening.id,
    })
    expect((await api.post(`/api/jobs/${id}/entries`, put)).status).toBe(201)
    expect(ids(await search({ customer: 'Harbour Works' }))).toEqual([])
    expect(ids(await search({ customer: 'Quarry' }))).toEqual([id])
    const other = PEOPLE.find((p) => p.role === 'apprentice')!.id
    expect(ids(await search({ customer: 'quarry', person: other }))).toEqual([])
    await api.log(id, remark('seen'), { author: other })
    expect(ids(await search({ customer: 'quarry', person: other }))).toEqual([id])
  })

  it('goes on page by page, newest first, each job once', async () => {
    const all = ids(await search({ most: '200' }))
    const paged: string[] = []
    let after: string | null = null
    do {
      const page: SearchAnswer = await search({ most: '7', ...(after ? { after } : {}) })
      paged.push(...ids(page))
      expect(page.facets === null).toBe(after !== null)
      after = page.next
    } while (after)
    expect(paged).toEqual(all)
    const days = (await search({ most: '200', from: '2000-01-01', to: '2001-01-01' })).rows
    expect(days).toEqual([])
  })

  it('refuses what it does not know, with a sentence at its field', async () => {
    for (const [query, path] of [
      ['verdict=fine', 'verdict'],
      ['from=yesterday', 'from'],
      ['person=me', 'person'],
      ['words=' + 'x'.repeat(201), 'words'],
      ['most=0', 'most'],
      ['after=nowhere', 'after'],
      ['kind=rope', 'kind'],
    ]) {
      const answer = await api.ask(`/api/logbook?${query}`)
      expectRefusal(answer, 422)
      expect(issuePaths(answer)).toContain(path)
    }
  })

  it('finds jobs of before it was kept, by what their rows and entries tell', async () => {
    const knex = knexModule(knexOptions(api.program().databaseUrl))
    try {
      const read = async () =>
        (await knex('job_search').orderBy('job_id').select('job_id', 'words', 'terms', 'opened_at')) as {
          job_id: string
          terms: string[]
          words: string
        }[]
      const own = await read()
      await knex('job_search').delete()
      await fillFromRows(knex)
      const filled = await read()
      expect(filled.map((r) => r.job_id)).toEqual(own.map((r) => r.job_id))
      filled.forEach((row, i) => {
        const known = own[i]?.terms ?? []
        expect(known).toEqual(expect.arrayContaining(row.terms))
        // What only folding tells is added by `npm run refold`.
        const left = known.filter((t) => !row.terms.includes(t))
        expect(left.filter((t) => !/^(cause|exception):/.test(t))).toEqual([])
        const words = (text: string) => text.match(/'[^']+'/g) ?? []
        expect(words(row.words)).toEqual(words(own[i]?.words ?? ''))
      })
    } finally {
      await knex.destroy()
    }
  })
})

describe('words as they are typed', () => {
  const countOf = async (words: string) =>
    (
      (await api.ask(`/api/logbook?words=${encodeURIComponent(words)}&most=200`))
        .body as unknown as SearchAnswer
    ).rows.length

  it('are found from the first letters on, by themselves and together, however many words they begin', async () => {
    const job = await api.openJob()
    for (let i = 0; i < 70; i++)
      expect((await api.log(job, remark(`zq${String(i).padStart(3, '0')} seen`))).status).toBe(201)
    expect(await countOf('zq000')).toBe(1)
    expect(await countOf('zq06')).toBe(1)
    expect(await countOf('zq')).toBe(1)
    expect(await countOf('zq seen zq069')).toBe(1)
    expect(await countOf('zq0 nobodywrotethis')).toBe(0)
    expect(await countOf("zq'")).toBe(1)
  })

  it('of before they were kept, and of a works that was brought in, are kept as well', async () => {
    const knex = knexModule(knexOptions(api.program().databaseUrl))
    try {
      const { rows } = (await knex.raw(`
        select count(*) filter (where s.word is null)::int as missing, count(*)::int as all
        from ts_stat('select words from job_search') t left join search_words s on s.word = t.word collate "C"`)) as {
        rows: { missing: number; all: number }[]
      }
      expect(rows[0]?.missing).toBe(0)
      expect(rows[0]?.all).toBeGreaterThan(200)
    } finally {
      await knex.destroy()
    }
  })
})

describe('what was found', () => {
  const table = async (name: string, query = '') => {
    const answer = await api.program().fetch(`/api/files/tables/${name}?${query}`)
    expect(answer.headers.get('content-type')).toBe('text/csv; charset=utf-8')
    return (await answer.text()).trimEnd().split('\r\n')
  }

  it('is taken out as CSV: jobs, readings, moves and belts of just those', async () => {
    const { body } = await api.ask('/api/logbook?machine=cp-11&most=200')
    const found = (body as unknown as SearchAnswer).rows
    const jobs = await table('jobs', 'machine=cp-11')
    expect(jobs.slice(1).map((line) => line.split(',')[0])).toEqual(found.map((j) => j.id))
    for (const name of ['readings', 'moves']) {
      const lines = (await table(name, 'machine=cp-11')).slice(1)
      expect(lines.length).toBeGreaterThan(0)
      for (const line of lines) expect(line).toContain(',CP-11,')
    }
    expect((await table('belts', 'machine=gl-03')).length).toBeGreaterThan(5)
    expect(await table('belts', 'machine=cp-11')).toHaveLength(1)
  })

  it('is refused for a table that is none, or a search that makes no sense', async () => {
    expectRefusal(await api.ask('/api/files/tables/people'), 404)
    expectRefusal(await api.ask('/api/files/tables/jobs?verdict=fine'), 422)
  })
})

describe('searches kept under a name', () => {
  const person = PEOPLE[0]!.id
  const view = (more: object = {}) => ({
    id: randomUUID(),
    person,
    name: 'Out of band',
    query: 'verdict=out',
    ...more,
  })
  const kept = async (who = person) =>
    (await api.ask(`/api/logbook/views?person=${who}`)).body as unknown as readonly SavedView[]

  it('are their owner’s; the same name again takes the place of the one before', async () => {
    expect((await api.post('/api/logbook/views', view())).status).toBe(201)
    expect((await api.post('/api/logbook/views', view({ query: 'verdict=out&kind=belt' }))).status).toBe(201)
    expect((await kept()).map((v) => [v.name, v.query])).toEqual([['Out of band', 'verdict=out&kind=belt']])
    expect(await kept(PEOPLE[1]!.id)).toEqual([])
    const [mine] = await kept()
    expectRefusal(await api.post(`/api/logbook/views/${mine!.id}/drop`, { by: PEOPLE[1]!.id }), 404)
    expect((await api.post(`/api/logbook/views/${mine!.id}/drop`, { by: person })).status).toBe(200)
    expect(await kept()).toEqual([])
  })

  it('are refused without a name, by nobody, or under an id that stands elsewhere', async () => {
    expect(issuePaths(await api.post('/api/logbook/views', view({ name: '  ' })))).toContain('name')
    expectRefusal(await api.post('/api/logbook/views', view({ person: randomUUID() })), 422)
    const one = view({ name: 'One' })
    await api.post('/api/logbook/views', one)
    expectRefusal(await api.post('/api/logbook/views', { ...one, name: 'Two' }), 409)
    expectRefusal(await api.post('/api/logbook/views', { ...one, person: PEOPLE[1]!.id, name: 'Three' }), 409)
  })
})
