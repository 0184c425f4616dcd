import { describe, expect, it } from 'vitest'
import { TEST_MACHINE, TestJob } from '../../core/jobs/testJob'
import { findingsOf } from './findings'
import { headlinesOf } from './headlines'
import { tellingOf } from './telling'

const T = tellingOf('inch', TEST_MACHINE)
const say = (write: (job: TestJob) => void = () => {}) => {
  const job = new TestJob().open().lockOut()
  write(job)
  const folded = job.fold()
  return { means: headlinesOf(folded, T).feet, found: findingsOf(folded, T).feet }
}
const gaps = (job: TestJob, ...feet: readonly (1 | 2 | 3 | 4)[]) =>
  job.add({
    kind: 'gaps-felt',
    payload: {
      units: 'inch',
      gaps: job
        .outerFeet()
        .filter((_, i) => feet.includes((i + 1) as 1))
        .map((f) => ({
          ...f,
          corners: { outboardOuter: 5, outboardInner: 5, inboardOuter: 5, inboardInner: 5 },
          size: null,
        })),
    },
  })

/** One sentence for every state the feet can be in, and what the run sheet says of it. */
describe('the feet say', () => {
  it.each<[string, (job: TestJob) => void, string, string]>([
    ['nothing yet', () => {}, 'No foot has been read yet.', ''],
    ['no gap', (j) => gaps(j), 'No gap under any foot with the bolts loose.', 'Gaps felt, rises to read'],
    [
      'gaps',
      (j) => gaps(j, 2, 4),
      'With the bolts loose there is a gap under f2 and f4.',
      'Gaps felt, rises to read',
    ],
    [
      'they sit',
      (j) => j.rises([1, 1.2, 1, 1]),
      'All feet sit. The worst rises 1.2 mil.',
      '4 read, worst 1.2 mil',
    ],
    [
      'one is close',
      (j) => j.rises([1, 1.9, 1, 1]),
      'All feet sit, but f2 rises 1.9 mil: close to the limit.',
      '4 read, worst 1.9 mil',
    ],
    [
      'it rocks',
      (j) => j.rises([2, 12, 1.5, 9.5]),
      'The motor rocks on f2 and f4. Fill one of them.',
      'Round 1: rocks on f2 and f4',
    ],
    [
      'all spring',
      (j) => j.rises([5, 4.6, 4.8, 5.2]),
      'All feet spring alike. Look at the packs: too many leaves, dirt, a burr.',
      'Round 1: worst 5.2 mil',
    ],
    [
      'one alone',
      (j) => j.rises([1, 1, 9, 1]),
      'Only f3 rises. Feel its corners before any shim.',
      'Round 1: worst 9.0 mil',
    ],
    [
      'two that are no diagonal',
      (j) => j.rises([9, 8, 1, 1]),
      'f1 and f2 rise by themselves. Feel their corners before any shim.',
      'Round 1: worst 9.0 mil',
    ],
    [
      'the pipe pulls',
      (j) => {
        j.rises([6, 1, 5, 1])
        j.rises([1, 1, 1, 1], 'slack')
      },
      'The pipe pulls on the machine: a rise changes when its flanges are slack. Free the pipe before any shim.',
      'Round 1: worst 6.0 mil',
    ],
    [
      'one was filled',
      (j) => {
        j.rises([2, 12, 1.5, 9.5])
        j.fill(2, [10])
      },
      '10 mil went in under f2. Tighten, and read all feet again.',
      'f2 filled, read again',
    ],
    [
      'a leaf came out',
      (j) => {
        j.rises([2, 12, 1.5, 9.5])
        j.fill(2, [], [10])
      },
      '10 mil came out from under f2. Tighten, and read all feet again.',
      'f2 filled, read again',
    ],
    [
      'the fault is chased',
      (j) => {
        j.rises([2, 12, 1.5, 9.5])
        j.fill(2, [10])
        j.rises([9, 1, 8, 1])
        j.fill(1, [8])
        j.rises([1, 7, 1, 6])
      },
      'The fault has changed diagonals twice: fill half.',
      'Round 3: rocks on f2 and f4',
    ],
  ])('%s', (_, write, means, found) => {
    expect(say(write)).toEqual({ means, found })
  })

  it('a middle foot that rises by itself', () => {
    const [near, far] = TEST_MACHINE.feet.movable
    if (!near || !far) throw new Error('two pairs')
    const machine = {
      ...TEST_MACHINE,
      feet: { ...TEST_MACHINE.feet, movable: [near, { ...near, id: 'mid', x: 22 }, far] },
    }
    const job = new TestJob(machine).open().lockOut()
    const middle = (side: 'left' | 'right', rise: number) => ({
      machine: 'movable' as const,
      pair: 'mid',
      side,
      rise,
    })
    job.add({
      kind: 'rises-read',
      payload: {
        units: 'inch',
        rises: [...job.outerFeet().map((f) => ({ ...f, rise: 1 })), middle('left', 6), middle('right', 1)],
        pipe: 'bolted',
        remark: '',
      },
    })
    expect(headlinesOf(job.fold(), tellingOf('inch', machine)).feet).toBe(
      'Between the outer feet, middle left rises by itself. Feel its corners before any shim.',
    )
  })
})
