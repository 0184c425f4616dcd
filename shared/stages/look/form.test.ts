import { describe, expect, it } from 'vitest'
import { TEST_MACHINE } from '../../../core/jobs/testJob'
import { shimsAgainstRegister } from '../../../core/stages/look/shimsFound'
import { tellingOf } from '../../wording/telling'
import { lookKinds } from './entries'
import {
  blankLook,
  nameLookUnits,
  readBase,
  readFoundShims,
  readPipe,
  readPlace,
  feetToCutFor,
  readSheet,
  shimKey,
  type LookTexts,
} from './form'
import { outlineDrawing } from './outline'

const T = tellingOf('inch', TEST_MACHINE)
const M = tellingOf('metric', TEST_MACHINE)
const texts = (fill: (t: LookTexts) => void, units: 'inch' | 'metric' = 'inch') => {
  const t = blankLook(units)
  fill(t)
  return t
}
const REGISTER = shimsAgainstRegister(TEST_MACHINE, [])

describe('a place as typed', () => {
  it('is asked for what it is, and for words where it is to report', () => {
    const typed = (found: '' | 'fine' | 'to-report', words = '', photographs: string[] = []) =>
      readPlace(
        texts((t) => {
          t.places.feet = { found, words, photographs }
        }),
        T,
      )
    expect(readPlace(blankLook('inch'), T)).toEqual({ payload: null, asks: '' })
    expect(typed('', 'rust').asks).toMatch(/^Choose what it is/)
    expect(typed('to-report').asks).toMatch(/^Say what is to report/)
    expect(typed('to-report', ' crack ').payload).toMatchObject({ places: ['feet'], words: 'crack' })
    expect(typed('to-report', '', ['a']).payload?.photographs).toEqual(['a'])
    expect(typed('fine').payload?.found).toBe('fine')
  })

  it('at the door a report without words or photograph is refused', () => {
    const parse = (payload: object) =>
      lookKinds['place-looked'].body.safeParse({ kind: 'place-looked', payload })
    const bare = { places: ['feet'], found: 'to-report', words: ' ', photographs: [] }
    expect(parse(bare).success).toBe(false)
    expect(parse({ ...bare, found: 'fine' }).success).toBe(true)
    expect(parse({ ...bare, words: 'crack' }).success).toBe(true)
    expect(parse({ ...bare, found: 'fine', places: [] }).success).toBe(false)
    expect(parse({ ...bare, found: 'fine', photographs: ['../../etc'] }).success).toBe(false)
  })
})

describe('shims found as typed', () => {
  const typed = (leaves: string, marks = '') =>
    readFoundShims(
      texts((t) => {
        t.shims['movable:outboard:left'] = { leaves, marks }
      }),
      REGISTER,
      T,
    )

  it.each([
    ['25 + 10', '', [25, 10], 0],
    ['10+25', 'A, B', [10, 25], 0],
    ['20 5 2', '', [20, 5, 2], 1],
    ['0.635mm + 10', '', [25, 10], 0],
    ['0', '', [], 1],
    ['none', '', [], 1],
  ] as const)('%s with marks %s', (leaves, marks, found, questions) => {
    const read = typed(leaves, marks)
    expect(read.payload?.feet[0]?.leaves.map((l) => Number(l.thickness.toFixed(6)))).toEqual(found)
    expect(read.questions.length).toBe(questions)
  })

  it.each([
    ['25,10', '', /two shims/],
    ['25 + x', '', /not a number/],
    ['25 + 10', 'A', /mark for each of the 2/],
    ['', 'A', /leaves these marks/],
  ] as const)('%s with marks %s is asked again', (leaves, marks, fault) => {
    const read = typed(leaves, marks)
    expect(read.payload).toBeNull()
    expect(Object.values(read.faults)[0]).toMatch(fault)
  })

  it('says both sides of a difference', () => {
    expect(typed('20').questions[0]).toBe(
      'Outboard left: found 20 mil, the register has 25+10 mil. Press once more if you counted twice.',
    )
  })
})

describe('the pipe, the base and a sheet shim as typed', () => {
  it('a dial is enough, a limit alone isn’t', () => {
    const typed = (vertical: string, horizontal: string, limit = '') =>
      readPipe(
        texts((t) => {
          t.pipe = { vertical, horizontal, limit }
        }),
        T,
      )
    expect(typed('', '', '3').payload).toBeNull()
    expect(typed('-2', '').payload).toMatchObject({ vertical: -2, horizontal: null, limit: null })
    expect(typed('-2', 'x').payload).toBeNull()
    expect(typed('1', '', '0').faults.limit).toMatch(/above zero/)
  })

  it('the base is read along all four edges before it is logged', () => {
    const t = texts((x) => {
      x.base.supported = '10'
      for (const edge of ['left', 'right', 'coupling'] as const) x.base.edges[edge].feeler = '4'
    })
    expect(readBase(t, T)).toMatchObject({ missing: ['far'], payload: null, notes: {} })
    t.base.edges.far.feeler = '0'
    expect(readBase(t, T).notes.length).toMatch(/base’s size/)
    t.base.length = '40'
    t.base.width = '1 ft 8'
    const read = readBase(t, T)
    expect(read.payload).toMatchObject({ length: 40, width: 20, by: { by: 'feeler', supported: 10 } })
    expect(lookKinds['base-read'].body.safeParse({ kind: 'base-read', payload: read.payload }).success).toBe(
      true,
    )
  })

  it('means the same in other units', () => {
    const t = texts((x) => {
      x.base = { ...x.base, by: 'divisions', sensitivity: '0.5', length: '40', width: '20' }
      for (const edge of ['left', 'right', 'coupling', 'far'] as const) x.base.edges[edge].divisions = '2'
      x.pipe.vertical = '2'
      x.shims['movable:outboard:left'] = { leaves: '20 + 5', marks: '' }
    })
    nameLookUnits(t, 'inch')
    expect(readBase(t, M).payload).toMatchObject({ length: 1016, by: { sensitivity: 0.05 } })
    expect(readPipe(t, M).payload?.vertical).toBeCloseTo(0.0508, 9)
    expect(readFoundShims(t, REGISTER, M).payload?.feet[0]?.leaves[0]?.thickness).toBeCloseTo(0.508, 9)
  })

  const sheet = (change: Partial<LookTexts['sheet']> = {}) =>
    texts((t) => {
      t.sheet = {
        foot: 'movable:outboard:left',
        thickness: '20',
        count: '2',
        length: '4',
        width: '3',
        bolt: '3/4',
        slot: '',
        toBolt: '2.25',
        ...change,
      }
    })

  const FEET = feetToCutFor(TEST_MACHINE).map(shimKey)

  it('a slot is a sixteenth wider than its bolt unless another is given', () => {
    expect(readSheet(sheet(), FEET, T).cut?.outline.slot).toBeCloseTo(0.8125, 9)
    expect(readSheet(sheet({ slot: '1' }), FEET, T).cut?.outline.slot).toBe(1)
  })

  it.each([
    [{ slot: '0.5' }, 'slot', /wider than the bolt/],
    [{ slot: '2.9' }, 'slot', /beside the slot/],
    [{ toBolt: '3.6' }, 'toBolt', /behind the bolt/],
    [{ toBolt: '5' }, 'toBolt', /outside/],
    [{ count: '1.5' }, 'count', /whole number/],
    [{ length: 'long' }, 'length', /not a number/],
  ] as const)('%j is asked at its box', (change, box, words) => {
    const read = readSheet(sheet(change), FEET, T)
    expect(read.cut).toBeNull()
    expect(read.faults[box]).toMatch(words)
  })

  it('is drawn at its true size with a bar to check the print by, whatever its lines say', () => {
    const { shim } = readSheet(sheet(), FEET, T)
    const drawing = outlineDrawing(shim!, ['CP-11 <outboard> & "left"'], 'The bar is 50 mm long')
    expect(drawing?.svg).toMatch(/^<svg [^>]*width="84.2mm" height="130.6mm" viewBox="-4 -4 84.2 130.6"/)
    expect(drawing?.svg).toContain('M0 107.6V111.6M0 109.6H50M50 107.6V111.6')
    expect(drawing?.svg).toContain('CP-11 &lt;outboard&gt; &amp; &quot;left&quot;')
    expect(outlineDrawing({ length: 10, width: 10, slot: 9, toBolt: 5 }, [], '')).toBeNull()
  })
})
