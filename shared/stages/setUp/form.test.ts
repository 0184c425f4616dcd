import { setUpWords } from '../../wording/en'
import { describe, expect, it } from 'vitest'
import { inMil, REVERSE_SET_UP, SET_UP, TEST_MACHINE, TestJob } from '../../../core/jobs/testJob'
import type { SetUpPayload } from '../../../core/stages/setUp/entries'
import { tellingOf } from '../../wording/telling'
import { TEST_DRUM, UNTAPED_DRUM } from '../../../core/jobs/testDrum'
import {
  choicesOf,
  editSetUp,
  methodsFor,
  nameSetUpUnits,
  numbersOf,
  readPipe,
  readSetUp,
  startSetUp,
  type SetUpContext,
  type SetUpTexts,
} from './form'
import { stillHubWords } from './words'

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

describe('a bar measured on a pipe', () => {
  const pipe = { at3: '-3', at6: '-6', at9: '-3', back: '0' }
  it('is kept as its dial showed it, beside the sag it makes', () => {
    const texts = filled((t) => {
      t.pipe = { sag: { ...pipe } }
    })
    expect(readPipe(texts, 'sag', 'inch')).toMatchObject({ faults: [] })
    expect(remark(texts, 'numbers.sag')?.text).toBe('measured on a pipe: −6.0 mil at 6')
    expect(readSetUp(texts, FIRST, INCH).payload?.pipe).toEqual({
      sag: { at3: -3, at6: -6, at9: -3, back: 0 },
    })
  })

  it('is another bar once the sag is typed over', () => {
    const texts = filled((t) => {
      t.pipe = { sag: { ...pipe } }
      t.numbers.sag = '2'
    })
    expect(readSetUp(texts, FIRST, INCH).payload).not.toHaveProperty('pipe')
  })

  it('counts as its dial does', () => {
    const falling = filled((t) => {
      t.choices.rimRises = 'falls'
      t.pipe = { sag: { ...pipe, at6: '6', at3: '', at9: '' } }
    })
    expect(readPipe(falling, 'sag', 'inch')).toMatchObject({ faults: [] })
    falling.choices.rimRises = 'rises'
    expect(readPipe(falling, 'sag', 'inch')?.faults).toEqual(['gains-at-6'])
  })

  it('waits for 6 and the return, and means the same in other units', () => {
    const texts = filled((t) => {
      t.pipe = { sag: { ...pipe, back: '' } }
    })
    expect(readPipe(texts, 'sag', 'inch')).toBeNull()
    texts.pipe = { sag: { ...pipe } }
    nameSetUpUnits(texts, 'inch')
    expect(readPipe(texts, 'sag', 'metric')?.hang).toBeCloseTo(3 * 0.0254, 9)
  })

  it('comes back into its boxes when the set-up is corrected', () => {
    const { payload } = readSetUp(
      filled((t) => {
        t.pipe = { sag: { ...pipe } }
        t.refit = 'two dots on bar and collar'
      }),
      FIRST,
      INCH,
    )
    const again = editSetUp(payload as SetUpPayload, FIRST, 'inch')
    expect(again.pipe).toEqual({ sag: pipe })
    expect(readSetUp(again, FIRST, INCH).payload).toEqual(payload)
  })
})

describe('which head is which', () => {
  const heads = (own: string, other: string) => {
    const texts = startSetUp(FIRST, 'inch', 'heads')
    Object.assign(texts.numbers, { stationaryPlane: '4', movablePlane: '5' })
    texts.returned = { stationary: '0', movable: '0' }
    texts.nudged = { own, other }
    return readSetUp(texts, FIRST, INCH)
  }
  it('is asked, not demanded', () => {
    expect(heads('', '')).toMatchObject({ nudge: null, missing: [] })
    expect(heads('12', '').payload).not.toHaveProperty('nudged')
  })
  it('is proved by the figure that moved, and ticked', () => {
    const { nudge, payload } = heads('12', '0.5')
    expect(nudge).toBe('as-named')
    expect(payload).toMatchObject({ nudged: { own: 12, other: 0.5 }, checked: ['each-own-machine'] })
  })
  it.each([
    ['0', '12', 'swapped'],
    ['9', '12', 'both-move'],
    ['0.5', '0', 'too-little'],
  ] as const)('%s and %s: no set-up before it is cleared up (%s)', (own, other, says) => {
    const { nudge, missing, payload, remarks } = heads(own, other)
    expect([nudge, missing, payload]).toEqual([says, ['nudged.own'], null])
    expect(remarks['nudged.own']?.text).toBe(setUpWords(INCH.words).nudge[says])
  })
})

describe('a hub that stands still', () => {
  /** The driven hub's rim, turned under a dial: high by 4 mil at its mark 3. */
  const job = new TestJob().open().lockOut()
  job.add({
    kind: 'runout-read',
    payload: {
      units: 'inch',
      machine: 'stationary',
      surface: 'rim',
      diameter: null,
      readings: [0, 90, 180, 270].map((clock) => ({
        clock,
        value: 4 * Math.round(Math.sin((clock * Math.PI) / 180)),
      })),
      limit: null,
      remark: '',
    },
  })
  const TURNED: SetUpContext = { ...FIRST, turned: job.state.runouts.surfaces }
  const still = (markUp: string, rises = 'rises') =>
    filled((t) => {
      t.turning = 'movable'
      t.markUp = markUp
      t.choices.rimRises = rises
    }, TURNED)
  const rim = (texts: SetUpTexts) => {
    const how = readSetUp(texts, TURNED, INCH).payload?.how
    return how?.method === 'rim-face' ? how.given.rim.runout : null
  }
  it('has its measured rim put under the dial, by the mark that stands up', () => {
    expect(rim(still(''))).toBeUndefined()
    const up3 = rim(still('90'))
    expect(up3?.find((r) => r.clock === 0)?.value).toBeCloseTo(4, 9)
    expect(up3?.find((r) => r.clock === 180)?.value).toBeCloseTo(-4, 9)
    expect(rim(still('90', 'falls'))?.find((r) => r.clock === 0)?.value).toBeCloseTo(-4, 9)
  })
  it('says what it does to the readings', () => {
    const said = (texts: SetUpTexts, context = TURNED) =>
      stillHubWords(texts, context.turned ?? [], readSetUp(texts, context, INCH).payload, INCH)
    const w = setUpWords(INCH.words).stillHub
    expect(said(filled(undefined, TURNED))).toBe('')
    expect(said(still(''))).toBe(w.leftIn)
    expect(said(still('90'))).toBe(w.takenOut('rim'))
    expect(said(still(''), FIRST)).toBe(w.unknown)
  })
  it('is taken out of what the job measures', () => {
    const truth = inMil(-8.4, 5.1, -0.36, 0.22)
    const measured = (markUp: string) => {
      const { payload } = readSetUp(still(markUp), TURNED, INCH)
      const own = new TestJob().open().lockOut()
      own.look()
      own.feelHubs()
      own.add({ kind: 'set-up', payload: payload as SetUpPayload })
      // The hub stands with its mark 3 up: 4 mil high at 12, 4 low at 6.
      const read = own.readingsOf(truth)
      const lift = { 0: 4, 180: -4 } as Readonly<Record<number, number>>
      own.add({
        kind: 'readings-taken',
        payload: {
          ...read,
          circles: {
            ...read.circles,
            rim: (read.circles.rim ?? []).map((r) => ({ ...r, value: r.value + (lift[r.clock] ?? 0) })),
          },
        },
      })
      return own.state.latest.sets[0]?.set.measured?.coupling.offset.v ?? NaN
    }
    expect(measured('90') / 0.0254).toBeCloseTo(-8.4, 3)
    expect(Math.abs(measured('') / 0.0254 + 8.4)).toBeGreaterThan(3)
  })
})

describe('a set-up at a drum', () => {
  const context: SetUpContext = { machine: TEST_DRUM, last: null, lastJob: null }
  const T = tellingOf('inch', TEST_DRUM)
  const read = (change: (texts: SetUpTexts) => void = () => {}) => {
    const texts = startSetUp(context, 'inch')
    Object.assign(texts.numbers, { sag: '0' })
    Object.assign(texts.returned, { rim: '0', face: '0' })
    change(texts)
    return readSetUp(texts, context, T)
  }

  it('is trammed by rods: nobody is asked which shaft turns, who carries them or where the rim dial runs', () => {
    expect(methodsFor(TEST_DRUM)).toEqual(['rim-face'])
    expect(numbersOf('rim-face', TEST_DRUM).map((n) => n.id)).toEqual(['faceCircle', 'sag', 'faceSag'])
    expect(choicesOf('rim-face', TEST_DRUM).map((c) => c.id)).not.toContain('carriedBy')
    const { boxes, payload } = read()
    expect(boxes).not.toContain('turning')
    expect(payload?.how).toMatchObject({
      given: { rim: { carriedBy: 'movable', turning: 'movable', plane: 0 }, faces: [{ diameter: 16 }] },
    })
    expect(payload?.feet.map((f) => f.x)).toEqual([10, 24])
  })

  it('needs no tape, but all of it or none', () => {
    expect(read((t) => (t.feet = ['', ''])).payload?.feet).toEqual([])
    const half = read((t) => (t.feet = ['10', '']))
    expect(half.payload).toBeNull()
    expect(half.missing).toContain('feet.1')
  })

  it('starts without figures where the register has none', () => {
    expect(startSetUp({ ...context, machine: UNTAPED_DRUM }, 'metric').feet).toEqual(['', ''])
  })
})
