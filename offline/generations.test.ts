import { describe, expect, it } from 'vitest'
import { superseded } from './generations'

describe('builds on a device', () => {
  it('keeps the one that takes over and the last before it, which a window may still run', () => {
    const caches = ['hc-build-a', 'hc-photographs', 'hc-build-b', 'hc-build-c', 'another program']
    expect(superseded(caches, 'hc-build-c')).toEqual(['hc-build-a'])
  })

  it('takes nothing away on a device that has seen one build', () => {
    expect(superseded(['hc-build-a'], 'hc-build-a')).toEqual([])
    expect(superseded(['hc-build-a', 'hc-build-b'], 'hc-build-b')).toEqual([])
  })
})
