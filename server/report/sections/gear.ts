import type { Content, TableCell } from 'pdfmake/interfaces'
import type { GearState } from '../../../core/jobs/gear'
import type { LogEntry } from '../../../core/logbook/entry'
import { RUNS, type PaintedZone } from '../../../core/gear/contactFigures'
import { backlashWindow } from '../../../core/register/gearMachine'
import { gearRegisterChanges } from '../../../core/stages/close/gearRegister'
import { toCore } from '../../../core/units/unitSystem'
import { atPercent, FLANK, flankOutline, zoneOutline } from '../../../shared/stages/contact/drawing'
import {
  backlashFigure,
  backlashWindowWords,
  layersSeenWords,
  layersWords,
} from '../../../shared/wording/backlash'
import {
  backlashWords,
  closingWords,
  gearPrepareWords,
  gearWords,
  lookWords,
  reportWords,
  runWords,
  tablesWords,
  verdictsWords,
} from '../../../shared/wording/en'
import { amperes } from '../../../shared/wording/drive'
import { figure } from '../../../shared/wording/figures'
import {
  contactLimit,
  contactLimitSource,
  contactQuantityName,
  leverName,
  offWords,
  percentFigure,
  shiftFigure,
  shiftReadWords,
  endOf,
} from '../../../shared/wording/gearContact'
import { layersLines, meaningOfGearTighten } from '../../../shared/wording/gearPrepare'
import { gearRegisterWords } from '../../../shared/wording/gearRegister'
import { capital } from '../../../shared/wording/capital'
import type { Telling } from '../../../shared/wording/telling'
import { block, figures, grid, QUIET, verdictCell, when } from '../blocks'
import { pictureRows } from '../pictures'
import type { Reported, Section } from '../section'

/** A flank as it prints: the paint hatched, the wanted zone dashed, both to the scale of the face. */
const flankSvg = (paint: PaintedZone | null, wanted: PaintedZone | null): string => {
  const ticks = Array.from({ length: 11 }, (_, i) => {
    const x = atPercent(10 * i)
    return `<path d="M${x} ${FLANK.axis}v-6" stroke="#555"/>`
  }).join('')
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${FLANK.width} ${FLANK.axis + 4}"><path d="${flankOutline()}" fill="none" stroke="#222" stroke-width="1.5"/>${
    paint ? `<path d="${zoneOutline(paint, 12)}" fill="#b8bcd8" stroke="#222"/>` : ''
  }${
    wanted
      ? `<path d="${zoneOutline(wanted, 8)}" fill="none" stroke="#222" stroke-width="1.5" stroke-dasharray="6 4"/>`
      : ''
  }<path d="M${FLANK.left} ${FLANK.axis}H${FLANK.right}" stroke="#555"/>${ticks}</svg>`
}

const zoneWords = (zone: PaintedZone | null, telling: Telling): string => {
  const w = gearWords(telling.words).view
  return zone ? w.zone(percentFigure(zone[0]), percentFigure(zone[1])) : w.unseen
}

const by = ({ personName }: Reported, e: Pick<LogEntry, 'madeAt' | 'author'>) =>
  `${when(e.madeAt)}, ${personName(e.author)}`

/** The contact as it was left against what was wanted, both flanks drawn, and the backlash. */
export const gearResult: Section<GearState> = ({ contact, backlash, machine }, { telling }) => {
  const { words } = telling
  const w = reportWords(words)
  const g = gearWords(words)
  const t = tablesWords(words)
  const { left, asFound, wanted } = contact
  if (!left && !backlash.left) return [block(w.gear.result, { text: w.result.nothing })]
  const found = (name: string) => asFound?.figures?.quantities.find((q) => q.name === name)
  const window = backlashWindow(machine)
  const rows: TableCell[][] = [
    ...(left?.figures?.quantities ?? []).map((q): TableCell[] => {
      const before = found(q.name)
      return [
        contactQuantityName(q, telling),
        figures(before ? percentFigure(before.value, q.quantity === 'off') : '–'),
        figures(percentFigure(q.value, q.quantity === 'off'), true),
        figures(contactLimit(q)),
        verdictCell(q.verdict, verdictsWords(words)[q.verdict]),
      ]
    }),
    ...(backlash.left
      ? [
          [
            w.gear.backlash,
            figures('–'),
            figures(figure(backlash.left.worst, 'displacement', telling.units), true),
            figures(backlashWindowWords(window, telling)),
            verdictCell(backlash.left.verdict, verdictsWords(words)[backlash.left.verdict]),
          ] as TableCell[],
        ]
      : []),
  ]
  const flanks = left
    ? [
        {
          columns: RUNS.map((run): Content => ({
            stack: [
              { text: g.runs[run], color: QUIET },
              { svg: flankSvg(left.zones[run], wanted?.zones[run] ?? null), width: 230 },
              { text: zoneWords(left.zones[run], telling), fontSize: 8, color: QUIET },
            ],
          })),
          columnGap: 16,
          margin: [0, 6, 0, 0] as [number, number, number, number],
        },
        { text: w.gear.legend(machine.gear.ends.from, machine.gear.ends.to), color: QUIET },
      ]
    : []
  return [
    block(
      w.gear.result,
      grid(['*', 58, 58, 100, 62], ['', t.asFound, t.asLeft, t.limit, ''], rows),
      {
        text: `${capital(contactLimitSource(machine, telling))}.${wanted ? ` ${w.gear.wanted(g.wantedFrom[wanted.from])}` : ` ${g.unjudged}`}`,
        color: QUIET,
      },
      ...(left?.figures
        ? [
            {
              text: `${g.figures.together}: ${offWords(left.figures.together, machine, telling)}. ${g.figures.apart}: ${percentFigure(Math.abs(left.figures.apart))} %.`,
            },
          ]
        : []),
      ...flanks,
      { text: g.underLoad, color: QUIET },
    ),
  ]
}

/** The pattern before it was opened, its layers and marks, and how it went back. */
export const gearFound: Section<GearState> = (state, report) => {
  const { telling, photographs } = report
  const { words } = telling
  const w = reportWords(words).gear
  const p = gearPrepareWords(words)
  const { pattern, refit, layerFacts, machine } = state
  const marked = layerFacts.marked
  const lines = [
    ...(pattern
      ? [
          w.pattern(
            by(report, pattern),
            RUNS.map(
              (run) => `${gearWords(words).run[run]} ${zoneWords(pattern.payload[run], telling)}`,
            ).join('; '),
            pattern.payload.words,
          ),
        ]
      : []),
    ...(marked ? [`${by(report, marked)}: ${layersLines(state, telling).join('. ')}.`] : []),
    ...(refit
      ? [
          `${by(report, refit)}: ${p.refit.bearings[refit.payload.bearings]}. ${p.refit.done[refit.payload.pins]} ${refit.payload.words}`.trim(),
        ]
      : []),
    ...(['covers', 'seals', 'waiting'] as const).flatMap((note) =>
      machine.gear.notes[note] ? [`${p.refit[note]}: ${machine.gear.notes[note]}`] : [],
    ),
  ]
  const pictures = [
    ...(pattern?.payload.photographs ?? []).map((id) => ({
      picture: photographs[id],
      caption: pattern ? w.picture(by(report, pattern)) : '',
    })),
    ...(marked?.payload.photographs ?? []).map((id) => ({
      picture: photographs[id],
      caption: marked ? w.markPicture(by(report, marked)) : '',
    })),
  ]
  if (lines.length === 0 && pictures.length === 0) return []
  return [
    block(w.found, ...(lines.length > 0 ? [{ ul: lines }] : [])),
    ...pictureRows(pictures, lookWords(words).report.notHere),
  ]
}

/** Round by round: the paint, what was shifted or laid, what it did. */
export const gearRounds: Section<GearState> = (state, report) => {
  const { telling } = report
  const { words, units } = telling
  const w = reportWords(words).gear
  const g = gearWords(words)
  const { contact, backlash, rounds, machine } = state
  const lines = rounds.flatMap(({ painted, backlash: read, change }, i): string[] => {
    const figuresOf = contact.reads[i]?.figures
    const shift = contact.shifts.find((s) => s.round === i + 1)
    const seen = contact.layersSeen.find((s) => s.round === i + 1)
    const judged = backlash.reads[i]
    return [
      ...(painted
        ? [
            w.painted(
              i + 1,
              by(report, painted),
              RUNS.map((run) => `${g.run[run]} ${zoneWords(painted.payload[run], telling)}`).join('; '),
              figuresOf
                ? `${g.figuresIn.together} ${percentFigure(figuresOf.together, true)} %, ${g.figuresIn.apart} ${percentFigure(figuresOf.apart, true)} %`
                : '',
              painted.payload.words,
            ),
          ]
        : []),
      ...(read && judged
        ? [
            w.read(
              i + 1,
              by(report, read),
              read.payload.readings
                .map((r) => figure(toCore(r, 'displacement', read.payload.units), 'displacement', units))
                .join(', '),
              backlashWords(words).by[read.payload.by],
              backlashFigure(judged.worst, machine, telling),
            ),
          ]
        : []),
      ...(change?.kind === 'gear-shifted'
        ? [
            shift
              ? `${by(report, change)}: ${shiftReadWords(shift, machine, telling)}`
              : w.shifted(
                  by(report, change),
                  leverName(change.payload.lever, machine, telling),
                  shiftFigure(toCore(change.payload.by, 'displacement', change.payload.units), telling),
                  endOf(machine, change.payload.by),
                ),
          ]
        : []),
      ...(change?.kind === 'layers-changed'
        ? [
            `${by(report, change)}: ${change.payload.layers.map((n, b) => `${backlashWords(words).blockName(b + 1)} ${layersWords(n, telling)}`).join(', ')}.`,
          ]
        : []),
      ...(seen ? [layersSeenWords(seen, telling)] : []),
    ]
  })
  return lines.length === 0 ? [] : [block(w.rounds, { ul: lines })]
}

/** What tightening did, the pins, and how it ran. */
export const gearFinished: Section<GearState> = (state, report) => {
  const { telling } = report
  const { words } = telling
  const w = reportWords(words)
  const { gearRecheck, looks, running } = state
  const lines = [
    ...(gearRecheck.entry
      ? [
          `${by(report, gearRecheck.entry)}: ${meaningOfGearTighten(state, telling).headline} ${gearRecheck.entry.payload.words}`.trim(),
        ]
      : []),
    ...looks.facts.all.flatMap((e) =>
      e.kind === 'pins-handled'
        ? [lookWords(words).report.pins(by(report, e), lookWords(words).pins[e.payload.did])]
        : [],
    ),
    ...running.rows.flatMap(({ point, entry }) =>
      entry
        ? [
            w.driveWork.line(
              by(report, entry),
              `${runWords(words).points[point].name}: ${w.driveWork.found[entry.payload.found]}${
                entry.payload.current === null ? '' : `, ${amperes(entry.payload.current)}`
              }.`,
              entry.payload.words,
            ),
          ]
        : [],
    ),
  ]
  return lines.length === 0 ? [] : [block(w.gear.finished, { ul: lines })]
}

/** What the register took over; nothing while the job is open. */
export const gearTaken: Section<GearState> = (state, { telling }) => {
  const lines = state.closing ? gearRegisterWords(gearRegisterChanges(state), state.machine, telling) : []
  return lines.length > 0 ? [block(closingWords(telling.words).register.name, { ul: [...lines] })] : []
}
