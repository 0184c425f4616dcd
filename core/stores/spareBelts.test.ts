import { describe, expect, it } from 'vitest'
import type { BeltMachine } from '../register/beltMachine'
import { BELT_MACHINE } from '../jobs/testBelt'
import { sparesFor, spareStock, type SpareBelts } from './spareBelts'

const lot = (id: string, more: Partial<SpareBelts> = {}): SpareBelts => ({
  id,
  section: 'B',
  construction: null,
  units: 'metric',
  length: 2500,
  together: 1,
  place: 'Stores',
  counted: 10,
  countedAt: '2026-01-10T00:00:00.000Z',
  low: 0,
  ...more,
})
const drive = (more: Partial<BeltMachine['belts']> = {}): Pick<BeltMachine, 'belts' | 'units'> => ({
  units: 'metric',
  belts: { ...BELT_MACHINE.belts, kind: 'v', section: 'b ', count: 5, length: 2500, ...more },
})
const offered = (lots: readonly SpareBelts[], on = drive(), now = 10) =>
  sparesFor(
    on,
    lots.map((l) => ({ lot: l, now })),
  ).map((s) => s.lot.id)

describe('spare belts', () => {
  it('are what was counted, less what jobs laid on since; what went before a count is in it', () => {
    const uses = [
      { at: '2026-01-05T00:00:00.000Z', lot: 'a', pieces: 5 },
      { at: '2026-01-11T00:00:00.000Z', lot: 'a', pieces: 5 },
      { at: '2026-01-12T00:00:00.000Z', lot: 'b', pieces: 1 },
    ]
    const stock = spareStock([lot('a', { low: 5 }), lot('b', { counted: 0 })], uses)
    expect(stock.map((s) => [s.now, s.low])).toEqual([
      [5, true],
      [-1, false],
    ])
  })

  it('are offered by section, make and length, a whole set before loose ones of the same length', () => {
    const lots = [
      lot('loose'),
      lot('set', { together: 5 }),
      lot('other section', { section: 'SPB' }),
      lot('a tenth longer', { length: 2750 }),
      lot('a little longer', { length: 2520 }),
      lot('notched', { construction: 'notched' }),
      lot('band', { construction: 'banded', together: 5 }),
    ]
    const plain = drive({ construction: 'plain' })
    expect(offered(lots, plain)).toEqual(['set', 'loose', 'a little longer'])
    // Where the register says no length every one of its section may be asked for.
    const { length: _, ...unknown } = plain.belts
    expect(offered(lots, { ...plain, belts: unknown })).toContain('a tenth longer')
  })

  it('a joined band goes only where as many are joined', () => {
    const lots = [lot('band of 5', { together: 5 }), lot('band of 3', { together: 3 }), lot('loose')]
    expect(offered(lots, drive({ kind: 'joined' }))).toEqual(['band of 5'])
  })

  it('say how many pieces it takes and whether they are there', () => {
    const [set] = sparesFor(drive(), [{ lot: lot('a', { together: 3 }), now: 1 }])
    expect(set).toMatchObject({ pieces: 2, enough: false })
    const both = [
      { lot: lot('short of one'), now: 4 },
      { lot: lot('longer but there', { length: 2505 }), now: 5 },
    ]
    expect(sparesFor(drive(), both).map((s) => s.lot.id)).toEqual(['longer but there', 'short of one'])
  })

  it('are compared across units', () => {
    const [inch] = sparesFor(drive(), [{ lot: lot('a', { units: 'inch', length: 2500 / 25.4 }), now: 5 }])
    expect(inch?.apart).toBeCloseTo(0, 9)
  })
})
