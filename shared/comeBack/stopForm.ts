import dayjs from 'dayjs'
import { comeBackWords } from '../wording/en'
import type { Words } from '../wording/words'
import type { StandstillFields, StandstillRecord } from './standstill'

/** What stands in the boxes of a planned stop. */
export interface StopTexts {
  area: string
  /** YYYY-MM-DD, or empty. */
  day: string
  from: string
  until: string
  note: string
}

export const BLANK_STOP: StopTexts = { area: '', day: '', from: '06:00', until: '14:00', note: '' }

export const textsOfStop = (s: StandstillRecord): StopTexts => ({
  area: s.area,
  day: dayjs(s.startsAt).format('YYYY-MM-DD'),
  from: dayjs(s.startsAt).format('HH:mm'),
  until: dayjs(s.endsAt).format('HH:mm'),
  note: s.note,
})

const HOUR = /^(\d{1,2})(?:[:.h ]?(\d{2}))?$/

/** `6`, `6:30`, `6.30`, `0630` as HH:mm; null for what is no hour of a day. */
export const readHour = (typed: string): string | null => {
  const read = HOUR.exec(typed.trim())
  if (!read) return null
  const [hours, minutes] = [Number(read[1]), Number(read[2] ?? 0)]
  if (hours > 24 || minutes > 59 || (hours === 24 && minutes > 0)) return null
  return `${String(hours % 24).padStart(2, '0')}:${String(minutes).padStart(2, '0')}`
}

export interface StopRead {
  readonly faults: Readonly<Partial<Record<keyof StopTexts, string>>>
  /** It ends on the day after it begins. */
  readonly overnight: boolean
  /** The stop so many weeks on; null while something is missing. */
  readonly at: ((week: number) => StandstillFields) | null
}

/** Reads the boxes. A stop that was planned over several days keeps that many. */
export const readStop = (texts: StopTexts, known: StandstillRecord | null, words: Words): StopRead => {
  const w = comeBackWords(words).stops
  const [from, until] = [readHour(texts.from), readHour(texts.until)]
  const faults = {
    ...(texts.area.trim() === '' ? { area: w.needsHall } : {}),
    ...(dayjs(texts.day).isValid() && texts.day ? {} : { day: w.needsDay }),
    ...(from === null ? { from: w.needsHour } : {}),
    ...(until === null ? { until: w.needsHour } : {}),
  }
  const overnight = from !== null && until !== null && until <= from
  const keptDays = known
    ? dayjs(known.endsAt).startOf('day').diff(dayjs(known.startsAt).startOf('day'), 'day')
    : 0
  const days = keptDays > 1 ? keptDays : overnight ? 1 : 0
  if (Object.keys(faults).length > 0) return { faults, overnight, at: null }
  const moment = (hour: string, week: number) => dayjs(`${texts.day}T${hour}`).add(week, 'week')
  return {
    faults,
    overnight: days === 1,
    at: (week) => ({
      area: texts.area.trim(),
      startsAt: moment(from ?? '', week).toISOString(),
      endsAt: moment(until ?? '', week)
        .add(days, 'day')
        .toISOString(),
      note: texts.note.trim(),
      cancelled: known?.cancelled ?? false,
    }),
  }
}
