import { describe, expect, it } from 'vitest'
import { TEST_DRUM, TestDrum } from '../../../core/jobs/testDrum'
import { inMil } from '../../../core/jobs/testJob'
import { tellingOf } from '../../wording/telling'
import { blankTurn, nameTurnUnits, readTurn, type TurnTexts } from '../level/turn'
import { drumTrueKinds } from './entries'
import { drumTrueWorking } from './working'

const T = tellingOf('inch', TEST_DRUM)
const typed = (change: (t: TurnTexts) => void) => {
  const texts = blankTurn('inch')
  change(texts)
  return readTurn(texts, 'stationary', T)
}

describe('a turn as typed', () => {
  it('makes an entry from three marks on, of the drum', () => {
    const read = typed((t) => Object.assign(t.values, { 0: '0', 90: '1.5', 180: '-2' }))
    expect(read.runout).toMatchObject({ machine: 'stationary', surface: 'rim' })
    expect(read.runout?.readings).toHaveLength(3)
    expect(read.missing).toHaveLength(5)
    expect(typed((t) => Object.assign(t.values, { 0: '0', 90: '1.5' })).runout).toBeNull()
  })

  it('what can’t be read is said at its mark, and far too much is asked about', () => {
    const read = typed((t) => Object.assign(t.values, { 0: '0', 90: 'x', 180: '-2', 270: '1' }))
    expect(read.faults['value.90']).toBeTruthy()
    expect(read.runout).toBeNull()
    expect(typed((t) => Object.assign(t.values, { 0: '0', 90: '200', 180: '-2' })).questions).toHaveLength(1)
  })

  it('means the same in other units', () => {
    const texts = blankTurn('inch')
    texts.values[0] = '2'
    nameTurnUnits(texts, 'inch')
    expect(texts.values[0]).toBe('2 mil')
  })
})

describe('a blow at the door', () => {
  const tap = drumTrueKinds['drum-tapped'].body
  const payload = (change: object) => ({
    kind: 'drum-tapped',
    payload: { surface: 'rim', mark: 45, words: '', ...change },
  })
  it('names a surface and a mark', () => {
    expect(tap.safeParse(payload({})).success).toBe(true)
    for (const wrong of [{ surface: 'shaft' }, { mark: 'top' }, { mark: 1e9 }, { words: 7 }])
      expect(tap.safeParse(payload(wrong)).success, JSON.stringify(wrong)).toBe(false)
  })
})

describe('the working of a turn', () => {
  it('shows TIR, what is out of centre, and what the blows did', () => {
    const job = new TestDrum().ready().readTwice(inMil(1.5, 0, 0, 0))
    job.turnDrum(4, 45)
    const of = () => drumTrueWorking(job.state.drum.surfaces[0]!, job.state.drum, 960, T)
    expect(of().map((s) => s.name)).toEqual(['TIR', 'Out of centre', 'Stands high at'])
    expect(of()[0]?.result).toBe('8.00')
    job.tap(45)
    job.turnDrum(2, 45)
    expect(of().at(-1)).toMatchObject({ name: 'After the blows', result: '4.00' })
    const bySpeed = { ...job.state.drum, source: 'speed' as const }
    expect(drumTrueWorking(bySpeed.surfaces[0]!, bySpeed, 960, T).at(-1)?.substituted).toBe('7200 / 960')
    expect(drumTrueWorking(job.state.drum.surfaces[1]!, job.state.drum, 960, T)).toEqual([])
  })
})
