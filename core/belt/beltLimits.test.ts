import { describe, expect, it } from 'vitest'
import { BELT_MACHINE } from '../jobs/testBelt'
import { bandOf, loadOf } from '../stages/tension/band'
import { driveOf } from '../stages/lineUp/line'
import {
  allowancesOf,
  beltLimitsFor,
  factorsOf,
  gaugeDeflectionOf,
  lineLimitsOf,
  ratioAt180Of,
  serviceFactorOf,
  spreadLimitOf,
  type BeltLimits,
} from './beltLimits'
import { judgeReplacement } from './replacement'

const NOTHING: BeltLimits = {
  id: 'a',
  kind: null,
  source: 'sheet 7',
  units: 'inch',
  offset: null,
  angle: null,
  tilt: null,
  spread: null,
  serviceFactor: null,
  ratioAt180: null,
  factors: { new: null, 'run-in': null },
  gauge: null,
  fitting: null,
  takeUp: null,
}
const DEGREE = Math.PI / 180
const bare = {
  ...BELT_MACHINE,
  limits: { angle: null, tilt: null, offset: null, source: '' },
  tension: {},
}
const by = (...limits: Partial<BeltLimits>[]) => ({
  ...bare,
  beltLimits: limits.map((l) => ({ ...NOTHING, ...l })),
})

describe('what belt drives are judged by', () => {
  it('the works’ own kind of belt is asked before every kind; other kinds never', () => {
    const all = (['v', null, 'toothed'] as const).map((kind) => ({ ...NOTHING, kind }))
    expect(beltLimitsFor('v', all).map((l) => l.kind)).toEqual(['v', null])
    expect(beltLimitsFor('ribbed', all).map((l) => l.kind)).toEqual([null])
  })

  it('a sixteenth at the groove holds whatever the span; by the span it grows with it', () => {
    const groove = by({ offset: { by: 'groove', value: 0.0625 } })
    expect(lineLimitsOf(groove, 500).offset.value).toBeCloseTo(1.5875, 6)
    expect(lineLimitsOf(groove, 5000).offset.value).toBeCloseTo(1.5875, 6)
    const span = by({ offset: { by: 'span', value: 0.1 } })
    expect(lineLimitsOf(span, 1200).offset.value).toBeCloseTo(10, 6)
    const metric = by({ units: 'metric', offset: { by: 'span', value: 8 } })
    expect(lineLimitsOf(metric, 1000).offset.value).toBeCloseTo(8, 6)
  })

  it('each quantity by itself, the nearest that says it, and whose it is', () => {
    const machine = {
      ...by(
        { angle: 0.3, tilt: 0.2, source: 'near' },
        { offset: { by: 'groove', value: 0.1 }, source: 'far' },
      ),
      limits: { angle: 0.4, tilt: null, offset: null, source: 'drawing 3' },
    }
    const { angle, tilt, offset } = lineLimitsOf(machine, 800)
    expect(angle).toMatchObject({ by: 'machine', source: 'drawing 3' })
    expect(angle.value).toBeCloseTo(0.4 * DEGREE, 12)
    expect(tilt).toMatchObject({ by: 'works', source: 'near' })
    expect(tilt.value).toBeCloseTo(0.2 * DEGREE, 12)
    expect(offset).toMatchObject({ by: 'works', source: 'far' })
  })

  it('with nothing said it is the starting values, and they say so', () => {
    const { angle, offset } = lineLimitsOf(bare, 1200)
    expect([angle.by, offset.by]).toEqual(['starting', 'starting'])
    expect(angle.value).toBeCloseTo(0.5 * DEGREE, 12)
    expect(offset.value).toBeCloseTo(10, 9)
    expect(spreadLimitOf(bare)).toMatchObject({ value: 0.1, by: 'starting' })
    expect(serviceFactorOf(bare)).toMatchObject({ value: 1.3, by: 'starting' })
    expect(ratioAt180Of(bare).value).toBe(5)
    expect(factorsOf(bare, 'new').value).toEqual([1.3, 1.5])
    expect(allowancesOf(bare)).toEqual({ fitting: 0.015, takeUp: 0.03 })
  })

  it('the works’ factors make the band, in the age they are given for', () => {
    const drive = driveOf(bare)
    if (!drive) throw new Error('sheaves touch')
    const spring = { stiffness: 0, sheaves: 'free' } as const
    const machine = { ...bare, powerKw: 22, belts: { ...bare.belts, mass: 0.13 } }
    const band = (m: typeof machine, age: 'new' | 'run-in') =>
      bandOf(m, drive, spring, age)?.tension ?? [0, 0]
    const tighter = { ...machine, beltLimits: by({ factors: { new: [2, 2.2], 'run-in': null } }).beltLimits }
    expect(band(tighter, 'new')[0] / band(machine, 'new')[0]).toBeCloseTo(2 / 1.3, 9)
    expect(band(tighter, 'run-in')).toEqual(band(machine, 'run-in'))
    const served = { ...machine, beltLimits: by({ serviceFactor: 2.6, ratioAt180: 4 }).beltLimits }
    expect(loadOf(served, drive)).toMatchObject({ serviceFactor: 2.6, ratioAt180: 4 })
    expect(loadOf({ ...served, tension: { serviceFactor: 1.1 } }, drive)?.serviceFactor).toBe(1.1)
  })

  it('the gauge goes by the sticker, the section, the works’ rule, a sixty-fourth, in that order', () => {
    const drive = driveOf(bare)
    if (!drive) throw new Error('sheaves touch')
    const at = (m: Parameters<typeof gaugeDeflectionOf>[0]) => gaugeDeflectionOf(m, drive)
    expect(at(bare)).toMatchObject({ value: drive.span / 64, by: 'starting' })
    const ruled = by({ gauge: { of: 'centre', over: 100 }, source: 'sheet 7' })
    expect(at(ruled)).toEqual({ value: drive.centre / 100, by: 'works', source: 'sheet 7' })
    const table = { ...ruled, section: { spanOver: 50, source: 'chart' } }
    expect(at(table)).toEqual({ value: drive.span / 50, by: 'works', source: 'chart' })
    expect(at({ ...table, units: 'metric', tension: { stickerDeflection: 9 } })).toMatchObject({
      value: 9,
      by: 'machine',
    })
  })

  it('room for fitting and taking up is the works’ where it says it', () => {
    const drive = driveOf(bare)
    if (!drive) throw new Error('sheaves touch')
    const length = drive.pitchLength
    const room = (m: typeof bare) => {
      const judged = judgeReplacement(drive, length, null, allowancesOf(m))
      if (!judged.ok) throw new Error('no belt')
      return judged.value
    }
    const [usual, wide] = [room(bare), room(by({ fitting: 3, takeUp: 6 }))]
    expect(wide.inward).toBeGreaterThan(1.9 * usual.inward)
    expect(wide.outward).toBeGreaterThan(1.9 * usual.outward)
  })
})
