import { describe, expect, it } from 'vitest'
import { atPositions, circlesOfSum, drawTyped, positionsOf, textsAt, withText } from './circles'
import type { TextGroup, Texts } from './texts'

const row = (clock: string, value: string): TextGroup => ({ clock, value, group: '' })
const FORM: TextGroup = {
  rim: { readings: [row('0', '0'), row('90', '-2.5'), row('180', '-23')] },
  face: { readings: [row('0', '0'), row('180', '3.5'), row('', '')] },
  faces: null,
}
const at = (path: string): Texts | undefined =>
  path.split('/').reduce<Texts | undefined>((here, k) => (here as TextGroup | null | undefined)?.[k], FORM)
const rows = (path: string) => at(path) as Texts[]

describe('circles of a sum’s form', () => {
  const circles = circlesOfSum('rim-face', at)
  it('are those whose part is open', () => {
    expect(circles.map((c) => c.id)).toEqual(['rim', 'face'])
    expect(circlesOfSum('judge', at)).toEqual([])
  })

  it('stand at every position that any of them has', () => {
    expect(positionsOf(circles, at, 'inch')).toEqual([0, 90, 180])
    expect(textsAt(circles, at, 'inch')).toEqual({
      rim: { 0: '0', 90: '-2.5', 180: '-23' },
      face: { 0: '0', 180: '3.5' },
    })
  })

  it('take a text at a position, putting in a row that was missing', () => {
    const [rim, face] = circles
    expect(withText(rows('rim/readings'), rim!, 90, '-3', 'inch')[1]).toEqual(row('90', '-3'))
    const put = withText(rows('face/readings'), face!, 90, '1', 'inch')
    expect(put.at(-1)).toEqual(row('90', '1'))
    expect(put).toHaveLength(4)
  })

  it('keep what was typed when their positions change', () => {
    expect(atPositions(rows('rim/readings'), [0, 180, 270], 'inch')).toEqual([
      row('0', '0'),
      row('180', '-23'),
      row('270', ''),
    ])
  })

  it('are drawn as soon as they can be fitted, and as dots before', () => {
    const [rim, face] = drawTyped(circles, at, 'inch')
    expect(rim?.path.startsWith('M')).toBe(true)
    expect(rim?.dots).toHaveLength(3)
    expect(face?.dots).toHaveLength(2)
  })

  it('of heads share one list, each under its own name', () => {
    const heads = { samples: [{ clock: '0', movableClock: '', stationary: '1', movable: '-2' }] }
    const inHeads = (path: string) => (path === 'samples' ? heads.samples : undefined)
    const own = circlesOfSum('heads', inHeads)
    expect(textsAt(own, inHeads, 'metric')).toEqual({ stationary: { 0: '1' }, movable: { 0: '-2' } })
    expect(withText(heads.samples, own[1]!, 0, '-3', 'metric')[0]).toMatchObject({
      stationary: '1',
      movable: '-3',
    })
  })
})
