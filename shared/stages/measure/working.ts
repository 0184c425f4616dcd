import { directionsWords, feetWords, measuringWords, workingWords } from '../../wording/en'
import { circleValue, type DialCircle } from '../../../core/coupling/dialCircle'
import type { HarmonicFit } from '../../../core/fit/harmonicFit'
import type { Plane } from '../../../core/frame/planes'
import type { Judgement } from '../../../core/judge/judge'
import type { Measurement } from '../../../core/stages/measure/measurement'
import { trustOf } from '../../../core/stages/measure/readingSet'
import { hourOf } from '../../wording/directions'
import { figure } from '../../wording/figures'
import { quantityName } from '../../wording/quantities'
import { circleName } from '../../wording/circles'
import { capital } from '../../wording/capital'
import type { Telling } from '../../wording/telling'
import type { WorkingStep } from '../../working/step'

const PARTS = [
  { plane: 'v', part: 'cos' },
  { plane: 'h', part: 'sin' },
] as const

/** What a working needs to know of its job besides the measurement. */
export interface Judged {
  readonly rpm: number
  readonly source: string
}

/** Sum check, fit, sag, offset, angle, feet: the readings of a measurement followed to the feet. */
export const readingsWorking = (m: Measurement, judged: Judged, telling: Telling): readonly WorkingStep[] => {
  const { words, units, footNames } = telling
  const w = workingWords(words).readings
  const set = (m.sets.filter((s) => m.used.includes(s.set.entry.id)).pop() ?? m.sets[m.sets.length - 1])?.set
  if (!set?.measured || !set.arranged) return []
  const shown = m.combined ?? set.measured
  const { circles, join } = set.arranged.arrangement
  const d = (x: number | null, extra = 1) => figure(x, 'displacement', units, { extra })
  const s = (x: number | null, extra = 1) => figure(x, 'slope', units, { extra })
  const l = (x: number) => figure(x, 'distance', units)
  const per = units === 'metric' ? ' / 100' : ''
  const steps: WorkingStep[] = []
  const several = m.used.length > 1

  for (const circle of set.setUp.circles) {
    const t = trustOf(set, circle)
    const sums = set.sums[circle]
    if (t?.closure == null || !sums) continue
    const at = (clock: number) => d(set.read[circle]?.find((r) => r.clock === clock)?.value ?? null, 0)
    steps.push({
      name: measuringWords(words).checks.sum(circleName(circle, telling)),
      formula: '(12 + 6) − (3 + 9)',
      substituted: `(${at(0)} + ${at(180)}) − (${at(90)} + ${at(270)})`,
      result: d(t.closure),
      note: w.sumLimit(d(t.closureLimit), units === 'inch' ? '2 mil' : '0.05 mm'),
    })
  }
  for (const { plane, part } of PARTS) {
    const [plus, minus] = plane === 'v' ? ['12', '6'] : [hourOf(1, telling), hourOf(-1, telling)]
    const inPlane = directionsWords(words).planes[plane]
    const values = circles.map((circle) => {
      const fit = shown.fits[circle.name]
      if (fit) steps.push(circleStep(circle, fit, plane, part, several ? null : [plus, minus], telling))
      return fit ? circleValue(circle, fit)[plane] : null
    })
    const { offset, slope } = shown.coupling
    const [a, b] = circles
    if (join.kind === 'two-positions')
      steps.push({
        name: w.angle(inPlane),
        formula: 'slope = (d₂ − d₁) / (x₂ − x₁)',
        substituted: `(${d(values[1] ?? null)} − ${d(values[0] ?? null)}) / (${l(b.plane)} − ${l(a.plane)})${units === 'metric' ? ' × 100' : ''}`,
        result: s(slope[plane]),
      })
    if (join.kind === 'two-slopes')
      steps.push({
        name: w.atSpool(inPlane),
        formula: 'offset = (p₁ − p₂) × Ls / 2;  slope = p₁ + p₂',
        substituted: `(${s(values[0] ?? null)} − ${s(values[1] ?? null)}) × ${l(join.spoolLength)} / 2${per}`,
        result: `${d(offset[plane])}, ${s(slope[plane])}`,
      })
    else
      steps.push({
        name: w.atCoupling(inPlane),
        formula: 'offset = d₁ − slope × x₁',
        substituted: `${d(values[0] ?? null)} − ${s(slope[plane])} × ${l(a.plane)}${per}`,
        result: d(offset[plane]),
      })
    for (const foot of m.feet)
      steps.push({
        name: w.atFeet(capital(feetWords(words).feet(footNames(foot.id))), inPlane),
        formula: 'offset + slope × x',
        substituted: `${d(offset[plane])} + ${s(slope[plane])} × ${l(foot.x)}${per}`,
        result: d(foot.position[plane]),
        note: w.cure(d(foot.move[plane])),
      })
  }
  return [...steps, ...judgementWorking(m.judgement, judged, telling)]
}

/** One circle in one plane: amplitude, sag and lever. */
const circleStep = (
  circle: DialCircle,
  fit: HarmonicFit,
  plane: Plane,
  part: 'cos' | 'sin',
  quarters: readonly [string, string] | null,
  telling: Telling,
): WorkingStep => {
  const { units, words } = telling
  const w = workingWords(words).readings
  const d = (x: number | null) => figure(x, 'displacement', units, { extra: 1 })
  const l = (x: number) => figure(x, 'distance', units)
  const fourClock = quarters !== null && circle.readings.length === 4 && fit.arc === 270
  const amplitude = fourClock ? `(r${quarters[0]} − r${quarters[1]}) / 2` : w.leastSquares
  const sag = plane === 'v' ? circle.sag : 0
  const value = circleValue(circle, fit)[plane]
  const top = `${d(fit[part])}${sag === 0 ? '' : ` − ${d(sag)}`}`
  const name = circleName(circle.name, telling)
  const inPlane = directionsWords(words).planes[plane]
  if (circle.reads === 'slope')
    return {
      name: w.angleAt(inPlane, name.toLowerCase()),
      formula: `b = ${amplitude};  slope = (b${sag === 0 ? '' : ' − sag'}) / (q × D / 2)`,
      substituted: `(${top}) / (${circle.lever < 0 ? '−' : ''}${l(2 * Math.abs(circle.lever))} / 2)`,
      result: figure(value, 'slope', units, { extra: 1 }),
      note: w.lever(circle.lever < 0),
    }
  return {
    name: w.atCircle(`${name.charAt(0).toLowerCase()}${name.slice(1)}`, inPlane),
    formula: `a = ${amplitude};  d(x) = (a${sag === 0 ? '' : ' − sag'}) / k`,
    substituted: `(${top}) / ${circle.lever === 1 ? '+1' : '−1'}`,
    result: d(value),
    note: w.carrier(circle.lever === -1),
  }
}

/** Margin of each judged quantity, from its limit and the limit's rule. */
export const judgementWorking = (
  judgement: Judgement | null,
  { rpm, source }: Judged,
  telling: Telling,
): readonly WorkingStep[] =>
  (judgement?.quantities ?? []).flatMap((q): readonly WorkingStep[] => {
    if (q.value === null || q.margin === null) return []
    const f = (x: number | null) => figure(x, q.kind, telling.units, { extra: 1 })
    const w = workingWords(telling.words).judged
    return [
      {
        name: w.margin(quantityName(q.name, telling).toLowerCase()),
        formula: q.low === null || q.high === null ? w.oneSided : w.twoSided,
        substituted: w.within(f(q.value), f(q.low), f(q.high)),
        result: q.margin.toFixed(2).replace('-', '−'),
        note: w.bands(rpm, source),
      },
    ]
  })
