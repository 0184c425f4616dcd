import { describe, expect, it } from 'vitest'
import { TestJob } from '../../jobs/testJob'
import { moveEvidence } from './evidence'

const at = (v: number) => ({ offset: { v, h: 0 }, slope: { v: 0, h: 0 } })
/** Twelve mils of shim under every foot, that came out as something else altogether. */
const strange = (prepare: (job: TestJob) => void) => {
  const job = new TestJob().ready()
  prepare(job)
  job.read(at(-12))
  job.read(at(-12))
  job.add({
    kind: 'move-made',
    payload: {
      units: 'inch',
      changes: (['inboard', 'outboard'] as const).flatMap((pair) =>
        (['left', 'right'] as const).map((side) => ({
          machine: 'movable' as const,
          pair,
          side,
          takenOut: [],
          putIn: [10, 2],
        })),
      ),
      side: [],
      remark: '',
    },
  })
  const after = { offset: { v: -5, h: 0 }, slope: { v: 0.6, h: 0 } }
  job.read(after)
  job.read(after)
  return job.state.moves[0]?.achieved?.[0]?.causes
}
const pipe = (vertical: number) => ({
  kind: 'pipe-read' as const,
  payload: { units: 'inch' as const, vertical, horizontal: null, limit: null, words: '' },
})

describe('why a move came out otherwise', () => {
  it('is left open where the job knows nothing that explains it', () => {
    expect(strange(() => {})).toEqual(['differs'])
  })

  it('is the pipe where it was seen to pull', () => {
    expect(strange((job) => void job.add(pipe(-9)))).toEqual(['coupling-strain', 'differs'])
    expect(strange((job) => void job.add(pipe(-0.5)))).toEqual(['differs'])
  })

  it('is the feet where they rock', () => {
    expect(strange((job) => void job.rises([20, 1, 18, 1]))).toEqual(['soft-foot', 'differs'])
  })

  it('is the tightening where its dials saw it shift', () => {
    const shift = (toGo: number) => ({
      kind: 'counts-read' as const,
      payload: {
        units: 'inch' as const,
        when: 'tightened' as const,
        counts: [{ machine: 'movable' as const, pair: 'inboard', toGo }],
      },
    })
    expect(strange((job) => void job.add(shift(3)))).toEqual(['shift-on-tightening', 'differs'])
    expect(strange((job) => void job.add(shift(0.5)))).toEqual(['differs'])
  })

  it('is always told by the same object, so that nothing is worked out twice', () => {
    const { feetCheck, looks } = new TestJob().ready().state
    expect(moveEvidence(feetCheck, looks)).toBe(moveEvidence({ ...feetCheck }, { ...looks }))
  })
})
