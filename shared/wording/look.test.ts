import { openAtClose } from './atClose'
import { placesWords } from './en'
import { describe, expect, it } from 'vitest'
import { TEST_MACHINE, TestJob } from '../../core/jobs/testJob'
import type { BaseEdge } from '../../core/stages/look/entries'
import { placesOf } from '../../core/stages/look/looks'
import { baseWorking, pipeWorking } from '../stages/look/working'
import { findingsOf } from './findings'
import { headlinesOf } from './headlines'
import { baseWords, meaningOfLooks, pipeWords, shimsFoundWords } from './look'
import { tellingOf } from './telling'

const MACHINE = { ...TEST_MACHINE, couplingType: 'jaw' as const }
const T = tellingOf('inch', MACHINE)
type Write = (job: TestJob) => void
const after = (write: Write) => {
  const job = new TestJob(MACHINE).open().lockOut()
  write(job)
  return job
}
const say = (write: Write) => {
  const folded = after(write).fold()
  return [headlinesOf(folded, T).look, findingsOf(folded, T).look]
}
const at = (
  job: TestJob,
  places: readonly string[],
  found: 'fine' | 'put-right' | 'to-report' = 'fine',
  words = '',
) => job.add({ kind: 'place-looked', payload: { places, found, words, photographs: [] } as never })
const pipe = (
  job: TestJob,
  vertical: number | null,
  horizontal: number | null,
  limit: number | null = null,
) => job.add({ kind: 'pipe-read', payload: { units: 'inch', vertical, horizontal, limit, words: '' } })
const base = (job: TestJob, slopes: Readonly<Record<BaseEdge, number>>) =>
  job.add({
    kind: 'base-read',
    payload: {
      units: 'inch',
      length: 40,
      width: 20,
      by: {
        by: 'feeler',
        supported: 10,
        edges: Object.fromEntries(
          Object.entries(slopes).map(([e, s]) => [e, { feeler: Math.abs(s) * 10, farLow: s < 0 }]),
        ) as never,
      },
      words: '',
    },
  })
const shims = (job: TestJob, leaves: readonly number[]) =>
  job.add({
    kind: 'shims-found',
    payload: {
      units: 'inch',
      feet: [
        {
          machine: 'movable',
          pair: 'outboard',
          side: 'left',
          leaves: leaves.map((thickness) => ({ thickness, mark: '' })),
        },
      ],
      words: '',
    },
  })

/** One sentence for every state, and what the run sheet says of it. */
describe('look and clean says', () => {
  it.each<[string, Write, string, string]>([
    ['nothing yet', () => {}, 'Nothing has been looked at yet.', ''],
    ['some', (j) => at(j, ['feet', 'pads']), '2 of 10 places looked at.', '2 of 10'],
    ['all fine', (j) => void j.look(), 'All 10 places looked at and fine.', 'All looked at'],
    [
      'all, one put right',
      (j) => {
        j.look()
        at(j, ['bolts'], 'put-right', 'burrs')
      },
      'All 10 places looked at, 1 put right.',
      'All looked at',
    ],
    [
      'something to report',
      (j) => {
        j.look()
        at(j, ['base', 'spider'], 'to-report', 'cracked')
      },
      'To report: base, spider.',
      'All looked at, 2 to report',
    ],
    [
      'a pipe that pulls',
      (j) => pipe(j, -3, 4),
      'The pipe pulls the coupling by 5.0 mil: loosened, it goes 3.0 mil down and 4.0 mil toward 3.',
      'Pipe pulls',
    ],
    [
      'a base that slopes',
      (j) => base(j, { left: 0.8, right: 0.8, coupling: 0, far: 0 }),
      'The base slopes by 0.80 mil/in.',
      'Base slopes',
    ],
    ['shims noted', (j) => shims(j, [25, 10]), 'Nothing has been looked at yet.', 'Shims noted'],
    ['shims that differ', (j) => shims(j, [20]), 'Nothing has been looked at yet.', 'Shims differ'],
    [
      'pins out',
      (j) => {
        j.look()
        j.add({ kind: 'pins-handled', payload: { did: 'pulled', words: '' } })
      },
      'All 10 places looked at and fine.',
      'All looked at, pins out',
    ],
  ])('%s', (_, write, headline, finding) => {
    expect(say(write)).toEqual([headline, finding])
  })

  it('names every place that a machine has, once, with what one looks for', () => {
    for (const place of placesOf(MACHINE)) {
      expect(placesWords(T.words)[place].look.length).toBeGreaterThan(10)
    }
    expect(new Set(placesOf(MACHINE).map((p) => placesWords(T.words)[p].name)).size).toBe(10)
  })

  it.each([
    [1, null, 'Loosened, the hub moves 1.0 mil up: within 2.0 mil, the starting value.'],
    [0, -1, 'Loosened, the hub moves 1.0 mil toward 9: within 2.0 mil, the starting value.'],
    [0.01, 0, 'Loosened, the hub moves nowhere: within 2.0 mil, the starting value.'],
  ])('a free pipe, %s and %s', (v, h, words) => {
    expect(pipeWords(after((j) => pipe(j, v, h)).state.looks.pipe!, T)).toBe(words)
  })

  it('at the close what is still open: pins, and what is to report', () => {
    const job = after((j) => {
      j.look()
      at(j, ['base'], 'to-report', 'Cracked.')
      j.add({ kind: 'pins-handled', payload: { did: 'pulled', words: '' } })
    })
    expect(openAtClose(job.state.looks, T)).toEqual([
      expect.stringMatching(/^The locating pins were pulled/),
      'To report, base: Cracked.',
    ])
    job.add({ kind: 'pins-handled', payload: { did: 'refitted', words: '' } })
    expect(openAtClose(job.state.looks, T)).toEqual(['To report, base: Cracked.'])
  })

  it('whose limit it was', () => {
    const job = after((j) => pipe(j, 5, 0, 3))
    expect(meaningOfLooks(job.state.looks, T).detail).toMatch(/^Limit 3.0 mil, its own\./)
    expect(pipeWorking(job.state.looks.pipe!, T)[0]).toMatchObject({ result: '5.00', note: 'limit: 3.00' })
  })

  it('which corner gets how much, and that a twist isn’t cured by it', () => {
    const level = (slopes: Readonly<Record<BaseEdge, number>>) =>
      baseWords(after((j) => base(j, slopes)).state.looks.base!, T)
    expect(level({ left: 0.1, right: 0.1, coupling: 0, far: 0 })).toEqual([
      'Level within the limit: nothing to shim.',
    ])
    expect(level({ left: 1, right: 1, coupling: 0, far: 0 })).toEqual([
      'To bring it level: 40.0 mil under the coupling end, left, 40.0 mil under the coupling end, right.',
    ])
    expect(level({ left: 1, right: -1, coupling: 0, far: 0 })[1]).toMatch(/differ by 2.00 mil\/in/)
  })

  it('its working, corner by corner', () => {
    const found = after((j) => base(j, { left: 1, right: 1, coupling: 0.5, far: 0.5 })).state.looks.base!
    const steps = baseWorking(found, T)
    expect(steps.map((s) => s.result)).toEqual([
      '1.000',
      '1.000',
      '0.500',
      '0.500',
      '1.000',
      '0.500',
      '50.00',
      '40.00',
      '10.00',
      '0.00',
    ])
    expect(steps[0]).toMatchObject({ substituted: '10.00 / 10.00' })
  })

  it('what was found under the feet against the register', () => {
    expect(shimsFoundWords(after(() => {}).state.looks, T)).toEqual([])
    expect(shimsFoundWords(after((j) => shims(j, [10, 25])).state.looks, T)).toEqual([
      'What was found is what the register has.',
    ])
    expect(shimsFoundWords(after((j) => shims(j, [])).state.looks, T)[0]).toBe(
      'Outboard left: none found, 25+10 mil registered.',
    )
  })
})
