import { gapsSetUp, gapsUsual } from './gaps/setUp'
import { headsSetUp, headsUsual } from './heads/setUp'
import { reverseRimSetUp, reverseRimUsual } from './reverseRim/setUp'
import { rimFaceSetUp, rimFaceUsual } from './rimFace/setUp'
import { spacerFacesSetUp, spacerFacesUsual } from './spacerFaces/setUp'
import { footValuesSetUp, footValuesUsual, valuesSetUp, valuesUsual } from './values/setUp'

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
export const usualSchemas = [
  rimFaceUsual,
  reverseRimUsual,
  spacerFacesUsual,
  gapsUsual,
  headsUsual,
  valuesUsual,
  footValuesUsual,
] as const
