import { RUNS, type PaintedZone, type Run, type Runs } from '../../../core/gear/contactFigures'
import type { Lever } from '../../../core/gear/levers'
import type { LightLoad } from '../../../core/stages/contact/entries'
import type { EntryPayloads } from '../../../core/logbook/payloads'
import { readTypedNumber } from '../../../core/units/typedNumber'
import type { UnitSystem } from '../../../core/units/unitSystem'
import { unitOf, withUnit } from '../../forms/typed'
import { gearWords, typingWords } from '../../wording/en'
import type { Telling } from '../../wording/telling'

/** Where the paint of a run begins and ends, as typed; both empty where it was not seen. */
export interface ZoneTexts {
  from: string
  to: string
}
export interface PaintTexts {
  forward: ZoneTexts
  back: ZoneTexts
  photographs: string[]
  words: string
}

export const blankPaint = (): PaintTexts => ({
  forward: { from: '', to: '' },
  back: { from: '', to: '' },
  photographs: [],
  words: '',
})

type Faults = Readonly<Record<string, string>>

/** `38`, `38 %`, `38,5`. */
const percentOf = (text: string, units: UnitSystem) =>
  readTypedNumber(text.replace(/%\s*$/, ''), 'plain', units)

/** The zone in two boxes: null while there is none, or while it can't be. Either end may be typed first. */
const readZone = (
  texts: ZoneTexts,
  run: Run,
  faults: Record<string, string>,
  telling: Telling,
): PaintedZone | null => {
  const w = gearWords(telling.words).faults
  const [from, to] = (['from', 'to'] as const).map((end) => {
    const read = percentOf(texts[end], telling.units)
    if (!read.ok) {
      if (read.fault !== 'empty') faults[`${run}.${end}`] = typingWords(telling.words).faults[read.fault]
      return null
    }
    if (read.value < 0 || read.value > 100) {
      faults[`${run}.${end}`] = w.range
      return null
    }
    return read.value
  })
  if (from == null || to == null || from === to) return null
  return from < to ? [from, to] : [to, from]
}

/** What both flanks show as typed; a zone of which only one end stands there is none yet. */
export const readPaint = (
  texts: PaintTexts,
  telling: Telling,
): { readonly faults: Faults; readonly zones: Readonly<Record<Run, PaintedZone | null>> } => {
  const faults: Record<string, string> = {}
  const [forward, back] = RUNS.map((run) => readZone(texts[run], run, faults, telling))
  return { faults, zones: { forward: forward ?? null, back: back ?? null } }
}

/** What is logged, or why not, at the box. As it was found one run is enough. */
export const paintPayload = (
  texts: PaintTexts,
  moment: 'as-found' | 'fit',
  telling: Telling,
): { readonly faults: Faults; readonly payload: EntryPayloads['contact-painted'] | null } => {
  const w = gearWords(telling.words).faults
  const { faults, zones } = readPaint(texts, telling)
  const own: Record<string, string> = { ...faults }
  for (const run of RUNS) {
    const begun = texts[run].from.trim() !== '' || texts[run].to.trim() !== ''
    const wanted = moment === 'fit' || begun
    if (wanted && !zones[run] && !own[`${run}.from`] && !own[`${run}.to`])
      own[`${run}.${texts[run].from.trim() === '' ? 'from' : 'to'}`] = w.half
  }
  if (moment === 'as-found' && Object.keys(own).length === 0 && !zones.forward && !zones.back)
    own['forward.from'] = w.noneFound
  return {
    faults: own,
    payload:
      Object.keys(own).length > 0
        ? null
        : { moment, ...zones, photographs: texts.photographs, words: texts.words.trim() },
  }
}

/** A shift as typed: which, how far, toward which end. */
export interface ShiftTexts {
  units: UnitSystem
  lever: Lever
  by: string
  way: 'from' | 'to'
  words: string
}

/** The same text meaning the same in other units. */
export const nameShiftUnits = (texts: ShiftTexts, was: UnitSystem): void => {
  texts.by = withUnit(texts.by, unitOf('displacement', was))
}

export const shiftPayload = (
  texts: ShiftTexts,
  telling: Telling,
): { readonly fault: string; readonly payload: EntryPayloads['gear-shifted'] | null } => {
  const read = readTypedNumber(texts.by, 'displacement', telling.units)
  if (!read.ok)
    return {
      fault:
        read.fault === 'empty'
          ? gearWords(telling.words).faults.shift
          : typingWords(telling.words).faults[read.fault],
      payload: null,
    }
  if (read.value <= 0) return { fault: gearWords(telling.words).faults.shift, payload: null }
  return {
    fault: '',
    payload: {
      units: telling.units,
      lever: texts.lever,
      by: texts.way === 'to' ? read.value : -read.value,
      words: texts.words.trim(),
    },
  }
}

/** How the mesh was cleared, as chosen and typed. */
export interface ClearTexts {
  load: LightLoad
  helper: string
  words: string
}

export const clearPayload = (
  { load, helper, words }: ClearTexts,
  telling: Telling,
): { readonly fault: string; readonly payload: EntryPayloads['mesh-cleared'] | null } =>
  load === 'other' && words.trim() === ''
    ? { fault: gearWords(telling.words).faults.load, payload: null }
    : { fault: '', payload: { load, helper: helper.trim(), words: words.trim() } }

/** Both zones, where both are read. */
export const bothZones = (zones: Readonly<Record<Run, PaintedZone | null>>): Runs<PaintedZone> | null =>
  zones.forward && zones.back ? { forward: zones.forward, back: zones.back } : null
