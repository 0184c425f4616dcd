import { describe, expect, it } from 'vitest'
import { addressOf, blankSearch, looksForAll, searchIn } from './address'
import { searchQuery } from './search'

describe('the address of a search', () => {
  const search = {
    words: ' coupling & spacer ',
    from: '2026-01-01',
    to: '',
    chosen: { verdict: 'out', area: 'Kiln yard', person: '' },
  }

  it('leaves out what is empty, and says the same there and back', () => {
    const address = addressOf(search)
    expect(address).toBe('words=coupling+%26+spacer&verdict=out&area=Kiln+yard&from=2026-01-01')
    expect(searchIn(address)).toEqual({
      words: 'coupling & spacer',
      from: '2026-01-01',
      to: '',
      chosen: { verdict: 'out', area: 'Kiln yard' },
    })
    expect(addressOf(searchIn(address))).toBe(address)
  })

  it('is empty where all is looked for, and knows nothing it was not told of', () => {
    expect(looksForAll(blankSearch())).toBe(true)
    expect(looksForAll(search)).toBe(false)
    expect(addressOf(blankSearch())).toBe('')
    expect(looksForAll(searchIn('colour=blue'))).toBe(true)
  })

  it('is what the server takes', () => {
    const asked = Object.fromEntries(new URLSearchParams(addressOf(search)))
    expect(searchQuery.parse(asked)).toMatchObject({ verdict: 'out', area: 'Kiln yard', most: 30 })
    expect(searchQuery.safeParse({ verdict: 'fine' }).success).toBe(false)
    expect(searchQuery.safeParse({ from: 'yesterday' }).success).toBe(false)
  })
})
