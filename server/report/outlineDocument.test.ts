import { describe, expect, it } from 'vitest'
import { tellingOf } from '../../shared/wording/telling'
import { outlineDocument } from './outlineDocument'

const T = tellingOf('metric', null)
const page = (length: number, width: number, paper: 'A4' | 'LETTER' = 'A4') =>
  outlineDocument({ length, width, slot: 20, toBolt: length * 0.6 }, T, 'CP-11 outboard left', paper)

describe('a shim’s outline on paper', () => {
  it('stands at its true size: a millimetre is 72/25.4 points', () => {
    const content = page(100, 80)?.content as { svg?: string; width?: number; height?: number }[]
    const drawing = content.find((c) => c.svg)
    const [, mm] = /width="([\d.]+)mm"/.exec(drawing?.svg ?? '') ?? []
    expect(drawing?.width).toBeCloseTo((Number(mm) * 72) / 25.4, 6)
    expect(Number(mm)).toBeGreaterThanOrEqual(80)
  })

  it('says nothing of what the paper can’t hold: 210 mm and 216 mm wide, less the margins', () => {
    expect(page(200, 176)).not.toBeNull()
    expect(page(200, 184)).toBeNull()
    expect(page(200, 182, 'LETTER')).not.toBeNull()
    expect(page(262, 100)).toBeNull()
  })

  it('carries what it is for, its size, and that it is printed at 100 %', () => {
    const words = JSON.stringify(page(100, 80)?.content)
    for (const part of [
      'CP-11 outboard left',
      '80.0 mm × 100.0 mm, slot 20.0 mm',
      '100 %',
      'The bar is 50 mm long',
    ])
      expect(words).toContain(part)
  })
})
