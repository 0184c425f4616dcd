import type { Content } from 'pdfmake/interfaces'
import type { BeltState } from '../../../core/jobs/belt'
import type { LogEntry } from '../../../core/logbook/entry'
import {
  amperes,
  meaningOfFit,
  meaningOfRecheck,
  meaningOfSquare,
  settingWords,
} from '../../../shared/wording/drive'
import { inspectWords, reportWords, runWords, slackOffWords } from '../../../shared/wording/en'
import { toCore } from '../../../core/units/unitSystem'
import { figure } from '../../../shared/wording/figures'
import { capital } from '../../../shared/wording/capital'
import type { Telling } from '../../../shared/wording/telling'
import { block, when } from '../blocks'
import type { Section } from '../section'

/** Which belts went on: how long, matched or not, and out of the stores. */
const fittedWords = (
  { length, units, matched, spares }: LogEntry<'belts-fitted'>['payload'],
  telling: Telling,
): string => {
  const w = reportWords(telling.words).driveWork.fitted
  const said = [
    ...(length === null
      ? []
      : [w.long(figure(toCore(length, 'distance', units), 'distance', telling.units, { unit: true }))]),
    ...(matched === null ? [] : [matched ? w.matched : w.notMatched]),
    ...(spares ? [w.stores] : []),
  ]
  return said.length === 0 ? '' : `${capital(said.join(', '))}.`
}

/** What was done about the drive besides its line and tension, in the order of the work. */
export const driveWork: Section<BeltState> = (state, { telling, personName, photographs }) => {
  const { words } = telling
  const w = reportWords(words).driveWork
  const by = (e: Pick<LogEntry, 'madeAt' | 'author'>) => `${when(e.madeAt)}, ${personName(e.author)}`
  const { slack, inspection, square, fitted, recheck, tensionLeft, running } = state
  const i = inspectWords(words)
  const fine = inspection.places
    .filter((p) => p.entry?.payload.found === 'fine')
    .map((p) => i.places[p.place].name)
  const lines: readonly string[] = [
    ...(slack ? [w.line(by(slack), slackOffWords(words)[slack.payload.belts], slack.payload.words)] : []),
    ...(fine.length > 0 ? [w.fine(fine.join(', '))] : []),
    ...inspection.places.flatMap(({ place, entry }) =>
      entry && entry.payload.found !== 'fine'
        ? [w.line(by(entry), `${i.places[place].name}, ${i.found[entry.payload.found]}`, entry.payload.words)]
        : [],
    ),
    ...inspection.settings.flatMap((s) =>
      s.entry ? [w.line(by(s.entry), settingWords(s, telling), '')] : [],
    ),
    ...(square
      ? [
          w.line(
            by(square.entry),
            meaningOfSquare(square, false, telling).headline,
            square.entry.payload.words,
          ),
        ]
      : []),
    ...(fitted.entry
      ? [
          w.line(
            by(fitted.entry),
            [meaningOfFit(state, telling).headline, fittedWords(fitted.entry.payload, telling)]
              .filter(Boolean)
              .join(' '),
            fitted.entry.payload.words,
          ),
        ]
      : []),
    ...(recheck.facts.entry
      ? [
          w.line(
            by(recheck.facts.entry),
            `${w.tightened} ${meaningOfRecheck(recheck, tensionLeft !== null, telling).headline}`,
            recheck.facts.entry.payload.words,
          ),
        ]
      : []),
    ...running.rows.flatMap(({ point, entry }) =>
      entry
        ? [
            w.line(
              by(entry),
              `${runWords(words).points[point].name}: ${w.found[entry.payload.found]}${
                entry.payload.current === null ? '' : `, ${amperes(entry.payload.current)}`
              }.`,
              entry.payload.words,
            ),
          ]
        : [],
    ),
  ]
  const pictures = inspection.places.flatMap(({ place, entry }) =>
    (entry?.payload.photographs ?? []).flatMap((id, n): Content[] => {
      const picture = photographs[id]
      const name = i.view.photograph(n + 1, i.places[place].name)
      return picture ? [{ image: picture, width: 180 }, { text: name }] : [{ text: w.onTheWay(name) }]
    }),
  )
  if (lines.length === 0) return []
  return [block(w.name, ...lines.map((text): Content => ({ text })), ...pictures)]
}
