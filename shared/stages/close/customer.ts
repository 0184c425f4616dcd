import type { CustomerSigned, Strokes } from '../../../core/stages/close/glass'

/** What a customer is signing or has signed, before the job is closed. */
export interface CustomerDraft {
  readonly name: string
  readonly strokes: Strokes
  /** What stood above the glass as they signed; empty until they have. */
  readonly over: readonly string[]
}

export const NOBODY_SIGNED: CustomerDraft = { name: '', strokes: [], over: [] }

/** Open: nobody has signed. Stale: what they signed reads otherwise now. */
export const customerStands = (draft: CustomerDraft, over: readonly string[]): 'open' | 'signed' | 'stale' =>
  draft.over.length === 0 ? 'open' : draft.over.join('\n') === over.join('\n') ? 'signed' : 'stale'

/** What goes into the closing; null where nobody has signed. */
export const customerSigned = (draft: CustomerDraft): CustomerSigned | null =>
  draft.over.length === 0 ? null : { name: draft.name.trim(), strokes: draft.strokes }
