import { randomUUID } from 'node:crypto'
import { describe, expect, it } from 'vitest'
import { PEOPLE } from '../../scripts/demo/works'
import type { PracticeAnswer } from '../../shared/practice/result'
import { expectRefusal, issuePaths, useProgram } from './client'

const api = useProgram('practice')
const who = (role: string) => PEOPLE.find((p) => p.role === role)!.id
const result = (more: object = {}) => ({
  id: randomUUID(),
  person: who('apprentice'),
  lesson: 'bracket-that-slips',
  machine: 'BENCH Short coupling',
  seed: 503,
  hands: 'ordinary',
  faults: [{ fault: 'slipping-bracket', cured: true }],
  verdict: 'in',
  moves: 2,
  fewest: 2,
  asked: 1,
  helped: false,
  minutes: 17.4,
  habits: [{ habit: 'watches-the-return', well: true }],
  passed: 0,
  finishedAt: '2026-11-27T09:30:00.000Z',
  ...more,
})
const seen = async (person: string) =>
  (await api.ask(`/api/practice?person=${person}`)).body as unknown as PracticeAnswer

describe('results of the bench', () => {
  it('are kept once however often they are handed in, and told to their owner, the newest first', async () => {
    const first = result()
    expect((await api.post('/api/practice/results', first)).status).toBe(201)
    expect((await api.post('/api/practice/results', { ...first, moves: 9 })).status).toBe(201)
    const later = result({ finishedAt: '2026-11-27T10:30:00.000Z', verdict: 'edge' })
    await api.post('/api/practice/results', later)
    const { own, all } = await seen(who('apprentice'))
    expect(own.map((r) => [r.verdict, r.moves])).toEqual([
      ['edge', 2],
      ['in', 2],
    ])
    expect(all).toBeNull()
    expect((await seen(who('millwright'))).own).toEqual([])
  })

  it('are seen by a lead, and go into a file that no spreadsheet takes for a formula', async () => {
    await api.post('/api/practice/results', result({ machine: '=1+1' }))
    const { all } = await seen(who('lead'))
    expect(all?.length).toBeGreaterThan(0)
    const file = await api.program().fetch(`/api/practice/results.csv?person=${who('lead')}`)
    expect(file.headers.get('content-type')).toContain('text/csv')
    const lines = (await file.text()).split('\r\n')
    expect(lines[0]).toContain('finished at,person,lesson')
    expect(lines.join('\n')).toContain("'=1+1")
    const others = await api.ask(`/api/practice/results.csv?person=${who('apprentice')}`)
    expectRefusal(others, 403, 'not-allowed')
  })

  it('are refused with a sentence where they make no sense', async () => {
    const bad = await api.post('/api/practice/results', result({ moves: -1, verdict: 'fine', lesson: 'x' }))
    expectRefusal(bad, 422)
    expect(issuePaths(bad)).toEqual(expect.arrayContaining(['moves', 'verdict', 'lesson']))
    expectRefusal(await api.post('/api/practice/results', result({ person: randomUUID() })), 422)
    expectRefusal(await api.ask('/api/practice?person=nobody'), 422)
    expectRefusal(await api.ask('/api/practice'), 422)
    expectRefusal(await api.ask(`/api/practice?person=${randomUUID()}`), 422)
  })
})

describe('lessons that are set', () => {
  const task = (more: object = {}) => ({
    id: randomUUID(),
    by: who('lead'),
    lesson: 'bar-hangs',
    until: '2099-12-31',
    note: 'In band in two moves, without a hint.',
    ...more,
  })

  it('are a lead’s to set and to take back, and everybody sees them', async () => {
    const own = task()
    expect((await api.post('/api/practice/tasks', own)).status).toBe(201)
    expect((await seen(who('apprentice'))).tasks).toContainEqual(own)
    expectRefusal(await api.post('/api/practice/tasks', own), 409, 'id-taken')
    expectRefusal(await api.post('/api/practice/tasks', task({ by: who('apprentice') })), 403, 'not-allowed')
    const path = `/api/practice/tasks/${own.id}`
    expectRefusal(await api.send('PUT', path, { by: who('millwright') }), 403, 'not-allowed')
    expect((await api.send('PUT', path, { by: who('lead') })).status).toBe(200)
    expect((await seen(who('apprentice'))).tasks).not.toContainEqual(own)
  })

  it('are refused where the day or the lesson is none', async () => {
    const bad = await api.post('/api/practice/tasks', task({ until: 'soon', lesson: 'none' }))
    expectRefusal(bad, 422)
    expect(issuePaths(bad)).toEqual(expect.arrayContaining(['until', 'lesson']))
    expectRefusal(await api.send('PUT', '/api/practice/tasks/none', { by: who('lead') }), 404)
    expectRefusal(await api.send('PUT', `/api/practice/tasks/${randomUUID()}`, { by: who('lead') }), 404)
  })
})
