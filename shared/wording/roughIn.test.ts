import { describe, expect, it } from 'vitest'
import { TEST_MACHINE, TestJob } from '../../core/jobs/testJob'
import { roughCure, roughedBy } from '../../core/stages/roughIn/cure'
import { NO_HUBS } from '../register/coupledBoxes'
import { roughWorking } from '../stages/roughIn/working'
import { findingsOf } from './findings'
import { headlinesOf } from './headlines'
import { cureWords, dragWords, feltWords } from './roughIn'
import { tellingOf } from './telling'

const T = tellingOf('inch', TEST_MACHINE)
const SMALL = {
  ...TEST_MACHINE,
  hubs: { ...NO_HUBS, rimLimit: 6, faceLimit: 5, gapLeast: 0.108, gapMost: 0.128 },
}
type Write = (job: TestJob) => void
const after = (write: Write, machine = TEST_MACHINE as typeof SMALL) => {
  const job = new TestJob(machine).open().lockOut()
  write(job)
  return job
}
const say = (write: Write, machine?: typeof SMALL) => {
  const folded = after(write, machine).fold()
  return [headlinesOf(folded, T)['rough-in'], findingsOf(folded, T)['rough-in']]
}
const four = (at: number) => ({ 12: at, 3: at, 6: at, 9: at })
const cured = (job: TestJob) => {
  const reading = job.state.roughIn.latest!
  return roughCure(job.machine, reading, job.state.packs)!
}
const told = (write: Write, machine?: typeof SMALL) => {
  const job = after(write, machine)
  return cureWords(cured(job), job.machine, 'pump', T)
}

/** One sentence for every state the hubs can be in, and what the run sheet says of it. */
describe('the rough-in says', () => {
  it.each<[string, Write, string, string]>([
    ['nothing yet', () => {}, 'Nothing has been felt at the hubs yet.', ''],
    ['low', (j) => j.feelHubs({ 12: -38 }), 'The motor sits 38.0 mil low.', 'Motor 38.0 mil low'],
    ['high', (j) => j.feelHubs({ 12: 20 }), 'The motor sits 20.0 mil high.', 'Motor 20.0 mil high'],
    [
      'low and open',
      (j) => j.feelHubs({ 12: -38 }, { 12: 132, 6: 108 }),
      'The motor sits 38.0 mil low, and the faces open by 24.0 mil at 12.',
      'Motor 38.0 mil low',
    ],
    [
      'open only',
      (j) => j.feelHubs({ 12: -3 }, { 12: 108, 6: 132 }),
      'The faces open by 24.0 mil at 6.',
      'The faces open by 24.0 mil at 6',
    ],
    [
      'off to a side',
      (j) => j.feelHubs({ 12: -3, 3: -20 }),
      'The motor stands 20.0 mil toward 9.',
      'Motor 20.0 mil toward 9',
    ],
    [
      'vertical only',
      (j) => j.feelHubs({ 12: -3 }),
      'Vertical is close enough. Now the horizontal.',
      'Vertical done',
    ],
    [
      'faces only',
      (j) => j.feelHubs({}, { 12: 120, 6: 121 }),
      'Not felt at 12 yet. Vertical comes first.',
      'Measure the gap',
    ],
    [
      'left open by a blade',
      (j) => j.feelHubs({}, {}, { steps: [{ clock: 0, stops: 20 }] }),
      'The blade alone doesn’t tell the height. Measure the gap before a shim is cut.',
      'Measure the gap',
    ],
    [
      'left open at the side',
      (j) =>
        j.feelHubs(
          {},
          {},
          {
            steps: [
              { clock: 0, value: 1 },
              { clock: 90, value: 16 },
            ].map((p) => p),
          },
        ),
      'The motor stands 16.0 mil toward 3.',
      'Motor 16.0 mil toward 3',
    ],
    [
      'strained',
      (j) => j.feelHubs({ 12: -38 }, {}, { coupled: true }),
      'The coupling is made up and strained: the shafts are bent. Uncouple it before any instrument goes on.',
      'Strained, uncouple',
    ],
    [
      'gaps that don’t agree',
      (j) => j.feelHubs({ 12: -1 }, { 12: 124, 6: 116, 3: 118, 9: 115 }),
      'The four gaps don’t agree: 12 and 6 together differ by 7.0 mil from 3 and 9. Feel them again.',
      'Gaps to feel again',
    ],
    ['close', (j) => j.feelHubs(), 'Close enough. Bring out the instrument.', 'Roughed in'],
    [
      'near the limit',
      (j) => j.feelHubs({ 12: 14, 3: 0 }),
      'Close enough, but near the limit. Bring out the instrument.',
      'Roughed in',
    ],
    [
      'moved since',
      (j) => {
        j.feelHubs({ 12: -38 })
        j.add({ kind: 'hubs-roughed', payload: roughedBy(cured(j), 'inch') })
      },
      'Tightened? Then feel the hubs again.',
      'Moved, feel again',
    ],
  ])('%s', (_, write, headline, finding) => {
    expect(say(write)).toEqual([headline, finding])
  })

  it.each<[string, Write, string, string]>([
    [
      'two places of four',
      (j) => j.feelHubs({ 12: 1, 3: 1 }, four(120)),
      'Close so far. Feel all four places, rims and faces: its maker asks for no instrument.',
      'Measure the gap',
    ],
    [
      'in band at four',
      (j) => j.feelHubs({ 12: 1, 3: 1, 6: -1, 9: -1 }, four(120)),
      'In band at all four places. Its maker asks for no instrument: close and sign.',
      'In band at four places',
    ],
    [
      'near at four',
      (j) => j.feelHubs({ 12: 5.5, 3: 1, 6: -5.5, 9: -1 }, four(120)),
      'At all four places within the limit, but near it. Better it, or close and sign.',
      'In band at four places',
    ],
    [
      'too close together',
      (j) => j.feelHubs({ 12: 1, 3: 1, 6: -1, 9: -1 }, four(100)),
      'The hubs stand 8.0 mil too close.',
      'Axial gap out',
    ],
    [
      'too far apart',
      (j) => j.feelHubs({ 12: 1, 3: 1, 6: -1, 9: -1 }, four(140)),
      'The hubs stand 12.0 mil too far apart.',
      'Axial gap out',
    ],
  ])('of a small coupling: %s', (_, write, headline, finding) => {
    expect(say(write, SMALL)).toEqual([headline, finding])
  })
})

describe('what to do now, in one line', () => {
  it.each<[string, Write, string]>([
    ['the same under all', (j) => j.feelHubs({ 12: -38 }), 'Put 38.0 mil under all feet.'],
    ['the same out', (j) => j.feelHubs({ 12: 20 }), 'Take 20.0 mil out from under all feet.'],
    [
      'each pair its own',
      (j) => j.feelHubs({ 12: -38 }, { 12: 132, 6: 108 }),
      '74.0 mil under the inboard feet and 141.5 mil under the outboard feet.',
    ],
    [
      'one end only',
      (j) => j.feelHubs({}, { 12: 132, 6: 108 }),
      'Leave the inboard feet and 67.5 mil under the outboard feet.',
    ],
    ['an even push', (j) => j.feelHubs({ 12: 0, 3: -20 }), 'Push it 20.0 mil toward 3, both ends alike.'],
    [
      'a push at each end',
      (j) => j.feelHubs({ 12: 0, 3: -20 }, { 3: 108, 9: 132 }),
      'Push the inboard end 16.0 mil toward 9 and the outboard end 83.5 mil toward 9.',
    ],
  ])('%s', (_, write, headline) => {
    expect(told(write).headline).toBe(headline)
  })

  it('names leaves, what comes out, and what nobody can reach', () => {
    // 25 + 10 lie there: 38 more in four leaves.
    expect(told((j) => j.feelHubs({ 12: -38 })).rest[0]).toMatch(/^From stock, at each foot: .* mil/)
    const bare = {
      ...SMALL,
      feet: {
        ...SMALL.feet,
        movable: SMALL.feet.movable.map((f) => ({ ...f, existing: { left: [], right: [] } })),
      },
    }
    expect(told((j) => j.feelHubs({ 12: 30 }), bare).rest.join(' ')).toContain(
      'Nothing is left to take out: 30.0 mil too high. Raise the pump by that much, or leave it to the plan.',
    )
  })

  it('the dragging blade says which end is low, and whether the faces agree', () => {
    const hint = (drag: 'front' | 'back', top: number) => {
      const job = after((j) => j.feelHubs({ 12: -38 }, { 12: top, 6: 240 - top }, { drag }))
      return dragWords(job.state.roughIn.latest!, 'outboard', T)?.text
    }
    expect(hint('front', 124)).toBe('Free behind: the outboard end is lower. The faces say the same.')
    expect(hint('back', 124)).toBe(
      'Free in front: the outboard end is higher. The faces say the other way: feel both once more.',
    )
    expect(hint('front', 120)).toBe('Free behind: the outboard end is lower.')
  })

  it('bounds are told as bounds', () => {
    const job = after((j) =>
      j.feelHubs(
        {},
        {},
        {
          steps: [
            { clock: 0, passes: -20 },
            { clock: 90, stops: 15 },
          ].map((p) => p as never),
        },
      ),
    )
    const { v, h } = job.state.roughIn.latest!.steps
    expect([feltWords(v, 'step', 'v', T), feltWords(h, 'step', 'h', T)]).toEqual([
      'under −20.0',
      '−15.0 to 15.0',
    ])
  })
})

it('the working puts this job’s numbers in', () => {
  const job = after((j) => j.feelHubs({ 12: -38 }, { 12: 132, 6: 108, 3: 121, 9: 119 }))
  const steps = roughWorking(job.machine, job.state.roughIn.latest!, cured(job), T)
  expect(steps.map((s) => [s.substituted, s.result])).toEqual([
    ['−38.00 − 0.00', '−38.00'],
    ['108.00 − 132.00', '−24.00'],
    ['119.00 − 121.00', '−2.00'],
    ['(132.00 + 108.00) − (121.00 + 119.00)', '0.00'],
    ['−24.00 / 8.00', '−3.000 mil/in'],
    ['−(−38.00 + −3.000 × 12.00)', '74.00'],
    ['−(−38.00 + −3.000 × 34.50)', '141.50'],
    ['(121.00 + 108.00 + 119.00 + 132.00) / 4', '120.00'],
  ])
})
