import { describe, expect, it } from 'vitest'
import { BELT_MACHINE, TestBelt } from '../../../core/jobs/testBelt'
import type { BeltMachine } from '../../../core/register/beltMachine'
import { readTension } from '../../../core/stages/tension/tension'
import { turnsToGive } from '../../../core/stages/tension/turns'
import { bandSourceWords, giveWords, meaningOfTension, oddOne } from '../../wording/tension'
import { tellingOf } from '../../wording/telling'
import { drawBars, layBeltSide } from './drawing'
import { askedTurns, blankTension, nameTensionUnits, readTensionTexts, readTurns } from './form'
import { tensionWorking } from './working'

const metric = tellingOf('metric', null)
const inch = tellingOf('inch', null)
const typed = (belts: readonly string[], change: Partial<ReturnType<typeof blankTension>> = {}) => {
  const texts = { ...blankTension(BELT_MACHINE, true, 'metric'), ...change }
  texts.belts[texts.school] = [...belts]
  return texts
}

describe('the tension as typed', () => {
  it('begins with the gauge set for this span, one box a belt, and belts of their age', () => {
    expect(blankTension(BELT_MACHINE, true, 'metric')).toMatchObject({
      deflection: '12.5',
      age: 'new',
      school: 'force',
    })
    expect(blankTension(BELT_MACHINE, false, 'inch')).toMatchObject({ deflection: '0.5', age: 'run-in' })
    expect(blankTension(BELT_MACHINE, true, 'metric').belts.force).toHaveLength(5)
    const band: BeltMachine = { ...BELT_MACHINE, belts: { ...BELT_MACHINE.belts, kind: 'joined' } }
    expect(blankTension(band, true, 'metric').belts.force).toHaveLength(1)
  })

  it('is whole once every belt stands there', () => {
    const half = readTensionTexts(typed(['31', '', '30.5', '', '31']), metric)
    expect(half).toMatchObject({ payload: null, missing: [1, 3], begun: true })
    const whole = readTensionTexts(typed(['31', '30', '30,5', '3.1 kgf', '31']), metric)
    expect(whole.payload?.read).toMatchObject({ by: 'force', deflection: 12.5 })
    expect(whole.payload?.read.by === 'force' && whole.payload.read.forces[3]).toBeCloseTo(30.4, 1)
  })

  it.each([
    ['nothing but zero', '0', 'above zero'],
    ['below zero', '-3', 'above zero'],
    ['words', 'firm', 'not a number'],
  ])('refuses %s at its belt', (_, text, said) => {
    const read = readTensionTexts(typed(['31', text, '31', '31', '31']), metric)
    expect(read.payload).toBeNull()
    expect(read.faults['belt.1']).toContain(said)
  })

  it('asks about a figure far off the others, and lets it stand', () => {
    const read = readTensionTexts(typed(['31', '310', '31', '30', '31']), metric)
    expect(read.asks['belt.1']).toContain('about 31')
    expect(read.payload).not.toBeNull()
  })

  it('keeps its meaning when the units are switched; hertz stay hertz', () => {
    const texts = typed(['31', '30', '31', '30', '31'])
    texts.belts.frequency[0] = '33'
    nameTensionUnits(texts, 'metric')
    expect(texts.belts.force[0]).toBe('31 N')
    expect(texts.belts.frequency[0]).toBe('33')
    const read = readTensionTexts(texts, inch).payload?.read
    expect(read?.by === 'force' && read.forces[0]).toBeCloseTo(31 / 4.4482216, 4)
    expect(read?.by === 'force' && read.deflection).toBeCloseTo(12.5 / 25.4, 6)
  })

  it('by marks and by hand says what can’t be', () => {
    const marks = typed(['499', '501', '501', '501', '501'], { school: 'marks', slack: '500' })
    expect(readTensionTexts(marks, metric).faults['belt.0']).toContain('nearer')
    const hand = typed(['12', '12', '12', '12', '12'], { school: 'hand', windowLeast: '14', windowMost: '9' })
    expect(readTensionTexts(hand, metric).faults.windowMost).toContain('least first')
    const open = readTensionTexts({ ...hand, windowLeast: '', windowMost: '' }, metric)
    expect(open.payload?.read).toMatchObject({ by: 'hand', window: null })
  })

  it('takes turns as fractions, and nothing where nothing was turned', () => {
    expect(readTurns({ sheaveEnd: '3/8', farEnd: '1 1/4', words: '' }, metric).payload).toEqual({
      sheaveEnd: 0.375,
      farEnd: 1.25,
      words: '',
    })
    expect(readTurns({ sheaveEnd: '-1/8', farEnd: '', words: '' }, metric).payload).toMatchObject({
      sheaveEnd: -0.125,
      farEnd: 0,
    })
    expect(readTurns(askedTurns(null), metric).payload).toBeNull()
    expect(readTurns({ sheaveEnd: 'half', farEnd: '', words: '' }, metric).faults.sheaveEnd).toBeTruthy()
    expect(askedTurns(0.5)).toMatchObject({ sheaveEnd: '0.5', farEnd: '0.5' })
  })
})

const pushed = (forces: readonly number[], machine: BeltMachine = BELT_MACHINE) => {
  const belt = new TestBelt(machine).ready()
  const entry = belt.push(forces)
  if (entry.kind !== 'tension-read') throw new Error('another kind')
  return { belt, state: belt.fold().state, read: readTension(entry, machine)! }
}
const five = (x: number) => [x, x, x, x, x]

describe('what the tension says', () => {
  it('slack, by how much, and which way the motor goes', () => {
    const { state } = pushed(five(20))
    const said = meaningOfTension(state, metric)
    expect(said.mark).toBe('out')
    expect(said.headline).toMatch(/^The set is too slack, by \d+ N\.$/)
    expect(said.detail).toContain('away from the driven shaft')
    expect(meaningOfTension(pushed(five(45)).state, metric).headline).toMatch(/^The set is too tight/)
    expect(meaningOfTension(pushed(five(31)).state, metric)).toMatchObject({ mark: 'in' })
  })

  it('names the belt that stands out, and does not ask to pull the others up to it', () => {
    const { state, read } = pushed([31, 31, 31, 24, 31])
    expect(oddOne(read)).toMatchObject({ at: 3 })
    const said = meaningOfTension(state, metric)
    expect(said.headline).toBe('Belt 4 is 23 % below the others.')
    expect(said.detail).toContain('overload the others')
  })

  it('without a band it is read and kept, and says what would give one', () => {
    const bare: BeltMachine = { ...BELT_MACHINE, belts: { kind: 'v', section: 'B', count: 5 } }
    const { state, read } = pushed(five(31), bare)
    expect(meaningOfTension(state, metric).headline).toContain('Nothing says')
    expect(bandSourceWords(read, state, metric)).toContain('sticker')
    expect(bandSourceWords(pushed(five(31)).read, pushed(five(31)).state, metric)).toContain('starting value')
  })

  it('says what to turn in the words of this base, and that its travel ends', () => {
    const machine: BeltMachine = { ...BELT_MACHINE, base: { ...BELT_MACHINE.base, travelLeft: 1 } }
    const { state } = pushed(five(18), machine)
    const give = turnsToGive(state.rounds, state.tensions, machine)!
    const said = giveWords(give, state, metric)
    expect(said.instruction).toContain('both adjusting screws 1/4 turn')
    expect(said.why.join(' ')).toContain('Only 0.38 mm of travel left')
    const over = giveWords({ ...give, travelLeft: -2 }, state, metric)
    expect(over.why.join(' ')).toContain('no travel left')
    const learned = giveWords({ ...give, from: 'learned', perTurn: 66, interval: [0.4, 0.9] }, state, metric)
    expect(learned.why[0]).toBe('Each turn added about 66.0 N.')
    expect(learned.why[1]).toBe('Between 0.40 and 0.90 turns, 95 of 100.')
  })

  it('draws each belt against the band in the measure it was read in', () => {
    const { read } = pushed([31, 31, 31, 24, 31])
    const { bars, band } = drawBars(read, BELT_MACHINE, metric)
    expect(bars.map((b) => b.name)).toEqual(['Belt 1', 'Belt 2', 'Belt 3', 'Belt 4', 'Belt 5'])
    expect(bars[3]!.share).toBeLessThan(band!.low)
    expect(bars[0]!.share).toBeGreaterThan(band!.low)
    expect(bars[0]!.share).toBeLessThan(band!.high)
    expect(band!.words.map(Number)[0]).toBeLessThan(31)
  })

  it('draws the drive to one scale, the belt pushed at mid-span', () => {
    const side = layBeltSide({ motor: 180, driven: 348 }, 820, 12.5, { width: 660, height: 176 })
    expect(side.driven.r / side.motor.r).toBeCloseTo(348 / 180, 9)
    expect((side.driven.x - side.motor.x) / side.motor.r).toBeCloseTo(820 / 90, 9)
    const [x, y] = side.pushed.middle
    expect(x).toBeCloseTo((side.pushed.from[0] + side.pushed.to[0]) / 2, 9)
    expect(side.pushed.down[1]).toBeGreaterThan(y)
  })

  it('works it out with this drive’s numbers, and comes to the same', () => {
    const { belt, read } = pushed(five(20))
    belt.turn(1)
    belt.push(five(26))
    const { rounds, tensions } = belt.fold().state
    const steps = tensionWorking(read, BELT_MACHINE, turnsToGive(rounds, tensions, BELT_MACHINE), metric)
    expect(steps[0]).toMatchObject({ name: 'Span', result: '815.69 mm' })
    expect(steps[1]).toMatchObject({ substituted: '20.0 N × 815.69 mm / (4 × 12.50 mm)', result: '326 N' })
    expect(steps.find((s) => s.name === 'Band')?.result).toMatch(/^\d+ N – \d+ N$/)
    expect(steps.at(-1)?.formula).toContain('tension a turn')
  })
})
