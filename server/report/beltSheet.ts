import type { Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces'
import { gaugeDeflectionOf } from '../../core/belt/beltLimits'
import { BELT_AGES, deflectionForce, type BeltSpring } from '../../core/belt/tension'
import type { BeltState } from '../../core/jobs/belt'
import { DRIVE_PLACES } from '../../core/stages/inspect/entries'
import { driveOf } from '../../core/stages/lineUp/line'
import { bandOf, pushedTogether, stiffnessOf } from '../../core/stages/tension/band'
import { valuesOf } from '../../core/stages/tension/tension'
import { toCore, type Measured, type UnitSystem } from '../../core/units/unitSystem'
import {
  beltFactsWords,
  beltsWords,
  drivesWords,
  inspectWords,
  reportWords,
  runWords,
  squareWords,
  tensionWords,
} from '../../shared/wording/en'
import { figure, gapFigure, UNIT_NAMES } from '../../shared/wording/figures'
import { amperes } from '../../shared/wording/drive'
import { forceFigure, hertzFigure } from '../../shared/wording/forces'
import { capital } from '../../shared/wording/capital'
import { beltName } from '../../shared/wording/tension'
import { block, figures, QUIET } from './blocks'
import type { Reported } from './section'
import { ruled, sheetPage } from './sheetPage'

/** Readings there is a column for: as found, and behind each correction or turn of the screws. */
const ROUNDS = 4
/** Room to write a figure, and to tick. */
const ROW = 16.5
const TICK_ROW = 15
const COLUMN = 66

const GAPS = ['r1', 'r2', 'wR', 'p1', 'p2', 'w', 'g12', 'g6', 'h'] as const

/**
 * A data sheet of a belt drive to write on at the machine: what the register knows, the inspection to tick, the motor's
 * squareness, the line of its sheaves, every belt with the turns given, and the run. Filled with what the job has read,
 * or blank.
 */
export const beltSheetDocument = (
  state: BeltState,
  report: Reported,
  filled: boolean,
): TDocumentDefinitions => {
  const { telling } = report
  const { words, units } = telling
  const w = reportWords(words).beltSheet
  const b = beltsWords(words)
  const t = tensionWords(words)
  const { machine } = state
  const own = (x: number, of: Measured = 'distance') => toCore(x, of, machine.units)
  const length = (x: number | undefined | null) =>
    x === undefined || x === null ? '' : figure(own(x), 'distance', units, { unit: true })
  const known = (text: string): TableCell => figures(filled ? text : '')
  const gap = (x: number | undefined, from: UnitSystem): TableCell =>
    known(x === undefined ? '' : gapFigure(toCore(x, 'distance', from), telling))
  const quiet = (text: string): TableCell => ({ text, color: QUIET })
  const rounds = <T>(of: readonly T[], cell: (x: T) => TableCell): TableCell[] =>
    Array.from({ length: ROUNDS }, (_, i) => (i < of.length ? cell(of[i] as T) : ''))
  const columns = (after: (n: number) => string) => [
    quiet(w.asFound),
    ...Array.from({ length: ROUNDS - 1 }, (_, i) => quiet(after(i + 1))),
  ]
  const widths = ['*', ...Array.from({ length: ROUNDS }, () => COLUMN)]

  const { motor, driven } = machine.sheaves
  const f = beltFactsWords(words)
  const setting = state.inspection.settings.map((s): [string, string] => [
    w.turnsOpen(b.sheaves[s.place]),
    s.entry ? String(s.entry.payload.turns) : '',
  ])
  const facts: readonly (readonly [name: string, value: string])[] = [
    [
      drivesWords(words).belts(machine.belts.count, drivesWords(words).beltKinds[machine.belts.kind]),
      [machine.belts.section, length(machine.belts.length)].filter(Boolean).join(', '),
    ],
    [w.diameters, `${length(motor.pitchDiameter)} / ${length(driven.pitchDiameter)}`],
    [w.centres, length(machine.centreDistance)],
    [capital(b.hubToEnd), length(machine.base.hubToShaftEnd)],
    [f.travelLeft, length(machine.base.travelLeft)],
    ...setting,
  ]

  const looked = new Map(state.inspection.places.map((p) => [p.place, p.entry?.payload ?? null]))
  const i = inspectWords(words)
  const ticks = DRIVE_PLACES.map((place): TableCell[] => {
    const found = filled ? looked.get(place) : null
    const cell = (as: 'fine' | 'put-right' | 'to-report'): TableCell => ({
      text: found?.found === as ? '×' : '',
      alignment: 'center',
    })
    return [
      i.places[place].name,
      cell('fine'),
      cell('put-right'),
      cell('to-report'),
      { text: found?.words ?? '', fontSize: 8 },
    ]
  })

  const s = squareWords(words).view
  const squared = filled ? state.squared.map((e) => e.payload) : []
  const square: TableCell[][] = [
    [s.sheaveEnd, ...rounds(squared, (p) => gap(p.sheaveEnd, p.units))],
    [s.farEnd, ...rounds(squared, (p) => gap(p.farEnd, p.units))],
  ]

  const read = filled ? state.alignment.flatMap((r) => (r.reading ? [r.reading.payload] : [])) : []
  const lastEdge = read[read.length - 1]
  const gaps = GAPS.map((box): TableCell[] => [
    b.boxes[box],
    ...rounds(read, (p) =>
      gap(
        box === 'p1' || box === 'p2' || box === 'w'
          ? p[box]
          : box === 'g12' || box === 'g6' || box === 'h'
            ? p.tilt?.[box]
            : p.reference?.[box],
        p.units,
      ),
    ),
  ])
  const half = (['p1h', 'p2h'] as const).map((box): TableCell[] => [
    b.boxes[box],
    ...rounds(read, (p) => gap(box === 'p1h' ? p.halfTurn?.p1 : p.halfTurn?.p2, p.units)),
  ])

  const drive = driveOf(machine)
  const spring: BeltSpring = { stiffness: stiffnessOf(machine), sheaves: 'free' }
  const bands = drive
    ? BELT_AGES.flatMap((age): string[] => {
        const band = bandOf(machine, drive, spring, age)
        if (!band) return []
        const at = gaugeDeflectionOf(machine, drive).value
        const [low, high] = band.tension.map(
          (x) => pushedTogether(machine) * deflectionForce(drive, spring, x, at),
        ) as [number, number]
        return [
          w.band(
            t.ages[age],
            forceFigure(low, units),
            forceFigure(high, units, true),
            gapFigure(at, telling, true),
          ),
        ]
      })
    : []
  const tensions = filled ? state.rounds.map((r) => r.reading?.payload ?? null) : []
  const turned = filled ? state.rounds.map((r) => r.adjusted?.payload ?? null) : []
  const valueAt = (n: number) => (p: (typeof tensions)[number]) => {
    const value = p && valuesOf(p.read)[n]
    if (!p || value === null || value === undefined) return ''
    if (p.read.by === 'frequency') return figures(hertzFigure(value))
    return p.read.by === 'force'
      ? figures(forceFigure(toCore(value, 'force', p.units), units))
      : gap(value, p.units)
  }
  const belts = Array.from({ length: machine.belts.count }, (_, n): TableCell[] => [
    beltName(n, machine.belts.count, telling),
    ...rounds(tensions, valueAt(n)),
  ])
  const turns = (end: 'sheaveEnd' | 'farEnd'): TableCell[] => [
    t.view[end],
    ...rounds(turned, (p) => figures(p ? String(p[end]).replace('-', '−') : '')),
  ]

  const current = state.running.rows.find((r) => r.entry?.payload.current != null)?.entry?.payload.current
  const run = runWords(words).points
  const content: readonly Content[] = [
    block(
      w.drive,
      ruled(
        ['*', 150],
        [
          [quiet(w.what), quiet(w.figure)],
          ...facts.map(([name, value]): TableCell[] => [name, known(value)]),
        ],
        TICK_ROW,
      ),
    ),
    block(
      w.inspect,
      ruled(
        ['*', 48, 54, 54, 170],
        [['', i.found.fine, i.found['put-right'], i.found['to-report'], w.words].map(quiet), ...ticks],
        TICK_ROW,
      ),
    ),
    block(w.square, ruled(widths, [[quiet(w.edge), ...columns(w.after)], ...square], ROW)),
    block(
      w.line,
      {
        text: lastEdge
          ? w.edgeLay(b.view.edgeOnNames[lastEdge.edgeOn], b.view.edgeSideNames[lastEdge.edgeSide])
          : w.edgeLies,
        margin: [0, 0, 0, 3],
      },
      { text: w.rims, margin: [0, 0, 0, 3] },
      ruled(widths, [[quiet(''), ...columns(w.after)], ...gaps, ...half], ROW),
    ),
    block(
      w.tension,
      ...bands.map((text): Content => ({ text })),
      { text: w.readBy, margin: [0, 3, 0, 3] },
      ruled(
        widths,
        [[quiet(''), ...columns(w.afterTurns)], ...belts, turns('sheaveEnd'), turns('farEnd')],
        ROW,
      ),
    ),
    block(
      w.run,
      ruled(
        ['*', COLUMN],
        [
          [quiet(w.done), quiet('')],
          [run.turned.name, ''],
          [run['guard-on'].name, ''],
          [w.current, known(current == null ? '' : amperes(current))],
          [run.listened.name, ''],
        ],
        TICK_ROW,
      ),
    ),
    { text: b.fingers, margin: [0, 6, 0, 0], color: QUIET },
  ]
  return sheetPage(report, w.title, UNIT_NAMES[units].distance, content)
}
