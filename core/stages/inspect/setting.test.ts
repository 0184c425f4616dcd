import { describe, expect, it } from 'vitest'
import { pitchLengthAt } from '../../belt/geometry'
import { currentAfter, halfTurns } from '../../belt/settingTable'
import { BELT_MACHINE, TestBelt, VARIABLE_MACHINE } from '../../jobs/testBelt'
import type { BeltMachine } from '../../register/beltMachine'
import { driveLeft, type DriveLeft } from './driveLeft'
import { settingFollows } from './setting'

const TAN = Math.tan((17 * Math.PI) / 180)
const PLATED: BeltMachine = { ...VARIABLE_MACHINE, plateCurrent: 40, load: 'fan-or-pump' }

/** A close with the line, the tension and the current read. */
const left = (machine = PLATED): DriveLeft => {
  const belt = new TestBelt(machine).ready()
  belt.gaps(2.7, 2.7)
  belt.push([24, 24, 24, 24, 24], 'run-in')
  belt.gaps(2.9, 2.9)
  belt.run(36)
  return driveLeft('job', '2026-03-01T10:00:00.000Z', { motor: 1 }, belt.entries)
}

describe('what follows from a sheave’s setting', () => {
  it('is told from what the close before read last', () => {
    expect(left()).toMatchObject({ amperes: 36, line: { payload: { p1: 2.9 } } })
  })

  it('moves diameter, speed, groove centre and the motor by the geometry of the groove', () => {
    const f = settingFollows(PLATED, 'motor', 2.5, left())
    const d = 180 - 3 / TAN
    expect(f).toMatchObject({ before: 1, now: 2.5, changed: true, opened: 3, shift: 1.5 })
    expect(f?.is.pitchDiameter).toBeCloseTo(d, 9)
    expect(f?.ridesLower).toBeCloseTo(1.5 / TAN, 9)
    expect(f?.is.drivenRpm).toBeCloseTo((1465 * d) / 348, 9)
    // The belt keeps its length where the motor goes as it is told to.
    const motor = f?.tension.motor ?? NaN
    expect(motor).toBeGreaterThan(0)
    const gained = pitchLengthAt(d, 348, 820 + motor) - pitchLengthAt(180, 348, 820)
    expect(Math.abs(gained)).toBeLessThan(0.01 * 2 * motor)
    expect(f?.tension.leans).toBe('slack')
  })

  it('expects the offset where the groove’s centre went: toward the edge on the outer faces', () => {
    const before = settingFollows(PLATED, 'motor', 1, left())?.line
    const after = settingFollows(PLATED, 'motor', 2.5, left())?.line
    expect(before?.offset).toBeCloseTo(before?.left.errors.offset ?? NaN, 12)
    // Outward by 1.5: what stood away from the edge comes nearer to it.
    expect((after?.offset ?? NaN) - (before?.offset ?? NaN)).toBeCloseTo(-1.5, 9)
    const build = PLATED.sheaves.motor.build
    const inner = {
      ...PLATED,
      sheaves: {
        ...PLATED.sheaves,
        motor: { ...PLATED.sheaves.motor, build: { ...build, moves: 'inner' as const } },
      },
    } as BeltMachine
    expect(settingFollows(inner, 'motor', 2.5, left())?.shift).toBe(-1.5)
  })

  it('judges every half turn against the plate by the most the motor may draw', () => {
    const f = settingFollows(PLATED, 'motor', 0, left())
    expect(f?.rows.map((r) => r.turns)).toEqual([0, 0.5, 1, 1.5, 2, 2.5, 3, 3.5, 4])
    const ratio = (180 + 2 / TAN) / 180
    expect(f?.is.current?.[0]).toBeCloseTo(36 * ratio, 9)
    expect(f?.is.current?.[1]).toBeCloseTo(36 * ratio ** 3, 9)
    const verdicts = (plateCurrent: number) =>
      settingFollows({ ...PLATED, plateCurrent }, 'motor', 0, left())?.rows.map((r) => r.verdict)
    expect(verdicts(40)?.slice(0, 3)).toEqual(['out', 'edge', 'edge'])
    expect(verdicts(44)?.slice(0, 6)).toEqual(['edge', 'edge', 'edge', 'edge', 'in', 'in'])
    expect(f?.was.current).toEqual([36, 36])
    const { plateCurrent: _, ...unplated } = PLATED
    expect(settingFollows(unplated, 'motor', 0, left())?.is.verdict).toBeNull()
    expect(settingFollows(PLATED, 'motor', 0, null)?.is.current).toBeNull()
  })

  it('takes the same torque by the speed, and what nobody said by its cube', () => {
    expect(currentAfter(10, 0.9, 'steady')).toEqual([9, 10])
    expect(currentAfter(10, 0.9, 'other')).toEqual([10 * 0.9 ** 3, 9])
    expect(currentAfter(10, 1.1, 'steady')).toEqual([10, 11])
    expect(halfTurns(1.25, [0.6])).toEqual([0, 0.5, 0.6, 1, 1.25])
  })

  it('on the driven shaft, opening speeds the machine up', () => {
    const { build } = VARIABLE_MACHINE.sheaves.motor
    const driven: BeltMachine = {
      ...BELT_MACHINE,
      sheaves: {
        motor: BELT_MACHINE.sheaves.motor,
        driven: { ...BELT_MACHINE.sheaves.driven, ...(build ? { build } : {}) },
      },
    }
    const f = settingFollows(driven, 'driven', 3, null)
    expect(f?.is.drivenRpm).toBeGreaterThan(f?.was.drivenRpm ?? NaN)
    expect(f?.tension.leans).toBe('slack')
    expect(settingFollows(BELT_MACHINE, 'motor', 1, null)).toBeNull()
  })

  it('with the stiffness known says whether the belts leave their band at all', () => {
    const stiff = { ...PLATED, belts: { ...PLATED.belts, stiffness: 30_000 } }
    expect(settingFollows(stiff, 'motor', 1.0625, left(stiff))?.tension.leans).toBe('in')
    expect(settingFollows(stiff, 'motor', 2, left(stiff))?.tension.leans).toBe('slack')
  })
})
