import { describe, expect, it } from 'vitest'
import { TEST_MACHINE, TestJob } from '../../core/jobs/testJob'
import { tellingOf } from '../../shared/wording/telling'
import type { Reported } from './section'
import { textsOf } from './testReport'
import { lookedAt } from './sections/look'

const images = (node: unknown): string[] => {
  if (Array.isArray(node)) return node.flatMap(images)
  if (typeof node !== 'object' || node === null) return []
  const own = 'image' in node && typeof node.image === 'string' ? [node.image] : []
  return [...own, ...Object.values(node).flatMap(images)]
}
const PICTURE = 'data:image/jpeg;base64,AAAA'
const printed = (job: TestJob, photographs: Reported['photographs'] = {}) =>
  lookedAt(job.state, {
    jobId: 'job-1',
    works: 'Orrin Vale Tile Works',
    machine: TEST_MACHINE as unknown as Reported['machine'],
    logbook: job.entries,
    personName: () => 'Day-shift millwright',
    telling: tellingOf('inch', TEST_MACHINE),
    paper: 'A4',
    photographs,
  })

describe('look and clean in the report', () => {
  it('prints nothing where nobody looked', () => {
    expect(printed(new TestJob().open())).toEqual([])
  })

  it('prints places with words, and each photograph with its place; one that is on its way says so', () => {
    const job = new TestJob().open().lockOut()
    job.add({
      kind: 'place-looked',
      payload: { places: ['base'], found: 'to-report', words: 'Cracked.', photographs: ['a', 'b'] },
    })
    const content = printed(job, { a: PICTURE })
    expect(images(content)).toEqual([PICTURE])
    const words = textsOf(content)
    expect(words).toEqual(expect.arrayContaining(['Base', 'to report', 'Cracked.', 'Photographs']))
    expect(words).toContain('This photograph has not reached the server yet.')
  })

  it('prints leaves with their marks, pins, the pull of the pipe with its limit, and shims cut', () => {
    const job = new TestJob().open().lockOut()
    job.add({
      kind: 'shims-found',
      payload: {
        units: 'inch',
        feet: [
          {
            machine: 'movable',
            pair: 'outboard',
            side: 'left',
            leaves: [
              { thickness: 20, mark: 'A' },
              { thickness: 5, mark: 'B' },
            ],
          },
          { machine: 'movable', pair: 'outboard', side: 'right', leaves: [] },
        ],
        words: '',
      },
    })
    job.add({ kind: 'pins-handled', payload: { did: 'pulled', words: 'in the box.' } })
    job.add({
      kind: 'pipe-read',
      payload: { units: 'inch', vertical: -3, horizontal: null, limit: null, words: '' },
    })
    job.add({
      kind: 'sheet-shims-cut',
      payload: {
        units: 'inch',
        machine: 'movable',
        pair: 'inboard',
        side: 'left',
        thickness: 20,
        count: 2,
        outline: { length: 4, width: 3, slot: 0.8125, toBolt: 2.25 },
        words: '',
      },
    })
    const lines = textsOf(printed(job)).join('\n')
    expect(lines).toContain('found under outboard left: 20+5 mil: marked A, B.')
    expect(lines).toContain('found under outboard right: none.')
    expect(lines).toContain('locating pins pulled: in the box.')
    expect(lines).toContain('The pipe pulls the coupling by 3.0 mil')
    expect(lines).toContain('20.0 mil sheet, 2 off, 3.00 in × 4.00 in, slot 0.81 in, for inboard left.')
  })
})
