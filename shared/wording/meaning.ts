import type { Mark } from '../../core/logbook/stage'

/** What a ledger says on top: a lozenge, a sentence, and what stands behind it. */
export interface Meaning {
  readonly mark: Mark
  readonly headline: string
  readonly detail: string
}

/** A meaning from its parts; most have no detail. */
export const plainMeaning = (mark: Meaning['mark'], headline: string, detail = ''): Meaning => ({
  mark,
  headline,
  detail,
})
