import { describe, expect, it } from 'vitest'
import type { MoveAdvice } from '../../core/stages/plan/odds'
import { adviceWords, oddsSource, percentOf, priceWords } from './planOdds'
import { meaningOfPlan } from './plans'
import { tellingOf } from './telling'

const inch = tellingOf('inch', null)
const MIL = 0.0254
const advice = (more: Partial<MoveAdvice>): MoveAdvice => ({
  now: 0.93,
  best: 0.95,
  exact: 1,
  wide: [],
  says: 'move',
  ...more,
})
const judged = (verdict: 'in' | 'edge' | 'out') => ({ verdict, worst: null, quantities: [] })
const meaning = (verdict: 'in' | 'edge' | 'out', given: MoveAdvice, moves = false) =>
  meaningOfPlan(
    { now: judged(verdict), after: judged('in'), moves, stale: false, far: '', advice: given },
    inch,
  )

describe('what the readings leave open, in words', () => {
  it('says how well a quantity is known against its band', () => {
    const said = adviceWords(
      advice({ says: 'measure-again', wide: [{ name: 'offset.v', known: 3.1 * MIL, band: 2 * MIL }] }),
      inch,
    )
    expect(said).toEqual({
      headline: 'Measure again before moving.',
      detail: 'Offset, vertical is known to ±3.1 mil only, and its band is ±2.0 mil.',
    })
  })

  it('says what exact readings would make of the same plan', () => {
    const said = adviceWords(advice({ says: 'measure-again', best: 0.41, exact: 0.83 }), inch)
    expect(said?.detail).toContain(
      'ends in band 41 times in 100 as it was read; with exact readings it would 83',
    )
  })

  it('says why another move isn’t worth it', () => {
    expect(adviceWords(advice({ says: 'leave' }), inch)).toEqual({
      headline: 'Another move isn’t worth it.',
      detail: 'As it stands it is in band with 93 %; the best plan makes it 95 %.',
    })
    expect(adviceWords(advice({ says: 'leave', best: null }), inch)?.detail).toContain('no plan betters it')
    expect(adviceWords(advice({}), inch)).toBeNull()
  })

  it('stands over a plan: coarse readings first, then what leaving it means', () => {
    const coarse = advice({ says: 'measure-again', best: 0.4, exact: 0.9 })
    expect(meaning('out', coarse, true)).toMatchObject({
      mark: 'todo',
      headline: 'Measure again before moving.',
    })
    expect(meaning('in', advice({ says: 'leave' })).detail).toContain('In band with 93 %.')
    expect(meaning('edge', advice({ says: 'leave' }))).toMatchObject({
      mark: 'edge',
      headline: 'Another move isn’t worth it.',
    })
    expect(meaning('out', advice({}), true).headline).toBe('This move brings it in band.')
  })

  it('never claims certainty while something is open', () => {
    expect([0, 0.001, 0.5, 0.999, 1].map(percentOf)).toEqual([0, 1, 50, 99, 100])
  })
})

describe('what would do instead', () => {
  const names = { movable: 'motor', stationary: 'gear unit' }
  const price = {
    plane: 'v' as const,
    machine: 'movable' as const,
    shift: 6 * MIL,
    pair: 'outboard',
    reason: 'no-shim' as const,
  }

  it.each([
    ['raise', price, 'Or raise the gear unit by 6.0 mil under all its feet'],
    [
      'lower',
      { ...price, shift: -6 * MIL, reason: 'pack-height' as const },
      'Or lower the gear unit by 6.0 mil',
    ],
    [
      'push',
      { ...price, plane: 'h' as const, reason: 'bolt-bound' as const },
      'Or push the gear unit 6.0 mil toward 3',
    ],
    [
      'push the motor',
      { ...price, plane: 'h' as const, machine: 'stationary' as const },
      'Or push the motor 6.0 mil',
    ],
  ])('%s', (_, given, words) => {
    expect(priceWords(given, names, inch)).toContain(words)
  })
})

describe('what chances and times rest on', () => {
  const doubt = { covariance: [], sets: 2 } as never

  it('are the starting values until enough moves were made', () => {
    expect(oddsSource(doubt, null, inch)).toContain(
      'Times are starting values until this works has made a few moves: 6 min a foot opened, 2 a shim, 8 a pair pushed, 15 to measure.',
    )
  })

  it.each([
    [1.25, 'Times go by the last 14 moves of this works, which took 25 % longer than the starting values:'],
    [0.9, 'Times go by the last 14 moves of this works, which took 10 % less than the starting values:'],
    [1.001, 'Times go by the last 14 moves of this works, which took what the starting values say:'],
  ])('are the works’ own moves from then on, x %s', (factor, said) => {
    expect(oddsSource(doubt, { factor, moves: 14 }, inch)).toContain(said)
  })
})
