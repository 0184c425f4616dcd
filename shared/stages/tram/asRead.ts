import { judgeTram, tramDifferences, type TramCheck, type Untold } from '../../../core/drum/drumTram'
import { clockDistance, normalClock } from '../../../core/frame/clock'
import { isSet, type DrumMachine, type DrumWindows } from '../../../core/register/drumMachine'
import type { Measurement } from '../../../core/stages/measure/measurement'
import { toCore, type Degrees, type Millimetres } from '../../../core/units/unitSystem'
import type { Band } from '../../../core/judge/tolerance'

export const TRAM_DIALS = ['rim', 'face'] as const
export type TramDial = (typeof TRAM_DIALS)[number]

const usedSets = (m: Measurement | null) =>
  (m?.sets ?? []).filter((s) => m?.used.includes(s.set.entry.id)).map((s) => s.set)

/** What a dial shows at a place: the mean of the sets in use, or of all where none is. Millimetres; null where nobody read. */
export const shownAt = (m: Measurement | null, dial: TramDial, clock: Degrees): Millimetres | null => {
  const used = usedSets(m)
  const sets = used.length > 0 ? used : (m?.sets ?? []).slice(-1).map((s) => s.set)
  const values = sets.flatMap((s) =>
    circleOf(s.read, dial)
      .filter((r) => clockDistance(normalClock(r.clock), clock) < 1)
      .slice(0, 1)
      .map((r) => r.value),
  )
  return values.length === 0 ? null : values.reduce((a, b) => a + b, 0) / values.length
}

/** The circle of a dial; of two face dials the first. */
const circleOf = (read: Measurement['sets'][number]['set']['read'], dial: TramDial) =>
  read[dial] ?? (dial === 'face' ? read.face1 : undefined) ?? []

/** Side and top against sides as read, the mean of the sets in use. */
export const differencesShown = (
  m: Measurement | null,
  dial: TramDial,
): { readonly side: Millimetres | Untold; readonly top: Millimetres | Untold } => {
  const told = usedSets(m).map((s) => tramDifferences(circleOf(s.read, dial)))
  const mean = (what: 'side' | 'top'): Millimetres | Untold => {
    const values = told.map((t) => t[what])
    const known = values.filter((v) => typeof v === 'number')
    const missing = values.find((v) => typeof v === 'string')
    if (missing) return missing
    return known.length === 0 ? 'not-read' : known.reduce((a, b) => a + b, 0) / known.length
  }
  return { side: mean('side'), top: mean('top') }
}

const inCore = (windows: DrumWindows, units: DrumMachine['units']) => {
  const band = ([low, high]: Band): Band | undefined =>
    isSet([low, high])
      ? [
          low === null ? null : toCore(low, 'displacement', units),
          high === null ? null : toCore(high, 'displacement', units),
        ]
      : undefined
  const of = (what: 'side' | 'top') => {
    const [rim, face] = [band(windows.rim[what]), band(windows.face[what])]
    return { ...(rim ? { rim } : {}), ...(face ? { face } : {}) }
  }
  return { side: of('side'), top: of('top') }
}

/** The readings as they are, each against its window on the works' card; empty where the card has none. */
export const checksAsRead = (
  machine: Pick<DrumMachine, 'drum' | 'units'>,
  m: Measurement | null,
): readonly TramCheck[] =>
  judgeTram(
    { rim: differencesShown(m, 'rim'), face: differencesShown(m, 'face') },
    inCore(machine.drum.windows, machine.units),
  ).checks
