import { describe, expect, it } from 'vitest'
import {
  BOLT_CLASSES,
  crissCross,
  proofStress,
  tensileArea,
  threadOf,
  tightening,
  type BoltClass,
} from './tightening'

describe('tightening', () => {
  it('pulls a bolt to three quarters of its proof load in three passes', () => {
    const found = tightening({
      thread: 'metric',
      diameter: 16,
      pitch: 2,
      proofStress: 600,
      nutFactor: 0.2,
      bolts: 4,
    })
    expect(found.tensileArea).toBeCloseTo(156.7, 1)
    expect(found.preload).toBeCloseTo(0.75 * 600 * found.tensileArea, 9)
    expect(found.torque).toBeCloseTo((0.2 * 16 * found.preload) / 1000, 9)
    expect(found.passes.map((p) => p.torque / found.torque)).toEqual(
      [0.3, 0.6, 1].map((s) => expect.closeTo(s, 12)),
    )
  })

  it('lets the maker’s torque rule', () => {
    const found = tightening({
      thread: 'metric',
      diameter: 16,
      pitch: 2,
      proofStress: 600,
      nutFactor: 0.15,
      bolts: 4,
      makerTorque: 120,
    })
    expect(found.torque).toBe(120)
    expect(found.preload).toBeCloseTo(120_000 / 2.4, 9)
  })

  it('goes criss-cross through every bolt once', () => {
    expect(crissCross(4)).toEqual([1, 3, 2, 4])
    for (const n of [1, 3, 5, 8])
      expect([...crissCross(n)].sort((a, b) => a - b)).toEqual(Array.from({ length: n }, (_, i) => i + 1))
  })
})

const INCH = 25.4
const KSI = 6.894757
const LBF_FT = 1.355818

/** Torque of an inch bolt in lbf ft, worked in pounds and inches from end to end. */
const byHand = (d: number, threads: number, ksi: number, k: number): number => {
  const area = (Math.PI / 4) * (d - 0.9743 / threads) ** 2
  return (k * d * 0.75 * ksi * 1000 * area) / 12
}
const inchTorque = (bolt: BoltClass, d: number, threads: number, nutFactor = 0.2): number =>
  tightening({
    thread: threadOf(bolt),
    diameter: d * INCH,
    pitch: INCH / threads,
    proofStress: proofStress(bolt, d * INCH),
    nutFactor,
    bolts: 4,
  }).torque / LBF_FT

describe('proof stress', () => {
  it.each<[BoltClass, number, number]>([
    ['grade-2', 0.25, 55],
    ['grade-2', 0.75, 55],
    ['grade-2', 0.875, 33],
    ['grade-2', 1, 33],
    ['grade-5', 1, 85],
    ['grade-5', 1.125, 74],
    ['grade-8', 0.5, 120],
    ['grade-8', 1.5, 120],
  ])('of %s at %f in is %f ksi', (bolt, inches, ksi) => {
    expect(proofStress(bolt, inches * INCH) / KSI).toBeCloseTo(ksi, 9)
  })

  it.each<[BoltClass, number, number]>([
    ['8.8', 10, 580],
    ['8.8', 16, 580],
    ['8.8', 18, 600],
    ['8.8', 20, 600],
    ['4.6', 30, 225],
    ['10.9', 24, 830],
  ])('of %s at M%i is %i MPa', (bolt, mm, stress) => {
    expect(proofStress(bolt, mm)).toBe(stress)
  })

  it('takes a size that was rounded on its way for what it is', () => {
    expect(proofStress('grade-2', 19.05 + 1e-9)).toBe(proofStress('grade-2', 19.05))
    expect(proofStress('8.8', 16.005)).toBe(580)
  })

  it('never pulls a bolt beyond the proof load of its own size', () => {
    for (const bolt of BOLT_CLASSES)
      for (const diameter of [6, 12.7, 16, 19.05, 22.225, 25.4, 28.575, 36]) {
        const pitch = diameter / 8
        const stress = proofStress(bolt, diameter)
        const { preload } = tightening({
          thread: threadOf(bolt),
          diameter,
          pitch,
          proofStress: stress,
          nutFactor: 0.2,
          bolts: 4,
        })
        expect(preload / tensileArea(threadOf(bolt), diameter, pitch)).toBeCloseTo(0.75 * stress, 9)
      }
  })
})

describe('inch bolts', () => {
  it.each<[BoltClass, number, number, number]>([
    ['grade-2', 1, 8, 33],
    ['grade-2', 0.75, 10, 55],
    ['grade-5', 1, 8, 85],
    ['grade-5', 1.25, 7, 74],
    ['grade-8', 0.625, 11, 120],
  ])('%s of %f in by %i are pulled as by hand in pounds and inches', (bolt, d, threads, ksi) => {
    expect(inchTorque(bolt, d, threads)).toBeCloseTo(byHand(d, threads, ksi, 0.2), 2)
  })

  it('a grade 2 of one inch gets 250 lbf ft, not 420', () => {
    expect(inchTorque('grade-2', 1, 8)).toBeGreaterThan(245)
    expect(inchTorque('grade-2', 1, 8)).toBeLessThan(255)
  })

  it('have the tensile area of their own thread', () => {
    // 3/4 in by 10: 0.334 square inches, as every table has it.
    expect(tensileArea('inch', 0.75 * INCH, INCH / 10) / INCH ** 2).toBeCloseTo(0.334, 3)
    expect(tensileArea('metric', 20, 2.5)).toBeCloseTo(244.8, 1)
  })
})
