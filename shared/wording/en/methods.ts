import type { MethodId } from '../../../core/methods/methods'

/** What a set-up asks for, method by method: the labels of its boxes and choices. */
export const methods = {
  options: { rises: 'Rises', falls: 'Falls', away: 'Away', back: 'Back' },
  labels: {
    'rim-face': {
      rimPlane: 'Centre to rim dial',
      faceCircle: 'Face circle',
      sag: 'Bar sag',
      faceSag: 'Face dial’s own sag',
      carriedBy: 'The bracket sits on',
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
  },
} satisfies {
  readonly labels: { readonly [M in MethodId]?: Readonly<Record<string, string>> }
  readonly [other: string]: Readonly<Record<string, unknown>>
}
