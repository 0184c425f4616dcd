import { degrees, gapFigure } from './figures'
import { describe, expect, it } from 'vitest'
import { BELT_MACHINE, TestBelt } from '../../core/jobs/testBelt'
import type { BeltMachine } from '../../core/register/machine'
import { BASE_KINDS } from '../../core/register/beltMachine'
import { cureSteps, eighths, lineBoxWords, lineFigure, lineLimit } from './lines'
import { tellingOf } from './telling'

const T = tellingOf('metric', BELT_MACHINE)
const INCH = tellingOf('inch', BELT_MACHINE)
const lineOf = (p1: number, p2: number, tilt: number | null = null, machine: BeltMachine = BELT_MACHINE) => {
  const job = new TestBelt(machine).ready()
  job.gaps(p1, p2, tilt === null ? null : { g12: tilt, g6: 0, h: 172 })
  const [line] = job.fold().state.lines
  if (!line) throw new Error('no line')
  return line
}
const based = (kind: (typeof BASE_KINDS)[number], pull: 'level' | 'down' = 'level'): BeltMachine => ({
  ...BELT_MACHINE,
  base: { ...BELT_MACHINE.base, kind, pull, place: pull === 'level' ? 'beside' : 'above' },
})
const steps = (line: ReturnType<typeof lineOf>, side: 'outer' | 'inner' = 'outer', telling = T) =>
  Object.fromEntries(cureSteps(line, BELT_MACHINE, side, telling).map((s) => [s.step, s]))

describe('figures at the sheaves', () => {
  it('are finer than a taped distance', () => {
    expect(gapFigure(0.634, T, true)).toBe('0.63 mm')
    expect(gapFigure(0.634, INCH, true)).toBe('0.025 in')
  })

  it.each([
    [0, '0.00°'],
    [1e-9, '0.00°'],
    [-1e-9, '0.00°'],
    [0.01, '0.57°'],
    [-0.01, '−0.57°'],
  ])('an angle of %f radians is %s', (radians, shown) => {
    expect(degrees(radians)).toBe(shown)
  })

  it.each([
    [0.25, '1/4'],
    [0.5, '1/2'],
    [-0.375, '3/8'],
    [1, '1'],
    [1.25, '1 1/4'],
    [2.99, '3'],
  ])('%f turns of a screw are %s', (turns, shown) => {
    expect(eighths(turns)).toBe(shown)
  })

  it('stand without their sign, and a limit that is not known is a dash', () => {
    const { quantities } = lineOf(0.63, 0)
    for (const q of quantities) expect(lineFigure(q, T)).not.toContain('−')
    expect(quantities.filter((q) => q.limit === null).map((q) => lineLimit(q, T))).toEqual(['–'])
  })
})

describe('what cures a line', () => {
  it('is told in the order of the work: tilt, turn, offset', () => {
    for (const kind of BASE_KINDS)
      expect(cureSteps(lineOf(0, 0.63), based(kind), 'outer', T).map((s) => [s.number, s.step])).toEqual([
        [1, 'tilt'],
        [2, 'turn'],
        [3, 'offset'],
      ])
  })

  it('names what is turned on this base and the way its far end goes', () => {
    const told = (kind: (typeof BASE_KINDS)[number], pull: 'level' | 'down' = 'level') =>
      cureSteps(lineOf(0, 0.63), based(kind, pull), 'outer', T).find((s) => s.step === 'turn')
    expect(told('slide-screws')?.what).toMatch(/^Turn: the far end goes (away from|toward) the driven shaft$/)
    expect(told('slide-screws')?.detail).toContain('Turn the screw at the far end 3/8 turn')
    expect(told('hanging-rods', 'down')?.what).toMatch(/^Turn: the far end goes (up|down), /)
    expect(told('hanging-rods', 'down')?.detail).toMatch(/ease both nuts (above|below) the plate/)
    expect(told('hinged')?.detail).toContain('One bolt moves both ends alike')
    expect(told('hinged')?.detail).toContain('the sheave end held')
  })

  it('shims a tilt where the pull is level, and slides it where the motor stands above or below', () => {
    const tilt = (pull: 'level' | 'down') =>
      cureSteps(lineOf(0, 0.63, 3), based('hanging-rods', pull), 'outer', T).find((s) => s.step === 'tilt')
    expect(tilt('level')?.what).toMatch(/^Tilt: shim the far feet (up|down)$/)
    expect(tilt('down')?.what).toMatch(/^Tilt: slide the far feet 4\.43 mm to the (right|left)$/)
    expect(lineBoxWords('g12', { pull: 'level' }, T)).toBe('Edge shifted up, g12')
    expect(lineBoxWords('g12', { pull: 'down' }, T)).toBe('Edge shifted right, g12')
    expect(lineBoxWords('p1', { pull: 'down' }, T)).toBe('Gap at near rim, p1')
  })

  it('says how the sheave is shifted on its bushing, with the hub’s place before and after', () => {
    const how = steps(lineOf(0, 0)).offset?.how ?? []
    expect(how).toHaveLength(6)
    expect(how[0]).toContain('16.00 mm by the register')
    expect(how[3]).toMatch(/Shift the sheave 2\.70 mm (toward|away from) the motor: hub face to shaft end/)
  })

  it('says a tilt that was not read apart from one that needs nothing', () => {
    expect(steps(lineOf(0, 0.63)).tilt).toMatchObject({ what: 'Tilt: not read', figure: '' })
    expect(steps(lineOf(0, 0.63, 0.1)).tilt).toMatchObject({ what: 'Tilt: nothing', figure: '' })
    expect(steps(lineOf(0, 0.63, 3)).tilt?.figure).not.toBe('')
  })

  it('slides the other way when the edge lies on the other faces', () => {
    const line = lineOf(0, 0)
    const ways = (['outer', 'inner'] as const).map((side) => steps(line, side).offset?.what)
    expect(ways.filter((w) => w?.endsWith('toward the motor'))).toHaveLength(1)
    expect(ways.filter((w) => w?.endsWith('away from the motor'))).toHaveLength(1)
  })

  it('gives the hub’s new place where the old one is registered, else the slide alone', () => {
    expect(steps(lineOf(0, 0)).offset).toMatchObject({ figure: expect.stringMatching(/^→ /) as string })
    const unknown = { ...BELT_MACHINE, base: { ...BELT_MACHINE.base, hubToShaftEnd: null, screwPitch: null } }
    const line = lineOf(0, 0.63, null, unknown)
    expect(steps(line).offset).toMatchObject({ figure: '2.38 mm', detail: '' })
    expect(steps(line).turn?.figure).toMatch(/ mm$/)
  })

  it('has nothing to do where the grooves stand in line', () => {
    const done = steps(lineOf(2.7, 2.7))
    expect([done.turn?.figure, done.offset?.figure]).toEqual(['', ''])
  })
})
