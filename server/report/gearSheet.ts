import type { Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces'
import { RUNS } from '../../core/gear/contactFigures'
import type { GearState } from '../../core/jobs/gear'
import { backlashWindow } from '../../core/register/gearMachine'
import { GEAR_PLACES } from '../../core/stages/gearLook/entries'
import { fromCore, toCore } from '../../core/units/unitSystem'
import { FLANK, flankOutline, atPercent } from '../../shared/stages/contact/drawing'
import { backlashWindowWords } from '../../shared/wording/backlash'
import { backlashWords, gearWords, inspectWords, placesWords, reportWords } from '../../shared/wording/en'
import { figure, UNIT_NAMES } from '../../shared/wording/figures'
import { contactLimitSource, endOf, leverName, percentFigure } from '../../shared/wording/gearContact'
import { layerFigure } from '../../shared/wording/gearPrepare'
import { capital } from '../../shared/wording/capital'
import { block, figures, QUIET } from './blocks'
import type { Reported } from './section'
import { ruled, sheetPage } from './sheetPage'

/** Rounds there is a row for, the pattern as found before them. */
const ROUNDS = 5
const ROW = 17
const TICK_ROW = 15

const EMPTY_FLANK = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${FLANK.width} ${FLANK.axis + 16}"><path d="${flankOutline()}" fill="none" stroke="#222" stroke-width="1.5"/><path d="M${FLANK.left} ${FLANK.axis}H${FLANK.right}" stroke="#555"/>${Array.from(
  { length: 11 },
  (_, i) =>
    `<path d="M${atPercent(10 * i)} ${FLANK.axis}v-${i % 5 === 0 ? 9 : 5}" stroke="#555"/>${
      i % 5 === 0
        ? `<text x="${atPercent(10 * i)}" y="${FLANK.axis + 14}" font-size="11" text-anchor="middle">${10 * i}</text>`
        : ''
    }`,
).join('')}</svg>`

/**
 * A data sheet of a gearset to write on at the machine: what the register wants of it, the places to tick, both flanks
 * to draw the paint on, a row a round, the backlash round the gear and the layers. Filled with what the job has read, or blank.
 */
export const gearSheetDocument = (
  state: GearState,
  report: Reported,
  filled: boolean,
): TDocumentDefinitions => {
  const { telling } = report
  const { words, units } = telling
  const w = reportWords(words).gearSheet
  const g = gearWords(words)
  const b = backlashWords(words)
  const { machine, contact, layers, rounds, looks } = state
  const quiet = (text: string): TableCell => ({ text, color: QUIET })
  const known = (text: string): TableCell => figures(filled ? text : '')
  const mm = (x: number) => figure(x, 'displacement', units, { unit: true })
  const wanted = contact.wanted?.zones
  const facts: readonly (readonly [string, string])[] = [
    [g.register.pressureAngle, String(machine.gear.pressureAngle)],
    [w.rule, g.schools[machine.gear.school]],
    ...RUNS.map((run): readonly [string, string] => [
      w.wanted(g.run[run]),
      wanted ? `${percentFigure(wanted[run][0])}–${percentFigure(wanted[run][1])} %` : '',
    ]),
    [b.view.title, backlashWindowWords(backlashWindow(machine), telling)],
    [b.under, `${layers.now.join(' / ')} × ${layerFigure(layers.thickness, telling)}`],
  ]
  const i = inspectWords(words)
  const ticks = GEAR_PLACES.map((place): TableCell[] => {
    const found = filled ? looks.facts.looked.get(place)?.payload : undefined
    const cell = (as: 'fine' | 'put-right' | 'to-report'): TableCell => ({
      text: found?.found === as ? '×' : '',
      alignment: 'center',
    })
    return [
      placesWords(words)[place].name,
      cell('fine'),
      cell('put-right'),
      cell('to-report'),
      { text: found?.words ?? '', fontSize: 8 },
    ]
  })
  const zoneCells = (entry: (typeof rounds)[number]['painted']): TableCell[] =>
    RUNS.flatMap((run): TableCell[] => {
      const zone = entry?.payload[run]
      return [known(zone ? percentFigure(zone[0]) : ''), known(zone ? percentFigure(zone[1]) : '')]
    })
  const changeOf = (n: number): string => {
    const change = rounds[n]?.change
    if (change?.kind === 'gear-shifted') {
      const far = toCore(change.payload.by, 'displacement', change.payload.units)
      return `${capital(leverName(change.payload.lever, machine, telling))} ${mm(Math.abs(far))}, ${endOf(machine, far)}`
    }
    if (change?.kind === 'layers-changed')
      return change.payload.layers.map((x) => String(x).replace('-', '−')).join(' / ')
    return ''
  }
  const rows = [
    [w.asFound, ...zoneCells(state.pattern), known('')],
    ...Array.from({ length: ROUNDS }, (_, n): TableCell[] => [
      w.round(n + 1),
      ...zoneCells(rounds[n]?.painted ?? null),
      { text: filled ? changeOf(n) : '', fontSize: 8 },
    ]),
  ]
  const play = Array.from({ length: ROUNDS }, (_, n): TableCell[] => {
    const read = rounds[n]?.backlash?.payload
    return [
      w.round(n + 1),
      ...Array.from({ length: 4 }, (__, at): TableCell => {
        const value = read?.readings[at]
        return known(
          read && value !== undefined
            ? String(
                Number(
                  fromCore(toCore(value, 'displacement', read.units), 'displacement', units).toFixed(
                    units === 'inch' ? 1 : 3,
                  ),
                ),
              )
            : '',
        )
      }),
    ]
  })
  const content: readonly Content[] = [
    block(
      w.gearset,
      ruled(
        ['*', 270],
        [
          [quiet(w.what), quiet(w.figure)],
          ...facts.map(([name, value]): TableCell[] => [name, known(value)]),
        ],
        TICK_ROW,
      ),
    ),
    block(
      w.look,
      ruled(
        ['*', 48, 54, 54, 170],
        [['', i.found.fine, i.found['put-right'], i.found['to-report'], g.view.words].map(quiet), ...ticks],
        TICK_ROW,
      ),
    ),
    block(
      w.paint(machine.gear.ends.from, machine.gear.ends.to),
      {
        columns: RUNS.map((run): Content => ({
          stack: [
            { text: g.runs[run], color: QUIET },
            { svg: EMPTY_FLANK, width: 235 },
          ],
        })),
        columnGap: 16,
      },
      ruled(
        ['*', 48, 48, 48, 48, 170],
        [['', w.begins(g.run.forward), w.ends, w.begins(g.run.back), w.ends, w.then].map(quiet), ...rows],
        ROW,
      ),
    ),
    block(
      `${b.view.title}, ${UNIT_NAMES[units].displacement}, ${b.by[machine.gear.backlash.by].toLowerCase()}`,
      ruled(
        ['*', 66, 66, 66, 66],
        [['', ...Array.from({ length: 4 }, (_, n) => b.view.reading(n + 1))].map(quiet), ...play],
        ROW,
      ),
    ),
    { text: `${g.caution} ${g.cautionLoad}`, margin: [0, 6, 0, 0], color: QUIET },
    { text: `${capital(contactLimitSource(machine, telling))}.`, color: QUIET },
  ]
  return sheetPage(report, w.title, UNIT_NAMES[units].displacement, content)
}
