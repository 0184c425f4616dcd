import { setUpWords } from '../../wording/en'
import { describe, expect, it } from 'vitest'
import { TEST_MACHINE } from '../../../core/jobs/testJob'
import { METHOD_FORMS, type OfferedMethod } from '../../methods/forms'
import { tellingOf } from '../../wording/telling'
import { readSetUp, startSetUp } from './form'
import { boxName, choiceRows, footLabel, meaningOfSetUp, numberLabel, returnLabel } from './words'

const T = tellingOf('inch', TEST_MACHINE)
const CONTEXT = { machine: TEST_MACHINE, last: null, lastJob: null }
const blank = (method?: OfferedMethod) => startSetUp(CONTEXT, 'inch', method)
const meaning = (change: (texts: ReturnType<typeof blank>) => void = () => {}) => {
  const texts = blank()
  change(texts)
  return meaningOfSetUp(readSetUp(texts, CONTEXT, T), texts, T)
}
const whole = (texts: ReturnType<typeof blank>) => {
  texts.numbers.sag = '3'
  texts.returned = { rim: '0', face: '0' }
}

describe('labels of the set-up', () => {
  it('tape each pair of feet from the one before it', () => {
    expect(footLabel(0, TEST_MACHINE, T)).toBe('Centre to inboard feet')
    expect(footLabel(1, TEST_MACHINE, T)).toBe('Inboard to outboard feet')
  })

  it('go by the words of the works', () => {
    const near = tellingOf('inch', TEST_MACHINE, 'near-far')
    expect(footLabel(0, TEST_MACHINE, near)).not.toContain('inboard')
  })

  it('say how the sag and the face circle are told', () => {
    const [sag, circle] = [
      METHOD_FORMS['rim-face'].numbers.find((n) => n.sag),
      METHOD_FORMS['rim-face'].numbers.find((n) => n.circle),
    ]
    if (!sag || !circle) throw new Error('no such field')
    const RIM_FACE = { method: 'rim-face' } as const
    expect(numberLabel(sag, { ...RIM_FACE, toldSag: 'hang', toldCircle: 'diameter' }, T)).toBe(
      'Bar sag: it hangs',
    )
    expect(numberLabel(sag, { ...RIM_FACE, toldSag: 'pipe-at-6', toldCircle: 'diameter' }, T)).toBe(
      'Bar sag: at 6 on a pipe',
    )
    expect(numberLabel(circle, { ...RIM_FACE, toldSag: 'hang', toldCircle: 'radius' }, T)).toBe(
      'Face circle, radius',
    )
  })

  it.each(Object.keys(METHOD_FORMS) as OfferedMethod[])('name every box of %s', (method) => {
    const texts = blank(method)
    const names = readSetUp(texts, CONTEXT, T).boxes.map((box) => boxName(box, texts, TEST_MACHINE, T))
    expect(new Set(names).size).toBe(names.length)
    for (const name of names) expect(name).toMatch(/^[a-z][a-z0-9’ ,]+$/)
  })

  it.each(Object.keys(METHOD_FORMS) as OfferedMethod[])('name every choice of %s', (method) => {
    const rows = choiceRows(method, { movable: 'Turbine', stationary: 'Gear unit' }, T)
    expect(rows.length).toBe(METHOD_FORMS[method].choices.length)
    for (const row of rows) {
      expect(row.label).not.toBe(row.id)
      for (const { value, name } of row.options) {
        expect(name).toMatch(/^[A-Z]/)
        if (value === 'movable') expect(name).toBe('Turbine')
      }
    }
  })

  it('name the turn by its dial', () => {
    expect(returnLabel('rim', T)).toBe('Rim, after the turn')
    expect(boxName('returned.face', blank(), TEST_MACHINE, T)).toBe('face after the turn')
    expect(boxName('why', blank(), TEST_MACHINE, T)).toBe('why it is used')
  })
})

describe('what the set-up says', () => {
  it('asks for the sag first, because it is what gets forgotten', () => {
    expect(meaning()).toEqual({ mark: 'todo', headline: setUpWords(T.words).sagAsked })
  })

  it('then for the full turn', () => {
    expect(
      meaning((t) => {
        t.numbers.sag = '3'
      }),
    ).toEqual({ mark: 'todo', headline: setUpWords(T.words).turnAsked })
  })

  it('for the tape when a distance is missing', () => {
    expect(
      meaning((t) => {
        whole(t)
        t.feet[1] = ''
      }).headline,
    ).toBe(setUpWords(T.words).tapeAsked)
  })

  it('says when a dial would stay in one place', () => {
    const one = meaning((t) => {
      whole(t)
      t.turning = 'stationary'
    })
    expect(one).toEqual({ mark: 'out', headline: setUpWords(T.words).neverTravels })
    expect(boxName('turning', blank(), TEST_MACHINE, T)).toBe('shafts that turn')
  })

  it('zeroes heads where there are no dials', () => {
    const texts = blank('heads')
    Object.assign(texts.numbers, { stationaryPlane: '4', movablePlane: '5' })
    expect(meaningOfSetUp(readSetUp(texts, CONTEXT, T), texts, T).headline).toBe(
      setUpWords(T.words).turnAskedHeads,
    )
  })

  it('stops at a head that is not where its name says', () => {
    const texts = blank('heads')
    Object.assign(texts, { nudged: { own: '0', other: '12' }, returned: { stationary: '0', movable: '0' } })
    Object.assign(texts.numbers, { stationaryPlane: '4', movablePlane: '5' })
    expect(meaningOfSetUp(readSetUp(texts, CONTEXT, T), texts, T)).toEqual({
      mark: 'out',
      headline: setUpWords(T.words).nudgeAgain,
    })
  })

  it('is done when it is whole and holds zero', () => {
    expect(meaning(whole)).toEqual({ mark: 'done', headline: setUpWords(T.words).complete })
  })

  it('is out while a dial misses zero, with or without a reason', () => {
    const missed = (why: string) =>
      meaning((t) => {
        whole(t)
        t.returned.rim = '4'
        t.why = why
      })
    expect(missed('')).toEqual({ mark: 'out', headline: setUpWords(T.words).whyNeeded })
    expect(missed('  ')).toEqual(missed(''))
    expect(missed('bearing play, known')).toEqual({ mark: 'out', headline: setUpWords(T.words).slipped })
  })
})
