import type { DrumState } from '../../../core/jobs/drum'
import { drumWords } from '../../wording/en'
import { figure } from '../../wording/figures'
import type { Telling } from '../../wording/telling'
import { clockName } from '../../wording/directions'
import type { WorkingStep } from '../../working/step'
import { differencesShown, shownAt, TRAM_DIALS } from './asRead'

/** How side and top come from the readings, and how a shim told where the feet stand. */
export const tramWorking = (
  state: Pick<DrumState, 'latest' | 'levers' | 'feet' | 'moves' | 'measurements'>,
  telling: Telling,
): readonly WorkingStep[] => {
  const w = drumWords(telling.words)
  const small = (mm: number | null) =>
    mm === null ? '–' : figure(mm, 'displacement', telling.units, { sign: true })
  const far = (mm: number) => figure(mm, 'distance', telling.units, { unit: true })
  const { latest, levers, feet } = state
  const dials = TRAM_DIALS.flatMap((dial): readonly WorkingStep[] => {
    const told = differencesShown(latest, dial)
    const at = (clock: number) => small(shownAt(latest, dial, clock))
    const name = (what: string) => `${what}, ${w[dial]}`
    return [
      ...(typeof told.side === 'number'
        ? [
            {
              name: name(w.windowsWorking.side),
              formula: w.windowsWorking.sideFormula(clockName(90, telling), clockName(270, telling)),
              substituted: `${at(90)} − (${at(270)})`,
              result: small(told.side),
            },
          ]
        : []),
      ...(typeof told.top === 'number'
        ? [
            {
              name: name(w.windowsWorking.top),
              formula: w.windowsWorking.topFormula,
              substituted: `${at(0)} − (${at(90)} + ${at(270)})/2`,
              result: small(told.top),
            },
          ]
        : []),
    ]
  })
  const [near, outer] = feet.movable
  if (levers.from !== 'learned' || !near || !outer) return dials
  const move = state.moves[levers.move - 1]
  const made = move?.footwork.moves.filter((m) => m.machine === 'movable') ?? []
  const plane = made[0]?.v !== made[1]?.v ? 'v' : 'h'
  const [a, b] = [made[0]?.[plane] ?? 0, made[1]?.[plane] ?? 0]
  const [before, after] = [state.measurements[levers.move - 1], state.measurements[levers.move]]
  const change = (q: 'offset' | 'slope') =>
    (after?.coupling?.[q][plane] ?? 0) - (before?.coupling?.[q][plane] ?? 0)
  const slope = figure(change('slope'), 'slope', telling.units, { sign: true, unit: true })
  return [
    ...dials,
    {
      name: w.learnedWorking.span,
      formula: w.learnedWorking.spanFormula,
      substituted: `(${small(b)} − (${small(a)})) / ${slope}`,
      result: far(outer.x - near.x),
    },
    {
      name: w.learnedWorking.near,
      formula: w.learnedWorking.nearFormula,
      substituted: `(${small(a)} − (${small(change('offset'))})) / ${slope}`,
      result: far(near.x),
    },
  ]
}
