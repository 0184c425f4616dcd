import type { Outcome } from '../outcome'
import type { UnitSystem } from '../units/unitSystem'
import { gapsMethod, type GapsSetUp } from './gaps'
import { headsMethod, type HeadsSetUp } from './heads'
import type { Arranged, Circles, Method } from './method'
import { reverseRimMethod, type ReverseRimSetUp, type ReverseRimUsual } from './reverseRim'
import { rimFaceMethod, type RimFaceSetUp, type RimFaceUsual } from './rimFace'
import { spacerFacesMethod, type SpacerFacesSetUp } from './spacerFaces'
import { footValuesMethod, valuesMethod, type FootValuesSetUp, type ValuesSetUp } from './values'

/** What each method needs to know besides its readings. One row a method. */
export interface MethodSetUps {
  'rim-face': RimFaceSetUp
  'reverse-rim': ReverseRimSetUp
  'spacer-faces': SpacerFacesSetUp
  heads: HeadsSetUp
  gaps: GapsSetUp
  values: ValuesSetUp
  'foot-values': FootValuesSetUp
}

export type MethodId = keyof MethodSetUps

/** Every method whose readings go round the clock; jobs and the calculation contract both call it here. */
export const METHODS: { readonly [M in MethodId]: Method<MethodSetUps[M]> } = {
  'rim-face': rimFaceMethod,
  'reverse-rim': reverseRimMethod,
  'spacer-faces': spacerFacesMethod,
  heads: headsMethod,
  gaps: gapsMethod,
  values: valuesMethod,
  'foot-values': footValuesMethod,
}

/** A method with the set-up that belongs to it. */
export type MethodGiven<M extends MethodId = MethodId> = {
  [P in M]: { readonly method: P; readonly given: MethodSetUps[P] }
}[M]

/** Where a method's instruments usually stand on a machine, in the record's own units. One row a method. */
interface MethodUsuals {
  'rim-face': RimFaceUsual
  'reverse-rim': ReverseRimUsual
  'spacer-faces': {
    readonly spoolLength: number
    readonly circleStationary: number
    readonly circleMovable: number
  }
  /** Told positive, each from the coupling centre. */
  heads: { readonly stationaryPlane: number; readonly movablePlane: number }
  gaps: { readonly gapCircle: number }
  values: object
  'foot-values': object
}
export type UsualPlaces = {
  [M in keyof MethodUsuals]: { readonly method: M } & MethodUsuals[M]
}[keyof MethodUsuals]

/** Circles of a set-up in the order they are read at a stop. */
export const circlesOf = <M extends MethodId>(chosen: MethodGiven<M>): readonly string[] =>
  METHODS[chosen.method].circles(chosen.given)

/** Readings of a set-up as circles; core units. */
export const arrangeBy = <M extends MethodId>(chosen: MethodGiven<M>, read: Circles): Outcome<Arranged> =>
  METHODS[chosen.method].arrange(chosen.given, read)

/** A method's set-up in contract units, in core units. */
export const methodToCore = <M extends MethodId>(
  chosen: MethodGiven<M>,
  units: UnitSystem,
): MethodSetUps[M] => METHODS[chosen.method].toCore(chosen.given, units)
