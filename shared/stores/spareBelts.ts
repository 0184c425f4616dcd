import { z } from 'zod'
import { BELT_CONSTRUCTIONS } from '../../core/register/beltMachine'
import type { SpareBelts } from '../../core/stores/spareBelts'
import { oneOf, positive, units, whole } from '../calculation/fields'
import { issue } from '../issue'
import { text, uuid, words } from '../text'

const MOST_PIECES = 10_000
/** Belts in a set or a band: as many as a drive may have. */
const MOST_IN_A_SET = 40

const mayChange = {
  place: text('where-the-belts-lie', 80),
  low: whole('order-at', 0, MOST_PIECES),
}

/** Spare belts as they are put into the stores. */
export const newSpareBelts = z.object({
  id: uuid('belts-id'),
  section: words('belt-section', 20),
  construction: oneOf('belt-construction', BELT_CONSTRUCTIONS).nullable(),
  units,
  length: positive('belt-length'),
  together: whole('belts-in-a-piece', 1, MOST_IN_A_SET),
  counted: whole('how-many-pieces', 0, MOST_PIECES),
  ...mayChange,
})
export type NewSpareBelts = z.infer<typeof newSpareBelts>

export const spareBeltsChange = z.object({
  version: z.int({ error: issue('give-the-version-you-changed') }).min(1),
  retired: z.boolean({ error: issue('in-use-or-not') }),
  ...mayChange,
})
export type SpareBeltsChange = z.infer<typeof spareBeltsChange>

/** A lot as the program keeps it. */
export type SpareBeltsRecord = SpareBelts & { readonly retired: boolean; readonly version: number }
