import { openingWords } from './en'
import { describe, expect, it } from 'vitest'
import { TEST_MACHINE, TestJob } from '../../core/jobs/testJob'
import { TOOLS, toolsToTake } from '../../core/tools/toolsToTake'
import { findingsOf } from './findings'
import { headlinesOf } from './headlines'
import { meaningOfOpening, toolWords } from './open'
import { tellingOf } from './telling'

const T = tellingOf('inch', TEST_MACHINE)
const say = (job: TestJob) => {
  const folded = job.fold()
  return [headlinesOf(folded, T).open, findingsOf(folded, T).open]
}
const take = (job: TestJob, due: string | null) =>
  job.add({
    kind: 'tools-taken',
    payload: { tools: ['feelers'], instruments: [{ id: '1', name: 'Dial 3', due }], words: '' },
  })

/** One sentence for every state, and what the run sheet says of it. */
describe('the opening says', () => {
  it('each of its states', () => {
    const job = new TestJob()
    expect(say(job)).toEqual(['This job has no opening yet.', ''])
    job.open()
    expect(say(job)).toEqual(['Opened: planned check.', 'Planned check'])
    take(job, null)
    expect(say(job)).toEqual(['1 thing and 1 instrument taken along.', '1 instrument'])
    take(job, '2025-10-12')
    expect(say(job)).toEqual(['The calibration of Dial 3 ran out on 12 Oct 2025.', 'Calibration run out'])
  })

  it('that the nameplate isn’t what the register has', () => {
    expect(meaningOfOpening(new TestJob().open(1480).state, T).detail).toBe(
      'The nameplate says 1480 rpm, the register 990: the limits follow the nameplate.',
    )
  })

  it('what each tool must be like', () => {
    const tools = toolsToTake({ ...TEST_MACHINE, couplingType: 'jaw' }, 'rim-face', [
      { thickness: 0.254, count: 3 },
      { thickness: 0.127, count: 1 },
    ])
    const words = Object.fromEntries(tools.map((t) => [t.id, toolWords(t, T)]))
    expect(words).toMatchObject({
      dials: 'Dials, 2',
      bracket: 'Bracket and bar reaching about 3.00 in',
      shims: 'Shims; most used here: 10, 5 mil',
      'coupling-parts': 'For the coupling: spider',
      straightedge: 'Straightedge',
    })
    for (const id of TOOLS) expect(openingWords(T.words).tools.names[id]).toMatch(/^[A-Z]/)
  })
})
