import { z } from 'zod'
import { figure } from '../../calculation/fields'
import { issue } from '../../issue'
import { rimMount } from '../rimFace/setUp'

/** Planes nearer to one another than this (in or mm alike) make a slope worthless. */
const LEAST_APART = 0.4

const apart = <T extends { readonly onStationary: number; readonly onMovable: number }>(planes: T) =>
  Math.abs(planes.onMovable - planes.onStationary) >= LEAST_APART

export const reverseRimSetUp = z.object({
  method: z.literal('reverse-rim'),
  given: z
    .object({ onStationary: rimMount, onMovable: rimMount })
    .refine((g) => apart({ onStationary: g.onStationary.plane, onMovable: g.onMovable.plane }), {
      error: issue('planes-at-one-place'),
      path: ['onMovable', 'plane'],
    }),
})

export const reverseRimUsual = z
  .object({
    method: z.literal('reverse-rim'),
    onStationary: figure('dial-plane'),
    onMovable: figure('dial-plane'),
  })
  .refine(apart, { error: issue('planes-at-one-place'), path: ['onMovable'] })
