import dayjs from 'dayjs'
import type { Job } from '../../core/jobs/jobs'
import type { Closing } from '../../core/stages/close/closing'
import type { Safety } from '../../core/stages/makeSafe/safety'
import { findingsWords, safetyWords, sheetWords } from './en'
import type { Telling } from './telling'

/** One line of what each stage found, by stage; empty while there is nothing to say. */
export type Findings = Readonly<Record<string, string>>

const time = (iso: string) => {
  const at = new Date(iso)
  return `${String(at.getHours()).padStart(2, '0')}:${String(at.getMinutes()).padStart(2, '0')}`
}

const day = (iso: string) => dayjs(iso).format('D MMM YYYY')

/** What the sheet says of the lockout. */
export const safetyFinding = (s: Safety, { words }: Telling): string => {
  const w = safetyWords(words)
  if (s.waived) return w.waivedFinding
  if (s.lost) return w.lostFinding
  if (s.confirmed.length === 0) return ''
  const next = s.missing[0]
  if (next) return w.next(w.points[next].toLowerCase()).replace(/\.$/, '')
  return w.lockedOut(time(s.confirmed[s.confirmed.length - 1]?.madeAt ?? ''))
}

/** What the sheet says of the signature. */
export const closingFinding = (closing: Closing, { words }: Telling): string =>
  closing ? findingsWords(words).signed(day(closing.receivedAt ?? closing.madeAt)) : ''

/** The findings of a sheet's rows; what was passed over says why instead. */
export const findingsOfRows = (
  { sheet }: Pick<Job, 'sheet'>,
  found: (id: string) => string,
  { words }: Telling,
): Findings =>
  Object.fromEntries(
    sheet.rows.map(({ id, skipped }) => [id, skipped ? sheetWords(words).passedOver(skipped) : found(id)]),
  )
