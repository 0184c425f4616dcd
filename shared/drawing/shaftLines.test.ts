import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Misalignment } from '../../core/frame/planes'
import { fittingExaggeration, layOutShafts, softBand } from './shaftLines'

const FEET = [
  { id: 'inboard', x: 300 },
  { id: 'outboard', x: 900 },
]
const TOLERANCE = { form: 'offset-slope', mode: 'plane', offset: 0.1, slope: 0.001 } as const
const line = (v: number, sv: number): Misalignment => ({ offset: { v, h: 0 }, slope: { v: sv, h: 0 } })
const lay = (l: Misalignment, more: object = {}) =>
  layOutShafts({ plane: 'v', line: l, feet: FEET, tolerance: TOLERANCE, width: 700, height: 300, ...more })

describe('the shaft lines as drawn', () => {
  const any = fc.tuple(
    fc.double({ min: -3, max: 3, noNaN: true }),
    fc.double({ min: -0.003, max: 0.003, noNaN: true }),
  )

  it('stay on the sheet whatever the misalignment', () => {
    fc.assert(
      fc.property(any, ([v, sv]) => {
        const drawn = lay(line(v, sv))
        for (const y of [drawn.movable.y1, drawn.movable.y2, ...drawn.feet.map((f) => f.y)]) {
          expect(y).toBeGreaterThan(0)
          expect(y).toBeLessThan(300)
        }
        expect(drawn.movable.x2).toBeLessThanOrEqual(700)
        expect(drawn.coupling).toBeGreaterThan(0)
      }),
    )
  })

  it('draw high as up, and to the scale they state', () => {
    const drawn = lay(line(0.2, 0))
    expect(drawn.movable.y1).toBeLessThan(drawn.zero)
    const across = (drawn.zero - drawn.movable.y1) / 0.2
    const along = (drawn.x(900) - drawn.x(300)) / 600
    expect(across / along).toBeCloseTo(drawn.exaggeration, 6)
  })

  it('use a round exaggeration', () => {
    fc.assert(
      fc.property(any, ([v, sv]) => {
        const e = lay(line(v, sv)).exaggeration
        const leading = e / 10 ** Math.floor(Math.log10(e) + 1e-9)
        expect([1, 2, 2.5, 4, 5, 8].some((n) => Math.abs(n - leading) < 1e-9)).toBe(true)
      }),
    )
  })

  it('read a drawn place back as the displacement it stands for', () => {
    const drawn = lay(line(0.1, 0.0004))
    for (const f of drawn.feet) expect(drawn.displacementAt(f.y)).toBeCloseTo(f.at, 9)
  })

  it('keep their scale while a foot is dragged', () => {
    const exaggeration = 80
    expect(lay(line(0.1, 0), { exaggeration }).exaggeration).toBe(80)
  })

  it('share one exaggeration between both views, at which all lines fit', () => {
    fc.assert(
      fc.property(any, any, ([v, sv], [h, sh]) => {
        const lines = [line(v, sv), { offset: { v: 0, h }, slope: { v: 0, h: sh } }]
        const sheet = { feet: FEET, tolerance: TOLERANCE, width: 700, height: 300 }
        const exaggeration = fittingExaggeration({ ...sheet, lines, planes: ['v', 'h'] })
        for (const plane of ['v', 'h'] as const)
          for (const l of lines)
            for (const f of layOutShafts({ ...sheet, plane, line: l, exaggeration }).feet) {
              expect(f.y).toBeGreaterThan(0)
              expect(f.y).toBeLessThan(300)
            }
      }),
    )
  })

  it('open the gate as wide as the offset may be, and leave it out where it has no single width', () => {
    const drawn = lay(line(0, 0))
    expect(drawn.displacementAt(drawn.gate?.top ?? NaN)).toBeCloseTo(0.1, 9)
    const spacer = { form: 'flex-plane', mode: 'plane', slope: 0.001, spoolLength: 200 } as const
    const flex = lay(line(0, 0), { tolerance: spacer })
    expect(flex.displacementAt(flex.gate?.bottom ?? NaN)).toBeCloseTo(-0.2, 9)
    const open = {
      form: 'window',
      offset: { v: [0, null], h: [null, null] },
      slope: { v: [null, null], h: [null, null] },
    } as const
    expect(lay(line(0, 0), { tolerance: open }).gate).toBeNull()
  })
})

describe('a target and the soft band', () => {
  const target = { offset: { v: -0.1, h: 0 }, slope: { v: 0, h: 0 } }
  const flat = { offset: { v: 0, h: 0 }, slope: { v: 0, h: 0 } }
  const laid = layOutShafts({ plane: 'v', line: flat, feet: FEET, tolerance: TOLERANCE, target, width: 700, height: 300 }) // prettier-ignore

  it('stands the gate about the target, and draws the target below when it is low', () => {
    const { gate, target: drawn } = laid
    expect((gate!.top + gate!.bottom) / 2).toBeCloseTo(drawn!.y1, 6)
    expect(drawn!.y1).toBeGreaterThan(laid.zero)
  })

  it('goes along both sides of the line, as wide as it is told', () => {
    const path = softBand(laid, flat, 900, () => 0.05)
    const ys = [...path.matchAll(/[ML][\d.-]+ ([\d.-]+)/g)].map((m) => Number(m[1]))
    expect(ys.length).toBe(18)
    expect(Math.min(...ys)).toBeCloseTo(laid.y(0.05), 0)
    expect(Math.max(...ys)).toBeCloseTo(laid.y(-0.05), 0)
  })
})
