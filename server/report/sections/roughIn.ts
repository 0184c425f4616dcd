import { movableName } from '../../../shared/wording/machineNames'
import { roughInWords, verdictsWords } from '../../../shared/wording/en'
import type { Content, TableCell } from 'pdfmake/interfaces'
import type { CoupledState } from '../../../core/jobs/coupled'
import type { FeltPlace } from '../../../core/stages/roughIn/entries'
import { toCore, type UnitSystem } from '../../../core/units/unitSystem'
import { hourName, sideWords } from '../../../shared/wording/directions'
import { thickness } from '../../../shared/wording/figures'
import { changesWords } from '../../../shared/wording/leaves'
import { feltWords, roughLimitWords } from '../../../shared/wording/roughIn'
import { block, grid, QUIET, verdictCell, when } from '../blocks'
import type { Section } from '../section'

/** Each look at the hubs: what the feelers found, how it was judged, and what was done about it. */
export const roughInLooks: Section<CoupledState> = (state, { telling, personName, machine }) => {
  const { roughIn } = state
  const { words, units, footNames } = telling
  const w = roughInWords(words)
  const by = (e: { readonly madeAt: string; readonly author: string }) =>
    `${when(e.madeAt)}, ${personName(e.author)}`
  const mm = (t: number, was: UnitSystem) => toCore(t, 'displacement', was)
  const stationary = 'stationaryName' in machine ? machine.stationaryName.toLowerCase() : ''
  const placeWords = (p: FeltPlace, was: UnitSystem, step: boolean): string => {
    const hour = hourName(p.clock, telling)
    const thick = (t: number) => `${thickness(Math.abs(mm(t, was)), units)}`
    if ('stops' in p) return w.report.place(hour, w.report.stops(thick(p.stops)))
    if ('passes' in p) return w.report.place(hour, w.report.passes(thick(p.passes)))
    return w.report.place(
      hour,
      step && p.value !== 0
        ? w.report.higher(thick(p.value), p.value > 0 ? movableName(state) : stationary)
        : thick(p.value),
    )
  }
  const body: Content[] = []
  let look = 0
  roughIn.rounds.forEach((round, i) => {
    const reading = roughIn.readings[i]
    if (round.felt && reading) {
      look++
      const { steps, gaps, units: was, coupled, remark } = round.felt.payload
      const parts = [
        ...(steps.length > 0 ? [w.report.steps(steps.map((p) => placeWords(p, was, true)).join('; '))] : []),
        ...(gaps.length > 0 ? [w.report.gaps(gaps.map((p) => placeWords(p, was, false)).join('; '))] : []),
        ...(coupled ? [w.report.coupled] : []),
      ]
      body.push({ text: `${w.report.look(look, by(round.felt))}: ${parts.join('; ')}.` })
      const rows = (['v', 'h'] as const).flatMap((p) =>
        (['steps', 'openings'] as const).flatMap((what): TableCell[][] => {
          const q = reading[what][p]
          if (q.verdict === null) return []
          const name = what === 'steps' ? w.view.stepRow[p] : w.view.faceRow[p]
          return [
            [
              name,
              feltWords(q, what === 'steps' ? 'step' : 'opening', p, telling),
              verdictCell(q.verdict, verdictsWords(words)[q.verdict]),
            ],
          ]
        }),
      )
      body.push(grid(['*', 150, 70], ['', w.view.found, ''], rows))
      if (remark) body.push({ text: w.report.remark(remark) })
    }
    if (round.moved) {
      const { changes, side, units: was, remark } = round.moved.payload
      const done = [
        ...changesWords(changes, was, telling),
        ...side
          .filter((s) => s.moved !== 0)
          .map((s) => w.report.pushed(footNames(s.pair), sideWords(mm(s.moved, was), telling))),
      ]
      body.push({
        text: w.report.done(by(round.moved), done.join('; ')) + (remark ? ` ${w.report.remark(remark)}` : ''),
      })
    }
  })
  if (body.length === 0) return []
  if (roughIn.latest)
    body.push({ text: w.report.limit(roughLimitWords(roughIn.latest, telling)), color: QUIET })
  if (roughIn.proves) body.push({ text: w.report.proved, bold: true })
  return [block(w.report.name, ...body)]
}
