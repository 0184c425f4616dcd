import { z } from 'zod'
import { positive } from '../../calculation/fields'

export const gapsSetUp = z.object({
  method: z.literal('gaps'),
  given: z.object({ diameter: positive('diameter-the-gaps-are-read-on') }),
})

export const gapsUsual = z.object({
  method: z.literal('gaps'),
  gapCircle: positive('diameter-the-gaps-are-read-on'),
})
