import { describe, expect, it } from 'vitest'
import type { HistoryAnswer } from '../../shared/api/answers'
import type { Works } from '../../shared/register/works'
import { expectRefusal, useProgram } from './client'

const api = useProgram('history')
const historyOf = async (tag: string) =>
  (await api.ask(`/api/machines/${tag}/history`)).body as unknown as HistoryAnswer

describe('how long a move takes here', () => {
  it('is learned from the moves of the last closed jobs', async () => {
    const { pace } = (await api.ask('/api/works')).body as unknown as Works
    // The demo works is a fifth slower than the starting values.
    expect(pace?.factor).toBeGreaterThan(1.1)
    expect(pace?.factor).toBeLessThan(1.4)
    expect(pace?.moves).toBeGreaterThanOrEqual(5)
  })
})

describe('the history of a machine', () => {
  it('tells every closed job: why, found and left against its own target, what moved and who did it', async () => {
    const { jobs } = await historyOf('cp-11')
    expect(jobs.map((j) => j.closedAt)).toEqual([...jobs.map((j) => j.closedAt)].sort().reverse())
    const hot = jobs.find((j) => j.reason === 'vibration')
    expect(hot).toMatchObject({ signedBy: 'Night-shift millwright', verdict: 'in' })
    const left = hot?.figures.find((f) => f.moment === 'as-left' && f.name === 'offset.v')
    // The hot check set it off zero: the figure counts from there.
    expect(Math.abs(left?.aim ?? 0)).toBeGreaterThan(0.05)
    expect(left).toMatchObject({ verdict: 'in' })
    const rebuilt = jobs.find((j) => j.reason === 'moved')
    expect(rebuilt?.moved.map((m) => m.pair)).toEqual(['outboard', 'inboard'])
    expect(rebuilt?.moved[0]?.by).toEqual(['Day-shift millwright'])
    expect(rebuilt?.remarks.map((r) => r.text)).toContain('Base scraped clean at the two outboard feet.')
  })

  it('is there for belts too, and is empty for a machine that never closed a job', async () => {
    const [belts] = (await historyOf('GL-03')).jobs
    expect(belts?.figures.map((f) => f.name)).toContain('sheaves.offset')
    expect((await historyOf('CP-14')).jobs.every((j) => j.reason !== null)).toBe(true)
    expectRefusal(await api.ask('/api/machines/XX-1/history'), 404)
  })

  it('holds a job the moment it is closed, by what was logged and not by what was corrected', async () => {
    const before = (await historyOf('PR-02')).jobs.length
    const job = await api.openJob('PR-02')
    const close = { signedBy: 'x', remarks: 'Left as it was.', exception: 'Not worth it.', signed: null }
    expect((await api.log(job, { kind: 'job-closed', payload: close })).status).toBe(201)
    const { jobs } = await historyOf('PR-02')
    expect(jobs).toHaveLength(before + 1)
    expect(jobs[0]).toMatchObject({ id: job, rounds: 0, figures: [], moved: [], exception: 'Not worth it.' })
  })
})
