import { z } from 'zod'
import { placeOfKey } from '../../core/instruments/places'
import { issue } from '../issue'

/** Where in a job an instrument stands, in a word. */
export const instrumentPlace = z
  .string({ error: issue('instrument-place') })
  .max(100, { error: issue('instrument-place') })
  .refine((key) => placeOfKey(key) !== null, { error: issue('instrument-place') })

/** The number its maker gave an instrument. */
export const instrumentSerial = z
  .string({ error: issue('instrument-serial') })
  .regex(/^[A-Za-z0-9][A-Za-z0-9 ._-]{0,39}$/, { error: issue('instrument-serial') })
