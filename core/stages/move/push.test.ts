import { describe, expect, it } from 'vitest'
import type { LogEntry } from '../../logbook/entry'
import { objectionTo } from '../../jobs/jobs'
import { TestJob } from '../../jobs/testJob'
import { doFootwork } from './footwork'
import { ARRIVED, DRIFT_LIMIT, watchPush, type Counts } from './push'

const FEET = [
  { id: 'inboard', x: 300 },
  { id: 'outboard', x: 700 },
]
/** A plan toward 9, in mm. */
const plan = (inboard: number, outboard: number) =>
  doFootwork(
    [],
    { movable: FEET, stationary: [] },
    'metric',
    [],
    [
      { machine: 'movable', pair: 'inboard', moved: inboard },
      { machine: 'movable', pair: 'outboard', moved: outboard },
    ],
  )
const count = (
  toGo: { readonly inboard?: number; readonly outboard?: number },
  when: 'pushing' | 'tightened' = 'pushing',
) =>
  ({
    kind: 'counts-read',
    payload: {
      units: 'metric',
      when,
      counts: Object.entries(toGo).map(([pair, left]) => ({ machine: 'movable', pair, toGo: left })),
    },
  }) as unknown as LogEntry<'counts-read'>
const watched = (counts: Counts, footwork: ReturnType<typeof plan> | null = plan(-0.18, -0.28)) =>
  watchPush(footwork, { movable: FEET, stationary: [] }, counts)

describe('a push', () => {
  it('begins with half of the larger count, then the other end, and halves until a bite is small', () => {
    expect(watched([]).next).toEqual({
      machine: 'movable',
      pair: 'outboard',
      by: expect.closeTo(-0.14, 9) as number,
    })
    const first = watched([count({ inboard: -0.16, outboard: -0.14 })])
    expect(first.next).toMatchObject({ pair: 'inboard', by: expect.closeTo(-0.08, 9) as number })
    const second = watched([count({ inboard: -0.16, outboard: -0.14 }), count({ inboard: -0.07 })])
    expect(second.next).toMatchObject({ pair: 'outboard', by: expect.closeTo(-0.07, 9) as number })
    expect(watched([count({ inboard: -0.04, outboard: -0.03 })]).next).toEqual({
      machine: 'movable',
      pair: 'inboard',
      by: expect.closeTo(-0.04, 9) as number,
    })
  })

  it('keeps at an end that alone has something to go, and ends when neither has', () => {
    const back = watched([count({ outboard: -0.33 })])
    expect(back.next?.pair).toBe('outboard')
    const one = watched([count({ inboard: 0, outboard: -0.1 }), count({ outboard: -0.05 })])
    expect(one.next?.pair).toBe('outboard')
    expect(watched([count({ inboard: ARRIVED / 2, outboard: -ARRIVED / 2 })]).next).toBeNull()
  })

  it.each([
    ['grew: it went the other way', { outboard: -0.33 }, 'other-way'],
    ['stood still while the other end went', { inboard: -0.08, outboard: -0.28 }, 'other-foot'],
    ['changed its sign: it went too far', { outboard: 0.05 }, 'too-far'],
    ['fell', { inboard: -0.17, outboard: -0.15 }, null],
  ] as const)('says what it is when the count %s', (_, toGo, what) => {
    expect(watched([count(toGo)]).slip?.what ?? null).toBe(what)
  })

  it('says nothing of an end that was not read, and takes the one that was for the one pushed', () => {
    const other = watched([count({ inboard: -0.06 })])
    expect([other.slip, other.next?.pair]).toEqual([null, 'outboard'])
    const both = watched([count({ inboard: -0.06 }), count({ outboard: -0.1 })])
    expect(both.next?.pair).toBe('inboard')
  })

  it('takes the shift on tightening from the count before it, plus toward 3, against its limit', () => {
    const held = watched([
      count({ inboard: 0, outboard: -0.01 }),
      count({ inboard: -0.01, outboard: 0 }, 'tightened'),
    ])
    expect(held.ends.map((e) => e.drift)).toEqual([expect.closeTo(0.01, 9), expect.closeTo(-0.01, 9)])
    expect(held.drift).toEqual({ worst: expect.closeTo(0.01, 9) as number, over: false })
    expect(watched([count({ inboard: 2 * DRIFT_LIMIT }, 'tightened')], null).drift?.over).toBe(true)
  })

  it('watches nothing but the shift where no plan asks for a push', () => {
    const still = watched([], null)
    expect([still.wanted, still.next, still.drift]).toEqual([false, null, null])
  })
})

describe('counts in a logbook', () => {
  it('belong to one push: a plan or a move begins anew, and the move keeps what its dials said', () => {
    const job = new TestJob().ready()
    const look = {
      units: 'inch' as const,
      counts: [{ machine: 'movable' as const, pair: 'inboard', toGo: 2 }],
    }
    job.add({ kind: 'counts-read', payload: { ...look, when: 'pushing' } })
    expect(job.state.push.counted).toBe(true)
    job.add({
      kind: 'plan-chosen',
      payload: { units: 'inch', option: 'own', changes: [], side: [], sets: null },
    })
    expect(job.state.push.counted).toBe(false)
    job.add({ kind: 'counts-read', payload: { ...look, when: 'tightened' } })
    const side = [{ machine: 'movable' as const, pair: 'inboard', moved: 1 }]
    job.add({ kind: 'move-made', payload: { units: 'inch', changes: [], side, remark: '' } })
    expect(job.state.push.counted).toBe(false)
    expect(job.state.moves[0]?.push.drift).toEqual({ worst: expect.closeTo(0.0508, 9) as number, over: true })
  })

  it('are refused at a foot this machine hasn’t, and without a lockout', () => {
    const refusal = (ready: boolean, pair: string) => {
      const before = ready ? new TestJob().open().lockOut() : new TestJob().open()
      const logbook = [...before.entries]
      return objectionTo(before.machine, logbook, before.add(at(pair)))
    }
    const at = (pair: string) => ({
      kind: 'counts-read' as const,
      payload: {
        units: 'inch' as const,
        when: 'pushing' as const,
        counts: [{ machine: 'movable' as const, pair, toGo: 2 }],
      },
    })
    expect(refusal(true, 'middle')?.code).toBe('no-such-feet')
    expect(refusal(true, 'inboard')).toBeNull()
    expect(refusal(false, 'inboard')?.code).toBe('not-safe')
  })
})
