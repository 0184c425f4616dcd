import { describe, expect, it } from 'vitest'
import { SPEAKER_UNITS, SPEAKERS } from '../../core/instruments/places'
import { issuesOf } from '../calculation/issues'
import { liveFigure, liveTyped, ranOutWords, spokenWords } from '../wording/instruments'
import { readTypedNumber } from '../../core/units/typedNumber'
import { tellingOf } from '../wording/telling'
import { hello, said } from './protocol'

const HELLO = {
  hello: 1,
  kind: 'dial',
  serial: 'D-1',
  unit: 'mil',
  graduation: 0.5,
  calibrated: null,
  code: 'ABC234',
}
const wrong = (schema: typeof hello | typeof said, value: unknown) => {
  const read = schema.safeParse(value)
  return read.success ? '' : (issuesOf(read.error)[0]?.message ?? '?')
}

describe('the line', () => {
  it('takes every kind in every unit of its own, and in no other', () => {
    for (const kind of SPEAKERS)
      for (const other of SPEAKERS)
        for (const unit of SPEAKER_UNITS[other]) {
          const own = (SPEAKER_UNITS[kind] as readonly string[]).includes(unit)
          expect(hello.safeParse({ ...HELLO, kind, unit }).success, `${kind} ${unit}`).toBe(own)
        }
  })
  it('says in a sentence what is wrong', () => {
    for (const spoilt of [
      { ...HELLO, hello: 3 },
      { ...HELLO, serial: '<script>' },
      { ...HELLO, graduation: 0 },
      { ...HELLO, calibrated: 'soon' },
      { ...HELLO, code: undefined },
      { ...HELLO, key: 'both' },
      { ...HELLO, battery: 300 },
      null,
      [],
    ])
      expect(wrong(hello, spoilt), JSON.stringify(spoilt)).toMatch(/^[A-Z].*\.$/)
    for (const spoilt of [{}, { t: 1 }, { t: 1, v: 1e9 }, { t: 1, v: 0, clock: -1 }, { alive: 2 }, 'x'])
      expect(wrong(said, spoilt), JSON.stringify(spoilt)).toMatch(/^[A-Z].*\.$/)
    for (const right of [
      { t: 1, v: null },
      { t: 1, v: 2, clock: 360, quality: 'poor' },
      { alive: 1, battery: 4 },
      { bye: 1 },
    ])
      expect(said.safeParse(right).success).toBe(true)
  })
})

describe('what an instrument shows', () => {
  const telling = tellingOf('inch', null)
  const inch = { ...telling, units: 'inch' as const }
  const metric = { ...telling, units: 'metric' as const }
  it('is told in the reader’s units, and typed no finer than it counts', () => {
    const dial = { kind: 'dial', unit: 'mil', graduation: 0.0127 } as const
    expect(liveFigure(dial, 0.254, inch)).toBe('+10.0')
    expect(liveFigure(dial, null, inch)).toBe('–')
    expect(liveTyped(dial, -0.2541234, inch)).toBe('-10')
    expect(liveTyped({ ...dial, graduation: 0.001 }, 0.1234567, metric)).toBe('0.123')
    const warm = { kind: 'thermometer', unit: 'degC', graduation: 0.1 } as const
    expect(liveFigure(warm, 40, inch)).toBe('104.0 °F')
    expect(liveTyped(warm, 40.04, metric)).toBe('40')
    const gauge = { kind: 'belt-gauge', unit: 'N', graduation: 1 } as const
    expect(liveFigure(gauge, 19.4, metric)).toBe('19.4 N')
    expect(liveTyped({ ...gauge, unit: 'Hz', graduation: 0.1 }, 31.4159, inch)).toBe('31.4')
    expect(liveFigure({ kind: 'level', unit: 'mm/m' }, 0.0002, metric)).toBe('+0.020 mm/100 mm')
    // A box reads back what was put into it.
    const read = readTypedNumber(liveTyped(dial, 0.2032, inch), 'displacement', 'inch')
    expect(read.ok && read.value).toBeCloseTo(8, 6)
  })
  it('comes with a calibration that is said where it has run out, on screen and on paper', () => {
    const spoken = { place: 'circle:rim', kind: 'dial', serial: 'D-9', calibrated: '2026-11-01' } as const
    const instrument = { ...spoken, unit: 'mil', graduation: 0.0127 }
    expect(ranOutWords(instrument, '2026-11-28T08:00:00Z', telling)).toContain(
      'dial D-9 ran out on 1 Nov 2026',
    )
    expect(ranOutWords(instrument, '2026-10-28T08:00:00Z', telling)).toBe('')
    expect(spokenWords(spoken, '2026-11-28T08:00:00Z', telling)).toBe(
      'dial D-9 at Rim (calibration ran out on 1 Nov 2026)',
    )
    expect(
      spokenWords({ ...spoken, calibrated: null, place: 'side:movable:outboard' }, '2026-11-28', telling),
    ).toBe('dial D-9 at Dial at the outboard end (no calibration told)')
  })
})
