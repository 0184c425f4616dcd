import { describe, expect, it } from 'vitest'
import { doFootwork } from '../../../core/stages/move/footwork'
import { watchPush, type Counts } from '../../../core/stages/move/push'
import { torqueWords } from '../../wording/bolts'
import { biteWords, headlineOfPush, slipWords } from '../../wording/pushing'
import { TEST_MACHINE } from '../../../core/jobs/testJob'
import { tellingOf } from '../../wording/telling'
import { drawPush, RULER } from './pushDrawing'
import { blankPush, namePushUnits, readPush, sidesFromCounts } from './pushForm'

const FEET = [
  { id: 'inboard', x: 304.8 },
  { id: 'outboard', x: 609.6 },
]
const ROOM = FEET.map((f) => ({
  ...f,
  sidePlus: 0.5,
  sideMinus: 0.6,
  existing: { left: [], right: [] },
  maxPack: 4,
}))
/** Inboard 7, outboard 11 mil toward 9. */
const PLAN = doFootwork(
  [],
  { movable: FEET, stationary: [] },
  'inch',
  [],
  [
    { machine: 'movable', pair: 'inboard', moved: -7 },
    { machine: 'movable', pair: 'outboard', moved: -11 },
  ],
)
const counted = (...looks: { when?: 'pushing' | 'tightened'; inboard: number; outboard: number }[]) =>
  looks.map(({ when = 'pushing', inboard, outboard }) => ({
    payload: {
      units: 'inch',
      when,
      counts: [
        { machine: 'movable', pair: 'inboard', toGo: inboard },
        { machine: 'movable', pair: 'outboard', toGo: outboard },
      ],
    },
  })) as unknown as Counts
const watched = (counts: Counts = [], plan: typeof PLAN | null = PLAN) =>
  watchPush(plan, { movable: FEET, stationary: [] }, counts)
const inch = tellingOf('inch', TEST_MACHINE)

describe('the dials as typed', () => {
  it('fall to zero whichever way the end goes: typed 6 toward 9 is kept as −6', () => {
    const { payload, faults } = readPush(
      { units: 'inch', toGo: { outboard: '6' } },
      watched(),
      'pushing',
      inch,
    )
    expect(faults).toEqual({})
    expect(payload?.counts).toEqual([{ machine: 'movable', pair: 'outboard', toGo: -6 }])
  })

  it('say a slip at the box, ask about a slipped digit, and log nothing where nothing is typed', () => {
    expect(
      readPush({ units: 'inch', toGo: { outboard: 'x' } }, watched(), 'pushing', inch).faults,
    ).toHaveProperty('outboard')
    const far = readPush({ units: 'inch', toGo: { outboard: '110' } }, watched(), 'pushing', inch)
    expect(far.questions).toEqual([
      'Outboard: 110.0 mil to go, 11.0 mil were planned. Check the digits; press once more if it is so.',
    ])
    expect(readPush(blankPush('inch'), watched(), 'pushing', inch).payload).toBeNull()
  })

  it('say the shift itself where nothing is to be pushed', () => {
    const still = watched([], null)
    const { payload } = readPush({ units: 'inch', toGo: { inboard: '0.4' } }, still, 'tightened', inch)
    expect(watched([{ payload }] as unknown as Counts, null).ends[0]?.drift).toBeCloseTo(0.4 * 0.0254, 9)
  })

  it('keep their meaning in other units', () => {
    const texts = { units: 'metric' as const, toGo: { outboard: '6' } }
    namePushUnits(texts, 'inch')
    const { payload } = readPush(texts, watched(), 'pushing', tellingOf('metric', TEST_MACHINE))
    expect(payload?.counts[0]?.toGo).toBeCloseTo(-0.1524, 9)
  })

  it('say how far it was pushed', () => {
    expect(sidesFromCounts(watched(counted({ inboard: -0.5, outboard: 0.2 })), 'inch')).toEqual({
      inboard: '-6.5',
      outboard: '-11.2',
    })
  })
})

describe('a push in words', () => {
  it('names the screws, the bite and where it goes', () => {
    expect(biteWords(watched(), inch)).toEqual([
      'Set a dial at each end to its count: it falls to zero as the machine moves.',
      'Slacken the screw at outboard left.',
      'Push at outboard right: 5.5 mil toward 9.',
      'Read both dials, type them, and the next bite is worked out.',
    ])
    expect(headlineOfPush(watched(), inch)).toBe('Push it toward 9, outboard first. 11.0 mil to go.')
    const other = tellingOf('inch', TEST_MACHINE, 'inboard-outboard', 'stationary')
    expect(biteWords(watched(), other)[2]).toBe('Push at outboard left: 5.5 mil toward 3.')
  })

  it('goes from the last bite to tightening, and says whether it held', () => {
    const there = counted({ inboard: 0, outboard: 0.2 })
    expect(biteWords(watched(there), inch)).toEqual([
      'Both ends are there. Tighten down, then read the dials again.',
      'Back the jacking screws off before the last pass: left tight, they push on.',
    ])
    expect(headlineOfPush(watched(there), inch)).toContain('tighten down')
    const held = counted({ inboard: 0, outboard: 0.2 }, { when: 'tightened', inboard: 0.3, outboard: 0.2 })
    expect(headlineOfPush(watched(held), inch)).toBe(
      'It held while it was tightened. Log the move and measure.',
    )
    const went = counted({ inboard: 0, outboard: 0.2 }, { when: 'tightened', inboard: 3, outboard: 0.2 })
    expect(headlineOfPush(watched(went), inch)).toBe('Tightening shifted it by 3.0 mil.')
  })

  it.each([
    [{ inboard: -7, outboard: -14 }, 'Outboard went the other way.'],
    [{ inboard: -3, outboard: -11 }, 'Outboard did not move, the other end did'],
    [{ inboard: -7, outboard: 3 }, 'Outboard went past zero.'],
  ])('names a slip: %o', (look, says) => {
    expect(slipWords(watched(counted(look)), inch)).toContain(says)
  })

  it('says nothing where nothing is to be pushed', () => {
    expect([
      biteWords(watched([], null), inch),
      headlineOfPush(watched([], null), inch),
      slipWords(watched(), inch),
    ]).toEqual([[], null, ''])
  })

  it('sets a wrench', () => {
    expect([torqueWords(135.58, 'inch'), torqueWords(135.58, 'metric'), torqueWords(4.2, 'metric')]).toEqual([
      '100 lbf ft',
      '136 N m',
      '4.2 N m',
    ])
  })
})

describe('a push drawn', () => {
  it('slides its mark toward zero, both ends to one scale, and says the room that is left', () => {
    const [inboard, outboard] = drawPush(watched(), ROOM, 'inch')
    expect(outboard).toMatchObject({ way: -1, turn: true, there: false })
    // Toward 9 is to the left: zero stands left of the mark.
    expect((outboard?.mark ?? 0) - (outboard?.zero ?? 0)).toBeCloseTo(
      (11 / 7) * ((inboard?.mark ?? 0) - (inboard?.zero ?? 0)),
      6,
    )
    const [, later] = drawPush(watched(counted({ inboard: -7, outboard: -5 })), ROOM, 'inch')
    expect(later?.mark).toBeLessThan(outboard?.mark ?? 0)
    expect(later?.from).toBeGreaterThan(later?.mark ?? 0)
    expect(later?.room).toBeCloseTo(0.6 - 6 * 0.0254, 9)
    // Its bolts go toward 9 in their holes, and end there.
    expect(later?.bolt).toBeCloseTo((0.6 - 6 * 0.0254) / 1.1, 9)
    expect(later?.boltEnds).toBeCloseTo((0.6 - 11 * 0.0254) / 1.1, 9)
    for (const end of drawPush(watched(), ROOM, 'metric'))
      for (const x of [end.zero, end.mark, ...end.ticks.map((t) => t.at)]) {
        expect(x).toBeGreaterThanOrEqual(0)
        expect(x).toBeLessThanOrEqual(RULER)
      }
  })
})
