import { remember } from '../../logbook/remember'
import type { FeetCheck } from '../feet/feetCheck'
import type { Looks } from '../look/looks'

/** What else a job knows that explains a move which came out otherwise than it was made. */
export interface MoveEvidence {
  /** The feet rock, spring or are bent as they were read last. */
  readonly softFoot: boolean
  /** A pipe or duct pulls at the machine. */
  readonly strained: boolean
  /** The dials saw it shift while the bolts were tightened, more than it may. */
  readonly drifted?: boolean
}

/** One object for each, so that what rests on it is worked out once. */
const KNOWN: readonly MoveEvidence[] = [
  { softFoot: false, strained: false },
  { softFoot: false, strained: true },
  { softFoot: true, strained: false },
  { softFoot: true, strained: true },
]

/** The evidence of a job as its feet and its pipe stand now; always the same object for the same answer. */
export const moveEvidence = (feetCheck: FeetCheck, looks: Looks): MoveEvidence => {
  const feet = feetCheck.latest?.result.diagnosis
  const softFoot = feet !== undefined && feet !== 'ok'
  const strained = looks.pipe?.verdict === 'out'
  return KNOWN[2 * Number(softFoot) + Number(strained)] as MoveEvidence
}

/** The same evidence of a move that shifted on tightening. */
export const withDrift = remember((evidence: MoveEvidence): MoveEvidence => ({ ...evidence, drifted: true }))
