import { describe, expect, it } from 'vitest'
import { TEST_FLANGE, TestFlange } from '../../core/jobs/testFlange'
import { inMil } from '../../core/jobs/testJob'
import { tellingOf } from '../../shared/wording/telling'
import type { Reported } from './section'
import { sectionsOf } from './sections'
import { sheetDocument } from './sheet'
import { textsOf } from './testReport'

const reported = (job: TestFlange, units: 'inch' | 'metric' = 'inch'): Reported => ({
  jobId: 'job-1',
  works: 'Orrin Vale Tile Works',
  machine: {
    ...TEST_FLANGE,
    tag: 'CP-21',
    name: 'Blunger',
    area: 'Clay preparation hall',
    movableName: 'Motor',
    stationaryName: 'Blunger',
    couplingKind: 'Jaw coupling',
    powerKw: 22,
  } as unknown as Reported['machine'],
  logbook: job.entries,
  personName: () => 'Day-shift millwright',
  telling: tellingOf(units, TEST_FLANGE),
  paper: 'A4',
  photographs: {},
})
const report = (job: TestFlange, units?: 'inch' | 'metric') =>
  textsOf(sectionsOf(job.fold(), reported(job, units)))
const worked = () => {
  const job = new TestFlange().ready()
  job.add({
    kind: 'bolt-shims-found',
    payload: { units: 'inch', bolts: [{ bolt: '1', leaves: [] }], words: 'Bare.' },
  })
  job.add({
    kind: 'bolt-shims-cut',
    payload: {
      units: 'inch',
      bolt: '4',
      count: 1,
      thickness: 7,
      outline: { length: 4, width: 3, slot: 0.8, toBolt: 2 },
      words: '',
    },
  })
  job.readTwice(inMil(3.3, -5.5, -0.2, 0.5))
  job.shim(job.schools()[1]!, 'The maker asks for pairs.')
  return job.readTwice(inMil(0.9, 0.5, 0, 0))
}

describe('the report of a motor on a flange', () => {
  it('says which way it leaned and stands, what stays, and what lies under every bolt', () => {
    const all = report(worked())
    expect(all.some((t) => /As found: leans 0\.54 mil\/in toward 3:45/.test(t))).toBe(true)
    expect(all.some((t) => /As left: .*stands off 1\.0 mil toward 1/.test(t))).toBe(true)
    expect(all.some((t) => /The spigot is tight: if it is out, frame or spigot/.test(t))).toBe(true)
    expect(all).toContain('12, marked')
    expect(all).toContain('Tilt')
    // Nothing is high or low on a shaft that stands on end, and no sag was taken out.
    expect(all.join(' ')).not.toMatch(/\b(high|low)\b|sag/)
  })

  it('tells a move by its bolts, with the school, the rock and why that was taken all the same', () => {
    const all = report(worked())
    expect(all).toContain('Shimmed pairwise.')
    expect(all.some((t) => /^Rock \d.* limit 2\.0 mil\. Coupling gap grows/.test(t))).toBe(true)
    expect(all).toContain('Used all the same: The maker asks for pairs.')
    expect(all.some((t) => t.startsWith('Predicted: '))).toBe(true)
    expect(all.some((t) => /Cut: 7\.0 mil for 4:30/.test(t))).toBe(true)
    expect(all.some((t) => t.endsWith('none at 12. Bare.'))).toBe(true)
    expect(all.some((t) => /Bolts on 14\.00 in, the flange 12\.00 in above/.test(t))).toBe(true)
  })

  it('goes through in millimetres, and while nothing is measured', () => {
    expect(report(worked(), 'metric').some((t) => /mm\/100 mm toward 3:45/.test(t))).toBe(true)
    expect(report(new TestFlange().open(980)).length).toBeGreaterThan(3)
  })

  it('has a data sheet with the flange’s own tape and a row for every bolt', () => {
    const job = worked()
    const sheet = (filled: boolean) =>
      textsOf(sheetDocument(job.state, reported(job), 'rim-face', filled).content)
    expect(sheet(false)).toContain('Bolt circle, across')
    expect(sheet(false)).toContain('10:30')
    expect(sheet(false).join(' ')).not.toContain('sag')
    expect(sheet(true)).toContain('14 in')
  })
})
