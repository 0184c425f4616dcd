import { turned } from '../otherEnd'
import { sided } from '../words'
import type { MethodId } from '../../../core/methods/methods'

/** What a set-up asks for, method by method: the labels of its boxes and choices. */
export const methods = {
  options: {
    rises: 'Rises',
    falls: 'Falls',
    away: 'Away',
    back: 'Back',
    one: 'One',
    two: 'Two, half a turn apart',
    plus: 'Plus',
    minus: 'Minus',
  },
  labels: {
    'rim-face': {
      rimPlane: 'Centre to rim dial',
      faceCircle: 'Face circle',
      sag: 'Bar sag',
      faceSag: 'Face dial’s own sag',
      carriedBy: 'The bracket sits on',
      faceDials: 'Face dials',
      plunger: 'Face plunger points',
      rimRises: 'Press the rim plunger',
      faceRises: 'Press the face plunger',
    },
    'reverse-rim': {
      onStationary: 'Centre to dial on driven hub',
      onMovable: 'Centre to dial on motor hub',
      sagStationary: 'Sag of the motor’s bar',
      sagMovable: 'Sag of the driven bar',
      stationaryRises: 'Press the plunger on the driven hub',
      movableRises: 'Press the plunger on the motor hub',
    },
    'spacer-faces': {
      spoolLength: 'Between the flex planes',
      circleStationary: 'Driven face circle',
      circleMovable: 'Motor face circle',
      faceSagStationary: 'Driven face dial’s own sag',
      faceSagMovable: 'Motor face dial’s own sag',
      plungerStationary: 'Driven face plunger points',
      plungerMovable: 'Motor face plunger points',
      risesStationary: 'Press the driven face plunger',
      risesMovable: 'Press the motor face plunger',
    },
    heads: {
      stationaryPlane: 'Centre to driven head',
      movablePlane: 'Centre to motor head',
    },
    gaps: { gapCircle: 'Gaps felt on a circle' },
    values: {
      per: 'Angle told over a length of',
      shownHigh: 'Motor high: it shows',
      shownToward3: 'Motor toward 3: it shows',
      shownEndHigh: 'Motor’s far end high: it shows',
      shownEndToward3: 'Motor’s far end toward 3: it shows',
    },
    'foot-values': {
      near: 'Centre to the near value',
      far: 'Centre to the far value',
      shownHigh: 'Motor high: it shows',
      shownToward3: 'Motor toward 3: it shows',
    },
  },
} satisfies {
  readonly labels: { readonly [M in MethodId]: Readonly<Record<string, string>> }
  readonly [other: string]: Readonly<Record<string, unknown>>
}

export const methodsWords = sided(methods, ({ labels, ...w }) => ({
  ...w,
  labels: {
    ...labels,
    values: {
      ...labels.values,
      shownToward3: turned(labels.values.shownToward3),
      shownEndToward3: turned(labels.values.shownEndToward3),
    },
    'foot-values': { ...labels['foot-values'], shownToward3: turned(labels['foot-values'].shownToward3) },
  },
}))
