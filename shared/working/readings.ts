import { faceFactor, rimFactor } from '../../core/coupling/dialSet'
import type { JobState } from '../../core/logbook/foldJob'
import { trustOf, type ReadingSet } from '../../core/logbook/readingSet'
import type { Measurement } from '../../core/logbook/measurement'
import type { UnitSystem } from '../../core/units/unitSystem'
import { figure } from '../wording/figures'
import { quantityName } from '../wording/quantities'
import type { WorkingStep } from './step'

const PLANES = [
  { plane: 'v', name: 'side view', part: 'cos', up: '12', down: '6' },
  { plane: 'h', name: 'top view', part: 'sin', up: '3', down: '9' },
] as const

const at = (set: ReadingSet, dial: 'rim' | 'face', clock: number): number | null =>
  set.readings[dial].find((r) => r.clock === clock)?.value ?? null

/** Sum check, fit, sag, offset, angle, feet: the readings of a measurement followed to the feet. */
export const readingsWorking = (
  state: JobState,
  m: Measurement,
  units: UnitSystem,
): readonly WorkingStep[] => {
  const set = m.sets.filter((s) => m.used.includes(s.entry.id)).pop() ?? m.sets[m.sets.length - 1]
  if (!set?.measured) return []
  const shown = m.combined ?? set.measured
  const d = (x: number | null, extra = 1) => figure(x, 'displacement', units, { extra })
  const s = (x: number | null, extra = 1) => figure(x, 'slope', units, { extra })
  const l = (x: number) => figure(x, 'distance', units)
  const steps: WorkingStep[] = []
  const several = m.used.length > 1

  for (const dial of ['rim', 'face'] as const) {
    const t = trustOf(set, dial)
    if (t?.closure == null) continue
    const r = [0, 180, 90, 270].map((c) => d(at(set, dial, c), 0))
    steps.push({
      name: `${dial === 'rim' ? 'Rim' : 'Face'}, sum check`,
      formula: '(12 + 6) − (3 + 9)',
      substituted: `(${r[0]} + ${r[1]}) − (${r[2]} + ${r[3]})`,
      result: d(t.closure),
      note: `Limit ${d(t.closureLimit)}: the larger of two graduations and the smaller of ${units === 'inch' ? '2 mil' : '0.05 mm'} and the offset limit.`,
    })
  }
  const { setUp } = set
  const k = rimFactor(setUp.rim.carriedBy)
  const lever = (faceFactor(setUp.face.plunger) * setUp.face.diameter) / 2
  const fourClock = set.readings.rim.length === 4 && trustOf(set, 'rim')?.closure != null
  for (const p of PLANES) {
    const rim = shown.fits.rim?.[p.part] ?? null
    const face = shown.fits.face?.[p.part] ?? null
    const sag = p.plane === 'v' ? setUp.rim.sag : 0
    const faceSag = p.plane === 'v' ? (setUp.face.sag ?? 0) : 0
    const fit = several
      ? `least squares over ${m.used.length} sets`
      : fourClock
        ? `(r${p.up} − r${p.down}) / 2`
        : 'least squares over all readings'
    const atPlane = rim === null ? null : (rim - sag) / k
    const slope = shown.coupling.slope[p.plane]
    const offset = shown.coupling.offset[p.plane]
    steps.push(
      {
        name: `Offset at the rim dial, ${p.name}`,
        formula: `a = ${fit};  d(x) = (a${sag === 0 ? '' : ' − sag'}) / k`,
        substituted: `(${d(rim)}${sag === 0 ? '' : ` − ${d(sag)}`}) / ${k === 1 ? '+1' : '−1'}`,
        result: d(atPlane),
        note:
          k === -1
            ? 'k is −1: the movable shaft carries the dial.'
            : 'k is +1: the stationary shaft carries the dial.',
      },
      {
        name: `Angle, ${p.name}`,
        formula: `b = ${fit.replaceAll('r1', 'f1').replaceAll('r3', 'f3').replaceAll('r6', 'f6').replaceAll('r9', 'f9')};  slope = (b${faceSag === 0 ? '' : ' − face sag'}) / (q × D / 2)`,
        substituted: `(${d(face)}${faceSag === 0 ? '' : ` − ${d(faceSag)}`}) / (${lever < 0 ? '−' : ''}${l(setUp.face.diameter)} / 2)`,
        result: s(slope),
      },
      {
        name: `Offset at the coupling, ${p.name}`,
        formula: 'offset = d(x) − slope × x',
        substituted: `${d(atPlane)} − ${s(slope)} × ${l(setUp.rim.plane)}${units === 'metric' ? ' / 100' : ''}`,
        result: d(offset),
      },
    )
    for (const foot of m.feet)
      steps.push({
        name: `${foot.id === 'inboard' ? 'Inboard' : 'Outboard'} feet, ${p.name}`,
        formula: 'offset + slope × x',
        substituted: `${d(offset)} + ${s(slope)} × ${l(foot.x)}${units === 'metric' ? ' / 100' : ''}`,
        result: d(foot.position[p.plane]),
        note: `The move that cures it: ${d(foot.move[p.plane])}.`,
      })
  }
  return [...steps, ...judgementWorking(state, m, units)]
}

/** Margin of each judged quantity, from its limit and the limit's rule. */
export const judgementWorking = (
  state: JobState,
  m: Measurement,
  units: UnitSystem,
): readonly WorkingStep[] =>
  (m.judgement?.quantities ?? []).flatMap((q): readonly WorkingStep[] => {
    if (q.value === null || q.margin === null) return []
    const f = (x: number | null) => figure(x, q.kind, units, { extra: 1 })
    return [
      {
        name: `Margin, ${quantityName(q.name).toLowerCase()}`,
        formula:
          q.low === null || q.high === null
            ? 'distance to the bound / bound'
            : 'least distance to a limit / half of the band',
        substituted: `value ${f(q.value)} in ${f(q.low)} to ${f(q.high)}`,
        result: q.margin.toFixed(2).replace('-', '−'),
        note: `In band from 0.20, edge from 0 to 0.20, out below. Limit for ${state.rpm} rpm: ${state.tolerance.source ?? 'see the register'}.`,
      },
    ]
  })
