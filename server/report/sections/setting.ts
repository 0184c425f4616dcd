import type { Content, TableCell } from 'pdfmake/interfaces'
import type { BeltState } from '../../../core/jobs/belt'
import type { DriveLeft } from '../../../core/stages/inspect/driveLeft'
import { settingFollows } from '../../../core/stages/inspect/setting'
import { rowsShown } from '../../../shared/stages/inspect/settingDrawing'
import { beltsWords, reportWords, sheaveSettingWords, verdictsWords } from '../../../shared/wording/en'
import { gapFigure } from '../../../shared/wording/figures'
import { eighths } from '../../../shared/wording/lines'
import { ampsFigure } from '../../../shared/wording/sheaveSetting'
import { block, figures, grid, QUIET, verdictCell } from '../blocks'
import type { Section } from '../section'

/** The current that this job read of the running motor, by which the others of the table are reckoned. */
const currentRead = ({ running }: Pick<BeltState, 'running'>): number | null =>
  running.rows.find((r) => r.entry?.payload.current != null)?.entry?.payload.current ?? null

/** Every half turn of a sheave that can be set, with how it was left marked: what the next one who turns it has to know. */
export const settingTables: Section<Pick<BeltState, 'machine' | 'inspection' | 'running'>> = (
  state,
  { telling },
) => {
  const w = reportWords(telling.words).setting
  const t = sheaveSettingWords(telling.words).table
  return state.inspection.settings.flatMap(({ place, entry, registered }): Content[] => {
    const now = entry?.payload.turns ?? registered
    const left: DriveLeft = {
      job: '',
      closedAt: '',
      turns: { [place]: now },
      line: null,
      tension: null,
      amperes: currentRead(state),
    }
    const follows = settingFollows(state.machine, place, now, left)
    if (!follows) return []
    const rows = rowsShown(follows).map((r): TableCell[] => {
      const isNow = r.turns === now
      const current = r.current ? t.range(ampsFigure(r.current[0]), ampsFigure(r.current[1])) : '–'
      return [
        { text: isNow ? w.asLeft(eighths(r.turns)) : eighths(r.turns), bold: isNow },
        figures(gapFigure(r.pitchDiameter, telling, true), isNow),
        figures(r.drivenRpm.toFixed(0), isNow),
        figures(current, isNow),
        r.verdict ? verdictCell(r.verdict, verdictsWords(telling.words)[r.verdict]) : '',
      ]
    })
    const { plate } = follows.amperes
    return [
      block(
        w.name(beltsWords(telling.words).sheaves[place]),
        grid(['*', 80, 70, 80, 60], [t.turns, w.diameter, t.rpm, t.amps, ''], rows),
        ...(plate === null ? [] : [{ text: t.plate(ampsFigure(plate)), color: QUIET }]),
      ),
    ]
  })
}
