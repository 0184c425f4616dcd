import { describe, expect, it } from 'vitest'
import { drawnFaults } from './drawnFaults'
import { COUPLED_FAULTS, DRIVE_FAULTS } from './faults'
import { drawBench } from './bench'
import { dialsOn } from './benchDials'
import { BENCH_METHODS, measuredBy, usualOnBench } from './benchMethods'
import { BenchPlayer } from './player'
import { DRIVE_STANDS, STANDS } from './stands'

describe('faults that free practice hides', () => {
  it('are none, one, or two to three that can be told apart, the same for the same seed', () => {
    const seen = new Set<string>()
    for (let seed = 1; seed < 400; seed++) {
      expect(drawnFaults(seed, 'none', STANDS.short)).toEqual([])
      const one = drawnFaults(seed, 'one', STANDS.short)
      expect(one).toHaveLength(1)
      expect(drawnFaults(seed, 'one', STANDS.short)).toEqual(one)
      one.forEach((f) => seen.add(f))
      const several = drawnFaults(seed, 'several', STANDS.short)
      expect([2, 3]).toContain(several.length)
      expect(several.filter((f) => /bracket|needle|backlash|counts/.test(f)).length).toBeLessThan(2)
      expect(drawnFaults(seed, 'several', STANDS.long)).not.toContain('float')
    }
    // Every fault has its day.
    expect(seen.size).toBe(COUPLED_FAULTS.length)
  })

  it('leave out what heads can’t show, and place each method’s instruments where they would stand', () => {
    const heads = measuredBy(STANDS.short, 'heads')
    const seen = new Set<string>()
    for (let seed = 0; seed < 200; seed++) drawnFaults(seed, 'several', heads).forEach((f) => seen.add(f))
    expect([...seen].sort()).toEqual([
      'bent-foot',
      'false-shim',
      'pipe-strain',
      'soft-foot',
      'still-warm',
      'strained-coupling',
      'wrong-nameplate',
    ])
    expect(measuredBy(STANDS.short, 'rim-face')).toBe(STANDS.short)
    expect(measuredBy(STANDS.short, 'reverse-rim').usual).toEqual({
      method: 'reverse-rim',
      onStationary: -105,
      onMovable: 105,
    })
    expect(measuredBy(STANDS.long, 'rim-face').usual).toMatchObject({ rimPlane: -40, faceDiameter: 175 })
    for (const method of BENCH_METHODS)
      for (const stand of Object.values(STANDS)) {
        const machine = measuredBy(stand, method)
        expect(usualOnBench(machine)).toBe(method)
        const bench = drawBench({ machine, seed: 4, hands: 'steady', faults: [] })
        const player = new BenchPlayer(bench, 'as-found')
        expect(dialsOn(player.now).length).toBe(2)
      }
    expect(usualOnBench({ usual: { method: 'values' } })).toBe('rim-face')
  })

  it('are those of a drive where belts are on the bench, and only what that drive can show', () => {
    const seen = new Set<string>()
    for (let seed = 0; seed < 200; seed++) {
      drawnFaults(seed, 'several', DRIVE_STANDS.belts).forEach((f) => seen.add(f))
      const set = drawnFaults(seed, 'several', DRIVE_STANDS['set-sheave'])
      expect(set).not.toContain('mismatched-belt')
      set.forEach((f) => seen.add(f))
    }
    // New belts bed in; those that free practice finds have run.
    expect([...seen].sort()).toEqual(DRIVE_FAULTS.filter((f) => f !== 'bedding-belts').sort())
  })
})
