import { turned } from '../otherEnd'
import { named, type Named } from '../words'
import { capital } from '../capital'
import type { MethodId } from '../../../core/methods/methods'

/** What a set-up asks for, method by method: the labels of its boxes and choices. */
export const methods = (n: Named) =>
  ({
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
        onStationary: `Centre to dial on ${n.stationary} hub`,
        onMovable: `Centre to dial on ${n.movable} hub`,
        sagStationary: `Sag of the ${n.movable}’s bar`,
        sagMovable: `Sag of the ${n.stationary} bar`,
        stationaryRises: `Press the plunger on the ${n.stationary} hub`,
        movableRises: `Press the plunger on the ${n.movable} hub`,
      },
      'spacer-faces': {
        spoolLength: 'Between the flex planes',
        circleStationary: `${capital(n.stationary)} face circle`,
        circleMovable: `${capital(n.movable)} face circle`,
        faceSagStationary: `${capital(n.stationary)} face dial’s own sag`,
        faceSagMovable: `${capital(n.movable)} face dial’s own sag`,
        plungerStationary: `${capital(n.stationary)} face plunger points`,
        plungerMovable: `${capital(n.movable)} face plunger points`,
        risesStationary: `Press the ${n.stationary} face plunger`,
        risesMovable: `Press the ${n.movable} face plunger`,
      },
      heads: {
        stationaryPlane: `Centre to ${n.stationary} head`,
        movablePlane: `Centre to ${n.movable} head`,
      },
      gaps: { gapCircle: 'Gaps felt on a circle' },
      values: {
        per: 'Angle told over a length of',
        shownHigh: `${capital(n.movable)} high: it shows`,
        shownToward3: `${capital(n.movable)} toward 3: it shows`,
        shownEndHigh: `${capital(n.movable)}’s far end high: it shows`,
        shownEndToward3: `${capital(n.movable)}’s far end toward 3: it shows`,
      },
      'foot-values': {
        near: 'Centre to the near value',
        far: 'Centre to the far value',
        shownHigh: `${capital(n.movable)} high: it shows`,
        shownToward3: `${capital(n.movable)} toward 3: it shows`,
      },
    },
  }) satisfies {
    readonly labels: { readonly [M in MethodId]: Readonly<Record<string, string>> }
    readonly [other: string]: Readonly<Record<string, unknown>>
  }

export const methodsWords = named(methods, ({ labels, ...w }) => ({
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
