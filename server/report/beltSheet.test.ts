import { describe, expect, it } from 'vitest'
import { BELT_MACHINE, TestBelt } from '../../core/jobs/testBelt'
import { tellingOf } from '../../shared/wording/telling'
import { beltSheetDocument } from './beltSheet'
import type { Reported } from './section'
import { textsOf } from './testReport'

const sheet = (belt: TestBelt, filled: boolean, units: 'inch' | 'metric' = 'metric') => {
  const report: Reported = {
    jobId: 'job-1',
    works: 'Orrin Vale Tile Works',
    machine: { ...BELT_MACHINE, tag: 'GL-03', name: 'Glaze mill' } as unknown as Reported['machine'],
    logbook: belt.entries,
    personName: () => 'Day-shift millwright',
    telling: tellingOf(units, BELT_MACHINE),
    paper: 'A4',
    photographs: {},
  }
  return textsOf(beltSheetDocument(belt.fold().state, report, filled).content)
}
const worked = () => {
  const belt = new TestBelt().ready().opened()
  belt.square(112.4, 117.4)
  belt.push([18, 18, 18, 18, 18].slice(0, BELT_MACHINE.belts.count))
  belt.turn(0.75)
  return belt
}

describe('a belt data sheet', () => {
  it('has a box for everything that the stages ask: places, ends, rims, belts, turns', () => {
    const all = sheet(new TestBelt().ready(), false)
    for (const what of [
      'Belts',
      'Sheave end',
      'Gap at near rim, p1',
      'Edge shifted up, g12',
      'Turns, far end',
    ])
      expect(all).toContain(what)
    expect(all.filter((t) => /^Belt \d$/.test(t))).toHaveLength(BELT_MACHINE.belts.count)
    expect(all).toContain('after turns 3')
  })

  it('blank says nothing that was read; filled says all of it, in the unit asked for', () => {
    const blank = sheet(worked(), false)
    expect(blank).not.toContain('0.75')
    expect(blank.filter((t) => t === '×')).toHaveLength(0)
    const filled = sheet(worked(), true)
    expect(filled).toContain('0.75')
    expect(filled.filter((t) => /^18\.0/.test(t))).toHaveLength(BELT_MACHINE.belts.count)
    expect(filled.some((t) => t.startsWith('112.4'))).toBe(true)
    expect(sheet(worked(), true, 'inch').some((t) => /^4\.4/.test(t))).toBe(true)
  })
})
