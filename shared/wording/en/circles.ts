import { said } from '../words'

/** Circles by name, as they stand before "dial" or alone. */
export const circles = {
  rim: 'Rim',
  face: 'Face',
  face1: 'First face',
  face2: 'Second face',
  onStationary: 'Driven hub',
  onMovable: 'Motor hub',
  atStationary: 'Driven face',
  atMovable: 'Motor face',
  stationary: 'Driven head',
  movable: 'Motor head',
  steps: 'Rim step',
  gaps: 'Gap',
  offset: 'Offset',
  angle: 'Angle',
  nearPlane: 'Near feet',
  farPlane: 'Far feet',
} as Readonly<Record<string, string>>

export const circlesWords = said(circles)
