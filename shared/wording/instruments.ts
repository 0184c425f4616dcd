import dayjs from 'dayjs'
import { placeOfKey, type Place } from '../../core/instruments/places'
import { ranOut } from '../../core/instruments/spoken'
import type { SpokenInstrument } from '../../core/stages/open/entries'
import { CONVERSIONS, fromCore, toCore } from '../../core/units/unitSystem'
import type { SpokenFor } from '../instruments/link'
import { circleName } from './circles'
import { instrumentWords } from './en/instruments'
import { figure } from './figures'
import { pairName, type Telling } from './telling'

/** A place of a job as it is called at the board. */
export const placeWords = (place: Place, telling: Telling): string => {
  const w = instrumentWords(telling.words).places
  switch (place.at) {
    case 'circle':
      return circleName(place.circle, telling)
    case 'side':
      return w.side(pairName(telling, { id: place.pair, machine: place.machine }))
    case 'warmth':
      return w.warmth(pairName(telling, { id: place.pair, machine: place.machine }))
    default:
      return w[place.at]
  }
}

/** `dial D-0231`. */
export const instrumentName = (
  { kind, serial }: Pick<SpokenFor, 'kind' | 'serial'>,
  { words }: Pick<Telling, 'words'>,
): string => `${instrumentWords(words).kinds[kind]} ${serial}`

const day = (d: string) => dayjs(d).format('D MMM YYYY')

/** How the calibration of an instrument stands on a day. */
export const calibrationWords = (
  calibrated: string | null,
  on: string,
  { words }: Pick<Telling, 'words'>,
): string => {
  const w = instrumentWords(words)
  if (calibrated === null) return w.noCalibration
  return ranOut(calibrated, on) ? w.ranOutShort(day(calibrated)) : w.calibrated(day(calibrated))
}

/** That a calibration has run out, as a sentence; empty where it holds. */
export const ranOutWords = (instrument: SpokenFor, on: string, telling: Pick<Telling, 'words'>): string =>
  instrument.calibrated !== null && ranOut(instrument.calibrated, on)
    ? instrumentWords(telling.words).ranOut(instrumentName(instrument, telling), day(instrument.calibrated))
    : ''

/** An instrument that spoke, for the record: `dial D-0231 at Rim (calibrated to 4 Mar 2027)`. */
export const spokenWords = (spoken: SpokenInstrument, on: string, telling: Telling): string => {
  const place = placeOfKey(spoken.place)
  return instrumentWords(telling.words).spokeWas(
    instrumentName(spoken, telling),
    place ? placeWords(place, telling) : spoken.place,
    calibrationWords(spoken.calibrated, on, telling),
  )
}

/** What an instrument shows, in the reader's units with its unit; a dash where it shows nothing. */
export const liveFigure = (
  { kind, unit }: Pick<SpokenFor, 'kind' | 'unit'>,
  value: number | null,
  { units }: Pick<Telling, 'units'>,
): string => {
  if (value === null) return '–'
  const plain = (x: number, digits: number, name: string) => `${x.toFixed(digits).replace('-', '−')} ${name}`
  switch (kind) {
    case 'dial':
    case 'head':
      return figure(value, 'displacement', units, { sign: true })
    case 'thermometer':
      return plain(fromCore(value, 'temperature', units), 1, units === 'inch' ? '°F' : '°C')
    case 'level':
      return figure(value, 'slope', units, { sign: true, unit: true })
    case 'belt-gauge':
      return unit === 'Hz'
        ? plain(value, 1, 'Hz')
        : plain(fromCore(value, 'force', units), 1, CONVERSIONS[units].force.unit)
  }
}

/** What an instrument shows, as somebody would type it into the box it is read for; no finer than it counts. */
export const liveTyped = (
  { kind, unit, graduation }: Pick<SpokenFor, 'kind' | 'unit' | 'graduation'>,
  value: number,
  { units }: Pick<Telling, 'units'>,
): string => {
  const told = (x: number, least: number) => {
    const digits = Math.min(6, Math.max(0, Math.ceil(-Math.log10(least) - 1e-9)))
    return String(Number(x.toFixed(digits)))
  }
  switch (kind) {
    case 'dial':
    case 'head':
      return told(fromCore(value, 'displacement', units), graduation / toCore(1, 'displacement', units))
    case 'thermometer':
      return told(fromCore(value, 'temperature', units), 0.1)
    case 'level':
      return told(fromCore(value, 'slope', units), graduation / toCore(1, 'slope', units))
    case 'belt-gauge':
      return unit === 'Hz'
        ? told(value, graduation)
        : told(fromCore(value, 'force', units), graduation / toCore(1, 'force', units))
  }
}
