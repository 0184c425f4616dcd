import { machineNames } from '../../../shared/wording/machineNames'
import { levelWords, tablesWords, verdictsWords } from '../../../shared/wording/en'
import type { Content, TableCell } from 'pdfmake/interfaces'
import type { CoupledState } from '../../../core/jobs/coupled'
import type { LevelReading } from '../../../core/stages/level/entries'
import { checkLevels, NO_LEVELS } from '../../../core/stages/level/levels'
import { toCore, type UnitSystem } from '../../../core/units/unitSystem'
import { clockFace } from '../../../shared/wording/clockFace'
import { figure } from '../../../shared/wording/figures'
import { shaftSlopeWords, surfaceName } from '../../../shared/wording/level'
import { changesWords } from '../../../shared/wording/leaves'
import { capital } from '../../../shared/wording/capital'
import { block, figures, grid, verdictCell, when } from '../blocks'
import type { Section } from '../section'

/** Each level as it was read and what it led to; each surface that was turned. */
export const levelAndRunout: Section<CoupledState> = (state, { telling, personName }) => {
  const { levels, runouts } = state
  const { words, units } = telling
  const w = levelWords(words)
  const names = machineNames(state)
  const by = (e: { readonly madeAt: string; readonly author: string }) =>
    `${when(e.madeAt)}, ${personName(e.author)}`
  const small = (t: number, was: UnitSystem) =>
    figure(toCore(t, 'displacement', was), 'displacement', units, { unit: true })
  const howRead = (r: LevelReading, was: UnitSystem) =>
    r.by === 'feeler'
      ? w.report.feeler(
          small(r.feeler, was),
          figure(toCore(r.supported, 'distance', was), 'distance', units, { unit: true }),
          w.ends[r.low],
        )
      : w.report.divisions(
          String(r.divisions),
          r.reversed === null ? '' : w.report.turned(String(r.reversed)),
          figure(toCore(r.sensitivity, 'slope', was), 'slope', units, { unit: true }),
        )
  const body: Content[] = levels.facts.all.map((e): Content => {
    if (e.kind === 'machine-levelled') {
      const { changes, units: was } = e.payload
      const what = changesWords(changes, was, telling)
      return { text: w.report.shimmed(by(e), what.join('; ')) }
    }
    const { machine, reading, units: was } = e.payload
    const shaft = checkLevels({ ...NO_LEVELS, [machine]: e })[machine]
    return {
      text: w.report.read(
        by(e),
        names[machine],
        howRead(reading, was),
        shaft ? shaftSlopeWords(shaft, telling) : '',
      ),
    }
  })
  if (runouts.surfaces.length > 0)
    body.push(
      grid(
        ['*', 46, 46, 46, 46, 62],
        [w.report.surface, w.view.tir, w.view.second, w.report.high, tablesWords(words).limit, ''],
        runouts.surfaces.map((s): TableCell[] => [
          capital(surfaceName(s, names, telling)),
          figures(figure(s.result.tir, 'displacement', units), s.result.verdict === 'out'),
          figures(s.result.second ? figure(s.result.second.amplitude, 'displacement', units) : '–'),
          figures(clockFace(s.result.first.highAt)),
          figures(figure(s.result.limit, 'displacement', units)),
          verdictCell(s.result.verdict, verdictsWords(words)[s.result.verdict]),
        ]),
      ),
    )
  return body.length === 0 ? [] : [block(w.report.name, ...body)]
}
