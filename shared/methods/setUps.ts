import { reverseRimSetUp, reverseRimUsual } from './reverseRim/setUp'
import { rimFaceSetUp, rimFaceUsual } from './rimFace/setUp'

/** Set-ups that a job may be measured by. One row a method. */
export const setUpSchemas = [rimFaceSetUp, reverseRimSetUp] as const

/** Where a machine's dials usually run. One row a method. */
export const usualSchemas = [rimFaceUsual, reverseRimUsual] as const
