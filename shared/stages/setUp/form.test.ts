import { describe, expect, it } from 'vitest'
import { REVERSE_SET_UP, SET_UP, TEST_MACHINE } from '../../../core/jobs/testJob'
import type { SetUpPayload } from '../../../core/stages/setUp/entries'
import { tellingOf } from '../../wording/telling'
import { editSetUp, nameSetUpUnits, readSetUp, startSetUp, type SetUpContext, type SetUpTexts } from './form'

const INCH = tellingOf('inch', TEST_MACHINE)
const METRIC = tellingOf('metric', TEST_MACHINE)
const FIRST: SetUpContext = { machine: TEST_MACHINE, last: null, lastJob: null }
const AFTER: SetUpContext = { machine: TEST_MACHINE, last: SET_UP, lastJob: SET_UP }

const filled = (change: (texts: SetUpTexts) => void = () => {}, context = FIRST): SetUpTexts => {
  const texts = startSetUp(context, 'inch', 'rim-face')
  texts.numbers.sag = '3'
  texts.returned.rim = '0'
  texts.returned.face = '0'
  change(texts)
  return texts
}
const remark = (texts: SetUpTexts, box: string, context = FIRST) =>
  readSetUp(texts, context, INCH).remarks[box]

describe('a new set-up', () => {
  it('starts from the register, the turn and the sag left open', () => {
    const { missing, boxes } = readSetUp(startSetUp(FIRST, 'inch'), FIRST, INCH)
    expect(missing).toEqual(['numbers.sag', 'returned.rim', 'returned.face'])
    expect(boxes).toEqual(expect.arrayContaining(['numbers.rimPlane', 'feet.0', 'feet.1', 'graduation']))
  })

  it('asks the sag anew in every job, and keeps it within one', () => {
    expect(startSetUp(AFTER, 'inch').numbers.sag).toBe('')
    expect(startSetUp({ ...AFTER, lastJob: null }, 'inch').numbers.sag).toBe('3')
  })

  it('makes the entry', () => {
    const { payload } = readSetUp(filled(), FIRST, INCH)
    expect(payload).toMatchObject({
      how: {
        method: 'rim-face',
        given: {
          rim: { plane: -1.5, sag: 3, carriedBy: 'movable' },
          faces: [{ diameter: 8, plunger: 'away' }],
        },
      },
      feet: [
        { machine: 'movable', pair: 'inboard', x: 12 },
        { machine: 'movable', pair: 'outboard', x: 34.5 },
      ],
      returned: { rim: 0, face: 0 },
      why: '',
    })
  })

  it('asks for the shaft that carries the dial to turn', () => {
    const turned = (turning: SetUpTexts['turning'], carriedBy: string) =>
      readSetUp(
        filled((t) => {
          t.turning = turning
          t.choices.carriedBy = carriedBy
        }),
        FIRST,
        INCH,
      )
    expect(turned('movable', 'movable').missing).toEqual([])
    expect(turned('stationary', 'movable')).toMatchObject({ missing: ['turning'], payload: null })
    expect(turned('stationary', 'movable').remarks.turning?.text).toContain('Turn the shaft that carries it')
    expect(turned('stationary', 'stationary').missing).toEqual([])
    const reverse = startSetUp(FIRST, 'inch', 'reverse-rim')
    reverse.turning = 'movable'
    expect(readSetUp(reverse, FIRST, INCH).missing).toContain('turning')
  })

  it('takes the sag as a pipe shows it at 6, and a face circle by its radius', () => {
    const { payload } = readSetUp(
      filled((t) => {
        t.toldSag = 'pipe-at-6'
        t.numbers.sag = '-6'
        t.toldCircle = 'radius'
        t.numbers.faceCircle = '4'
      }),
      FIRST,
      INCH,
    )
    expect(payload?.how.given).toMatchObject({ rim: { sag: 3 }, faces: [{ diameter: 8 }] })
    expect(payload?.told).toEqual({ sag: 'pipe-at-6', circle: 'radius' })
  })

  it('of a reverse rim asks for two dials and both their sags', () => {
    const texts = startSetUp(FIRST, 'inch', 'reverse-rim')
    const { missing, payload } = readSetUp(texts, FIRST, INCH)
    expect(payload).toBeNull()
    expect(missing.filter((b) => /sag/i.test(b))).toHaveLength(2)
    expect(missing.filter((b) => b.startsWith('returned.'))).toEqual([
      'returned.onStationary',
      'returned.onMovable',
    ])
  })
})

describe('what looks odd', () => {
  it.each([
    ['120', /Tenfold/],
    ['120 in', /Tenfold/],
    ['10 ft', /Tenfold/],
    ['1', /Feet for inches/],
    ['12 mm', /./],
    ['16', /./],
  ])('%s to the first feet is asked about', (typed, words) => {
    const found = remark(
      filled((t) => {
        t.feet[0] = typed
      }),
      'feet.0',
    )
    expect(found).toMatchObject({ fault: false })
    expect(found?.text).toMatch(words)
  })

  it.each(['12', '12 in', '1 ft', '304.8 mm', '12 0/1', '12.05'])('%s is not', (typed) => {
    const found = remark(
      filled((t) => {
        t.feet[0] = typed
      }),
      'feet.0',
    )
    expect(found?.text ?? '').toBe('')
  })

  it.each(['0', '-12'])('%s can’t be', (typed) => {
    const texts = filled((t) => {
      t.feet[0] = typed
    })
    expect(remark(texts, 'feet.0')).toMatchObject({ fault: true })
    expect(readSetUp(texts, FIRST, INCH).payload).toBeNull()
  })

  it('a sag that is not last time’s, in size or unit, is asked about', () => {
    for (const sag of ['9', '0.3', '3 mm'])
      expect(
        remark(
          filled((t) => {
            t.numbers.sag = sag
          }, AFTER),
          'numbers.sag',
          AFTER,
        )?.text,
      ).toMatch(/3\.0 mil/)
    expect(
      remark(
        filled(() => {}, AFTER),
        'numbers.sag',
        AFTER,
      )?.text,
    ).toContain('at 6')
  })

  it('a bar never hangs upward', () => {
    const texts = filled((t) => {
      t.numbers.sag = '-3'
    })
    expect(remark(texts, 'numbers.sag')).toMatchObject({ fault: true })
  })

  it('a dial that misses zero wants a reason before it is an entry', () => {
    const texts = filled((t) => {
      t.returned.rim = '4'
    })
    const bare = readSetUp(texts, FIRST, INCH)
    expect(bare).toMatchObject({ missesZero: true, payload: null, missing: ['why'] })
    texts.why = ' It is the only bracket '
    expect(readSetUp(texts, FIRST, INCH).payload?.why).toBe('It is the only bracket')
    texts.returned.rim = '0.5'
    expect(readSetUp(texts, FIRST, INCH)).toMatchObject({ missesZero: false, payload: { why: '' } })
  })
})

describe('a set-up in other units', () => {
  it('means the same after the switch', () => {
    const texts = filled()
    const before = readSetUp(texts, FIRST, INCH)
    nameSetUpUnits(texts, 'inch')
    const after = readSetUp(texts, FIRST, METRIC)
    expect(after.payload?.units).toBe('metric')
    before.feet.forEach((x, i) => expect(after.feet[i]).toBeCloseTo(x ?? NaN, 9))
    for (const [field, mm] of Object.entries(before.numbers)) expect(after.numbers[field]).toBeCloseTo(mm, 9)
  })
})

describe('a logged set-up in its boxes', () => {
  const again = (setUp: SetUpPayload) =>
    readSetUp(editSetUp(setUp, FIRST, 'inch'), { ...FIRST, last: setUp }, INCH).payload

  it('is read back as it was', () => {
    expect(again(SET_UP)).toEqual(SET_UP)
    expect(again(REVERSE_SET_UP)).toEqual(REVERSE_SET_UP)
  })

  it('keeps the reason of one that missed zero', () => {
    const slipped = { ...SET_UP, returned: { rim: 4, face: 0 }, why: 'worn clamp' }
    expect(again(slipped)).toEqual(slipped)
  })
})
