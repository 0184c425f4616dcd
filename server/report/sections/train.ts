import type { Content, TableCell } from 'pdfmake/interfaces'
import { PLANES } from '../../../core/frame/planes'
import type { CoupledState } from '../../../core/jobs/coupled'
import type { PartState, TrainState } from '../../../core/jobs/train'
import { machinesMoved } from '../../../core/stages/trainPlan/plans'
import { partMachine } from '../../../shared/register/partMachine'
import { leftTrain } from '../../../shared/stages/trainPlan/drawing'
import { bothViews, type TrainView } from '../../../shared/drawing/trainView'
import {
  closingWords,
  directionsWords,
  reportWords,
  tablesWords,
  trainWords,
  verdictsWords,
} from '../../../shared/wording/en'
import { UNIT_NAMES } from '../../../shared/wording/figures'
import { misalignmentWords, offsetWords } from '../../../shared/wording/directions'
import { limitSource } from '../../../shared/wording/tolerances'
import { machinesNamed, packsTold } from '../../../shared/wording/train'
import type { Telling } from '../../../shared/wording/telling'
import { block, figures, grid, heading, QUIET, verdictCell, when } from '../blocks'
import type { Reported, Section } from '../section'

/** The report as it is told of one part. */
const toldOf = ({ part }: PartState, report: Reported): Reported => ({
  ...report,
  telling: report.telling.of(part.machine),
  machine: partMachine(report.machine, part),
  logbook: report.logbook.filter((e) => e.part === part.id),
})

const partsTold = (
  parts: readonly PartState[],
  sections: readonly Section<CoupledState>[],
  report: Reported,
  title: (part: PartState) => string,
  note: (part: PartState) => string,
): readonly Content[] =>
  parts.flatMap((p) => {
    const told = toldOf(p, report)
    const body = sections.flatMap((section) => section(p.state, told))
    const under = note(p)
    return body.length === 0
      ? []
      : [heading(title(p)), ...(under ? [{ text: under, color: QUIET, fontSize: 8.5 }] : []), ...body]
  })

/** These sections of every coupling, each under its name. */
export const atCouplings =
  (...sections: readonly Section<CoupledState>[]): Section<TrainState> =>
  (state, report) => {
    const w = trainWords(report.telling.words).report
    return partsTold(
      state.couplings,
      sections,
      report,
      ({ part, state: own }) => w.couplingName(part.name, String(Math.round(own.rpm))),
      ({ part }) => w.reader(part.machine.stationaryName.toLowerCase()),
    )
  }

/** These sections of every machine, each under its name. */
export const atMachines =
  (...sections: readonly Section<CoupledState>[]): Section<TrainState> =>
  (state, report) =>
    partsTold(
      state.machines,
      sections,
      report,
      ({ part }) => trainWords(report.telling.words).report.machine(part.name),
      () => '',
    )

const n = (x: number) => x.toFixed(1)

/** One view of the whole line in black on white: as found dashed, as left whole, a gate at every coupling. */
const lineSvg = (view: TrainView, names: readonly string[], told: string): string => {
  const escaped = (s: string) => s.replaceAll('&', '&amp;').replaceAll('<', '&lt;')
  const line = (p: readonly { x: number; y: number }[], dashed: boolean) =>
    `<path d="M${p.map((q) => `${n(q.x)} ${n(q.y)}`).join('L')}" fill="none" stroke="black" stroke-width="${dashed ? 1 : 2}"${dashed ? ' stroke-dasharray="6 4"' : ''}/>`
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${view.width} ${view.height}" width="${view.width}" height="${view.height}">`,
    `<text x="0" y="14" font-family="Text" font-size="13">${escaped(told)}</text>`,
    `<path d="M0 ${n(view.zero)}H${view.width}" stroke="black" stroke-width="0.4" stroke-dasharray="2 4"/>`,
    ...view.machines.flatMap((m, i) => [
      line(m.now, true),
      line(m.after, false),
      ...m.feet.map((f) => `<circle cx="${n(f.after.x)}" cy="${n(f.after.y)}" r="4" fill="black"/>`),
      `<text x="${n((m.left + m.right) / 2)}" y="${view.height - 8}" font-family="Text" font-size="13" text-anchor="middle">${escaped(names[i] ?? '')}</text>`,
    ]),
    ...view.couplings.map((c) =>
      c.gate
        ? `<path d="M${n(c.x - 8)} ${n(c.gate.top)}h16m-8 0v-8M${n(c.x - 8)} ${n(c.gate.bottom)}h16m-8 0v8" stroke="black" fill="none"/>`
        : '',
    ),
    '</svg>',
  ].join('')
}

const judgedRows = (state: TrainState, telling: Telling): TableCell[][] =>
  state.couplings.map(({ part, state: own }) => {
    const told = telling.of(part.machine)
    const said = (which: 'asFound' | 'asLeft') => {
      const line = own[which]?.coupling
      return line ? misalignmentWords(line, false, told) : closingWords(telling.words).notMeasured
    }
    const verdict = own.asLeft?.judgement?.verdict ?? 'unknown'
    return [
      part.name,
      figures(String(Math.round(own.rpm))),
      { text: said('asFound') },
      { text: said('asLeft') },
      verdictCell(verdict, verdictsWords(telling.words)[verdict]),
    ]
  })

/** The whole line at one look: every coupling judged, and the line drawn as found and as left. */
export const trainResult: Section<TrainState> = (state, { telling }) => {
  const { words } = telling
  const w = trainWords(words)
  const t = tablesWords(words)
  const drawn = leftTrain(state)
  const names = state.machine.machines.map((m) => m.name)
  const views = (drawn ? bothViews(drawn) : []).map(({ plane, view }): Content => ({
    svg: lineSvg(
      view,
      names,
      `${directionsWords(words).views[plane]}, ${reportWords(words).result.exaggerated(view.exaggeration)}`,
    ),
    width: 510,
  }))
  return [
    block(
      w.report.line,
      grid(
        [110, 34, '*', '*', 62],
        [w.closing.coupling, 'rpm', t.asFound, t.asLeft, ''],
        judgedRows(state, telling),
      ),
      { text: w.report.frame((names[0] ?? '').toLowerCase()), color: QUIET },
      ...state.couplings.map(({ part, state: own }): Content => ({
        text: `${part.name}: ${limitSource(own, telling.of(part.machine))}`,
        color: QUIET,
      })),
      ...views,
      ...(views.length > 0 ? [{ text: reportWords(words).result.legend, color: QUIET }] : []),
    ),
  ]
}

/** Machines held and freed, plans taken, how the line grows. */
export const trainPlans: Section<TrainState> = (state, { logbook, telling }) => {
  const { words, units } = telling
  const w = trainWords(words)
  const nameOf = (id: string) => state.machine.machines.find((m) => m.id === id)?.name ?? id
  const freed = logbook.flatMap((e) =>
    e.kind === 'machine-freed'
      ? [w.report.freed(nameOf(e.payload.machine), e.payload.may, e.payload.why)]
      : [],
  )
  const plans = logbook.flatMap((e) =>
    e.kind === 'train-plan-chosen'
      ? [
          w.report.plan(
            when(e.madeAt),
            w.plan.names[e.payload.option].toLowerCase(),
            machinesNamed([...machinesMoved(e)], state, telling),
          ),
        ]
      : [],
  )
  const grows = state.growth
    ? state.couplings.map(({ part, state: own }) => {
        const told = telling.of(part.machine)
        return w.growth.makes(
          part.name,
          PLANES.map((p) => offsetWords(own.target.offset[p], p, told)).join(', '),
        )
      })
    : []
  return [
    ...(freed.length > 0 ? [block(w.report.heldMachines, { ul: freed })] : []),
    ...(plans.length > 0 ? [block(w.report.plans, { ul: plans })] : []),
    ...(grows.length > 0
      ? [
          block(
            w.report.grows,
            { ul: grows },
            ...(state.growth?.set.source ? [{ text: state.growth.set.source, color: QUIET }] : []),
          ),
        ]
      : []),
    block(
      w.report.packs,
      { ul: packsTold(state.machines, telling) },
      { text: UNIT_NAMES[units].displacement, color: QUIET, fontSize: 8 },
    ),
  ]
}

/** What the register took over from a closed job; nothing while it is open. */
export const trainTaken: Section<TrainState> = (state, { telling }) => {
  if (!state.closing) return []
  const moved = state.machines.filter((m) => m.state.shimmed)
  const lines = [
    ...packsTold(moved, telling),
    ...(state.growth?.from === 'job' ? [trainWords(telling.words).taken.growth] : []),
  ]
  return lines.length > 0 ? [block(closingWords(telling.words).register.name, { ul: lines })] : []
}
