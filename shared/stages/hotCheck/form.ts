import { hotWords, typingWords } from '../../wording/en'
import dayjs from 'dayjs'
import type { FootTemperature, HotCheckEntries } from '../../../core/stages/hotCheck/entries'
import type { Warming } from '../../../core/stages/hotCheck/temperatures'
import type { MachineRole } from '../../../core/plan/pairNames'
import { readTypedNumber } from '../../../core/units/typedNumber'
import { fromCore, toCore, type UnitSystem } from '../../../core/units/unitSystem'
import { faulty, type Remark } from '../../forms/typed'
import type { Telling } from '../../wording/telling'

/** What stands in the boxes of one look at the feet: a clock time, empty for now, and a temperature a pair. */
export interface TemperatureTexts {
  units: UnitSystem
  at: string
  feet: Record<string, string>
}

/** A foot pair whose temperature is asked. */
export interface WarmPair {
  readonly machine: MachineRole
  readonly id: string
}
export const warmKey = (pair: WarmPair): string => `${pair.machine}.${pair.id}`

export const blankTemperatures = (units: UnitSystem): TemperatureTexts => ({ units, at: '', feet: {} })

/** The same texts meaning the same in other units. */
export const nameTemperatureUnits = (texts: TemperatureTexts, was: UnitSystem): void => {
  const now: UnitSystem = was === 'inch' ? 'metric' : 'inch'
  for (const [key, text] of Object.entries(texts.feet)) {
    const read = readTypedNumber(text, 'plain', was)
    if (read.ok)
      texts.feet[key] = String(
        Number(fromCore(toCore(read.value, 'temperature', was), 'temperature', now).toFixed(1)),
      )
  }
}

/** A minute's grace for a device whose clock is a little slow. */
const AHEAD = 60_000

/** The last time that a clock showed this, as an ISO time; now where nothing is said. Null for no time of day. */
export const clockTime = (typed: string, now: number): string | null => {
  if (typed.trim() === '') return new Date(now).toISOString()
  const read = /^([01]?\d|2[0-3])[:.]([0-5]\d)$/.exec(typed.trim())
  if (!read) return null
  const today = dayjs(now).hour(Number(read[1])).minute(Number(read[2])).second(0).millisecond(0)
  return (today.valueOf() > now + AHEAD ? today.subtract(1, 'day') : today).toISOString()
}

/** Beyond these somebody slipped, or read the wrong scale. Degrees C. */
const ODD = { cold: -30, hot: 150, jump: 35 } as const

export interface TemperaturesRead {
  readonly blank: boolean
  /** By pair, or `at`. */
  readonly remarks: Readonly<Record<string, Remark>>
  readonly questions: readonly string[]
  readonly payload: HotCheckEntries['temperatures-read'] | null
}

/** Reads one look at the feet; empty boxes are feet nobody went to. `before` is what was logged of this run. */
export const readTemperatures = (
  texts: TemperatureTexts,
  pairs: readonly WarmPair[],
  before: readonly Warming[],
  now: number,
  { words, units }: Pick<Telling, 'words' | 'units'>,
): TemperaturesRead => {
  const w = hotWords(words).form
  const remarks: Record<string, Remark> = {}
  const questions: string[] = []
  const at = clockTime(texts.at, now)
  if (at === null) remarks.at = faulty(w.time)
  const feet = pairs.flatMap((pair): FootTemperature[] => {
    const text = texts.feet[warmKey(pair)] ?? ''
    const read = readTypedNumber(text, 'plain', units)
    if (!read.ok) {
      if (read.fault !== 'empty') remarks[warmKey(pair)] = faulty(typingWords(words).faults[read.fault])
      return []
    }
    const heat = toCore(read.value, 'temperature', units)
    const last = before.find((x) => x.machine === pair.machine && x.pair === pair.id)?.points.at(-1)
    const told = `${String(read.value)} ${units === 'inch' ? '°F' : '°C'}`
    if (heat > ODD.hot || heat < ODD.cold) questions.push(w.odd(told))
    else if (last && Math.abs(heat - last.value) > ODD.jump) questions.push(w.jump(told))
    return [{ machine: pair.machine, pair: pair.id, value: read.value }]
  })
  const faults = Object.values(remarks).some((r) => r.fault)
  return {
    blank: Object.values(texts.feet).every((t) => t.trim() === ''),
    remarks,
    questions: [...new Set(questions)],
    payload: at !== null && feet.length > 0 && !faults ? { units, at, feet } : null,
  }
}
