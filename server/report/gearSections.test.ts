import { describe, expect, it } from 'vitest'
import { TEST_GEAR, TestGear } from '../../core/jobs/testGear'
import { tellingOf } from '../../shared/wording/telling'
import { gearSheetDocument } from './gearSheet'
import type { Reported } from './section'
import { sectionsOf } from './sections'
import { textsOf } from './testReport'

const report = (job: TestGear, units: 'inch' | 'metric' = 'inch'): Reported => ({
  jobId: 'job-1',
  works: 'Orrin Vale Tile Works',
  machine: {
    ...TEST_GEAR,
    tag: 'PR-05',
    name: 'Turntable',
    area: 'Press hall',
    movableName: 'Motor',
    stationaryName: 'Turntable',
    powerKw: 7.5,
    gear: { ...TEST_GEAR.gear, notes: { covers: 'By crane.', seals: '', waiting: 'Half a day.' } },
  } as unknown as Reported['machine'],
  logbook: job.entries,
  personName: () => 'Day-shift millwright',
  telling: tellingOf(units, null),
  paper: 'A4',
  photographs: {},
})
const printed = (job: TestGear, units?: 'inch' | 'metric') =>
  textsOf(sectionsOf(job.job, report(job, units)))
    .join(' ')
    .replaceAll('\u00a0', ' ')
const worked = () =>
  new TestGear()
    .ready()
    .paint([3, 39], [0, 30])
    .shift('blocks', 6)
    .paint([15, 51], [10, 44])
    .play(18, 17.5)
    .shift('blocks', 11)
    .paint([38, 74], [31, 66])
    .layers(-3, -3)
    .paint([38, 74], [31, 66])
    .play(13.6)
    .tighten()
    .paint([38, 74], [31, 66])
    .play(13.5)
    .pins('reamed')
    .run()

describe('a gearset in the report', () => {
  it('prints the contact as found and left with its limits, what was wanted, and the backlash', () => {
    const text = printed(worked())
    expect(text).toContain('Limits from the site, PR-05. Held against the pattern before opening.')
    expect(text).toMatch(/Off, forward 0 0 10 In band/)
    expect(text).toMatch(/Backlash, worst – 13\.5 window 10 to 16 mil In band/)
    expect(text).toContain('table side left, wall side right')
  })

  it('prints every round: paint, shift and what it did, layers and what they did', () => {
    const text = printed(worked())
    expect(text).toMatch(/Round 1, .*forward paint from 3 % to 39 %.*off together −34 %/)
    expect(text).toContain(
      'The worm blocks went 6.0 mil toward the wall side. The paint followed, as the rule says.',
    )
    expect(text).toContain('Block 1 3 layers out, Block 2 3 layers out.')
    expect(text).toMatch(/Round 3: 3 layers out, 3 layers out, and the paint went/)
    expect(text).toMatch(/backlash 18\.0, 17\.5, dial on a tooth; worst 18\.0 mil at the tooth/)
  })

  it('prints what was found and how it went back, with what the site says; tightening, pins and run', () => {
    const text = printed(worked())
    expect(text).toMatch(/Pattern as found, layers and refit/)
    expect(text).toContain('It is back together, pins left out.')
    expect(text).toContain('It held: contact and backlash stand as they should.')
    expect(text).toMatch(/reamed/)
    expect(text).toContain('Guard on: good.')
  })

  it('a shift that nothing was painted after says so, and an empty job prints no figures', () => {
    const job = new TestGear().ready().paint([15, 51], [10, 44]).shift('gear', -4)
    expect(printed(job)).toContain('the wheel 4.0 mil toward the table side. Not painted after it.')
    expect(printed(new TestGear().open())).toContain('Contact and backlash as left')
    expect(printed(new TestGear().open())).not.toContain('Round by round')
  })

  it('prints in the other units', () => {
    expect(printed(worked(), 'metric')).toContain('0.152 mm toward the wall side')
  })

  it('prints the vibration that was noted, as a hint', () => {
    const job = worked()
    job.add({
      kind: 'vibration-noted',
      payload: {
        units: 'metric',
        moment: 'before',
        points: [{ at: 'movable-near', way: 'axial', value: 7.1 }],
        words: '',
      },
    })
    expect(printed(job, 'metric')).toMatch(/[Vv]ibration.*7\.1/)
  })

  it('says what the register took over once it is closed', () => {
    const job = worked()
    job.add({
      kind: 'job-closed',
      payload: {
        signedBy: 'Lead',
        remarks: '',
        exception: '',
        due: null,
        signed: { verdict: 'in', foldVersion: 3 },
      },
    })
    expect(printed(job)).toContain('Layers of 2 mil under the blocks: 10 + 10 become 7 + 7')
  })
})

describe('the data sheet of a gearset', () => {
  const sheet = (job: TestGear, filled: boolean, units: 'inch' | 'metric' = 'inch') =>
    textsOf(gearSheetDocument(job.state, report(job, units), filled).content)

  it('has a box for every end of the paint, every reading and every place', () => {
    const all = sheet(new TestGear().open(), false)
    for (const what of ['Teeth', 'forward: begins', 'back: begins', 'round 5', 'Reading 4', 'as found'])
      expect(all).toContain(what)
  })

  it('blank says nothing that was read; filled says all of it, in the unit asked for', () => {
    expect(sheet(worked(), false).filter((t) => t === '38' || t === '13.5')).toEqual([])
    const filled = sheet(worked(), true)
    for (const what of ['38', '15', '18', '13.5', '38–74 %']) expect(filled).toContain(what)
    expect(filled).toContain('Worm blocks 6.0 mil, wall side')
    expect(sheet(worked(), true, 'metric')).toContain('0.457')
  })
})
