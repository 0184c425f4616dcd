import { describe, expect, it } from 'vitest'
import { OWN_END } from '../wording/words'
import { standstillFields, type StandstillRecord } from './standstill'
import { BLANK_STOP, readHour, readStop, textsOfStop, type StopTexts } from './stopForm'

const typed = (more: Partial<StopTexts>): StopTexts => ({
  ...BLANK_STOP,
  area: 'Press hall',
  day: '2026-12-03',
  ...more,
})
const read = (more: Partial<StopTexts>, known: StandstillRecord | null = null) =>
  readStop(typed(more), known, OWN_END)

describe('the boxes of a planned stop', () => {
  it('take an hour as it is typed', () => {
    expect(['6', '06:30', '6.30', '0630', '630', '24', '14 05'].map(readHour)).toEqual([
      '06:00',
      '06:30',
      '06:30',
      '06:30',
      '06:30',
      '00:00',
      '14:05',
    ])
    for (const wrong of ['', 'six', '25', '24:30', '12:60', '-1', '6:3']) expect(readHour(wrong)).toBeNull()
  })

  it('say what is missing, each at its box', () => {
    expect(readStop({ ...BLANK_STOP, from: 'x', until: '' }, null, OWN_END).faults).toEqual({
      area: 'Say which hall stands.',
      day: 'Give the day.',
      from: 'Give the hour, like 6 or 14:30.',
      until: 'Give the hour, like 6 or 14:30.',
    })
  })

  it('end on the day after where the hours run backward, and repeat by the week', () => {
    const { at, overnight } = read({ from: '22', until: '6' })
    expect(overnight).toBe(true)
    const [first, second] = [at?.(0), at?.(1)]
    expect(first?.startsAt).toBe(new Date(2026, 11, 3, 22).toISOString())
    expect(first?.endsAt).toBe(new Date(2026, 11, 4, 6).toISOString())
    expect(second?.startsAt).toBe(new Date(2026, 11, 10, 22).toISOString())
    expect(standstillFields.safeParse(first).success).toBe(true)
    expect(read({}).overnight).toBe(false)
  })

  it('keep the days of a long stop, and give back what was written', () => {
    const long: StandstillRecord = {
      id: 'long',
      area: 'Kiln yard',
      startsAt: new Date(2026, 11, 3, 6).toISOString(),
      endsAt: new Date(2026, 11, 5, 18).toISOString(),
      note: 'Relining',
      cancelled: true,
      version: 3,
    }
    const { at } = readStop(textsOfStop(long), long, OWN_END)
    const { id: _, version: __, ...fields } = long
    expect(at?.(0)).toEqual(fields)
  })
})
