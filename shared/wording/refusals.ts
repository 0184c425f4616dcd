import type { Refusal } from '../../core/outcome'
import { refusals } from './en/refusals'

/** The plain sentence for a refusal: what is wrong and what to do. */
export const refusalSentence = (refusal: Refusal): string => refusals[refusal.code](refusal.numbers ?? {})
