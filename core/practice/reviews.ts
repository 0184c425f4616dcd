import type { DriveReview } from './drive/driveReview'
import type { DriveDoubtCode } from './drive/driveDoubts'
import type { DoubtCode } from './doubts'
import type { CoupledReview } from './review'

/** A try looked back on, whatever stood on the bench. */
export type Review = CoupledReview | DriveReview
/** What could be seen at any bench. */
export type AnyDoubtCode = DoubtCode | DriveDoubtCode
