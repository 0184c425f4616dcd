import { describe, expect, it } from 'vitest'
import { along } from './along'

describe('a span laid onto another', () => {
  it('puts ends on ends and the middle in the middle, and goes on outside', () => {
    const x = along([-200, 600], [16, 816])
    expect([-200, 200, 600, 800].map(x)).toEqual([16, 416, 816, 1016])
    expect(along([0, 10], [100, 0])(2.5)).toBe(75)
  })
})
