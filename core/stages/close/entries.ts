import type { CustomerSigned } from './glass'
import type { NextDue } from './due'
import type { VerdictOrUnknown } from '../../judge/judge'

export interface ClosingEntries {
  'job-closed': {
    readonly signedBy: string
    readonly remarks: string
    /** Why it closes out of band or unmeasured; empty when it does neither. */
    readonly exception: string
    /** When to come back and what for; null where nobody wants to. Missing in jobs closed before it was asked. */
    readonly due?: NextDue | null | undefined
    /** Null where no customer signed. Missing in jobs closed before one could. */
    readonly customer?: CustomerSigned | null | undefined
    /** What was signed: the verdict, and the version of the arithmetic it came from. Null before that was kept. */
    readonly signed: { readonly verdict: VerdictOrUnknown; readonly foldVersion: number } | null
  }
}
