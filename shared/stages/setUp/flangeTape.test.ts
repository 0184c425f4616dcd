import { describe, expect, it } from 'vitest'
import { FLANGE_SET_UP, TEST_FLANGE } from '../../../core/jobs/testFlange'
import { tellingOf } from '../../wording/telling'
import { flangeBoxes, flangeLabel, nameFlangeUnits, readFlange, startFlange, toldFlange } from './flangeTape'
import { methodsFor, numbersOf, readSetUp, startSetUp } from './form'

const T = tellingOf('inch', { drive: 'flange' })
const CONTEXT = { machine: TEST_FLANGE, last: null, lastJob: null }
const blank = () => startFlange(TEST_FLANGE, null, 'inch')

describe('a flange by tape', () => {
  it('starts from the register: the circle whole, the flange 12 in up', () => {
    expect(blank()).toMatchObject({ told: 'circle', circle: '14', plane: '12' })
    expect(flangeBoxes(blank())).toEqual(['plane', 'circle'])
  })

  it('means the same told as a radius, or from bolt to bolt in each plane', () => {
    const radius = toldFlange(blank(), 'radius', 'inch')
    expect(radius.circle).toBe('7')
    const planes = toldFlange(radius, 'each-plane', 'inch')
    expect([planes.v, planes.h]).toEqual(['14', '14'])
    for (const texts of [blank(), radius, planes])
      expect(readFlange(texts, TEST_FLANGE, null, T).taped?.across).toEqual({
        v: expect.closeTo(355.6, 6),
        h: expect.closeTo(355.6, 6),
      })
    expect(flangeBoxes(planes)).toEqual(['plane', 'v', 'h'])
    expect(toldFlange(planes, 'circle', 'inch').circle).toBe('14')
    expect(flangeLabel('circle', 'radius', T)).toMatch(/radius/)
    expect(flangeLabel('h', 'each-plane', T)).toMatch(/9 to 3/)
  })

  it('notices a slip against the register, and wants every figure above zero', () => {
    expect(
      readFlange({ ...blank(), circle: '140' }, TEST_FLANGE, null, T).remarks['flange.circle']?.text,
    ).toMatch(/14/)
    expect(readFlange({ ...blank(), plane: '' }, TEST_FLANGE, null, T).missing).toEqual(['flange.plane'])
    expect(readFlange({ ...blank(), plane: '-3' }, TEST_FLANGE, null, T).remarks['flange.plane']?.fault).toBe(
      true,
    )
    expect(nameFlangeUnits(blank(), 'inch').circle).toBe('14 in')
  })

  it('asks for no sag, no feet and no spool, and makes an entry of it', () => {
    expect(numbersOf('rim-face', TEST_FLANGE).map((f) => f.id)).toEqual(['rimPlane', 'faceCircle'])
    expect(methodsFor(TEST_FLANGE)).not.toContain('foot-values')
    expect(methodsFor(TEST_FLANGE)).not.toContain('spacer-faces')
    const texts = startSetUp(CONTEXT, 'inch')
    expect(texts.feet).toEqual([])
    const read = readSetUp({ ...texts, returned: { rim: '0', face: '0' } }, CONTEXT, T)
    expect(read.missing).toEqual([])
    expect(read.payload).toMatchObject({
      feet: [],
      flange: { told: 'circle', across: { v: 14, h: 14 }, plane: 12 },
      how: { method: 'rim-face', given: { rim: { sag: 0 } } },
    })
    // The last tape goes before the register.
    const last = {
      ...FLANGE_SET_UP,
      flange: { told: 'each-plane' as const, across: { v: 13, h: 12 }, plane: 11 },
    }
    expect(startSetUp({ ...CONTEXT, last }, 'inch').flange).toMatchObject({
      told: 'each-plane',
      v: '13',
      h: '12',
    })
  })
})
