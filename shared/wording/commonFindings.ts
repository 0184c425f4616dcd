import type { Job } from '../../core/jobs/jobs'
import type { Closing } from '../../core/stages/close/closing'
import type { Safety } from '../../core/stages/makeSafe/safety'
import { dayWords, timeWords } from './days'
import { findingsWords, safetyWords, sheetWords } from './en'
import type { Telling } from './telling'

/** One line of what each stage found, by stage; empty while there is nothing to say. */
export type Findings = Readonly<Record<string, string>>

/** What the sheet says of the lockout. */
export const safetyFinding = (s: Safety, { words }: Telling): string => {
  const w = safetyWords(words)
  if (s.waived) return w.waivedFinding
  if (s.lost) return w.lostFinding
  if (s.confirmed.length === 0) return ''
  const next = s.missing[0]
  if (next) return w.next(w.points[next].toLowerCase()).replace(/\.$/, '')
  return w.lockedOut(timeWords(s.confirmed[s.confirmed.length - 1]?.madeAt ?? ''))
}

/** What the sheet says of the signature. */
export const closingFinding = (closing: Closing, telling: Telling): string =>
  closing ? findingsWords(telling.words).signed(dayWords(closing.receivedAt ?? closing.madeAt, telling)) : ''

/** The findings of a sheet's rows; what was passed over says why instead. */
export const findingsOfRows = (
  { sheet }: Pick<Job, 'sheet'>,
  found: (id: string) => string,
  { words }: Telling,
): Findings =>
  Object.fromEntries(
    sheet.rows.map(({ id, skipped }) => [id, skipped ? sheetWords(words).passedOver(skipped) : found(id)]),
  )
