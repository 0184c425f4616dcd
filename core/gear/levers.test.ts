import { describe, expect, it } from 'vitest'
import { leverFor, leversKnown, nextShift, whatItDid, type ShiftAsked, type ShiftSeen } from './levers'

const MIL = 0.0254
const paint = (together: number, apart: number) => ({ together, apart })
const shift = (
  lever: ShiftSeen['lever'],
  by: number,
  before: [number, number],
  after: [number, number],
): ShiftSeen => ({
  lever,
  by: by * MIL,
  before: paint(...before),
  after: paint(...after),
})
const ask = (now: [number, number], seen: readonly ShiftSeen[] = [], more: Partial<ShiftAsked> = {}) =>
  nextShift({
    school: 'together-blocks',
    now: paint(...now),
    seen,
    remembered: { blocks: null, gear: null },
    testShift: 6 * MIL,
    room: { blocks: { from: 30 * MIL, to: 30 * MIL }, gear: null },
    ...more,
  })

describe('what to shift', () => {
  it('both runs off together: the blocks to the other side, first a small test', () => {
    expect(ask([-22, 1])).toMatchObject({
      figure: 'together',
      lever: 'blocks',
      from: 'test',
      by: 6 * MIL,
      predicted: null,
    })
    expect(ask([22, 1])).toMatchObject({ by: -6 * MIL })
  })

  it('off apart: the gear along its shaft; the other school has it the other way', () => {
    expect(ask([2, 20])).toMatchObject({ figure: 'apart', lever: 'gear', from: 'test' })
    expect(ask([2, 20], [], { school: 'together-gear' })).toMatchObject({ lever: 'blocks' })
    expect(ask([-22, 1], [], { school: 'together-gear' })).toMatchObject({ lever: 'gear' })
    expect(leverFor('together-gear', 'apart')).toBe('blocks')
  })

  it('how far is learned from what the last shift did: six mil moved it 12 %, so 22 % asks for eleven', () => {
    const next = ask([-22, 1], [shift('blocks', 6, [-34, 1], [-22, 1])])
    expect(next).toMatchObject({ from: 'job', lever: 'blocks' })
    if (typeof next === 'string') throw new Error(next)
    expect(next.by / MIL).toBeCloseTo(11)
    expect(next.predicted?.together).toBeCloseTo(0)
    expect(next.predicted?.apart).toBeCloseTo(1)
  })

  it('what the register remembers saves the test', () => {
    const next = ask([-20, 0], [], {
      remembered: { blocks: { together: 2 / MIL, apart: 0 }, gear: null },
    })
    if (typeof next === 'string') throw new Error(next)
    expect(next).toMatchObject({ from: 'register' })
    expect(next.by / MIL).toBeCloseTo(10)
  })

  it('paint that goes the other way rules: the next shift goes back past where it was', () => {
    const seen = shift('blocks', 6, [-16, 0], [-28, 0])
    expect(whatItDid('together-blocks', seen)).toBe('other-way')
    const next = ask([-28, 0], [seen])
    if (typeof next === 'string') throw new Error(next)
    expect(next.by / MIL).toBeCloseTo(-14)
    expect(next.againstRule).toBe(false)
  })

  it('blocks that set the runs apart leave the common figure to the gear', () => {
    const seen = shift('blocks', 6, [-22, 0], [-21, 14])
    expect(whatItDid('together-blocks', seen)).toBe('other-figure')
    expect(ask([-21, 14], [seen])).toMatchObject({
      lever: 'gear',
      figure: 'together',
      againstRule: true,
      from: 'test',
    })
    const gear = shift('gear', 6, [-21, 14], [-9, 14])
    const next = ask([-9, 14], [seen, gear])
    // Now the runs are further apart than off together, and that the blocks have shown to move.
    expect(next).toMatchObject({ lever: 'blocks', figure: 'apart', againstRule: true, from: 'job' })
  })

  it('neither lever serves: nothing is made up', () => {
    const seen = [shift('blocks', 6, [-22, 0], [-21, 14]), shift('gear', 6, [-21, 14], [-20, -6])]
    expect(ask([-20, -6], seen)).toBe('neither-lever')
  })

  it('a test that did nothing is doubled once, then something holds it', () => {
    const idle = shift('blocks', 6, [-22, 0], [-21, 0])
    expect(whatItDid('together-blocks', idle)).toBe('nothing')
    expect(ask([-21, 0], [idle])).toMatchObject({ lever: 'blocks', from: 'test', by: 12 * MIL })
    expect(ask([-21, 0], [idle, shift('blocks', 12, [-21, 0], [-20, 0])])).toBe('nothing-moves')
  })

  it('goes no further than there is room, and says when there is none', () => {
    const seen = shift('blocks', 6, [-40, 0], [-34, 0])
    const next = ask([-34, 0], [seen], { room: { blocks: { from: 40 * MIL, to: 20 * MIL }, gear: null } })
    if (typeof next === 'string') throw new Error(next)
    expect(next.by / MIL).toBeCloseTo(20)
    expect(next.wanted / MIL).toBeCloseTo(34)
    expect(next.predicted?.together).toBeCloseTo(-14)
    expect(ask([-34, 0], [seen], { room: { blocks: { from: 40 * MIL, to: 0 }, gear: null } })).toBe('no-room')
  })

  it('what sets the runs apart is expected to go no particular way: the first shift tells', () => {
    const seen = shift('gear', 6, [0, 20], [0, 26])
    expect(whatItDid('together-blocks', seen)).toBe('learned')
    const next = ask([0, 26], [seen])
    if (typeof next === 'string') throw new Error(next)
    expect(next.by / MIL).toBeCloseTo(-26)
  })

  it('the last shift that did anything counts', () => {
    const known = leversKnown(
      [shift('blocks', 6, [-34, 0], [-22, 0]), shift('blocks', 2, [-22, 0], [-21, 0])],
      { blocks: null, gear: { together: 0, apart: 1 } },
    )
    expect(known.blocks?.response.together).toBeCloseTo(2 / MIL)
    expect(known.gear).toMatchObject({ from: 'register' })
  })
})
