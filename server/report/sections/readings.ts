import { type report, reportWords } from '../../../shared/wording/en'
import type { Content, TableCell } from 'pdfmake/interfaces'
import type { CoupledState } from '../../../core/jobs/coupled'
import type { Measurement } from '../../../core/stages/measure/measurement'
import { hourName } from '../../../shared/wording/directions'
import { METHOD_FORMS } from '../../../shared/methods/forms'
import { placeName } from '../../../shared/stages/measure/drawing'
import { figure, UNIT_NAMES } from '../../../shared/wording/figures'
import { circleName } from '../../../shared/wording/circles'
import { playWords, setName, weakWords } from '../../../shared/wording/readings'
import { trustRows } from '../../../shared/wording/trustRows'
import { figures, grid, heading, when } from '../blocks'
import { together } from '../together'
import type { Reported, Section } from '../section'

type Standing = keyof ReturnType<typeof report>['readings']['standing']

const standing = (m: Measurement, s: Measurement['sets'][number]): Standing =>
  s.leftOut !== null
    ? 'leftOut'
    : s.usedAnyway !== null
      ? 'usedAnyway'
      : m.used.includes(s.set.entry.id)
        ? 'used'
        : 'notUsed'

const round = (m: Measurement, title: string, { telling, personName }: Reported): Content[] => {
  if (m.sets.length === 0) return []
  const { units } = telling
  const w = reportWords(telling.words).readings
  const clocks = [
    ...new Set(m.sets.flatMap((s) => Object.values(s.set.read).flatMap((list) => list.map((r) => r.clock)))),
  ].sort((a, b) => a - b)
  const rows = m.sets.flatMap((s, i) =>
    s.set.setUp.circles.map((circle, n): TableCell[] => [
      n === 0
        ? w.set(
            i + 1,
            `${when(s.set.entry.madeAt)}, ${personName(s.set.entry.author)}`,
            w.standing[standing(m, s)],
          )
        : '',
      circleName(circle, telling).toLowerCase(),
      ...clocks.map((c) =>
        figures(
          figure(s.set.read[circle]?.find((r) => r.clock === c)?.value ?? null, 'displacement', units, {
            sign: true,
          }),
        ),
      ),
    ]),
  )
  const reasons = m.sets.flatMap((s) => {
    const name = setName(m, s.set.entry.id, telling)
    return [
      s.usedAnyway !== null ? w.usedAnyway(name, s.usedAnyway) : '',
      s.leftOut !== null ? w.leftOut(name, s.leftOut) : '',
    ].filter(Boolean)
  })
  const checks = trustRows(m, telling).map((t) => w.check(t.name, t.found, t.limit, t.passes))
  const weak = weakWords(m, telling)
  const first = m.sets[0]?.set.setUp ?? null
  const reads = first ? METHOD_FORMS[first.how.method].reads : 'dials'
  const valued = reads === 'values'
  const unit = UNIT_NAMES[units].displacement
  const signs = { dials: w.signs(unit), felt: w.signsFelt(unit), values: w.signsShown(unit) }[reads]
  const body: Content[] = [
    heading(title),
    grid(
      ['*', 74, ...clocks.map(() => (clocks.length > 4 ? 34 : 44))],
      [signs, '', ...clocks.map((c) => (valued ? placeName(first, c, telling) : hourName(c, telling)))],
      rows,
    ),
    ...reasons.map((text): Content => ({ text, bold: true })),
    { text: w.checks(checks.join('; ')) },
    ...(weak ? [{ text: weak }] : []),
    ...(m.play ? [{ text: playWords(m, telling) }] : []),
  ]
  return [together(...body)]
}

/** Every set of every round, made up and hot, how it stands, and the checks behind it. */
export const readings: Section<
  Pick<CoupledState, 'measurements' | 'proof'> & Partial<Pick<CoupledState, 'hot'>>
> = ({ measurements, proof, hot }, report) => {
  const w = reportWords(report.telling.words).readings
  return [
    ...measurements.flatMap((m, i) => round(m, i === 0 ? w.asFound : w.after(i), report)),
    ...round(proof.measurement, w.madeUp, report),
    ...(hot ? round(hot.measurement, w.hot, report) : []),
  ]
}
