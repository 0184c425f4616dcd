import type { Content, TableCell } from 'pdfmake/interfaces'
import type { CoupledState } from '../../../core/jobs/coupled'
import type { Measurement } from '../../../core/stages/measure/measurement'
import { hourName } from '../../../shared/wording/directions'
import { figure, UNIT_NAMES } from '../../../shared/wording/figures'
import { circleName, setName } from '../../../shared/wording/readings'
import { trustRows } from '../../../shared/wording/trustRows'
import { figures, grid, heading, when } from '../blocks'
import { together } from '../together'
import type { Reported, Section } from '../section'

const standing = (m: Measurement, s: Measurement['sets'][number]): string =>
  s.leftOut !== null
    ? 'left out'
    : s.usedAnyway !== null
      ? 'used anyway'
      : m.used.includes(s.set.entry.id)
        ? 'used'
        : 'not used'

const round = (m: Measurement, title: string, { telling, personName }: Reported): Content[] => {
  if (m.sets.length === 0) return []
  const { units } = telling
  const clocks = [
    ...new Set(m.sets.flatMap((s) => Object.values(s.set.read).flatMap((list) => list.map((r) => r.clock)))),
  ].sort((a, b) => a - b)
  const rows = m.sets.flatMap((s, i) =>
    s.set.setUp.circles.map((circle, n): TableCell[] => [
      n === 0
        ? `Set ${i + 1}, ${when(s.set.entry.madeAt)}, ${personName(s.set.entry.author)}: ${standing(m, s)}`
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
      s.usedAnyway !== null ? `${name} was used against a failed check: ${s.usedAnyway}` : '',
      s.leftOut !== null ? `${name} was left out: ${s.leftOut}` : '',
    ].filter(Boolean)
  })
  const checks = trustRows(m, telling).map(
    (t) => `${t.name} ${t.found} (limit ${t.limit}) ${t.passes ? 'passes' : 'fails'}`,
  )
  const body: Content[] = [
    heading(title),
    grid(
      ['*', 74, ...clocks.map(() => (clocks.length > 4 ? 34 : 44))],
      [
        `${UNIT_NAMES[units].displacement}, plunger in is plus`,
        '',
        ...clocks.map((c) => hourName(c, telling)),
      ],
      rows,
    ),
    ...reasons.map((text): Content => ({ text, bold: true })),
    { text: `Checks: ${checks.join('; ')}.` },
  ]
  return [together(...body)]
}

/** Every set of every round, how it stands, and the checks behind it. */
export const readings: Section<Pick<CoupledState, 'measurements'>> = ({ measurements }, report) =>
  measurements.flatMap((m, i) => round(m, i === 0 ? 'Readings as found' : `Readings after move ${i}`, report))
