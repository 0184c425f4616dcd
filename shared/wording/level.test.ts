import { machineNames } from './machineNames'
import { describe, expect, it } from 'vitest'
import { TEST_MACHINE, TestJob } from '../../core/jobs/testJob'
import { levelCure } from '../../core/stages/level/levels'
import { runoutEffect } from '../../core/stages/level/runouts'
import { levelWorking, runoutWorking } from '../stages/level/working'
import { clockFace } from './clockFace'
import { findingsOf } from './findings'
import { headlinesOf } from './headlines'
import { levelCureWords, runoutWords, surfaceName } from './level'
import { tellingOf } from './telling'

const T = tellingOf('inch', TEST_MACHINE)
const NAMED = { ...TEST_MACHINE, movableName: 'Motor', stationaryName: 'Gear unit' }
type Write = (job: TestJob) => void
const after = (write: Write) => {
  const job = new TestJob(NAMED).open().lockOut()
  write(job)
  return job
}
const say = (write: Write) => {
  const folded = after(write).fold()
  return [headlinesOf(folded, T).level, findingsOf(folded, T).level]
}
const level = (
  job: TestJob,
  machine: 'movable' | 'stationary',
  feeler: number,
  low: 'coupling' | 'far' = 'far',
) =>
  job.add({
    kind: 'level-read',
    payload: { units: 'inch', machine, reading: { by: 'feeler', feeler, supported: 10, low }, remark: '' },
  })
const turn = (job: TestJob, values: readonly number[], surface: 'rim' | 'face' | 'shaft' = 'rim') =>
  job.add({
    kind: 'runout-read',
    payload: {
      units: 'inch',
      machine: 'movable',
      surface,
      diameter: surface === 'face' ? 8 : null,
      readings: values.map((value, i) => ({ clock: (i * 360) / values.length, value })),
      limit: null,
      remark: '',
    },
  })

/** One sentence for every state, and what the run sheet says of it. */
describe('level and run-out say', () => {
  it.each<[string, Write, string, string]>([
    [
      'nothing yet',
      () => {},
      'Neither shaft has been levelled or turned. Optional: go on if there is no reason to.',
      '',
    ],
    [
      'motor only',
      (j) => level(j, 'movable', 8),
      'Read the gear unit shaft too before anything is levelled.',
      'One shaft read',
    ],
    [
      'driven only',
      (j) => level(j, 'stationary', 2),
      'The gear unit shaft is level. Now the motor shaft.',
      'One shaft read',
    ],
    [
      'driven slopes',
      (j) => level(j, 'stationary', 9),
      'The gear unit shaft slopes by 0.90 mil/in: leave the level, align to it.',
      'Driven shaft slopes',
    ],
    [
      'both slope',
      (j) => {
        level(j, 'stationary', 9)
        level(j, 'movable', 8)
      },
      'The gear unit shaft slopes too, by 0.90 mil/in: leave it, align to it.',
      'Driven shaft slopes',
    ],
    [
      'motor low outboard',
      (j) => {
        level(j, 'stationary', 2)
        level(j, 'movable', 8)
      },
      'The motor’s far end is low, by 0.80 mil/in.',
      'Motor to level',
    ],
    [
      'motor low at the coupling',
      (j) => {
        level(j, 'stationary', 2)
        level(j, 'movable', 8, 'coupling')
      },
      'The motor’s coupling end is low, by 0.80 mil/in.',
      'Motor to level',
    ],
    [
      'both level',
      (j) => {
        level(j, 'stationary', 2)
        level(j, 'movable', 1)
      },
      'Both shafts are level.',
      'Level',
    ],
    [
      'shims in',
      (j) => {
        level(j, 'stationary', 2)
        level(j, 'movable', 8)
        j.add({
          kind: 'machine-levelled',
          payload: {
            units: 'inch',
            changes: [{ machine: 'movable', pair: 'outboard', side: 'left', putIn: [18], takenOut: [] }],
            remark: '',
          },
        })
      },
      'Shims went in to level it. Tighten, and read the level again.',
      'Levelled, read again',
    ],
    ['a true hub', (j) => turn(j, [0, 1, 0, -1]), 'What was turned runs true.', 'Run-out 2.0 mil'],
    [
      'two true',
      (j) => {
        turn(j, [0, 1, 0, -1])
        turn(j, [0, 0, 0, 0], 'shaft')
      },
      'All 2 that were turned run true.',
      'Run-out 2.0 mil',
    ],
    [
      'a hub near its limit',
      (j) => turn(j, [0, 2.3, 0, -2.3]),
      'The motor hub rim runs out by 4.6 mil: close to its limit.',
      'Run-out 4.6 mil',
    ],
    [
      'a hub over it',
      (j) => turn(j, [0, 4, 0, -4], 'face'),
      'The motor hub face runs out by 8.0 mil: over its limit.',
      'Run-out 8.0 mil',
    ],
  ])('%s', (_, write, headline, finding) => {
    expect(say(write)).toEqual([headline, finding])
  })
})

describe('what one turn tells', () => {
  const told = (write: Write) => {
    const job = after(write)
    const { runouts, rpm, setUp } = job.state
    return runoutWords(runouts.surfaces[0]!, runouts, rpm, runoutEffect(setUp?.how ?? null), T).join(' ')
  }
  it('where to strike, and what would tell a bent shaft from a hub bored off', () => {
    const hub: Write = (j) => turn(j, [0, 4, 0, -4])
    expect(told(hub)).toContain(
      'Off centre by 4.00 mil, high at 3. Fewer than five positions don’t show an oval.',
    )
    expect(told(hub)).toContain('The side to strike or bring in is at 3: mark it.')
    expect(told(hub)).toContain('Turn the shaft beside the hub')
    const shaft =
      (by: number): Write =>
      (j) => {
        hub(j)
        turn(j, [0, by, 0, -by], 'shaft')
      }
    expect(told(shaft(3))).toContain('bent shaft or bearing, not the hub')
    expect(told(shaft(0.2))).toContain('bored off or sits cocked')
  })

  it('an oval, a wobble with its slope, and the limit with whose it is', () => {
    const oval = told((j) => turn(j, [3, 0, -3, 0, 3, 0, -3, 0]))
    expect(oval).toContain('Oval by 3.00 mil: high at 12 and 6. Clamped or worn.')
    expect(oval).toContain('Eight positions can miss 13 % of an oval.')
    const face = told((j) => turn(j, [0, 4, 0, -4], 'face'))
    expect(face).toContain('Wobbles by 4.00 mil, high at 3. That is a slope of 1.00 mil/in.')
    expect(face).toContain('Limit 5.0 mil, starting rule at 990 rpm.')
    expect(face).toContain('Bring it in at 3: mark it.')
  })

  it('whether it is in this job’s readings', () => {
    expect(told((j) => turn(j, [0, 1, 0, -1]))).toContain('only where one shaft turns alone')
    const ready = new TestJob(NAMED).ready()
    turn(ready, [0, 1, 0, -1])
    const { runouts, rpm, setUp } = ready.state
    const words = runoutWords(runouts.surfaces[0]!, runouts, rpm, runoutEffect(setUp?.how ?? null), T)
    expect(words.join(' ')).toContain('none of it is in the readings')
  })
})

it('the cure names the end, the leaves, and what to do then', () => {
  const job = after((j) => {
    level(j, 'stationary', 2)
    level(j, 'movable', 8)
  })
  const cure = levelCure(job.machine, job.state.levels, job.state.packs)!
  const { headline, rest } = levelCureWords(cure, job.machine, T)
  expect(headline).toBe('Put 18.0 mil under both outboard feet.')
  expect(rest.at(-1)).toMatch(/give the bubble time/)
  expect(
    levelWorking(job.state.levels, cure, machineNames(job.state), T).map((s) => [s.substituted, s.result]),
  ).toEqual([
    ['2.00 / 10.00', '−0.200'],
    ['8.00 / 10.00', '−0.800'],
    ['0.800 × 22.50', '18.00'],
  ])
})

it('the working of a turn, harmonic by harmonic', () => {
  const job = after((j) => turn(j, [0, 4, 0, -4]))
  const [surface] = job.state.runouts.surfaces
  expect(surfaceName(surface!, machineNames(job.state), T)).toBe('motor hub rim')
  expect(runoutWorking(surface!, 990, T).map((s) => s.result)).toEqual(['8.00', '4.00', '0.00', '5.00'])
})

it.each([
  [0, '12'],
  [90, '3'],
  [45, '1:30'],
  [142, '4:45'],
  [359, '12'],
  [-30, '11'],
])('%s degrees is %s on the clock face', (degrees, name) => {
  expect(clockFace(degrees)).toBe(name)
})
