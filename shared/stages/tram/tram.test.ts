import { describe, expect, it } from 'vitest'
import { TEST_DRUM, TestDrum, UNTAPED_DRUM } from '../../../core/jobs/testDrum'
import { inMil, lift } from '../../../core/jobs/testJob'
import { NO_WINDOWS } from '../../../core/register/drumMachine'
import { fromCore } from '../../../core/units/unitSystem'
import { tellingOf } from '../../wording/telling'
import { checksAsRead, differencesShown, shownAt } from './asRead'
import { endOf, handMove, movesAnything, onlyPlane, planeInTurn } from './plan'
import { tramWorking } from './working'

const T = tellingOf('inch', TEST_DRUM)
const mil = (mm: number | null) => fromCore(mm ?? NaN, 'displacement', 'inch')
const at = (ov: number, oh: number, sv = 0, sh = 0, machine = TEST_DRUM) =>
  new TestDrum(machine).ready().readTwice(inMil(ov, oh, sv, sh))

describe('readings as they are', () => {
  it('stand at their hour, the mean of the sets in use', () => {
    const { latest } = at(-3, 1).state
    expect(mil(shownAt(latest, 'rim', 90))).toBeCloseTo(0, 6)
    expect(shownAt(latest, 'rim', 180)).toBeNull()
    expect(shownAt(null, 'rim', 0)).toBeNull()
    const { side, top } = differencesShown(latest, 'rim')
    expect(mil(top as number)).toBeCloseTo(3, 2)
    expect(Math.abs(mil(side as number))).toBeCloseTo(2, 2)
    expect(differencesShown(null, 'face')).toEqual({ side: 'not-read', top: 'not-read' })
  })

  it('are held against the card where it has a window, and only there', () => {
    const machine = {
      ...TEST_DRUM,
      drum: { ...TEST_DRUM.drum, windows: { ...NO_WINDOWS, rim: { side: [null, null], top: [-3, 0] } } },
    } as const
    const checks = (ov: number) => checksAsRead(machine, at(ov, 0, 0, 0, machine).state.latest)
    expect(checks(1.5).map((c) => [c.dial, c.what, c.verdict])).toEqual([['rim', 'top', 'in']])
    expect(checks(-2)[0]?.verdict).toBe('out')
    expect(checksAsRead(TEST_DRUM, at(1, 0).state.latest)).toEqual([])
  })
})

describe('what one step does', () => {
  it('is in one plane only', () => {
    expect(planeInTurn(at(-3, 4).state)).toBe('h')
    expect(planeInTurn(at(-3, 0).state)).toBe('v')
    expect(planeInTurn(at(1.5, 0).state)).toBeNull()
    expect(planeInTurn(new TestDrum().ready().state)).toBeNull()
    const plan = {
      changes: lift('inboard', [3]),
      side: [{ machine: 'movable' as const, pair: 'inboard', moved: 2 }],
    }
    expect(onlyPlane(plan, 'v', 'inch')).toMatchObject({ changes: plan.changes, side: [] })
    expect(onlyPlane(plan, 'h', 'inch')).toMatchObject({ changes: [], side: plan.side })
    expect(movesAnything({ units: 'inch', changes: [], side: [] })).toBe(false)
  })

  it('without a tape raises all feet alike from the shelf, and is told where it ends', () => {
    const { state } = at(-3, 0, 0, 0, UNTAPED_DRUM)
    const hand = handMove(state, 'v', 'inch')!
    expect(hand.asked.kind).toBe('alike')
    expect(new Set(hand.move.changes.map((c) => c.putIn.join())).size).toBe(1)
    // To the middle of never low, three high.
    expect(mil(endOf(state, hand.move)!.offset.v)).toBeCloseTo(1.5, 0)
  })

  it('without a tape tries a face that is out at the far feet, and is told nothing', () => {
    const { state } = at(1.5, 0, 0.3, 0, UNTAPED_DRUM)
    const hand = handMove(state, 'v', 'inch')!
    expect(hand.asked.kind).toBe('trial')
    expect(new Set(hand.move.changes.map((c) => c.pair))).toEqual(new Set(['outboard']))
    expect(endOf(state, hand.move)).toBeNull()
    const side = handMove(at(1.5, 0, 0, 0.3, UNTAPED_DRUM).state, 'h', 'inch')!
    expect(side.move.side).toEqual([{ machine: 'movable', pair: 'outboard', moved: expect.closeTo(-4, 6) }])
  })

  it('does nothing where nothing is out', () => {
    expect(handMove(at(1.5, 0, 0, 0, UNTAPED_DRUM).state, 'v', 'inch')).toBeNull()
    expect(handMove(new TestDrum(UNTAPED_DRUM).ready().state, 'h', 'inch')).toBeNull()
  })
})

describe('its working', () => {
  it('shows side and top, and how a shim told where the feet stand', () => {
    const job = at(-3, 1)
    const steps = tramWorking(job.state, T)
    expect(steps.map((s) => s.name)).toEqual([
      'Side, as read, rim',
      'Top against sides, as read, rim',
      'Side, as read, face',
      'Top against sides, as read, face',
    ])
    expect(steps[1]?.result).toMatch(/^\+3\.0/)
    const learned = at(0, 0, 0, 0, UNTAPED_DRUM)
    learned.move(lift('outboard', [5]))
    learned.readTwice(inMil(-50 / 14, 0, 5 / 14, 0))
    const told = tramWorking(learned.state, T).slice(4)
    expect(told.map((s) => s.name)).toEqual(['How far apart the feet stand', 'Near feet from the rim dial'])
    expect(told[0]?.result).toMatch(/^14\.0\d in$/)
    expect(told[1]?.result).toMatch(/^10\.\d+ in$/)
  })
})
