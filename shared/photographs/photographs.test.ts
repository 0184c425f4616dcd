import { describe, expect, it } from 'vitest'
import { photographsOf, scaledTo } from './photographs'

describe('photographs', () => {
  it.each([
    [4000, 3000, 1600, 1200],
    [3000, 4000, 1200, 1600],
    [1600, 20, 1600, 20],
    [640, 480, 640, 480],
    [100000, 3, 1600, 1],
  ])('%d by %d fits as %d by %d', (w, h, width, height) => {
    expect(scaledTo(w, h)).toEqual({ width, height })
  })

  it('are found in whatever kind of entry carries them', () => {
    expect(photographsOf({ kind: 'place-looked', payload: { photographs: ['a', 'b', 3] } })).toEqual([
      'a',
      'b',
    ])
    expect(photographsOf({ kind: 'remark', payload: { text: 'a' } })).toEqual([])
    expect(photographsOf({ kind: 'remark', payload: null })).toEqual([])
  })
})
