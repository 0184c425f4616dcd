import { describe, expect, it } from 'vitest'
import { growthOperation } from '../calculation/growth'
import { inputSchema } from '../calculation/operations'
import { pairKey } from '../stages/target/form'
import { OWN_END } from '../wording/words'
import { fieldOf } from './field'
import { fitsGrowth, growthListed, growthOnBoard, growthPath } from './growing'
import { readForm } from './readForm'
import { blankOf, textsOf, type TextGroup, type TextList } from './texts'

const none = () => null
const form = fieldOf(inputSchema(growthOperation))
const FEET = (at: number, more: object = {}) => [
  {
    id: 'inboard',
    x: at,
    material: 'cast-iron',
    height: 450,
    coldTemp: 20,
    runTemp: 75,
    sideRise: 0.01,
    ...more,
  },
  { id: 'outboard', x: 3 * at, material: 'steel', height: 450, coldTemp: 20, runTemp: 68, ...more },
]
const INPUT = {
  units: 'metric' as const,
  machines: [
    { role: 'stationary', feet: FEET(-300) },
    { role: 'movable', feet: FEET(305) },
  ],
}
const listOf = (input: object): TextList =>
  (textsOf(form, input, 'metric', none) as TextGroup).machines as TextList
const run = (machines: TextList) =>
  growthOperation.run(readForm(form, { machines }, 'metric', OWN_END, none).input)

describe('growth on the board of the cold target', () => {
  it('says what the form says, either way round', async () => {
    const list = listOf(INPUT)
    expect(fitsGrowth(list)).toBe(true)
    const { texts, pairs } = growthOnBoard(list, 'metric')
    expect(pairs.map((p) => `${p.machine} ${p.id}`)).toEqual([
      'stationary outboard',
      'stationary inboard',
      'movable inboard',
      'movable outboard',
    ])
    expect(texts.cold).toBe('20')
    expect(texts.distances['stationary.outboard']).toBe('900')
    const again = await run(growthListed(texts, pairs))
    const before = await run(list)
    expect(before.ok && again.ok).toBe(true)
    if (before.ok && again.ok)
      expect((again.result as { target: unknown }).target).toEqual(
        (before.result as { target: unknown }).target,
      )
  })

  it('keeps an own expansion and rises that are typed', async () => {
    const own = listOf({
      ...INPUT,
      machines: [
        { role: 'stationary', feet: FEET(-300, { material: undefined, alpha: 0.0000123 }) },
        {
          role: 'movable',
          feet: [
            { id: '1', x: 200, rise: { v: 0.2, h: 0 } },
            { id: '2', x: 600, rise: { v: 0.1, h: -0.02 } },
          ],
        },
      ],
    })
    const { texts, pairs } = growthOnBoard(own, 'metric')
    expect(texts.feet['stationary.inboard']).toMatchObject({ material: 'own', alpha: '12.3' })
    expect(texts.feet['movable.2']).toMatchObject({ how: 'typed', rise: '0.1', side: '-0.02' })
    const [was, is] = [await run(own), await run(growthListed(texts, pairs))]
    expect(is.ok && was.ok && is.result).toEqual(was.ok && reordered(was.result))
  })

  it('leaves out a machine nobody typed anything of, and asks for one of both on an empty form', () => {
    const blank = growthOnBoard((blankOf(form) as TextGroup).machines, 'inch')
    expect(blank.pairs).toHaveLength(4)
    expect(growthListed(blank.texts, blank.pairs)).toEqual([])
    const pair = blank.pairs[2]!
    blank.texts.feet[pairKey(pair)]!.height = '12'
    const [only, ...others] = growthListed(blank.texts, blank.pairs)
    expect(others).toEqual([])
    expect(only).toMatchObject({ role: 'movable' })
    expect(growthPath([only!], pair, 'height', false)).toBe('machines/0/feet/0/height')
    expect(growthPath([only!], pair, 'side', true)).toBe('machines/0/feet/0/rise/h')
  })

  it('takes nothing typed sideways for no growth sideways, and a slip for a slip', () => {
    const { texts, pairs } = growthOnBoard([], 'metric')
    Object.assign(texts.feet['movable.inboard']!, { how: 'typed', rise: '0.1' })
    Object.assign(texts.feet['movable.outboard']!, { how: 'typed', rise: 'x' })
    texts.distances['stationary.inboard'] = '-30'
    const list = growthListed(texts, pairs) as { role: string; feet: TextGroup[] }[]
    expect(list[1]?.feet.map((f) => f.rise)).toEqual([
      { v: '0.1', h: '0' },
      { v: 'x', h: '0' },
    ])
    // Typed as a sum counts it, it stays on that side.
    expect(list[0]?.feet[1]?.x).toBe('30')
  })

  it('leaves to the form what it can’t hold', () => {
    const [first, second] = INPUT.machines
    const two = (feet: readonly object[]) => listOf({ ...INPUT, machines: [{ role: 'movable', feet }] })
    expect(fitsGrowth(listOf({ ...INPUT, machines: [first, { ...second, role: 'stationary' }] }))).toBe(false)
    const [a, b] = FEET(305)
    expect(fitsGrowth(two([a!, { ...b!, coldTemp: 22 }]))).toBe(false)
    expect(fitsGrowth(two([a!, { id: 'outboard', x: 900, rise: { v: 0.1, h: 0 } }]))).toBe(false)
    expect(fitsGrowth(two([a!, { ...b!, id: 'inboard' }]))).toBe(false)
    expect(fitsGrowth(two([a!]))).toBe(false)
  })
})

/** The result with the driven machine's pairs as the board lists them: outboard first. */
const reordered = (result: unknown) => {
  const { machines, ...rest } = result as { machines: { role: string; feet: { id: string }[] }[] }
  return {
    ...rest,
    machines: machines.map((m) => (m.role === 'stationary' ? { ...m, feet: [...m.feet].reverse() } : m)),
  }
}
