import { DIALS } from '../../core/logbook/setUp'
import { trustOf } from '../../core/logbook/readingSet'
import type { Measurement } from '../../core/logbook/measurement'
import type { UnitSystem } from '../../core/units/unitSystem'
import { figure } from './figures'
import { repeatName } from './readings'

/** One check as a line: what was found against its limit. */
export interface TrustRow {
  readonly name: string
  readonly found: string
  readonly limit: string
  readonly passes: boolean
}

const DIAL_NAMES = { rim: 'Rim', face: 'Face' } as const

/** The checks of the latest set, and of its repeat where there is one: for the ledger and the report. */
export const trustRows = (m: Measurement, units: UnitSystem): readonly TrustRow[] => {
  const last = m.sets[m.sets.length - 1]
  if (!last) return []
  const d = (x: number) => figure(x, 'displacement', units)
  const rows: TrustRow[] = []
  for (const dial of DIALS) {
    const t = trustOf(last, dial)
    if (!t) continue
    if (t.closure !== null)
      rows.push({
        name: `${DIAL_NAMES[dial]}, sum check`,
        found: d(Math.abs(t.closure)),
        limit: d(t.closureLimit),
        passes: t.agrees !== false,
      })
    else if (t.agrees !== null)
      rows.push({
        name: `${DIAL_NAMES[dial]}, worst misfit`,
        found: d(Math.abs(t.worst.residual)),
        limit: d(t.closureLimit / 2),
        passes: t.agrees,
      })
    else rows.push({ name: `${DIAL_NAMES[dial]}, spare readings`, found: 'none', limit: '1', passes: false })
  }
  if (last.returned) {
    const worst = DIALS.reduce(
      (w, x) => (Math.abs(last.returned?.[x] ?? 0) > Math.abs(last.returned?.[w] ?? 0) ? x : w),
      'rim' as 'rim' | 'face',
    )
    rows.push({
      name: 'Return to zero',
      found: d(Math.abs(last.returned[worst])),
      limit: d(last.returnLimits[worst]),
      passes: !last.flags.includes('return-to-zero'),
    })
  }
  if (m.repeat) {
    for (const dial of DIALS) {
      const worst = m.repeat.rows
        .filter((r) => r.what === 'position' && r.name === dial)
        .reduce<(typeof m.repeat.rows)[number] | null>(
          (w, r) => (!w || Math.abs(r.difference) > Math.abs(w.difference) ? r : w),
          null,
        )
      if (worst)
        rows.push({
          name: repeatName(worst),
          found: d(Math.abs(worst.difference)),
          limit: d(worst.limit),
          passes: worst.within,
        })
    }
    for (const r of m.repeat.rows.filter((x) => x.what === 'quantity' && !x.within))
      rows.push({
        name: repeatName(r),
        found: figure(Math.abs(r.difference), r.kind, units),
        limit: figure(r.limit, r.kind, units),
        passes: false,
      })
  }
  return rows
}
