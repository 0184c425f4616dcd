import { z } from 'zod'
import { BELT_KINDS } from '../../core/belt/sheaveLine'
import { BASE_KINDS, MOTOR_PLACES, PULLS } from '../../core/register/beltMachine'
import { figure, notNegative, oneOf, positive, whole } from '../calculation/fields'
import { issue } from '../issue'
import { text, words } from '../text'
import { commonFields } from './common'

const sheave = z.object({
  pitchDiameter: positive('pitch-diameter'),
  faceWidth: positive('face-width'),
  grooves: whole('grooves', 1, 40),
  depthOuter: notNegative('depth-to-the-groove'),
  depthInner: notNegative('depth-to-the-groove'),
})
const angleLimit = positive('angle-limit')
  .max(45, { error: issue('give-the-angle-limit-in-degrees') })
  .nullable()

/** What a person writes about a belt drive; distances in its own units. */
export const beltFields = z
  .object({
    drive: z.literal('belt'),
    ...commonFields,
    sheaves: z.object({ motor: sheave, driven: sheave }),
    centreDistance: positive('centre-distance'),
    belts: z.object({
      kind: oneOf('kind-of-belt', BELT_KINDS),
      section: words('belt-section', 20),
      count: whole('number-of-belts', 1, 40),
    }),
    base: z.object({
      kind: oneOf('kind-of-base', BASE_KINDS),
      place: oneOf('motor-place', MOTOR_PLACES),
      pull: oneOf('pull', PULLS),
      footSpacing: positive('foot-spacing-along-the-shaft'),
      sheaveToFeet: figure('distance-from-sheave-plane-to-sheave-end'),
      shaftHeight: notNegative('shaft-height-above-the-feet'),
      screwPitch: positive('screw-pitch').nullable(),
      hubToShaftEnd: figure('distance-from-hub-face-to-shaft-end').nullable(),
      lineAngle: figure('line-angle')
        .min(-180, { error: issue('give-the-line-angle-between-180') })
        .max(180, { error: issue('give-the-line-angle-between-180') }),
    }),
    limits: z.object({
      angle: angleLimit,
      tilt: angleLimit,
      offset: positive('offset-limit').nullable(),
      source: text('source-of-the-limit', 200),
    }),
  })
  .superRefine(({ sheaves, centreDistance }, context) => {
    if (centreDistance <= (sheaves.motor.pitchDiameter + sheaves.driven.pitchDiameter) / 2)
      context.addIssue({ code: 'custom', path: ['centreDistance'], message: issue('sheaves-would-touch') })
  })

export type BeltFields = z.infer<typeof beltFields>
