import { z } from 'zod'
import { squareness } from '../../core/belt/squareness'
import { done } from '../../core/outcome'
import { defineOperation } from './defineOperation'
import { figure, positive, units } from './fields'
import { maybe, out } from './results'

/** Whether the motor stands square on its base. */
export const squarenessOperation = defineOperation({
  name: 'squareness',
  summary:
    'Whether a motor stands square, from distances at both ends of its base, and the screw turns that cure it.',
  input: z.object({
    units,
    sheaveEnd: figure('distance-at-the-sheave-end', 'distance'),
    farEnd: figure('distance-at-the-far-end', 'distance'),
    spacing: positive('spacing-of-the-two-places', 'distance'),
    screwPitch: positive('screw-pitch', 'distance').optional(),
  }),
  result: z.object({
    turn: out().describe('Degrees; positive when the far end stands further from the edge.'),
    difference: out('distance'),
    farEndMove: out('distance').describe('Positive away from the edge.'),
    screwTurns: maybe(),
  }),
  compute: (given) => {
    const found = squareness(given.sheaveEnd, given.farEnd, given.spacing, given.screwPitch ?? null)
    return done({ ...found, turn: (found.turn * 180) / Math.PI })
  },
})
