import { speedSlip } from '../../../core/setup/distanceSlip'
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
