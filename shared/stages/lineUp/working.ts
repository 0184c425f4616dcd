import { degrees, gapFigure } from '../../wording/figures'
import { workingWords } from '../../wording/en'
import type { LineReading } from '../../../core/stages/lineUp/line'
import type { LogEntry } from '../../../core/logbook/entry'
import { toCore } from '../../../core/units/unitSystem'
import type { Telling } from '../../wording/telling'
import type { WorkingStep } from '../../working/step'

/** Turn, tilt, offset and fleet angles from the gaps that were read; without gaps all of them are zero. */
export const lineWorking = (
  line: LineReading,
  reading: LogEntry<'sheaves-read'> | null,
  telling: Telling,
): readonly WorkingStep[] => {
  const w = workingWords(telling.words).line
  const p = reading?.payload
  const mm = (x: number) => (p ? toCore(x, 'distance', p.units) : x)
  const g = (x: number) => gapFigure(mm(x), telling)
  const shown = (x: number) => gapFigure(x, telling)
  const [p1, p2] = [p?.p1 ?? 0, p?.p2 ?? 0]
  const r = p?.reference ?? null
  const steps: WorkingStep[] = []
  if (r)
    steps.push({
      name: w.turnOfEdge,
      formula: 'turnR = (r2 − r1) / wR',
      substituted: `(${g(r.r2)} − ${g(r.r1)}) / ${g(r.wR)}`,
      result: degrees(Math.atan((mm(r.r2) - mm(r.r1)) / mm(r.wR))),
    })
  if (p)
    steps.push({
      name: w.turn,
      formula: r ? 'turn = (p2 − p1) / w − turnR' : 'turn = (p2 − p1) / w',
      substituted: `(${g(p2)} − ${g(p1)}) / ${g(p.w)}`,
      result: degrees(line.errors.turn),
    })
  steps.push({
    name: w.offset,
    formula: r ? '(p1 + p2)/2 − (r1 + r2)/2 − C × turnR + eA − eR' : '(p1 + p2)/2 + eA − eR',
    substituted: r
      ? `(${g(p1)} + ${g(p2)})/2 − (${g(r.r1)} + ${g(r.r2)})/2 − C × turnR + ${shown(line.depths.other)} − ${shown(line.depths.reference)}`
      : `(${g(p1)} + ${g(p2)})/2 + ${shown(line.depths.other)} − ${shown(line.depths.reference)}`,
    result: shown(line.errors.offset),
    note: w.depths,
  })
  if (p?.tilt && line.errors.tilt !== null)
    steps.push({
      name: w.tilt,
      formula: 'tilt = (g12 − g6) / h',
      substituted: `(${g(p.tilt.g12)} − ${g(p.tilt.g6)}) / ${g(p.tilt.h)}`,
      result: degrees(line.errors.tilt),
    })
  steps.push({
    name: w.fleet,
    formula: w.fleetFormula,
    substituted: `atan(${shown(line.errors.offset)} / ${shown(line.drive.span)}); − ${degrees(line.errors.turn)}`,
    result: `${degrees(line.fleet.reference)}, ${degrees(line.fleet.other)}`,
    note: w.largerRules,
  })
  return steps
}
