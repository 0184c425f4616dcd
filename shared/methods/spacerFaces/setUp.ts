import { z } from 'zod'
import { positive } from '../../calculation/fields'
import { faceMount } from '../rimFace/setUp'

export const spacerFacesSetUp = z.object({
  method: z.literal('spacer-faces'),
  given: z.object({
    atStationary: faceMount,
    atMovable: faceMount,
    spoolLength: positive('spool-length', undefined, 0.4),
  }),
})

export const spacerFacesUsual = z.object({
  method: z.literal('spacer-faces'),
  spoolLength: positive('spool-length', undefined, 0.4),
  circleStationary: positive('face-swing-diameter'),
  circleMovable: positive('face-swing-diameter'),
})
