import { describe, expect, it } from 'vitest'
import { BASE_KINDS } from '../register/beltMachine'
import { baseMove } from './baseMoves'

const on = (kind: (typeof BASE_KINDS)[number], pull: 'level' | 'up' | 'down') =>
  ({ kind, pull, place: pull === 'down' ? 'above' : pull === 'up' ? 'below' : 'beside' }) as const

describe('what moves a motor on its base', () => {
  it.each(BASE_KINDS)('%s: away is always against the pull of the belts', (kind) => {
    expect(baseMove(on(kind, 'down'), 'away').going).toBe('up')
    expect(baseMove(on(kind, 'down'), 'toward').going).toBe('down')
    expect(baseMove(on(kind, 'up'), 'away').going).toBe('down')
    expect(baseMove(on(kind, 'up'), 'toward').going).toBe('up')
    expect(baseMove(on(kind, 'level'), 'away').going).toBe('level')
  })

  it('eases the nuts the plate moves toward, and drives with the others', () => {
    for (const kind of ['hanging-rods', 'lifting-rods'] as const) {
      expect(baseMove(on(kind, 'down'), 'away').nuts).toEqual({ ease: 'above', drive: 'below' })
      expect(baseMove(on(kind, 'down'), 'toward').nuts).toEqual({ ease: 'below', drive: 'above' })
      expect(baseMove(on(kind, 'up'), 'away').nuts).toEqual({ ease: 'below', drive: 'above' })
      expect(baseMove(on(kind, 'level'), 'away').nuts).toEqual({ ease: 'far-side', drive: 'driven-side' })
      expect(baseMove(on(kind, 'level'), 'toward').nuts).toEqual({ ease: 'driven-side', drive: 'far-side' })
    }
  })

  it('says where the weight hangs meanwhile, and that a hinge moves both ends', () => {
    expect(baseMove(on('slide-screws', 'level'), 'away').weight).toBe('on-slide')
    expect(baseMove(on('slide-screws', 'down'), 'away').weight).toBe('hangs')
    expect(baseMove(on('hanging-rods', 'down'), 'away').weight).toBe('hangs')
    expect(baseMove(on('lifting-rods', 'down'), 'away').weight).toBe('stands')
    expect(baseMove(on('hinged', 'down'), 'away')).toMatchObject({
      turned: 'bolt',
      weight: 'swings',
      endsApart: false,
    })
  })
})
