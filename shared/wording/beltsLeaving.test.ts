import { describe, expect, it } from 'vitest'
import { leavingWords } from './beltsLeaving'
import { OWN_END } from './words'

const told = (leaves: string, earliest: string, due: string | null) =>
  leavingWords(
    { leavesAt: `${leaves}T12:00:00.000Z`, earliest: `${earliest}T12:00:00.000Z`, due },
    { words: OWN_END },
    '2026-06-01',
  )

describe('belts that leave their band, on Today', () => {
  it('says about when, from when at the earliest, and whether somebody comes before that', () => {
    expect(told('2026-06-20', '2026-06-12', '2026-06-10')).toEqual({
      what: 'leaves its band about 20 Jun 2026, 12 Jun 2026 at the earliest',
      beside: 'due 10 Jun 2026',
    })
    expect(told('2026-06-20', '2026-06-20', '2026-09-01')).toEqual({
      what: 'leaves its band about 20 Jun 2026',
      beside: 'due only 1 Sep 2026: come before that',
    })
  })

  it('says that it has left it, and that nobody is due there', () => {
    expect(told('2026-05-20', '2026-05-12', null)).toEqual({
      what: 'by its readings it has left its band',
      beside: 'nobody is due there',
    })
  })
})
