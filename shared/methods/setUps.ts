import { gapsSetUp } from './gaps/setUp'
import { headsSetUp } from './heads/setUp'
import { reverseRimSetUp, reverseRimUsual } from './reverseRim/setUp'
import { rimFaceSetUp, rimFaceUsual } from './rimFace/setUp'
import { spacerFacesSetUp } from './spacerFaces/setUp'
import { footValuesSetUp, valuesSetUp } from './values/setUp'

/** Set-ups that a job may be measured by. One row a method. */
export const setUpSchemas = [
  rimFaceSetUp,
  reverseRimSetUp,
  spacerFacesSetUp,
  gapsSetUp,
  headsSetUp,
  valuesSetUp,
  footValuesSetUp,
] as const

/** Where a machine's dials usually run. One row a method. */
export const usualSchemas = [rimFaceUsual, reverseRimUsual] as const
