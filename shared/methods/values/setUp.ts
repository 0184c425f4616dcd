import { z } from 'zod'
import { figure, positive } from '../../calculation/fields'
import { issue } from '../../issue'

const sign = z.union([z.literal(1), z.literal(-1)], { error: issue('give-the-reading-sign-as-1') })

export const valuesSetUp = z.object({
  method: z.literal('values'),
  given: z.object({
    per: positive('angle-told-over'),
    signs: z.object({ high: sign, toward3: sign, endHigh: sign, endToward3: sign }),
  }),
})

/** Planes nearer to one another than this (in or mm alike) make a slope worthless. */
const LEAST_APART = 0.4

export const footValuesSetUp = z.object({
  method: z.literal('foot-values'),
  given: z
    .object({
      near: figure('plane-of-the-values'),
      far: figure('plane-of-the-values'),
      signs: z.object({ high: sign, toward3: sign }),
    })
    .refine((g) => Math.abs(g.far - g.near) >= LEAST_APART, {
      error: issue('planes-at-one-place'),
      path: ['far'],
    }),
})

/** Nothing of an instrument that works its values out belongs to the machine. */
export const valuesUsual = z.object({ method: z.literal('values') })
export const footValuesUsual = z.object({ method: z.literal('foot-values') })
