import { describe, expect, it } from 'vitest'
import { ALIGNED, type Misalignment } from '../../core/frame/planes'
import { judge } from '../../core/judge/judge'
import type { SettledTolerance } from '../../core/judge/tolerance'
import { limitWords, namedQuantities, quantityGroups } from './quantities'
import { tellingOf } from './telling'

const MIL = 0.0254
const T = tellingOf('inch', null)
const METRIC = tellingOf('metric', null)
const line = (v: number, h: number, sv: number, sh: number): Misalignment => ({
  offset: { v: v * MIL, h: h * MIL },
  slope: { v: sv / 1000, h: sh / 1000 },
})
const PLAIN: SettledTolerance = { form: 'offset-slope', mode: 'plane', offset: 5 * MIL, slope: 0.001 }
const VECTOR: SettledTolerance = { ...PLAIN, mode: 'vector' }
const FLEX: SettledTolerance = { form: 'flex-plane', mode: 'plane', slope: 0.001, spoolLength: 180 }
const WINDOW: SettledTolerance = {
  form: 'window',
  offset: { v: [-2 * MIL, 6 * MIL], h: [0, 4 * MIL] },
  slope: { v: [null, 0.001], h: [-0.001, 0.001] },
}
const LOW = line(-8.4, 5.1, -0.36, 0.22)
const groups = (tolerance: SettledTolerance, telling = T) =>
  quantityGroups(judge(LOW, tolerance, ALIGNED), telling)

describe('quantities in groups', () => {
  it('stand by what they are, with their planes below', () => {
    expect(groups(PLAIN).map((g) => [g.what, g.limit, g.rows.map((r) => r.plane)])).toEqual([
      ['Offset', '5.0', ['vertical', 'horizontal']],
      ['Angle', '1.00', ['vertical', 'horizontal']],
    ])
  })

  it('keep each flexing plane of a spacer apart', () => {
    expect(groups(FLEX, METRIC).map((g) => [g.what, g.limit, g.rows.length])).toEqual([
      ['Driven flex', '0.100', 2],
      ['Motor flex', '0.100', 2],
    ])
  })

  it('have no plane where a size is judged', () => {
    expect(groups(VECTOR).map((g) => [g.what, g.rows.map((r) => r.plane)])).toEqual([
      ['Offset', ['']],
      ['Angle', ['']],
    ])
  })

  it('say the limit of each plane where a window has two', () => {
    const [offset, angle] = groups(WINDOW)
    expect(offset?.limit).toBe('vertical −2.0…6.0, horizontal 0.0…4.0')
    expect(angle?.limit).toBe('1.00')
  })

  it('lose none of what was judged', () => {
    for (const tolerance of [PLAIN, VECTOR, FLEX, WINDOW]) {
      const judgement = judge(LOW, tolerance, ALIGNED)
      const shown = quantityGroups(judgement, T).flatMap((g) => g.rows.map((r) => r.q))
      expect(shown).toEqual(judgement.quantities)
    }
  })
})

describe('a limit in words', () => {
  it.each([
    [-5, 5, '5.0'],
    [0, 4, '4.0'],
    [-2, 6, '−2.0…6.0'],
    [null, 6, '6.0'],
    [1.5, null, '≥ 1.5'],
  ])('from %s to %s mil is %s', (low, high, words) => {
    const mm = (x: number | null) => (x === null ? null : x * MIL)
    expect(limitWords({ low: mm(low), high: mm(high), kind: 'displacement' }, T)).toBe(words)
  })

  it('follows the units of who reads it', () => {
    expect(limitWords({ low: -0.1, high: 0.1, kind: 'displacement' }, METRIC)).toBe('0.100')
  })
})

describe('what is out, in words', () => {
  const out = (tolerance: SettledTolerance, of = LOW, telling = T) =>
    namedQuantities(judge(of, tolerance, ALIGNED), 'out', 'outboard', telling)

  it('says an offset by the way it lies', () => {
    expect(out(PLAIN)).toBe('8.4 mil low; 5.1 mil toward 3')
    expect(out(PLAIN, line(8.4, -5.1, 0, 0))).toBe('8.4 mil high; 5.1 mil toward 9')
  })

  it('says an angle by its far end', () => {
    expect(out(PLAIN, line(0, 0, -1.5, 0))).toMatch(/^angle, vertical −1\.50, outboard end low/)
    expect(out(PLAIN, line(0, 0, 0, 1.5))).toMatch(/^angle, horizontal \+?1\.50, outboard end toward 3/)
  })

  it('says a flexing plane by where it opens, without a sign beside it', () => {
    const words = out(FLEX, line(0, 0, 4, 0), METRIC)
    expect(words).toMatch(/motor flex 0\.\d{3} mm\/100 mm open at (12|6)/)
    expect(words).not.toMatch(/[+−]/)
  })

  it('is nothing when nothing is', () => {
    expect(out(PLAIN, line(1, 1, 0.1, 0.1))).toBe('')
  })
})

describe('quantities that a cold target sets off', () => {
  const TARGET = line(-20, 0, 0.4, 0)
  const named = (tolerance: SettledTolerance, target = TARGET) =>
    namedQuantities(judge(LOW, tolerance, target), 'out', 'outboard end', T)

  it('are counted from it in words', () => {
    expect(named(PLAIN)).toContain('11.6 mil high of the cold target')
    // Nothing is set off toward 3 or 9: that plane is told as it stands.
    expect(named(PLAIN)).toMatch(/5\.1 mil toward 3$/)
  })

  it.each([
    ['a size', VECTOR],
    ['a flexing plane', { ...FLEX, slope: 0.0002 }],
  ])('say so of %s too', (_, tolerance) => {
    expect(named(tolerance)).toContain('from the cold target')
    expect(named(tolerance, ALIGNED)).not.toContain('cold target')
  })

  it('stay as they are in a window, which is the cold machine’s own', () => {
    expect(named(WINDOW)).not.toContain('cold target')
  })
})
