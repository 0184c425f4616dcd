import { named, type Named } from '../words'
import { capital } from '../capital'

/** Circles by name, as they stand before "dial" or alone. */
export const circles = (n: Named): Readonly<Record<string, string>> => ({
  rim: 'Rim',
  face: 'Face',
  face1: 'First face',
  face2: 'Second face',
  onStationary: `${capital(n.stationary)} hub`,
  onMovable: `${capital(n.movable)} hub`,
  atStationary: `${capital(n.stationary)} face`,
  atMovable: `${capital(n.movable)} face`,
  stationary: `${capital(n.stationary)} head`,
  movable: `${capital(n.movable)} head`,
  steps: 'Rim step',
  gaps: 'Gap',
  offset: 'Offset',
  angle: 'Angle',
  nearPlane: 'Near feet',
  farPlane: 'Far feet',
})

export const circlesWords = named(circles)
