import { describe, expect, it } from 'vitest'
import type { JobFigure } from '../../core/jobs/summary'
import type { PastJob } from '../api/answers'
import { bandSteps, judgedNames, rangeOf, splitName, trendOf } from './trend'

const figure = (moment: JobFigure['moment'], name: string, value: number, more = {}): JobFigure => ({
  moment,
  name,
  value,
  aim: 0,
  low: -2,
  high: 2,
  verdict: 'in',
  ...more,
})
const past = (day: string, figures: readonly JobFigure[]): PastJob => ({
  id: day,
  openedAt: `${day}T06:00:00.000Z`,
  closedAt: `${day}T10:00:00.000Z`,
  verdict: 'in',
  rounds: 1,
  figures,
  reason: 'planned',
  note: '',
  signedBy: '',
  exception: '',
  remarks: [],
  moved: [],
  flange: null,
  gear: null,
  belts: { fitted: false, pulled: false },
})
const jobs = [
  past('2026-06-01', [
    figure('as-found', 'offset.v', -1, { aim: 3, verdict: 'edge' }),
    figure('as-left', 'offset.v', 0.5, { aim: 3 }),
    figure('as-left', 'slope.h', 0.1),
    figure('as-left', 'slope.v', 0.1),
    figure('as-left', 'flex.movable.v', 0.1),
  ]),
  past('2026-01-01', [figure('as-found', 'offset.v', -5, { verdict: 'out', high: null })]),
  past('2025-06-01', []),
]

describe('a trend', () => {
  it('is oldest first, of the jobs that judged the quantity, as it lay and not from the target', () => {
    const trend = trendOf(jobs, 'offset.v')
    expect(trend.map((t) => t.id)).toEqual(['2026-01-01', '2026-06-01'])
    expect(trend[1]).toMatchObject({
      found: { value: 2, verdict: 'edge' },
      left: { value: 3.5, verdict: 'in' },
      aim: 3,
      low: 1,
      high: 5,
    })
    expect(trend[0]).toMatchObject({ found: { value: -5 }, left: null, low: -2, high: null })
  })

  it('holds its band from one job to the next; an open side goes to the edge', () => {
    const trend = trendOf(jobs, 'offset.v')
    const [, top] = rangeOf(trend)
    const until = Date.parse('2026-09-01')
    const [first, second, third, last] = bandSteps(trend, until)
    expect(first).toMatchObject({ at: trend[0]?.at, low: -2, high: top, aim: 0 })
    expect(second).toMatchObject({ at: trend[1]?.at, low: -2 })
    expect(third).toMatchObject({ at: trend[1]?.at, low: 1, aim: 3 })
    expect(last).toMatchObject({ at: until, low: 1, high: 5 })
  })

  it('draws every figure and every bound within its range, and the zero', () => {
    const [low, high] = rangeOf(trendOf(jobs, 'offset.v'))
    expect(low).toBeLessThan(-5)
    expect(high).toBeGreaterThan(5)
    expect(rangeOf([])[0]).toBeLessThan(0)
  })

  it('names what was judged, offsets before angles, vertical before horizontal', () => {
    expect(judgedNames(jobs)).toEqual(['offset.v', 'slope.v', 'slope.h', 'flex.movable.v'])
    expect(splitName('flex.stationary.h')).toEqual({ what: 'flex.stationary', plane: 'h' })
    expect(splitName('sheaves.turn')).toEqual({ what: 'sheaves.turn', plane: null })
  })
})
