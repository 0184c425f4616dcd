import { powerWhy } from '../../../shared/wording/safety'
import { kindsWords, makeSafeWords, reportWords, safetyWords, sheetWords } from '../../../shared/wording/en'
import dayjs from 'dayjs'
import type { Content } from 'pdfmake/interfaces'
import { correctionLines } from '../../../shared/wording/corrections'
import { list, QUIET, when } from '../blocks'
import type { Common, Reported, Section } from '../section'

type History = Common['safety']['history']

/** The whole history of a lockout; points confirmed one after another by one person share a line. */
const lockoutLines = (
  history: History,
  { personName, telling }: Pick<Reported, 'personName' | 'telling'>,
): readonly string[] => {
  const w = safetyWords(telling.words)
  const day = (e: History[number]) => dayjs(e.madeAt).format('D MMM YYYY')
  const lines: { readonly key: string; text: string }[] = []
  for (const e of history) {
    const last = lines[lines.length - 1]
    const key = e.kind === 'safety-confirmed' ? `${day(e)} ${e.author}` : ''
    if (e.kind === 'safety-confirmed') {
      const point = `${w.points[e.payload.point].toLowerCase()} ${dayjs(e.madeAt).format('HH:mm')}`
      if (last && last.key === key) last.text += `, ${point}`
      else lines.push({ key, text: `${day(e)}, ${personName(e.author)}: ${w.confirmed(point)}` })
    } else {
      const said = e.kind === 'lockout-waived' ? w.whyNot(e.payload.why) : w.powerBack(powerWhy(e, telling))
      lines.push({ key, text: `${when(e.madeAt)}, ${personName(e.author)}: ${said}` })
    }
  }
  return lines.map((l) => l.text)
}

/** The lockout with all of its history, what was passed over, corrections with old and new, remarks. */
export const record: Section<Common> = ({ safety, remarks }, { logbook, personName, telling }) => {
  const { words } = telling
  const w = reportWords(words).record
  const by = (e: { readonly madeAt: string; readonly author: string }) =>
    `${when(e.madeAt)}, ${personName(e.author)}`
  const lockout = lockoutLines(safety.history, { personName, telling })
  const byId = new Map(logbook.map((e) => [e.id, e]))
  const corrections = logbook.flatMap((e) => {
    if (!e.supersedes) return []
    const old = byId.get(e.supersedes.entry)
    const changed = old ? correctionLines(old, e, telling) : []
    return [
      w.corrected(by(e), kindsWords(words)[e.kind].toLowerCase(), e.supersedes.reason, changed.join('; ')),
    ]
  })
  const skipped = logbook.flatMap((e) =>
    e.kind === 'stage-skipped'
      ? [
          w.skipped(
            by(e),
            Object.entries(sheetWords(words).stages).find(([id]) => id === e.payload.stage)?.[1].name ??
              e.payload.stage,
            e.payload.why,
          ),
        ]
      : [],
  )
  const placed = logbook.flatMap((e) =>
    e.before ? [w.placed(by(e), kindsWords(words)[e.kind].toLowerCase())] : [],
  )
  const stood = logbook.flatMap((e) =>
    e.second ? [w.stood(by(e), kindsWords(words)[e.kind].toLowerCase(), personName(e.second))] : [],
  )
  const missing = safety.missing.map((p) => safetyWords(words).points[p].toLowerCase())
  const out: Content[] = [
    ...list(w.madeSafe(safety.permit), lockout),
    ...(missing.length > 0 ? [{ text: w.notConfirmed(missing.join(', ')), bold: true }] : []),
    { text: makeSafeWords(words).law, color: QUIET },
    ...list(w.passedOver, skipped),
    ...list(w.corrections, corrections),
    ...list(w.placedName, placed),
    ...list(w.stoodName, stood),
    ...list(
      w.remarks,
      remarks.map((r) => w.said(by(r), r.payload.text)),
    ),
  ]
  return out
}
