import { z } from 'zod'
import { figure } from '../../calculation/fields'
import { issue } from '../../issue'

/** Planes nearer to one another than this (in or mm alike) make a slope worthless. */
const LEAST_APART = 0.4

export const headsSetUp = z.object({
  method: z.literal('heads'),
  given: z
    .object({
      stationaryPlane: figure('plane-of-the-stationary-head'),
      movablePlane: figure('plane-of-the-movable-head'),
    })
    .refine((g) => Math.abs(g.movablePlane - g.stationaryPlane) >= LEAST_APART, {
      error: issue('planes-at-one-place'),
      path: ['movablePlane'],
    }),
})

export const headsUsual = z
  .object({
    method: z.literal('heads'),
    stationaryPlane: figure('plane-of-the-stationary-head'),
    movablePlane: figure('plane-of-the-movable-head'),
  })
  .refine((g) => g.movablePlane + g.stationaryPlane >= LEAST_APART, {
    error: issue('planes-at-one-place'),
    path: ['movablePlane'],
  })
