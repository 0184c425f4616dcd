import type { ContactSummary } from '../../core/jobs/summary'
import { findingsWords } from './en'
import type { Telling } from './telling'

const whole = (x: number) => String(Math.round(Math.abs(x)))

/** How a list tells the contact of a gearset: `contact 2 % off together, 1 % apart`. */
export const contactSummaryWords = ({ together, apart }: ContactSummary, { words }: Telling): string =>
  findingsWords(words).contact(whole(together), whole(apart))
