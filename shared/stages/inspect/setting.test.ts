import { describe, expect, it } from 'vitest'
import { TestBelt, VARIABLE_MACHINE } from '../../../core/jobs/testBelt'
import type { BeltMachine } from '../../../core/register/beltMachine'
import { driveLeft } from '../../../core/stages/inspect/driveLeft'
import { settingFollows } from '../../../core/stages/inspect/setting'
import { meaningOfSetting, openWords, resetWords, settingConsequences } from '../../wording/sheaveSetting'
import { tellingOf } from '../../wording/telling'
import { drawCurrents, drawSheave, rowsShown } from './settingDrawing'
import { settingWorking } from './settingWorking'

const metric = tellingOf('metric', null)
const MACHINE: BeltMachine = { ...VARIABLE_MACHINE, plateCurrent: 40, load: 'fan-or-pump' }
const belt = new TestBelt(MACHINE).ready()
belt.gaps(2.7, 2.7)
belt.push([31, 31, 31, 31, 31])
belt.run(36)
const left = driveLeft('job', '2026-03-01T10:00:00.000Z', { motor: 1 }, belt.entries)
const at = (turns: number, machine = MACHINE, from: typeof left | null = left) =>
  settingFollows(machine, 'motor', turns, from)!
const FORM = {
  outsideDiameter: 196,
  depths: { outer: 20, inner: 20 },
  belt: { topWidth: 17, height: 11 },
}
const SHEET = { width: 440, height: 262 }

describe('the drawing of a sheave that can be set', () => {
  it('keeps the belt’s back inside the rim, on both flanks, and lower the further it is opened', () => {
    const heights = [1, 2.5, 4].map((turns) => drawSheave(at(turns), FORM, SHEET).beltMiddle[1])
    expect(heights).toEqual([...heights].sort((a, b) => a - b))
    for (const turns of [0, 2.5, 4]) {
      const { belt: drawn, flanges } = drawSheave(at(turns), FORM, SHEET)
      const [fixed, moving] = flanges
      // The belt’s edges lie on the flanks: as far from the one as from the other, and past neither.
      const flank = (outline: readonly (readonly [number, number])[], y: number) => {
        const [foot, rim] = [outline[0]!, outline[1]!]
        return foot[0] + ((y - foot[1]) / (rim[1] - foot[1])) * (rim[0] - foot[0])
      }
      const y = drawn[0]![1]
      expect(drawn[0]![0]).toBeCloseTo(flank(fixed!.outline, y), 6)
      expect(drawn[1]![0]).toBeCloseTo(flank(moving!.outline, y), 6)
      expect(y).toBeGreaterThanOrEqual(fixed!.outline[1]![1] - 1e-9)
    }
  })

  it('stays on its sheet, and shows what stood before only where it changed', () => {
    for (const turns of [0, 1, 4]) {
      const d = drawSheave(at(turns), FORM, SHEET)
      for (const [x, y] of [...d.flanges.flatMap((f) => f.outline), ...d.hub]) {
        expect(x).toBeGreaterThanOrEqual(0)
        expect(x).toBeLessThanOrEqual(SHEET.width)
        expect(y).toBeGreaterThanOrEqual(0)
        expect(y).toBeLessThanOrEqual(SHEET.height)
      }
      expect(d.before === null).toBe(turns === 1)
    }
  })

  it('shows nine settings at most, both that count among them', () => {
    const build = { ...MACHINE.sheaves.motor.build, turnsMost: 12, threadPitch: 0.5 }
    const many = {
      ...MACHINE,
      sheaves: { ...MACHINE.sheaves, motor: { ...MACHINE.sheaves.motor, build } },
    } as BeltMachine
    for (const turns of [0, 1, 3.3, 11.5]) {
      const shown = rowsShown(at(turns, many)).map((r) => r.turns)
      expect(shown.length).toBeLessThanOrEqual(9)
      expect(shown).toContain(1)
      expect(shown).toContain(turns)
    }
    const currents = drawCurrents(at(0), rowsShown(at(0)))
    expect(currents?.plate).toBeLessThan(currents?.bars[0]?.[1] ?? 0)
    expect(drawCurrents(at(0, MACHINE, null), [])).toBeNull()
  })
})

describe('what a sheave’s setting means', () => {
  it('in words: not read, as it was, opened, closed', () => {
    expect(meaningOfSetting(null, left, metric)).toMatchObject({ mark: 'todo' })
    expect(meaningOfSetting(at(1), left, metric).headline).toBe('It stands as it was left.')
    const opened = meaningOfSetting(at(2.5), left, metric)
    expect(opened.headline).toBe('Somebody opened the sheave 1 1/2 turns since it was lined up.')
    expect(opened.detail).toContain('1 Mar, it stood at 1 turn')
    expect(meaningOfSetting(at(0.5), null, metric)).toMatchObject({
      headline: 'Somebody closed the sheave 1/2 turn since it was lined up.',
      detail: expect.stringContaining('The register has it at 1 turn'),
    })
    expect(openWords(0, metric)).toBe('0 turns')
  })

  it('says what follows for line, belts, speed and motor, and how far to believe it', () => {
    const slack = settingConsequences(at(2.5), MACHINE, metric).join(' ')
    expect(slack).toContain('The belts sit slack: the motor goes away from the driven shaft, about 7.')
    expect(slack).toContain('5 % slower')
    expect(slack).toContain('The motor eases.')
    expect(slack).toContain('a warning, not a promise')
    const tight = settingConsequences(at(0), MACHINE, metric).join(' ')
    expect(tight).toContain('pull tighter: the motor goes toward the driven shaft')
    expect(tight).toContain('faster')
    expect(tight).toContain('over its plate')
    expect(settingConsequences(at(1), MACHINE, metric)).toEqual([])
    const unknown = settingConsequences(at(2.5, MACHINE, null), MACHINE, metric).join(' ')
    expect(unknown).toContain('No line is known')
    expect(unknown).not.toContain('promise')
  })

  it('in a line for Today, and with its working', () => {
    expect(resetWords({ place: 'motor', was: 1, now: 2.5 }, left.closedAt, metric)).toEqual({
      what: 'Motor sheave: 1 → 2 1/2 turns open',
      stale: 'since it was lined up, 1 Mar; line, tension and current are stale',
    })
    const steps = settingWorking(at(2.5), MACHINE, metric)
    expect(steps.map((s) => s.result).slice(0, 4)).toEqual(['3.00 mm', '170.19 mm', '1.50 mm', '716 rpm'])
    expect(steps).toHaveLength(7)
  })
})
