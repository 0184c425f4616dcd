import { describe, expect, it } from 'vitest'
import { boltRoom } from './room'

const foot = {
  id: 'a',
  x: 300,
  existing: { left: [], right: [] },
  maxPack: 3,
  sidePlus: 1,
  sideMinus: 0.5,
}

describe('room in the bolt holes', () => {
  it('counts what is left both ways after the move; a locked foot has none', () => {
    const feet = [foot, { ...foot, id: 'b', locked: true }]
    const [a, b] = boltRoom({ feet }, [{ id: 'a', h: 0.4 }])
    expect(a).toMatchObject({ toward3: 0.6, toward9: 0.9, locked: false })
    expect(b).toMatchObject({ toward3: 0, toward9: 0, locked: true, from: 0.5, to: 0.5 })
  })

  it('keeps pairs of one name at both machines apart', () => {
    const driven = { ...foot, machine: 'stationary' as const, sidePlus: 2 }
    const rooms = boltRoom({ feet: [foot, driven] }, [
      { id: 'a', h: 0.4 },
      { id: 'a', machine: 'stationary', h: -0.3 },
    ])
    expect(rooms.map((r) => [r.machine, r.toward3, r.toward9])).toEqual([
      ['movable', 0.6, 0.9],
      ['stationary', expect.closeTo(2.3, 12), expect.closeTo(0.2, 12)],
    ])
  })

  it('places the bolt between both ends, and keeps it in the hole when more is asked', () => {
    const [a] = boltRoom({ feet: [foot] }, [{ id: 'a', h: 0.25 }])
    expect([a!.from, a!.to]).toEqual([0.5 / 1.5, 0.75 / 1.5])
    const [over] = boltRoom({ feet: [foot] }, [{ id: 'a', h: 1.4 }])
    expect(over!.to).toBe(1)
    expect(over!.toward3).toBeCloseTo(-0.4, 12)
  })
})
