import { flangeWords, pushingWords, reportWords, setsWords } from '../../../shared/wording/en'
import type { Content, TableCell } from 'pdfmake/interfaces'
import { rockOf } from '../../../core/flange/flangePlane'
import type { FlangeState } from '../../../core/jobs/flange'
import type { FlangeMoveRecord } from '../../../core/stages/flangeMove/moves'
import { rockLimit } from '../../../core/stages/flangePlan/plans'
import { toCore, type UnitSystem } from '../../../core/units/unitSystem'
import { flangeDrawing } from '../../../shared/drawing/flangeClock'
import { boltWords, torqueWords } from '../../../shared/wording/bolts'
import { clockFace } from '../../../shared/wording/clockFace'
import { misalignmentWords } from '../../../shared/wording/directions'
import { figure, pack } from '../../../shared/wording/figures'
import {
  achievedTiltWords,
  flangePushWords,
  pushWords,
  spigotWords,
  staysSentence,
} from '../../../shared/wording/flange'
import { capital } from '../../../shared/wording/capital'
import { limitSource } from '../../../shared/wording/tolerances'
import { block, figures, grid, QUIET, when } from '../blocks'
import { flangeSvg } from '../flangeSvg'
import type { Section } from '../section'
import { judgedGrid } from './judged'

/** As found against as left, judged, what stays without a tilt, and the flange drawn with what lies under its bolts. */
export const flangeResult: Section<FlangeState> = (state, { telling }) => {
  const { asFound, asLeft, need, spigot, shape, leaves, boltsFound } = state
  const { words, units } = telling
  const w = reportWords(words).result
  const f = flangeWords(words)
  if (!asLeft?.judgement || !asLeft.coupling) return [block(w.name, { text: w.nothing })]
  const inWords = (m: typeof asLeft) => (m.coupling ? misalignmentWords(m.coupling, false, telling) : '')
  const added = leaves.map((now, i) => {
    const was = boltsFound[i]?.found ?? boltsFound[i]?.registered ?? []
    return now.reduce((s, t) => s + t, 0) - was.reduce((s, t) => s + t, 0)
  })
  const rows = shape.bolts.map((b, i): TableCell[] => [
    i === 0 ? `${clockFace(b.clock)}, ${f.marked}` : clockFace(b.clock),
    figures(pack(boltsFound[i]?.found ?? boltsFound[i]?.registered ?? [], units)),
    figures(pack(leaves[i] ?? [], units), true),
  ])
  return [
    block(
      w.name,
      judgedGrid(asFound?.judgement ?? null, asLeft.judgement, state.rpm, telling),
      { text: w.limits(limitSource(state, telling)), color: QUIET },
      ...(asFound ? [{ text: w.asFound(inWords(asFound), setsWords(words).trust[asFound.trust]) }] : []),
      { text: w.asLeft(inWords(asLeft), setsWords(words).trust[asLeft.trust]) },
      { text: `${spigotWords(spigot, telling)}. ${staysSentence(need, spigot, telling)}` },
    ),
    block(f.report.result, {
      columns: [
        {
          stack: [
            { svg: flangeSvg(flangeDrawing(shape.bolts, added, asLeft.coupling), telling), width: 210 },
            { text: f.report.legend, fontSize: 8, color: QUIET },
          ],
          width: 220,
        },
        grid(['*', 90, 90], [f.report.bolt, f.report.wasThere, f.report.now], rows),
      ],
      columnGap: 16,
    }),
  ]
}

const moveBlock = (
  move: FlangeMoveRecord,
  nth: number,
  state: FlangeState,
  { telling, personName }: Parameters<Section<FlangeState>>[1],
): Content => {
  const { words, units } = telling
  const f = flangeWords(words)
  const w = reportWords(words).moves
  const { entry, planned, work, predicted, tilt, pushed, push } = move
  const small = (t: number) => figure(t, 'displacement', units, { unit: true })
  const inUnits = (shims: readonly number[]) =>
    pack(
      shims.map((t) => toCore(t, 'displacement', entry.payload.units)),
      units,
    )
  const rows = entry.payload.changes
    .filter((c) => c.putIn.length + c.takenOut.length > 0)
    .map((c): TableCell[] => [
      clockFace(state.shape.bolts.find((b) => b.id === c.bolt)?.clock ?? 0),
      figures(inUnits(c.takenOut)),
      figures(inUnits(c.putIn), true),
    ])
  const plan = planned?.entry.payload
  const said = flangePushWords(push, telling)
  const causes = [tilt, pushed].flatMap((a) => (a ? [achievedTiltWords(a, telling)] : []))
  return block(
    f.report.name(nth + 1, `${when(entry.madeAt)}, ${personName(entry.author)}`),
    ...(plan && plan.does !== 'push' ? [{ text: f.report.school(f.school[plan.does].toLowerCase()) }] : []),
    ...(rows.length > 0 ? [grid(['*', 110, 110], [f.report.bolt, f.report.out, f.report.added], rows)] : []),
    ...(work.plane
      ? [
          {
            text: `${f.report.rock(small(rockOf(work.plane)), small(rockLimit(state.machine)))} ${f.counts.gap(small(work.plane.centre))}`,
          },
        ]
      : []),
    ...(plan?.why ? [{ text: f.report.why(plan.why), bold: true }] : []),
    ...(work.push ? [{ text: f.report.push(pushWords(work.push, telling)) }] : []),
    ...(said && push?.counted ? [{ text: said.headline }] : []),
    ...(predicted ? [{ text: f.report.predicted(misalignmentWords(predicted, false, telling)) }] : []),
    ...causes.map((text) => ({ text })),
    ...(state.bolts && nth === state.moves.length - 1
      ? [
          {
            text: pushingWords(words).tighten.inReport(
              boltWords(state.bolts, telling),
              torqueWords(state.bolts.tightening.torque, units),
            ),
          },
        ]
      : []),
    ...(entry.payload.remark ? [{ text: w.remark(capital(entry.payload.remark)) }] : []),
  )
}

/** Each move of the flange: what went under which bolt, how far it was pushed, what was predicted and what came of it. */
export const flangeMoves: Section<FlangeState> = (state, report) =>
  state.moves.map((move, i) => moveBlock(move, i, state, report))

/** What lay under the bolts when somebody looked, shims cut from sheet, and how the spigot was felt. */
export const flangeFound: Section<FlangeState> = ({ found, shape }, { telling, personName }) => {
  const { words, units } = telling
  const f = flangeWords(words)
  const by = (e: { readonly madeAt: string; readonly author: string }) =>
    `${when(e.madeAt)}, ${personName(e.author)}`
  const clock = (id: string) => clockFace(shape.bolts.find((b) => b.id === id)?.clock ?? 0)
  const mm = (t: number, was: UnitSystem) => toCore(t, 'displacement', was)
  const lines = [
    ...found.shims.map(
      (e) =>
        `${by(e)}: ${e.payload.bolts
          .map((b) =>
            f.pick.at(
              pack(
                b.leaves.map((l) => mm(l.thickness, e.payload.units)),
                units,
              ),
              clock(b.bolt),
            ),
          )
          .join('; ')}.${e.payload.words ? ` ${e.payload.words}` : ''}`,
    ),
    ...(found.spigot
      ? [
          `${by(found.spigot)}: ${f.spigot.finding[found.spigot.payload.fit]}.${found.spigot.payload.words ? ` ${found.spigot.payload.words}` : ''}`,
        ]
      : []),
    ...found.cut.map(
      (e) =>
        `${by(e)}: ${f.cut.done(
          figure(mm(e.payload.thickness, e.payload.units), 'displacement', units, { unit: true }),
          clock(e.payload.bolt),
        )}.`,
    ),
  ]
  return lines.length > 0 ? [block(f.found.title, { ul: lines })] : []
}
