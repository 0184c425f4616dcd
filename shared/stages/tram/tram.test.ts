import { describe, expect, it } from 'vitest'
import { TEST_DRUM, TestDrum, UNTAPED_DRUM } from '../../../core/jobs/testDrum'
import { inMil, lift } from '../../../core/jobs/testJob'
import { NO_WINDOWS } from '../../../core/register/drumMachine'
import { fromCore } from '../../../core/units/unitSystem'
import { tellingOf } from '../../wording/telling'
import { checksAsRead, differencesShown, shownAt } from './asRead'
import { doneAt, planeOf, tramScales } from './drawing'
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

describe('the scales of its windows', () => {
  it('stand in millimetres, a slope as the opening over the face circle, the move only in its plane', () => {
    const { state } = at(-3, 0.5, 0.1)
    const after = inMil(1, 0, 0, 0)
    const scales = tramScales(state, { offset: { v: 0.0254, h: 0 }, slope: after.slope }, 'v')
    const of = (kind: string, plane: string) => scales.find((s) => s.kind === kind && s.plane === plane)!
    expect(scales.map((s) => `${s.kind} ${s.plane}`)).toEqual(['offset v', 'offset h', 'face v', 'face h'])
    expect(mil(of('offset', 'v').now)).toBeCloseTo(-3, 2)
    expect(of('offset', 'v').band.map(mil)).toEqual([0, expect.closeTo(3, 9)])
    expect([of('offset', 'v').verdict, of('offset', 'h').verdict]).toEqual(['out', 'in'])
    // 0.1 mil/in over 16 in.
    expect(mil(of('face', 'v').now)).toBeCloseTo(1.6, 1)
    expect(mil(of('face', 'v').band[1])).toBeCloseTo(2, 6)
    expect(mil(of('offset', 'v').after)).toBeCloseTo(1, 9)
    expect(of('offset', 'h').after).toBeNull()
  })

  it('say nothing of what nobody read', () => {
    const { state } = new TestDrum().ready()
    expect(tramScales(state, null, null).every((s) => s.now === null && s.verdict === 'unknown')).toBe(true)
    expect(planeOf(null, 'v')).toBeNull()
    expect(planeOf({ offset: { v: 1, h: null }, slope: { v: 0, h: 0 } }, 'h')).toBeNull()
  })

  it('are moved by what is done at each pair', () => {
    const pairs = TEST_DRUM.feet.movable
    const shims = {
      units: 'inch' as const,
      changes: [...lift('inboard', [3], [1]), ...lift('outboard', [2])],
      side: [],
    }
    expect(doneAt(shims, pairs).map(mil)).toEqual([expect.closeTo(2, 9), expect.closeTo(2, 9)])
    const side = [{ machine: 'movable' as const, pair: 'outboard', moved: -4 }]
    expect(doneAt({ units: 'inch', changes: [], side }, pairs).map(mil)).toEqual([0, expect.closeTo(-4, 9)])
  })
})
