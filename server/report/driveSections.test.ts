import { describe, expect, it } from 'vitest'
import { BELT_MACHINE, TestBelt } from '../../core/jobs/testBelt'
import { tellingOf } from '../../shared/wording/telling'
import type { Reported } from './section'
import { driveWork } from './sections/drive'
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
  }
}

describe('a belt job in the report', () => {
  it('prints nothing of what was not done', () => {
    expect(printed(new TestBelt().ready())).toEqual({ work: '', result: '', rounds: '' })
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
})
