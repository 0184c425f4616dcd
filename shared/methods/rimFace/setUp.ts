import { z } from 'zod'
import { clock, figure, notNegative, oneOf, positive } from '../../calculation/fields'
import { issue } from '../../issue'

const carriedBy = oneOf('machine-that-carries-the-dial', ['movable', 'stationary'])
const plunger = oneOf('way-the-face-plunger-points', ['away', 'back'])
const readingSign = z.union([z.literal(1), z.literal(-1)], { error: issue('give-the-reading-sign-as-1') })

/** The still hub's measured surface, as the dial of this set-up would show it. */
const stillHub = z
  .array(z.object({ clock, value: figure('reading') }), { error: issue('readings-as-a-list') })
  .min(3, { error: issue('three-runout-readings') })
  .max(72, { error: issue('most-readings-a-dial') })
  .optional()

/** A rim dial as a job's set-up keeps it, in the unit of its entry. */
export const rimMount = z.object({
  carriedBy,
  plane: figure('dial-plane'),
  sag: notNegative('bar-sag'),
  turning: oneOf('shaft-that-turns', ['both', 'movable', 'stationary']),
  readingSign,
  runout: stillHub,
})

/** A face dial as a job's set-up keeps it. */
export const faceMount = z.object({
  plunger,
  diameter: positive('face-swing-diameter'),
  sag: figure('face-sag'),
  readingSign,
  runout: stillHub,
})

export const rimFaceSetUp = z.object({
  method: z.literal('rim-face'),
  given: z.object({
    rim: rimMount,
    faces: z.union([z.tuple([faceMount]), z.tuple([faceMount, faceMount])], {
      error: issue('one-or-two-faces'),
    }),
  }),
})

export const rimFaceUsual = z.object({
  method: z.literal('rim-face'),
  carriedBy,
  rimPlane: figure('dial-plane'),
  plunger,
  faceDiameter: positive('face-swing-diameter'),
})
