import { describe, expect, it } from 'vitest'
import { BELT_MACHINE, TestBelt } from '../../jobs/testBelt'
import type { BeltMachine } from '../../register/beltMachine'
import { beltRegisterChanges } from './beltRegister'

const { motor, driven } = BELT_MACHINE.sheaves
const MACHINE: BeltMachine = {
  ...BELT_MACHINE,
  base: { ...BELT_MACHINE.base, travelLeft: 20 },
  sheaves: {
    driven,
    motor: {
      ...motor,
      build: {
        kind: 'variable',
        threadPitch: 2,
        turnsMost: 4,
        grooveAngle: 34,
        moves: 'outer',
        turnsOpen: 1,
      },
    },
  },
}

describe('what the register takes over from a belt job', () => {
  it('is nothing where nothing was set, fitted or turned', () => {
    const belt = new TestBelt(MACHINE).ready().opened()
    belt.add({ kind: 'setting-read', payload: { place: 'motor', turns: 1, words: '' } })
    belt.push([31, 31, 31, 31, 31])
    expect(beltRegisterChanges(belt.fold().state)).toEqual([])
  })

  it('is the setting, the new set with its day and length, and the travel that is left', () => {
    const belt = new TestBelt(MACHINE).ready().opened()
    belt.add({ kind: 'setting-read', payload: { place: 'motor', turns: 2.5, words: '' } })
    belt.add({
      kind: 'belts-fitted',
      payload: { belts: 'new', units: 'inch', length: 97.5, matched: true, words: '' },
    })
    belt.push([18, 18, 18, 18, 18])
    belt.turn(1.5)
    const [setting, belts, travel] = beltRegisterChanges(belt.fold().state)
    expect(setting).toEqual({ what: 'setting', place: 'motor', was: 1, now: 2.5 })
    expect(belts).toMatchObject({ what: 'belts', on: '2026-01-01', set: 'matched' })
    expect(belts?.what === 'belts' && belts.length).toBeCloseTo(97.5 * 25.4, 9)
    expect(travel?.what === 'travel' && travel.now).toBeCloseTo(20 - 1.5 * 2.5, 9)
    belt.turn(20)
    const after = beltRegisterChanges(belt.fold().state).find((c) => c.what === 'travel')
    expect(after?.what === 'travel' && after.now).toBe(0)
  })
})
