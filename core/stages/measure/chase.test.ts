import { describe, expect, it } from 'vitest'
import { TestJob } from '../../jobs/testJob'
import { chaseIn, roundShares, roundsInVain, upstreamOf } from './chase'

const at = (v: number) => ({ offset: { v, h: 0 }, slope: { v: 0, h: 0 } })
const moved = (job: TestJob) =>
  job.add({
    kind: 'move-made',
    payload: {
      units: 'inch',
      changes: [],
      side: [{ machine: 'movable', pair: 'inboard', moved: 1 }],
      remark: '',
    },
  })
/** A job whose motor stood at each of these offsets, a move between them. */
const rounds = (...offsets: readonly number[]) => {
  const job = new TestJob().ready()
  offsets.forEach((v, i) => {
    if (i > 0) moved(job)
    job.read(at(v))
    job.read(at(v))
  })
  return job.state
}

describe('rounds side by side', () => {
  it('tell by the worst share of a limit how near it came', () => {
    const state = rounds(-15, -5)
    const shares = roundShares(state.measurements, state.tolerance, state.target)
    expect(shares[0]).toBeCloseTo(3, 1)
    expect(shares[1]).toBeCloseTo(1, 1)
  })

  it.each([
    ['one move in vain is bad luck', [3, 3.1], 1],
    ['two are a chase', [3, 2.9, 3.2], 2],
    ['a round that helped ends it', [3, 3, 1.5], 0],
    ['so does one that came in', [3, 3, 3, 0.9], 0],
    ['a round that was not measured is no round', [3, null, 2.9, null, 3], 2],
    ['nothing measured, nothing chased', [null], 0],
  ])('%s', (_, shares, vain) => {
    expect(roundsInVain(shares)).toBe(vain)
  })
})

describe('a chase', () => {
  it('is said after the second move that did not help, with where to look', () => {
    expect(chaseIn(rounds(-12, -11.8))).toBeNull()
    const chase = chaseIn(rounds(-12, -11.8, -12.1))
    expect(chase?.vain).toBe(2)
    // Nobody looked for a pulling pipe in this job.
    expect(chase?.upstream).toContain('pipe-unread')
    expect(chase?.upstream).not.toContain('not-repeated')
  })

  it('is over once it comes in', () => {
    expect(chaseIn(rounds(-12, -11.8, -12.1, -0.5))).toBeNull()
  })

  it('is counted from the cold target, not from straight', () => {
    const job = new TestJob().ready()
    job.add({
      kind: 'target-set',
      payload: {
        units: 'inch',
        given: { way: 'line', line: { offset: { v: -12, h: 0 }, slope: { v: 0, h: 0 } } },
        source: '',
        learned: null,
      },
    })
    for (const v of [-12, -11.8, -12.1]) {
      if (v !== -12) moved(job)
      job.read(at(v))
    }
    expect(chaseIn(job.state)).toBeNull()
  })
})

describe('what lies upstream', () => {
  const state = rounds(-12, -11.8, -12.1)
  const names = (change: object) => upstreamOf({ ...state, ...change } as typeof state)

  it.each([
    ['feet that nobody read', { feetCheck: { ...state.feetCheck, latest: null } }, 'feet-unread'],
    ['feet filled and not read since', { feetCheck: { ...state.feetCheck, stale: true } }, 'feet-unread'],
    [
      'feet that rock',
      { feetCheck: { ...state.feetCheck, latest: { result: { diagnosis: 'rocking' } } } },
      'feet-out',
    ],
    ['a pipe that pulls', { looks: { ...state.looks, pipe: { verdict: 'out' } } }, 'pipe-pulls'],
    ['dials that missed zero', { setUp: { ...state.setUp, holdsZero: false } }, 'missed-zero'],
    ['readings not repeated', { latest: { ...state.latest, trust: 'once' } }, 'not-repeated'],
    ['a hub out of true', { runouts: { surfaces: [], verdict: 'out' } }, 'runout-out'],
    [
      'one shaft turning past a hub nobody measured',
      { setUp: { ...state.setUp, how: { given: { rim: { turning: 'movable' } } } } },
      'runout-unread',
    ],
    ['hubs that were still rough', { roughIn: { latest: { verdict: 'out' } } }, 'rough-in-out'],
    ['moves that came out otherwise', { moves: [{ achieved: [{ cause: 'part-only' }] }] }, 'moves-differ'],
  ])('%s', (_, change, found) => {
    expect(names(change)).toContain(found)
  })
})
