import { measuringWords } from './en'
import { isBelieved, type Measurement } from '../../core/stages/measure/measurement'
import { trustOf } from '../../core/stages/measure/readingSet'
import { METHOD_FORMS } from '../methods/forms'
import type { RepeatRow } from '../../core/trust/compareMeasurements'
import { hourName } from './directions'
import { figure } from './figures'
import { quantityName } from './quantities'
import { circleName } from './circles'
import type { Telling } from './telling'

/** One check as a line: what was found against its limit. */
export interface TrustRow {
  readonly name: string
  readonly found: string
  readonly limit: string
  readonly passes: boolean
}

/** A row of the repeat check in words. */
export const repeatName = (row: RepeatRow, telling: Telling): string =>
  row.what === 'position'
    ? measuringWords(telling.words).checks.repeatAt(
        circleName(row.name, telling),
        hourName(row.clock ?? 0, telling),
      )
    : measuringWords(telling.words).checks.repeatOf(quantityName(row.name, telling))

const larger = (a: RepeatRow | null, b: RepeatRow): RepeatRow =>
  !a || Math.abs(b.difference) > Math.abs(a.difference) ? b : a

/**
 * The checks of the set that speaks, and of its repeat: for the ledger and the report. Once sets
 * agree, the set that speaks is the last of those in use, so that a failed one left aside no longer
 * shows its red rows under "two sets agree".
 */
export const trustRows = (m: Measurement, telling: Telling): readonly TrustRow[] => {
  const { words, units } = telling
  const w = measuringWords(words).checks
  const believed = isBelieved(m)
  const spoken = believed ? m.sets.filter((s) => m.used.includes(s.set.entry.id)) : m.sets
  const last = spoken[spoken.length - 1]?.set
  if (!last) return []
  const d = (x: number) => figure(x, 'displacement', units)
  const rows: TrustRow[] = []
  for (const circle of last.setUp.circles) {
    const t = trustOf(last, circle)
    // Values that an instrument worked out balance by themselves: that checks nothing.
    if (!t || METHOD_FORMS[last.setUp.how.method].reads === 'values') continue
    const name = circleName(circle, telling)
    if (t.closure !== null)
      rows.push({
        name: w.sum(name),
        found: d(Math.abs(t.closure)),
        limit: d(t.closureLimit),
        passes: t.agrees !== false,
      })
    else if (t.agrees !== null)
      rows.push({
        name: w.misfit(name),
        found: d(Math.abs(t.worst.residual)),
        limit: d(t.closureLimit / 2),
        passes: t.agrees,
      })
    else rows.push({ name: w.spare(name), found: w.none, limit: '1', passes: false })
  }
  const { returned } = last
  if (returned) {
    const worst = last.setUp.circles.reduce((a, b) =>
      Math.abs(returned[b] ?? 0) > Math.abs(returned[a] ?? 0) ? b : a,
    )
    rows.push({
      name: w.returned,
      found: d(Math.abs(returned[worst] ?? 0)),
      limit: d(last.setUp.returnLimits[worst] ?? 0),
      passes: !last.flags.includes('return-to-zero'),
    })
  }
  const { play } = m
  const shown = play?.dials.find((x) => x.name === play.dial)
  if (play && shown?.worst)
    rows.push({
      name: w.play(circleName(shown.name, telling), hourName(shown.worst.clock, telling)),
      found: d(Math.abs(shown.worst.difference)),
      limit: d(play.limit),
      passes: !play.over,
    })
  const { repeat } = m
  if (!repeat || (believed && !(m.used.includes(repeat.first) && m.used.includes(repeat.second)))) return rows
  for (const circle of last.setUp.circles) {
    const worst = repeat.rows
      .filter((r) => r.what === 'position' && r.name === circle)
      .reduce<RepeatRow | null>(larger, null)
    if (worst)
      rows.push({
        name: repeatName(worst, telling),
        found: d(Math.abs(worst.difference)),
        limit: d(worst.limit),
        passes: worst.within,
      })
  }
  for (const r of repeat.rows.filter((x) => x.what === 'quantity' && !x.within))
    rows.push({
      name: repeatName(r, telling),
      found: figure(Math.abs(r.difference), r.kind, units),
      limit: figure(r.limit, r.kind, units),
      passes: false,
    })
  return rows
}
