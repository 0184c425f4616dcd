import { speedSlip } from '../../../core/setup/distanceSlip'
import type { EntryBody } from '../../../core/logbook/entry'
import type { JobReason, OpeningEntries } from '../../../core/stages/open/entries'
import { asking, faulty, NO_REMARK, typedValue, type Remark } from '../../forms/typed'
import { openingWords, setUpWords } from '../../wording/en'
import type { Words } from '../../wording/words'

export interface SpeedRead {
  readonly rpm: number | null
  readonly remark: Remark
  /** A slip that is asked once before the job is opened; empty when there is none. */
  readonly question: string
}

/** The nameplate speed as typed, held against the register: the limit hangs on it. */
export const readSpeed = (text: string, registered: number, words: Words): SpeedRead => {
  const rpm = typedValue(text, 'plain', 'metric')
  const w = openingWords(words)
  if (rpm === null)
    return { rpm, remark: text.trim() === '' ? asking(w.readIt(registered)) : NO_REMARK, question: '' }
  if (rpm <= 0) return { rpm: null, remark: faulty(setUpWords(words).aboveZero), question: '' }
  const slip = speedSlip(rpm, registered)
  const question = slip === 'tenfold' ? w.tenfold(rpm, registered) : slip ? w.farOff(rpm, registered) : ''
  return {
    rpm,
    question,
    remark: asking(question || (rpm === registered ? w.asRegistered : w.differs(registered))),
  }
}

/** What stands in the boxes of an opening. */
export interface OpeningTexts {
  reason: JobReason
  speed: string
  customer: string
  site: string
  note: string
}

export const blankOpening = (because: JobReason = 'planned'): OpeningTexts => ({
  reason: because,
  speed: '',
  customer: '',
  site: '',
  note: '',
})

/** The boxes as the opening was logged. */
export const textsOfOpening = (was: OpeningEntries['job-opened']): OpeningTexts => ({
  reason: was.reason,
  speed: String(was.rpm),
  customer: was.customer,
  site: was.site ?? '',
  note: was.note,
})

/** The opening that the boxes say, at the speed that was read out of them. */
export const openingBody = (
  { reason, customer, site, note }: OpeningTexts,
  rpm: number,
): Extract<EntryBody, { kind: 'job-opened' }> => ({
  kind: 'job-opened',
  payload: { reason, rpm, customer: customer.trim(), site: site.trim(), note: note.trim() },
})

/** Whether the boxes say another opening than was logged. */
export const saysOtherwise = (
  texts: OpeningTexts,
  was: OpeningEntries['job-opened'],
  rpm: number | null,
): boolean =>
  rpm !== null &&
  JSON.stringify(openingBody(texts, rpm).payload) !==
    JSON.stringify(openingBody(textsOfOpening(was), was.rpm).payload)
