import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { LotAnswer, SpareBeltsAnswer } from '../api/answers'
import { readStockFile, stockToCsv, type Stock } from './files'

const AT = '2026-11-25T08:00:00.000Z'
const shims = (more: Partial<LotAnswer> = {}): LotAnswer => ({
  id: '00000000-0000-4000-a000-000000000001',
  units: 'metric',
  thickness: 0.05,
  kind: 'plain',
  layer: null,
  size: 'B',
  place: 'Press hall',
  counted: 20,
  countedAt: AT,
  low: 4,
  retired: false,
  version: 3,
  now: 17,
  reserved: 2,
  free: 15,
  isLow: false,
  lastCount: null,
  ...more,
})
const belts = (more: Partial<SpareBeltsAnswer> = {}): SpareBeltsAnswer => ({
  id: '00000000-0000-4000-a000-000000000002',
  units: 'metric',
  section: 'B',
  construction: 'notched',
  length: 2500,
  together: 5,
  place: 'Glaze house',
  counted: 3,
  countedAt: AT,
  low: 1,
  retired: false,
  version: 2,
  now: 2,
  isLow: false,
  lastCount: null,
  ...more,
})
const stock: Stock = {
  lots: [shims(), shims({ thickness: 0.1, kind: 'laminated', layer: 0.025 })],
  belts: [belts()],
}
const csv = stockToCsv(stock)
const read = (text: string) => readStockFile(text, stock)
const HEAD = csv.split('\r\n')[0] ?? ''

describe('stock as a file', () => {
  it('read again says that nothing changes', () => {
    expect(read(csv).faults).toEqual([])
    expect(read(csv).rows.map((r) => r.is)).toEqual(['same', 'same', 'same'])
    expect(readStockFile(csv, { lots: [], belts: [] }).rows.map((r) => r.is)).toEqual(['new', 'new', 'new'])
  })

  it('says how many lie there now, and takes another figure as a count of the same lot', () => {
    const { rows } = read(csv.replace(',17,4,', ',16,6,'))
    expect(rows.map((r) => r.is)).toEqual(['changed', 'same', 'same'])
    expect(rows[0]).toMatchObject({ known: { id: shims().id, now: 17 }, fields: { counted: 16, low: 6 } })
  })

  it('tells lots apart by place and size, whatever the case they are typed in', () => {
    const moved = read(csv.replace('Press hall', 'Kiln yard'))
    expect(moved.rows[0]?.is).toBe('new')
    expect(read(csv.replace('Press hall', 'press HALL')).rows[0]?.is).toBe('same')
  })

  it('names the line and the column of what is wrong, and leaves such a line out', () => {
    const { rows, faults } = read(
      [
        HEAD,
        'shims,metric,thin,plain,,B,,,,,Press hall,5,0,false',
        'shims,metric,0.2,laminated,,B,,,,,Press hall,5,0,false',
        'belts,metric,,,,,B,woven,2500,5,Glaze house,2,1,false',
        'bolts,metric,,,,,,,,,Press hall,2,1,false',
        'shims,metric,0.3,plain,,B,,,,,Press hall,-5,0,false',
      ].join('\n'),
    )
    expect(rows).toEqual([])
    expect(faults.map((f) => f.at)).toEqual([
      'line 2, thickness',
      'line 3, layer',
      'line 4, construction',
      'line 5, what',
      'line 6, counted',
    ])
  })

  it('does not count the same lot twice', () => {
    const line = 'shims,metric,0.3,plain,,B,,,,,Press hall,5,0,false'
    const { rows, faults } = read([HEAD, line, line].join('\n'))
    expect(rows).toHaveLength(1)
    expect(faults).toEqual([{ at: 'line 3', message: 'Line 2 says the same thing. Put both in one.' }])
  })

  it('says what a file that is none lacks', () => {
    expect(read(' ').faults[0]?.message).toBe('The file is empty.')
    expect(read('a,b\n1,2').faults[0]?.message).toContain('what, units, counted')
  })

  it('never throws, and takes nothing that it has not understood, whatever is in it', () => {
    fc.assert(
      fc.property(fc.array(fc.array(fc.string(), { maxLength: 14 }), { maxLength: 6 }), (lines) => {
        const { rows } = read([HEAD, ...lines.map((l) => l.join(','))].join('\n'))
        for (const row of rows) expect(Number.isInteger(row.fields.counted)).toBe(true)
      }),
    )
  })

  it('leaves as no formula', () => {
    expect(stockToCsv({ lots: [shims({ place: '=cmd()' })], belts: [] })).toContain("'=cmd()")
  })
})
