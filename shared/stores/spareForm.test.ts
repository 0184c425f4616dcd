import { describe, expect, it } from 'vitest'
import { BELT_MACHINE } from '../../core/jobs/testBelt'
import { sparesFor, type SpareBelts } from '../../core/stores/spareBelts'
import { blankFit, readFit, takeSpares } from '../stages/fit/form'
import { spareName, spareSays } from '../wording/spareBelts'
import { tellingOf } from '../wording/telling'
import { OWN_END } from '../wording/words'
import { blankSpare, readSpare, type SpareTexts } from './spareForm'

const ID = '00000000-0000-4000-a000-000000000001'
const read = (more: Partial<SpareTexts>) =>
  readSpare({ ...blankSpare('metric'), section: ' SPB ', length: '2500', counted: '3', ...more }, ID, OWN_END)

describe('the boxes of belts that are put into the stores', () => {
  it('take a section, a length in any unit, and pieces of one belt or of a set', () => {
    expect(read({}).belts).toMatchObject({ section: 'SPB', length: 2500, together: 1, construction: null })
    expect(read({ units: 'inch', length: '2500 mm' }).belts?.length).toBeCloseTo(2500 / 25.4, 9)
    expect(read({ piece: 'set', together: '5' }).belts).toMatchObject({ together: 5 })
  })

  it('say at each box what is wrong', () => {
    const all = read({ section: '', length: 'long', counted: '', low: '1.5', piece: 'set', together: '1' })
    expect(Object.keys(all.faults).sort()).toEqual(['counted', 'length', 'low', 'section', 'together'])
    expect(read({ length: '' }).faults.length).toBe('Give the pitch length.')
    expect(read({ length: '-3' }).faults).toHaveProperty('length')
    expect(read({ piece: 'set', together: '99' }).faults).toHaveProperty('together')
  })
})

describe('belts of the stores that go on a drive', () => {
  const length = BELT_MACHINE.belts.length ?? 2500
  const machine = { ...BELT_MACHINE, belts: { ...BELT_MACHINE.belts, kind: 'v' as const, length } }
  const { count, section } = machine.belts
  const telling = tellingOf('metric', machine)
  const lot = (more: Partial<SpareBelts>): SpareBelts => ({
    id: ID,
    section,
    construction: null,
    units: machine.units,
    length,
    together: 1,
    place: 'Shelf 2',
    counted: 9,
    countedAt: '2026-01-01T00:00:00.000Z',
    low: 0,
    ...more,
  })
  const offers = (more: Partial<SpareBelts>, now = 9) => sparesFor(machine, [{ lot: lot(more), now }])

  it('fill in their length and whether they are matched; the entry says which and how many', () => {
    const texts = { ...blankFit('metric'), belts: 'new' as const }
    const [set] = offers({ together: count }, 1)
    takeSpares(texts, set ?? null, 'metric')
    expect(texts).toMatchObject({ spares: ID, matched: 'yes' })
    expect(readFit(texts, machine, telling, offers({ together: count }, 1)).payload).toMatchObject({
      matched: true,
      spares: { lot: ID, pieces: 1 },
    })
    const [loose] = offers({})
    takeSpares(texts, loose ?? null, 'metric')
    expect(readFit(texts, machine, telling, offers({})).payload).toMatchObject({
      matched: null,
      spares: { lot: ID, pieces: count },
    })
    // Not from the stores after all: what was read of them stays, nothing is taken.
    takeSpares(texts, null, 'metric')
    const { payload } = readFit(texts, machine, telling, offers({}))
    expect(payload?.spares).toBeUndefined()
    expect(payload?.length).not.toBeNull()
  })

  it('are named and set against the register in words', () => {
    const [few] = offers({ length: length * 1.01 }, 1)
    if (!few) throw new Error('none offered')
    expect(spareSays(few, telling)).toBe(`Shelf 2 · 1 there, it takes ${String(count)} · 1.0 % longer`)
    const [same] = offers({})
    expect(same && spareSays(same, telling)).toBe('Shelf 2 · 9 there · the registered length')
    expect(spareName(lot({ together: 5, construction: 'plain' }), telling)).toMatch(
      /plain, .* mm, matched set of 5$/,
    )
    expect(spareName(lot({ together: 3, construction: 'banded' }), telling)).toMatch(/band of 3$/)
  })
})
