import { z } from 'zod'
import { BELT_KINDS } from '../../core/belt/sheaveLine'
import {
  BASE_KINDS,
  BELT_CONSTRUCTIONS,
  BELT_SETS,
  LOADS,
  MOTOR_PLACES,
  PULLS,
} from '../../core/register/beltMachine'
import { figure, notNegative, oneOf, positive, whole } from '../calculation/fields'
import { issue } from '../issue'
import { text, words } from '../text'
import { commonFields } from './common'

const build = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('fixed') }),
  z
    .object({
      kind: z.literal('variable'),
      threadPitch: positive('thread-pitch'),
      turnsMost: positive('turns-to-wide-open').max(100, {
        error: issue('at-most', 'turns-to-wide-open', 100),
      }),
      grooveAngle: positive('groove-angle').max(90, { error: issue('at-most', 'groove-angle', 90) }),
      moves: oneOf('flange-that-moves', ['outer', 'inner', 'both']),
      turnsOpen: notNegative('turns-open'),
    })
    .refine((b) => b.turnsOpen <= b.turnsMost, {
      path: ['turnsOpen'],
      error: issue('opened-past-its-turns'),
    }),
])
const sheave = z.object({
  build: build.optional(),
  outsideDiameter: positive('outside-diameter').optional(),
  groovePitch: positive('groove-pitch').optional(),
  hubToShaftEnd: figure('distance-from-hub-face-to-shaft-end').optional(),
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
      construction: oneOf('belt-construction', BELT_CONSTRUCTIONS).optional(),
      length: positive('belt-length').optional(),
      mass: positive('belt-mass').optional(),
      stiffness: positive('belt-stiffness').optional(),
      set: oneOf('matched-set', BELT_SETS).optional(),
      fittedOn: z.iso.date({ error: issue('day', 'day-belts-were-fitted') }).optional(),
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
      travelLeft: notNegative('travel-left').optional(),
    }),
    plateCurrent: positive('plate-current').optional(),
    load: oneOf('load', LOADS).optional(),
    tension: z
      .object({
        stickerLow: positive('sticker-force').optional(),
        stickerHigh: positive('sticker-force').optional(),
        stickerDeflection: positive('sticker-deflection').optional(),
        serviceFactor: positive('service-factor')
          .max(10, { error: issue('at-most', 'service-factor', 10) })
          .optional(),
        shaftLoadMost: positive('shaft-load-limit').optional(),
      })
      .optional(),
    limits: z.object({
      angle: angleLimit,
      tilt: angleLimit,
      offset: positive('offset-limit').nullable(),
      source: text('source-of-the-limit', 200),
    }),
  })
  .superRefine(({ sheaves, centreDistance, tension }, context) => {
    const { stickerLow: low, stickerHigh: high, stickerDeflection: at } = tension ?? {}
    const given = [low, high, at].filter((x) => x !== undefined).length
    if (given > 0 && given < 3)
      context.addIssue({
        code: 'custom',
        path: [
          'tension',
          at === undefined ? 'stickerDeflection' : low === undefined ? 'stickerLow' : 'stickerHigh',
        ],
        message: issue('sticker-half-given'),
      })
    if (low !== undefined && high !== undefined && low >= high)
      context.addIssue({
        code: 'custom',
        path: ['tension', 'stickerHigh'],
        message: issue('sticker-upside-down'),
      })
    if (centreDistance <= (sheaves.motor.pitchDiameter + sheaves.driven.pitchDiameter) / 2)
      context.addIssue({ code: 'custom', path: ['centreDistance'], message: issue('sheaves-would-touch') })
  })

export type BeltFields = z.infer<typeof beltFields>
