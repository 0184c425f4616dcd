import { describe, expect, it } from 'vitest'
import { TEST_DRUM, TestDrum, UNTAPED_DRUM } from '../../core/jobs/testDrum'
import { inMil, lift } from '../../core/jobs/testJob'
import { tellingOf } from '../../shared/wording/telling'
import type { Reported } from './section'
import { sectionsOf } from './sections'
import { sheetDocument } from './sheet'
import { textsOf } from './testReport'

const reported = (job: TestDrum): Reported => ({
  jobId: 'job-1',
  works: 'Orrin Vale Tile Works',
  machine: {
    ...TEST_DRUM,
    tag: 'CP-30',
    name: 'Skip winch',
    area: 'Clay preparation hall',
    movableName: 'Motor',
    stationaryName: 'Winch',
    couplingKind: 'Pin coupling',
    powerKw: 15,
  } as unknown as Reported['machine'],
  logbook: job.entries,
  personName: () => 'Day-shift millwright',
  telling: tellingOf('inch', TEST_DRUM),
  paper: 'A4',
  photographs: {},
})
const report = (job: TestDrum) => textsOf(sectionsOf(job.fold(), reported(job))).join('\n')

describe('the report of a tram', () => {
  it('tells the steps, the one-sided window and every turn of the drum', () => {
    const job = new TestDrum().ready().readTwice(inMil(-3, 0, 0, 0))
    job.move([...lift('inboard', [2, 2]), ...lift('outboard', [2, 2])])
    job.readTwice(inMil(1.2, 0.2, 0, 0))
    job.turnDrum(4, 45)
    job.tap(45)
    job.turnDrum(1.5, 45)
    const text = report(job)
    expect(text).toContain('pin coupling, trammed to its brake drum')
    expect(text).toContain('0.0…3.0')
    expect(text).toContain(
      'Steps: 1st side: in band; 2nd height: in band; 3rd side again: in band; 4th drum run-out: in band.',
    )
    expect(text).toContain('As left: 1.2 mil high')
    expect(text).toContain('At 1:30')
    expect(text).toContain('Limit 4.0 mil, this drum’s own')
    expect(text).toContain('load landed or blocked')
  })

  it('says so where nobody measured it or turned its drum, and draws nothing where nobody taped it', () => {
    const bare = report(new TestDrum().open(960))
    expect(bare).toContain('The drum was not turned in this job.')
    const untaped = report(new TestDrum(UNTAPED_DRUM).ready().readTwice(inMil(1, 0, 0, 0)))
    expect(untaped).toContain('Distances to the feet are not known')
    expect(untaped).not.toContain('undefined')
  })

  it('its sheet has the three places of a tram, in their order', () => {
    const job = new TestDrum().ready()
    const sheet = textsOf([sheetDocument(job.state, reported(job), 'rim-face', false).content]).join('\n')
    expect(sheet).toContain('Rim dial to inboard feet')
    expect(sheet).not.toMatch(/Rim dial,|Read on the/)
    expect(sheet).toContain('Drum run-out, mark by mark')
  })
})
