import { describe, expect, it } from 'vitest'
import { BELT_MACHINE } from '../jobs/testBelt'
import type { BeltMachine } from '../register/beltMachine'
import { driveOf } from '../stages/lineUp/line'
import { bandOf, massFrom, massOf, stiffnessOf } from '../stages/tension/band'
import { deflectionForce } from './tension'
import { chartOf, sectionOf, smallestSheave, STARTER_SECTIONS, tableOf, type BeltSection } from './sections'

const SITE: BeltSection = {
  id: 'b',
  section: 'B',
  construction: 'plain',
  source: 'Orrin Vale chart 4',
  units: 'inch',
  topWidth: 0.66,
  height: 0.43,
  mass: 0.13,
  smallestSheave: 5.4,
  stiffness: 6000,
  spanOver: 64,
  rows: [
    { from: 3, to: 6, speed: null, force: { new: [5, 6], 'run-in': [3.5, 4.5] } },
    { from: 6, to: 8, speed: { from: 0, to: 2000 }, force: { new: [9, 10], 'run-in': [8, 9] } },
    { from: 6, to: null, speed: null, force: { new: [6.5, 7.5], 'run-in': null } },
  ],
}
const SPRING = { stiffness: 0, sheaves: 'free' } as const
const LBF = 4.4482216152605
const withSection = (more: Partial<BeltSection> = {}): BeltMachine => ({
  ...BELT_MACHINE,
  section: { ...SITE, ...more },
})
const drive = driveOf(BELT_MACHINE)!

describe('belt sections', () => {
  it('are found by name whatever the capitals, their own construction before one that says none', () => {
    const any = { ...SITE, id: 'any', construction: null }
    expect(sectionOf([any, SITE], { section: ' b', construction: 'plain' })?.id).toBe('b')
    expect(sectionOf([any, SITE], { section: 'B', construction: 'notched' })?.id).toBe('any')
    expect(sectionOf([SITE], { section: 'B' })).toBeNull()
    expect(sectionOf([SITE], { section: 'C', construction: 'plain' })).toBeNull()
  })

  it('give the band by the row of the small sheave and the speed, in the gauge’s own deflection', () => {
    // 180 mm is 7.1 in; the belts run 13.8 m/s, 2718 ft/min: the slow row is passed over.
    const band = bandOf(withSection(), drive, SPRING, 'new')
    expect(band?.source).toBe('chart')
    const push = (tension: number) => deflectionForce(drive, SPRING, tension, drive.span / 64)
    expect(band?.tension.map(push).map((n) => n / LBF)).toEqual([
      expect.closeTo(6.5, 9),
      expect.closeTo(7.5, 9),
    ])
    // Nothing there for run-in belts: power and speed rule.
    expect(bandOf(withSection(), drive, SPRING, 'run-in')?.source).toBe('power')
    // The sticker goes before it.
    const stickered = {
      ...withSection(),
      tension: { stickerLow: 20, stickerHigh: 25, stickerDeflection: 12.5 },
    }
    expect(bandOf(stickered, drive, SPRING, 'new')?.source).toBe('sticker')
    expect(chartOf(SITE)[1]?.speed?.[1]).toBeCloseTo(10.16, 9)
  })

  it('give mass and stiffness where the register says neither, and say whose they are', () => {
    const { mass: _, ...belts } = BELT_MACHINE.belts
    const bare = { ...BELT_MACHINE, belts: { ...belts, construction: 'plain' as const } }
    expect([massFrom(BELT_MACHINE), massFrom(bare), massFrom({ ...bare, section: SITE })]).toEqual([
      'register',
      'starting',
      'site',
    ])
    expect(massOf(bare)).toBe(0.2)
    expect(massOf({ ...bare, section: SITE })).toBeCloseTo(0.13 * 1.48816394, 6)
    expect([stiffnessOf(bare), stiffnessOf({ ...bare, section: SITE })]).toEqual([
      0,
      expect.closeTo(6000 * LBF, 6),
    ])
    const odd = { ...bare, belts: { ...bare.belts, section: 'own' } }
    expect([massFrom(odd), massOf(odd), tableOf(odd)]).toEqual([null, null, null])
  })

  it('say where a sheave is smaller than the section may run on', () => {
    expect(smallestSheave(SITE, [120, 348])).toMatchObject({ smallest: 120, tooSmall: true })
    expect(smallestSheave(SITE, [180, 348])?.tooSmall).toBe(false)
    expect(smallestSheave({ ...SITE, smallestSheave: null }, [10])).toBeNull()
    // Every starting value is whole, and a notched belt bends round smaller sheaves.
    for (const s of STARTER_SECTIONS) {
      expect(s.topWidth).toBeGreaterThan(s.height ?? 0)
      expect(s.rows).toEqual([])
    }
  })
})
