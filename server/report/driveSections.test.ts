import { describe, expect, it } from 'vitest'
import { BELT_MACHINE, TestBelt, VARIABLE_MACHINE } from '../../core/jobs/testBelt'
import { tellingOf } from '../../shared/wording/telling'
import type { Reported } from './section'
import { driveWork } from './sections/drive'
import { lineRounds } from './sections/lineResult'
import { settingTables } from './sections/setting'
import { tensionResult, tensionRounds } from './sections/tension'
import { textsOf } from './testReport'

const telling = tellingOf('metric', null)
const printed = (belt: TestBelt) => {
  const report: Reported = {
    jobId: 'job-1',
    works: 'Orrin Vale Tile Works',
    machine: BELT_MACHINE as unknown as Reported['machine'],
    logbook: belt.entries,
    personName: () => 'Day-shift millwright',
    telling,
    paper: 'A4',
    photographs: {},
  }
  const { state } = belt.fold()
  return {
    work: textsOf(driveWork(state, report)).join(' '),
    result: textsOf(tensionResult(state, report)).join(' '),
    rounds: textsOf(tensionRounds(state, report)).join(' '),
    lines: textsOf(lineRounds(state, report)).join(' '),
    setting: textsOf(settingTables(state, report)).join(' | '),
  }
}

describe('a belt job in the report', () => {
  it('prints nothing of what was not done', () => {
    expect(printed(new TestBelt().ready())).toEqual({
      work: '',
      result: '',
      rounds: '',
      lines: '',
      setting: '',
    })
  })

  it('prints the work on the drive in order, with what was not fine and its photographs', () => {
    const belt = new TestBelt().ready().opened()
    belt.add({
      kind: 'drive-looked',
      payload: { places: ['belts'], found: 'put-right', words: 'Set replaced.', photographs: ['a'] },
    })
    belt.run()
    const { work } = printed(belt)
    expect(work).toContain('The belts are off.')
    expect(work).toContain('Belts, put right Set replaced.')
    expect(work).toContain('Looked at and fine: Grooves, motor sheave')
    expect(work).toContain('The motor stands square')
    expect(work).toContain('Guard on: good.')
    expect(work).toContain('on its way from a device')
  })

  it('prints each belt as found and as left, every reading, and what was turned', () => {
    const belt = new TestBelt().ready().opened()
    belt.push([18, 18, 18, 18, 18])
    belt.turn(1.25)
    belt.push([31, 31, 31, 24, 31])
    const { result, rounds } = printed(belt)
    expect(result).toContain('Belt 4 is 23 % below the others.')
    expect(result).toContain('starting value')
    expect(result).toMatch(/Belt 1 \d+ N \d+ N \d+–\d+/)
    expect(rounds).toContain('18.0, 18.0, 18.0, 18.0, 18.0')
    expect(rounds).toContain('turned 1.25 at the sheave end')
  })

  it('prints a gap in full: by what, in which grooves, under the edge, half a turn on', () => {
    const belt = new TestBelt().ready().opened()
    belt.add({
      kind: 'sheaves-read',
      payload: {
        edgeOn: 'driven',
        edgeSide: 'outer',
        units: 'metric',
        p1: 0.4,
        p2: 0.8,
        w: 172,
        reference: { r1: 0.1, r2: 0, wR: 300 },
        tilt: null,
        by: 'string',
        grooves: { motor: 2, driven: 2 },
        halfTurn: { p1: 0.5, p2: 0.7, tilt: null },
      },
    })
    const { lines } = printed(belt)
    expect(lines).toContain('near rim 0.40 mm, far rim 0.80 mm')
    expect(lines).toContain('Under the edge: far rim 0.10 mm, near rim 0.00 mm.')
    expect(lines).toContain('Half a turn on: near rim 0.50 mm, far rim 0.70 mm.')
    expect(lines).toContain('Grooves: motor 2, driven 2.')
    expect(lines).toContain('By string.')
  })

  it('prints which belts went on, and the table of a sheave that can be set as it was left', () => {
    const belt = new TestBelt(VARIABLE_MACHINE).ready().opened()
    belt.add({ kind: 'setting-read', payload: { place: 'motor', turns: 2.5, words: '' } })
    belt.add({
      kind: 'belts-fitted',
      payload: {
        belts: 'new',
        units: 'metric',
        length: 2478,
        matched: true,
        spares: { lot: 'a', pieces: 1 },
        words: '',
      },
    })
    const { work, setting } = printed(belt)
    expect(work).toContain('2478.0 mm long, a matched set, from the stores.')
    expect(setting).toContain('Motor sheave, every half turn')
    expect(setting).toContain('2 1/2, as left')
    expect(setting.match(/mm/g)?.length).toBeGreaterThan(6)
  })
})
