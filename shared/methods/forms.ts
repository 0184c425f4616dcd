import type { MethodGiven, MethodId, UsualPlaces } from '../../core/methods/methods'
import { toCore, type UnitSystem } from '../../core/units/unitSystem'
import type { MethodForm, NumberField } from './form'
import { gapsForm } from './gaps/form'
import { headsForm } from './heads/form'
import { reverseRimForm } from './reverseRim/form'
import { rimFaceForm } from './rimFace/form'
import { spacerFacesForm } from './spacerFaces/form'
import { footValuesForm } from './values/footForm'
import { valuesForm } from './values/form'

export type OfferedMethod = MethodId

/** Methods a job offers, in the order they are offered. One row a method. */
export const METHOD_FORMS: { readonly [M in OfferedMethod]: MethodForm } = {
  'rim-face': rimFaceForm,
  'reverse-rim': reverseRimForm,
  'spacer-faces': spacerFacesForm,
  gaps: gapsForm,
  heads: headsForm,
  values: valuesForm,
  'foot-values': footValuesForm,
}

/** Where on the drawing a number's box stands: where its dial's tip runs, or where the method puts it. */
export const endOf = (
  field: NumberField,
  method: OfferedMethod,
  choices: Readonly<Record<string, string>>,
): 'movable' | 'stationary' => {
  const dial = METHOD_FORMS[method]
    .dials(choices)
    .find((d) => d.plane === field.id || d.face?.circle === field.id)
  if (dial) return dial.carriedBy === 'movable' ? 'stationary' : 'movable'
  return field.end ?? 'movable'
}

/** Whether an instrument of this method hangs on a bar. */
export const hasSag = (how: MethodGiven): boolean => METHOD_FORMS[how.method].numbers.some((f) => f.sag)

/** How far the first bar of a set-up hangs, millimetres; 0 for a method whose instruments have none. */
export const firstSag = (how: MethodGiven): number => {
  const form = METHOD_FORMS[how.method]
  const field = form.numbers.find((f) => f.sag)
  return (field && form.valuesOf(how)?.numbers[field.id]) ?? 0
}

/** Where the register says the dials usually run, as numbers in millimetres and words. */
export const usualValues = (
  usual: UsualPlaces,
  units: UnitSystem,
): {
  readonly numbers: Readonly<Record<string, number>>
  readonly choices: Readonly<Record<string, string>>
} => {
  const mm = (x: number) => toCore(Math.abs(x), 'distance', units)
  switch (usual.method) {
    case 'rim-face':
      return {
        numbers: { rimPlane: mm(usual.rimPlane), faceCircle: mm(usual.faceDiameter) },
        choices: { carriedBy: usual.carriedBy, plunger: usual.plunger },
      }
    case 'reverse-rim':
      return {
        numbers: { onStationary: mm(usual.onStationary), onMovable: mm(usual.onMovable) },
        choices: {},
      }
    case 'spacer-faces':
      return {
        numbers: {
          spoolLength: mm(usual.spoolLength),
          circleStationary: mm(usual.circleStationary),
          circleMovable: mm(usual.circleMovable),
        },
        choices: {},
      }
    case 'heads':
      return {
        numbers: { stationaryPlane: mm(usual.stationaryPlane), movablePlane: mm(usual.movablePlane) },
        choices: {},
      }
    case 'gaps':
      return { numbers: { gapCircle: mm(usual.gapCircle) }, choices: {} }
    case 'values':
    case 'foot-values':
      return { numbers: {}, choices: {} }
  }
}
