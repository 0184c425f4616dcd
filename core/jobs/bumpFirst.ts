import type { Sheet } from '../logbook/stage'
import type { Closing } from '../stages/close/closing'
import type { Proof } from '../stages/prove/checkProof'

/** The motor may be bumped only while nobody has hands in it: that comes to an end first. */
export const bumpFirst = <Id extends string>(
  sheet: Sheet<Id | 'prove'>,
  { proof, closing }: { readonly proof: Pick<Proof, 'bumping'>; readonly closing: Closing },
): Sheet<Id | 'prove'> => (proof.bumping && !closing ? { ...sheet, current: 'prove' } : sheet)
