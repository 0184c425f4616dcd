import { describe, expect, it } from 'vitest'
import { tellingOf } from '../../wording/telling'
import { blankBacklash, nameBacklashUnits, readBacklashTexts, readLayers } from '../backlash/form'
import { nameMarkUnits, readMarks, type MarkTexts } from '../gearLook/form'
import { flankLabels, FLANK, flankOutline, middleAt, percentAt, atPercent, zoneOutline } from './drawing'
import {
  blankPaint,
  bothZones,
  clearPayload,
  nameShiftUnits,
  paintPayload,
  readPaint,
  shiftPayload,
} from './form'

const T = tellingOf('inch', null)
const M = tellingOf('metric', null)
const paint = (forward: [string, string], back: [string, string]) => ({
  ...blankPaint(),
  forward: { from: forward[0], to: forward[1] },
  back: { from: back[0], to: back[1] },
})

describe('the paint as typed', () => {
  it('reads both zones, with a percent sign, a comma, or the ends the other way round', () => {
    expect(readPaint(paint(['15', '51 %'], ['44', '10,5']), T).zones).toEqual({
      forward: [15, 51],
      back: [10.5, 44],
    })
  })

  it('says what can’t be read and what is off the tooth, at its box', () => {
    const { faults, zones } = readPaint(paint(['-3', '101'], ['x', '44']), T)
    expect(Object.keys(faults)).toEqual(['forward.from', 'forward.to', 'back.from'])
    expect(faults['forward.to']).toBe('Give it between 0 and 100 % of the face width.')
    expect(zones).toEqual({ forward: null, back: null })
    expect(bothZones(zones)).toBeNull()
  })

  it('a half zone, or a zone without length, is none', () => {
    expect(readPaint(paint(['15', ''], ['30', '30']), T).zones).toEqual({ forward: null, back: null })
  })

  it('while fitting both runs are asked for; as found one is enough', () => {
    const one = paint(['15', '51'], ['', ''])
    expect(paintPayload(one, 'fit', T)).toMatchObject({
      payload: null,
      faults: { 'back.from': 'Give both ends of the paint.' },
    })
    expect(paintPayload(one, 'as-found', T).payload).toMatchObject({ forward: [15, 51], back: null })
    expect(paintPayload(blankPaint(), 'as-found', T).faults['forward.from']).toMatch(/^Paint one run/)
    expect(paintPayload(paint(['15', ''], ['', '']), 'as-found', T).faults['forward.to']).toMatch(/both ends/)
    expect(paintPayload(paint(['15', '51'], ['10', '44']), 'fit', T).payload).toMatchObject({
      moment: 'fit',
      back: [10, 44],
    })
  })
})

describe('a shift, the mesh, the layers as typed', () => {
  it('toward the first end is minus', () => {
    const texts = {
      units: 'inch' as const,
      lever: 'blocks' as const,
      by: '11',
      way: 'from' as const,
      words: ' bolts snug ',
    }
    expect(shiftPayload(texts, T).payload).toEqual({
      units: 'inch',
      lever: 'blocks',
      by: -11,
      words: 'bolts snug',
    })
    expect(shiftPayload({ ...texts, way: 'to', by: '0.28mm' }, T).payload?.by).toBeCloseTo(11.02, 2)
    for (const by of ['', '0', '-3', 'x'])
      expect(shiftPayload({ ...texts, by }, T)).toMatchObject({ payload: null, fault: /\.$/ })
    nameShiftUnits(texts, 'inch')
    expect(texts.by).toBe('11 mil')
  })

  it('a load made otherwise is said in words', () => {
    expect(clearPayload({ load: 'other', helper: '', words: ' ' }, T)).toMatchObject({
      payload: null,
      fault: /\.$/,
    })
    expect(
      clearPayload({ load: 'other', helper: ' Ann ', words: 'rope round the rim' }, T).payload,
    ).toMatchObject({ helper: 'Ann' })
  })

  it('backlash: boxes left empty were not read', () => {
    const texts = { ...blankBacklash('inch', 'dial'), readings: ['18', '', '17.5', ''] }
    expect(readBacklashTexts(texts, T).payload?.readings).toEqual([18, 17.5])
    expect(readBacklashTexts({ ...texts, readings: ['', ''] }, T).faults['readings.0']).toMatch(/one reading/)
    expect(readBacklashTexts({ ...texts, readings: ['18', '-1'] }, T)).toMatchObject({ payload: null })
    nameBacklashUnits(texts, 'inch')
    expect(readBacklashTexts(texts, M).payload?.readings[0]).toBeCloseTo(0.457, 3)
  })

  it('layers are whole, and no more come out than lie there', () => {
    const read = (...layers: string[]) => readLayers({ layers, words: '' }, [10, 4], T)
    expect(read('-3', '−3').payload?.layers).toEqual([-3, -3])
    expect(read('3', '').payload?.layers).toEqual([3, 0])
    expect(read('-3', '-5').faults['layers.1']).toBe('Only 4 lie there.')
    expect(read('1.5', 'x').faults).toMatchObject({ 'layers.0': /whole/, 'layers.1': /whole/ })
    expect(read('', '0').faults['layers.0']).toMatch(/went in or came out/)
  })

  it('marks: every block counted, the layer above zero', () => {
    const texts: MarkTexts = {
      units: 'inch',
      layer: '2',
      under: ['10', '9'],
      pins: 'marked',
      marks: 'A, B',
      photographs: [],
      words: '',
    }
    expect(readMarks(texts, T).payload).toMatchObject({ layer: 2, under: [10, 9] })
    expect(readMarks({ ...texts, under: ['10', ''] }, T).payload).toBeNull()
    expect(readMarks({ ...texts, under: ['10', '2.5'] }, T).faults['under.1']).toMatch(/whole/)
    expect(readMarks({ ...texts, layer: '0' }, T).payload).toBeNull()
    nameMarkUnits(texts, 'inch')
    expect(readMarks(texts, M).payload?.layer).toBeCloseTo(0.0508, 4)
  })
})

describe('the flank as drawn', () => {
  it('a percent goes to its place and back, and never off the tooth', () => {
    for (const p of [0, 38, 100]) expect(percentAt(atPercent(p))).toBe(p)
    expect([percentAt(-50), percentAt(FLANK.width + 50)]).toEqual([0, 100])
  })

  it('a zone lies inside the outline, its handles between tip and root', () => {
    const ys = (d: string) => [...d.matchAll(/[ML][\d.]+ ([\d.]+)/g)].map((m) => Number(m[1]))
    const flank = ys(flankOutline())
    const zone = ys(zoneOutline([20, 60], 12))
    expect(Math.min(...zone)).toBeGreaterThan(Math.min(...flank))
    expect(Math.max(...zone)).toBeLessThan(Math.max(...flank))
    expect(middleAt(50)).toBeGreaterThan(FLANK.top)
    expect(middleAt(50)).toBeLessThan(FLANK.bottom + FLANK.rise)
  })

  it('figures of a narrow zone keep apart; an end that lies where it is wanted is said once', () => {
    const [a, b] = flankLabels([40, 42], null)
    expect(b!.x - a!.x).toBeGreaterThanOrEqual(26)
    expect(flankLabels([38, 51], [38, 74]).map((l) => `${l.of} ${l.text}`)).toEqual([
      'wanted 74',
      'paint 38',
      'paint 51',
    ])
  })
})
