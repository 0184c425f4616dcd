import { issue, type Thing } from '../issue'
import { z } from 'zod'
import { beltDrive } from '../../core/belt/geometry'
import {
  BELT_KINDS,
  fleetAngles,
  judgeSheaves,
  sheaveCorrections,
  sheaveErrors,
  sheaveLimits,
} from '../../core/belt/sheaveLine'
import { done } from '../../core/outcome'
import { drivePair, requireDrive, stiffness } from './beltFields'
import { defineOperation } from './defineOperation'
import { figure, notNegative, oneOf, positive, units } from './fields'
import { maybe, out } from './results'

const DEGREE = Math.PI / 180
const gap = (what: Thing) => notNegative(what, 'distance')
const angleLimit = positive('angle-limit').max(45, { error: issue('give-the-angle-limit-in-degrees') })

const input = z
  .object({
    units,
    ...drivePair,
    r1: gap('gap-at-the-references-far-rim').optional(),
    r2: gap('gap-at-the-references-near-rim').optional(),
    wR: positive('distance-between-r1-and-r2', 'distance').optional(),
    p1: gap('gap-at-the-other-sheaves-near-rim'),
    p2: gap('gap-at-the-other-sheaves-far-rim'),
    w: positive('distance-between-p1-and-p2', 'distance'),
    // Shifted up or down, the edge may have to come nearer than it lay: these two may be negative.
    g12: figure('upper-gap', 'distance').optional(),
    g6: figure('lower-gap', 'distance').optional(),
    h: positive('distance-between-g12-and-g6', 'distance').optional(),
    eR: figure('references-depth-from-face-to-groove-centre', 'distance'),
    eA: figure('other-sheaves-depth-from-face-to-groove', 'distance'),
    edgeSide: oneOf('side-the-edge-lies-on', ['outer', 'inner']),
    otherOn: oneOf('machine-that-carries-the-other-sheave', ['motor', 'driven']),
    base: z
      .object({
        footSpacing: positive('foot-spacing-along-the-shaft', 'distance'),
        sheaveToFeet: figure('distance-from-sheave-plane-to-sheave-end', 'distance'),
        shaftHeight: notNegative('shaft-height-above-the-feet', 'distance'),
        screwPitch: positive('screw-pitch', 'distance').optional(),
        hubToShaftEnd: figure('distance-from-hub-face-to-shaft-end', 'distance').optional(),
      })
      .optional(),
    lineAngle: figure('line-angle')
      .min(-180, { error: issue('give-the-line-angle-between-180') })
      .max(180, { error: issue('give-the-line-angle-between-180') })
      .optional(),
    beltKind: oneOf('kind-of-belt', BELT_KINDS).optional(),
    stiffness,
    limits: z
      .object({
        angle: angleLimit.optional(),
        tilt: angleLimit.optional(),
        offset: positive('offset-limit', 'distance').optional(),
      })
      .optional(),
  })
  .superRefine((value, context) => {
    requireDrive(value, context)
    const need = (path: string, message: string) =>
      context.addIssue({ code: 'custom', path: [path], message })
    if (((value.r1 ?? 0) > 0 || (value.r2 ?? 0) > 0) && value.wR === undefined)
      need('wR', issue('give-how-far-apart-the-two'))
    const tilt = [value.g12, value.g6, value.h].filter((x) => x !== undefined).length
    if (tilt > 0 && tilt < 3)
      need(
        value.h === undefined ? 'h' : value.g12 === undefined ? 'g12' : 'g6',
        'Give g12, g6 and h together.',
      )
  })

const tiltOut = z.object({ farFeetShim: out('distance'), offsetChange: out('distance') })
const turnOut = z.object({
  farEndSlide: out('distance').describe('Positive away from the other shaft, sheave end held.'),
  screwTurns: maybe(),
  centreChange: out('distance'),
  offsetChange: out('distance'),
  sheaveEndSlide: out('distance').describe('The same cure with the far end held.'),
  sheaveEndCentreChange: out('distance'),
  tensionChange: maybe('force').describe('Per belt, where its stiffness is known.'),
})

/** Offset, turn and tilt of two sheaves from an edge across their faces, and the cure in order. */
export const sheaveLineOperation = defineOperation({
  name: 'sheave-line',
  summary: 'Offset, turn and tilt of two sheaves from gaps at a straight edge, fleet angles and corrections.',
  input,
  result: z.object({
    offset: out('distance'),
    turn: out().describe('Degrees.'),
    tilt: maybe().describe('Degrees; null when it was not read.'),
    fleet: z.object({ reference: out(), other: out(), worst: out() }).describe('Degrees.'),
    corrections: z
      .object({
        tilt: tiltOut,
        turn: turnOut,
        offset: z.object({ sheaveSlide: out('distance'), hubToShaftEnd: maybe('distance') }),
        after: z.array(
          z.object({
            step: z.enum(['tilt', 'turn', 'offset']),
            offset: out('distance'),
            turn: out(),
            tilt: out(),
            centreChange: out('distance'),
          }),
        ),
      })
      .nullable(),
    verdict: z.enum(['in', 'edge', 'out']),
    quantities: z.array(
      z.object({
        name: z.enum(['fleet', 'tilt', 'offset']),
        margin: out(),
        verdict: z.enum(['in', 'edge', 'out']),
      }),
    ),
    limits: z.object({ angle: out(), tilt: out(), offset: maybe('distance') }),
  }),
  compute: (given) => {
    const found = beltDrive(given)
    if (!found.ok) return found
    const drive = found.value
    const { g12, g6, h } = given
    const errors = sheaveErrors(
      {
        ...given,
        r1: given.r1 ?? 0,
        r2: given.r2 ?? 0,
        wR: given.wR ?? null,
        tilt: g12 === undefined || g6 === undefined || h === undefined ? null : { g12, g6, h },
      },
      drive.centre,
    )
    const fleet = fleetAngles(errors, drive.span)
    const own = given.limits ?? {}
    const limits = sheaveLimits(given.beltKind ?? 'v', drive.span, {
      angle: own.angle === undefined ? undefined : own.angle * DEGREE,
      tilt: own.tilt === undefined ? undefined : own.tilt * DEGREE,
      offset: own.offset,
    })
    const corrections = given.base
      ? sheaveCorrections(errors, drive.centre, {
          footSpacing: given.base.footSpacing,
          sheaveToFeet: given.base.sheaveToFeet,
          shaftHeight: given.base.shaftHeight,
          screwPitch: given.base.screwPitch ?? null,
          hubToShaftEnd: given.base.hubToShaftEnd ?? null,
          lineAngle: (given.lineAngle ?? 0) * DEGREE,
          side: given.edgeSide === 'outer' ? 1 : -1,
          motorSign: given.otherOn === 'motor' ? 1 : -1,
        })
      : null
    const tensionFor = (centreChange: number) =>
      given.stiffness === undefined
        ? null
        : (2 * given.stiffness * Math.cos(drive.strandAngle) * centreChange) / drive.pitchLength
    return done({
      offset: errors.offset,
      turn: errors.turn / DEGREE,
      tilt: errors.tilt === null ? null : errors.tilt / DEGREE,
      fleet: {
        reference: fleet.reference / DEGREE,
        other: fleet.other / DEGREE,
        worst: fleet.worst / DEGREE,
      },
      corrections: corrections && {
        ...corrections,
        turn: { ...corrections.turn, tensionChange: tensionFor(corrections.turn.centreChange) },
        after: corrections.after.map((a) => ({ ...a, turn: a.turn / DEGREE, tilt: a.tilt / DEGREE })),
      },
      ...judgeSheaves(errors, fleet, limits),
      limits: { angle: limits.angle / DEGREE, tilt: limits.tilt / DEGREE, offset: limits.offset },
    })
  },
})
