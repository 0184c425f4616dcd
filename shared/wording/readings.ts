import type { StageMark } from '../../core/logbook/stages'
import type { Measurement } from '../../core/logbook/measurement'
import type { ReadingSet } from '../../core/logbook/readingSet'
import type { RepeatRow } from '../../core/trust/compareMeasurements'
import { trustOf } from '../../core/logbook/readingSet'
import type { UnitSystem } from '../../core/units/unitSystem'
import { clockName, misalignmentWords } from './directions'
import { figure } from './figures'
import { FLAG_SENTENCES } from './names'
import { quantityName } from './quantities'
import { refusalSentence } from './refusals'

export interface Meaning {
  readonly mark: StageMark
  readonly headline: string
  readonly detail: string
}

const capital = (s: string): string => s.charAt(0).toUpperCase() + s.slice(1)

/** What the readings taken between two moves mean, in one sentence and what stands behind it. */
export const meaningOfReadings = (m: Measurement, movable: string, units: UnitSystem): Meaning => {
  const last = m.sets[m.sets.length - 1]
  if (!last)
    return {
      mark: 'todo',
      headline: 'Read rim and face at each position.',
      detail:
        'Zero both dials at the first position. Always turn the same way, and stop on the mark without turning back.',
    }
  if (last.refusals.length > 0)
    return {
      mark: 'todo',
      headline: 'Not enough to go by yet.',
      detail: last.refusals.map(refusalSentence).join(' '),
    }
  if (m.trust === 'doubtful') return doubt(m, last, units)
  const line = m.coupling
  const where = line ? `${movable} ${misalignmentWords(line, units)}` : ''
  if (m.trust === 'unproven')
    return {
      mark: 'todo',
      headline: 'Nothing could expose a bad reading here.',
      detail: `${FLAG_SENTENCES.unproven} So far: ${where}.`,
    }
  if (m.trust === 'once')
    return {
      mark: 'todo',
      headline: 'This set balances. Repeat it before you move anything.',
      detail: `So far: ${where}.`,
    }
  const verdict = m.judgement?.verdict ?? 'unknown'
  const because =
    m.trust === 'overridden'
      ? 'Used against a failed check; the reason is in the record.'
      : `${m.used.length === 2 ? 'Two' : m.used.length} sets agree and are taken together.`
  if (verdict === 'in') return { mark: 'in', headline: `In band. ${capital(where)}.`, detail: because }
  if (verdict === 'edge')
    return {
      mark: 'edge',
      headline: `Inside the limit, but near its edge. ${capital(where)}.`,
      detail: because,
    }
  return { mark: 'out', headline: `${capital(where)}. Out of band.`, detail: because }
}

const doubt = (m: Measurement, last: ReadingSet, units: UnitSystem): Meaning => {
  const detail = wouldMislead(m, units)
  const [only] = m.suspects
  if (m.suspects.length === 1 && only)
    return {
      mark: 'out',
      headline: `The ${clockName(only.clock)} ${only.dial} reading ${m.sets.length > 1 ? 'does not repeat' : 'does not fit'}. Take it again.`,
      detail,
    }
  for (const dial of ['rim', 'face'] as const) {
    const t = trustOf(last, dial)
    if (t && t.agrees === false && t.closure !== null)
      return {
        mark: 'out',
        headline: `The ${dial} does not balance: ${figure(Math.abs(t.closure), 'displacement', units)} apart, limit ${figure(t.closureLimit, 'displacement', units)}.`,
        detail:
          m.sets.length > 1 ? detail : 'Four readings can’t tell which of them is wrong. Read the set again.',
      }
  }
  const flag = last.flags.find((f) => f === 'return-to-zero' || f === 'residual')
  if (flag)
    return {
      mark: 'out',
      headline: FLAG_SENTENCES[flag],
      detail: 'Find what moved, then read the set again.',
    }
  return { mark: 'out', headline: 'The sets don’t agree. Read a third one.', detail }
}

/** What trusting the doubtful set would have done at the feet. */
const wouldMislead = (m: Measurement, units: UnitSystem): string => {
  const feet = m.repeat?.feet ?? []
  const worst = feet
    .flatMap((f) => (['v', 'h'] as const).map((plane) => ({ id: f.id, plane, off: f.move[plane] ?? 0 })))
    .reduce<{ id: string; plane: 'v' | 'h'; off: number } | null>(
      (w, f) => (!w || Math.abs(f.off) > Math.abs(w.off) ? f : w),
      null,
    )
  if (!worst || Math.abs(worst.off) < 1e-6) return ''
  const apart = figure(Math.abs(worst.off), 'displacement', units, { unit: true })
  return `The two sets would send the ${worst.id} feet to places ${apart} apart, ${worst.plane === 'v' ? 'in height' : 'sideways'}.`
}

/** A row of the repeat check in words. */
export const repeatName = (row: RepeatRow): string =>
  row.what === 'position'
    ? `Repeat, ${row.name} at ${clockName(row.clock ?? 0).replace(' o’clock', '')}`
    : `Repeat, ${quantityName(row.name).toLowerCase()}`
