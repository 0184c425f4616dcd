import {
  directionsWords,
  feetWords,
  movesWords,
  pushingWords,
  reportWords,
  tablesWords,
} from '../../../shared/wording/en'
import type { Content, TableCell } from 'pdfmake/interfaces'
import type { FootedState } from '../../../core/jobs/footed'
import { toCore } from '../../../core/units/unitSystem'
import { shimWords, sideWords } from '../../../shared/wording/directions'
import { boltWords, torqueWords } from '../../../shared/wording/bolts'
import { driftWords } from '../../../shared/wording/pushing'
import { figure, pack, UNIT_NAMES } from '../../../shared/wording/figures'
import { movesDriven } from '../../../shared/stages/move/form'
import { capital } from '../../../shared/wording/capital'
import { pairName } from '../../../shared/wording/telling'
import { block, figures, grid, when } from '../blocks'
import type { Section } from '../section'

/** Each move: planned, made and measured at every foot, the shims, and what explains a gap. */
export const movesMade: Section<Pick<FootedState, 'moves' | 'bolts'>> = (
  { moves, bolts },
  { telling, personName },
) =>
  moves.map((move, i): Content => {
    const { units, words } = telling
    const w = reportWords(words).moves
    const t = tablesWords(words)
    const p = move.entry.payload
    const mm = (t: number) => toCore(t, 'displacement', p.units)
    const planes = [...(move.achieved ?? []), ...move.carriedAlong]
    const opened = move.footwork.moves.filter((f) => f.machine === 'movable' || f.v !== 0 || f.h !== 0)
    const signed = (x: number | undefined) =>
      figures(x === undefined ? '–' : figure(x, 'displacement', units, { sign: true }))
    const rows = opened.map((f): TableCell[] => {
      const planned = move.planned?.footwork.moves.find((x) => x.machine === f.machine && x.id === f.id)
      const measured = (plane: 'v' | 'h') =>
        f.machine === 'movable'
          ? planes.find((a) => a.plane === plane)?.feet.find((x) => x.id === f.id)?.achieved
          : undefined
      return [
        capital(pairName(telling, f)),
        signed(planned?.v),
        signed(f.v),
        signed(measured('v')),
        signed(planned?.h),
        signed(f.h),
        signed(measured('h')),
      ]
    })
    const shims = p.changes.map((c) =>
      w.shimmed(
        `${capital(pairName(telling, { machine: c.machine, id: c.pair }))} ${feetWords(words).sides[c.side]}`,
        pack(c.takenOut.map(mm), units),
        pack(c.putIn.map(mm), units),
      ),
    )
    const inWords = opened.map((f) =>
      w.foot(feetWords(words).feet(pairName(telling, f)), shimWords(f.v, telling), sideWords(f.h, telling)),
    )
    const causes = (move.achieved ?? []).map((a) =>
      w.inPlane(capital(directionsWords(words).planes[a.plane]), movesWords(words).causes[a.cause]),
    )
    const along = move.carriedAlong.map((a) =>
      w.inPlane(capital(directionsWords(words).planes[a.plane]), movesWords(words).carriedAlong),
    )
    const drift = driftWords(move.push, telling)
    const pushing = pushingWords(words)
    return block(
      w.name(i + 1, `${when(move.entry.madeAt)}, ${personName(move.entry.author)}`),
      { text: w.inUnit(capital(inWords.join('; ')), UNIT_NAMES[units].displacement) },
      grid(
        ['*', 62, 56, 56, 66, 56, 56],
        [w.signs, w.verticalPlan, t.made, t.measured, w.horizontalPlan, t.made, t.measured],
        rows,
      ),
      ...(shims.length > 0 ? [{ text: w.shims(shims.join('. ')) }] : []),
      ...(drift ? [{ text: pushing.drift.inReport(drift.feet, drift.said) }] : []),
      ...(bolts && i === moves.length - 1
        ? [
            {
              text: pushing.tighten.inReport(
                boltWords(bolts, telling),
                torqueWords(bolts.tightening.torque, units),
              ),
            },
          ]
        : []),
      ...(movesDriven(p) ? [{ text: movesWords(words).view.againstDriven }] : []),
      ...(move.strayed.length > 0 ? [{ text: movesWords(words).strayed }] : []),
      ...[...causes, ...along].map((text): Content => ({ text })),
      ...(p.remark ? [{ text: w.remark(p.remark) }] : []),
    )
  })
