import { describe, expect, it } from 'vitest'
import { BELT_MACHINE } from '../../../core/jobs/testBelt'
import { tellingOf } from '../../wording/telling'
import {
  blankLine,
  choosesGrooves,
  edgeBelongsOn,
  nameLineUnits,
  readLineTexts,
  type LineTexts,
} from './form'

const T = tellingOf('metric', BELT_MACHINE)
const INCH = tellingOf('inch', BELT_MACHINE)
const board = (change: (t: LineTexts) => void = () => {}): LineTexts => {
  const texts = blankLine(BELT_MACHINE, 'metric')
  texts.contacts = { referenceFar: 'touch', referenceNear: 'touch', otherNear: 'touch', otherFar: 'gap' }
  texts.boxes.w = '172'
  texts.boxes.p2 = '0.63'
  change(texts)
  return texts
}
const read = (texts: LineTexts, telling = T) => readLineTexts(texts, BELT_MACHINE, telling)

describe('the line-up board', () => {
  it('lays the edge on the larger sheave', () => {
    expect(edgeBelongsOn(BELT_MACHINE)).toBe('driven')
    const { motor, driven } = BELT_MACHINE.sheaves
    expect(edgeBelongsOn({ ...BELT_MACHINE, sheaves: { motor: driven, driven: motor } })).toBe('motor')
  })

  it('says nothing before all four rims were looked at', () => {
    expect(read(blankLine(BELT_MACHINE, 'metric'))).toMatchObject({
      contacts: null,
      reading: null,
      missing: [],
    })
    const three = board((t) => {
      t.contacts.otherFar = null
    })
    expect(read(three).contacts).toBeNull()
  })

  it('takes a rim that touches as a gap of nothing', () => {
    expect(read(board()).reading).toMatchObject({ p1: 0, p2: 0.63, w: 172, reference: null, tilt: null })
    const allTouch = board((t) => {
      t.contacts.otherFar = 'touch'
      t.boxes.p2 = ''
    })
    expect(read(allTouch).reading).toMatchObject({ p1: 0, p2: 0 })
  })

  it('asks for each gap that gapes, and for three more when the edge rocks', () => {
    const texts = board((t) => {
      t.contacts.referenceFar = 'gap'
      t.boxes.p2 = ''
      t.boxes.wR = ''
    })
    expect(read(texts)).toMatchObject({ missing: ['p2', 'r1', 'wR'], reading: null })
    texts.boxes.p2 = '0.6'
    texts.boxes.r1 = '0.2'
    texts.boxes.wR = '330'
    expect(read(texts).reading?.reference).toEqual({ r1: 0.2, r2: 0, wR: 330 })
  })

  it('asks for the gaps once more after half a turn, for the tilt too once it was begun', () => {
    const texts = board((t) => {
      t.more!.halfTurned = true
      t.more!.by = 'string'
    })
    expect(read(texts)).toMatchObject({ missing: ['p1h', 'p2h'], reading: null })
    texts.more!.half.p1h = '0'
    texts.more!.half.p2h = '0.4'
    expect(read(texts).reading).toMatchObject({ by: 'string', halfTurn: { p1: 0, p2: 0.4, tilt: null } })
    texts.boxes.g12 = '0.1'
    texts.boxes.g6 = '-0.1'
    expect(read(texts).missing).toEqual(['g12h', 'g6h'])
    texts.more!.half.p2h = '-1'
    expect(read(texts).remarks.p2h?.text).toContain('below zero')
    nameLineUnits(texts, 'metric')
    expect(texts.more!.half.p1h).toBe('0')
    texts.more!.half.p2h = '0.4 mm'
    texts.more!.half.g12h = texts.more!.half.g6h = '0 mm'
    expect(read(texts, INCH).reading?.halfTurn?.p2).toBeCloseTo(0.4 / 25.4, 9)
  })

  it('offers grooves where the register says how far apart they stand', () => {
    const { motor, driven } = BELT_MACHINE.sheaves
    const pitched = {
      ...BELT_MACHINE,
      sheaves: { motor: { ...motor, groovePitch: 19 }, driven: { ...driven, groovePitch: 19 } },
    }
    expect([choosesGrooves(BELT_MACHINE), choosesGrooves(pitched)]).toEqual([false, true])
    const texts = board((t) => {
      t.more!.grooves.driven = 2
    })
    expect(readLineTexts(texts, pitched, T).reading?.grooves).toEqual({ motor: 1, driven: 2 })
    expect(read(texts).reading?.grooves).toBeUndefined()
  })

  it('wants both ends of a tilt once one was begun', () => {
    const texts = board((t) => {
      t.boxes.g12 = '0.3'
    })
    expect(read(texts).missing).toEqual(['g6'])
    texts.boxes.g6 = '-0.1'
    texts.boxes.h = '330'
    expect(read(texts).reading?.tilt).toEqual({ g12: 0.3, g6: -0.1, h: 330 })
  })

  it.each([
    ['p2', '-1'],
    ['w', '0'],
    ['w', '-172'],
  ] as const)('refuses %s of %s at its box', (box, text) => {
    const found = read(
      board((t) => {
        t.boxes[box] = text
      }),
    )
    expect(found.reading).toBeNull()
    expect(found.remarks[box]).toMatchObject({ fault: true })
  })

  it('asks about a width that is tenfold off', () => {
    const found = read(
      board((t) => {
        t.boxes.w = '1720'
      }),
    )
    expect(found.remarks.w).toMatchObject({ fault: false })
    expect(found.reading).not.toBeNull()
  })

  it('means the same in inches', () => {
    const texts = board()
    nameLineUnits(texts, 'metric')
    const { reading } = read(texts, INCH)
    expect(reading?.units).toBe('inch')
    expect((reading?.p2 ?? NaN) * 25.4).toBeCloseTo(0.63, 9)
  })
})
