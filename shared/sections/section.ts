import { z } from 'zod'
import type { BeltSection, SectionRow } from '../../core/belt/sections'
import { BELT_CONSTRUCTIONS } from '../../core/register/beltMachine'
import { notNegative, oneOf, positive, units } from '../calculation/fields'
import { issue } from '../issue'
import { uuid, words } from '../text'

const MOST_ROWS = 60

/** From low to high; the upper end may be open. */
const range = z
  .object({ from: notNegative('range-from'), to: positive('range-to').nullable() })
  .refine(({ from, to }) => to === null || to > from, { path: ['to'], error: issue('range-upside-down') })
const force = z
  .tuple([positive('chart-force'), positive('chart-force')], { error: issue('give-two-forces') })
  .refine(([low, high]) => low < high, { path: [1], error: issue('range-upside-down') })
  .nullable()
const row = z
  .object({
    from: notNegative('small-sheave-from'),
    to: positive('small-sheave-to').nullable(),
    speed: range.nullable(),
    force: z.object({ new: force, 'run-in': force }),
  })
  .refine(({ from, to }) => to === null || to > from, { path: ['to'], error: issue('range-upside-down') })
  .refine((r) => r.force.new !== null || r.force['run-in'] !== null, {
    path: ['force'],
    error: issue('no-force-in-the-row'),
  })

/** What a person writes of a belt section; a null says that it isn't known. */
export const sectionFields = z.object({
  section: words('belt-section', 20),
  construction: oneOf('belt-construction', BELT_CONSTRUCTIONS).nullable(),
  source: words('source-of-the-section', 200),
  units,
  topWidth: positive('top-width').nullable(),
  height: positive('belt-height').nullable(),
  mass: positive('belt-mass').nullable(),
  smallestSheave: positive('smallest-sheave').nullable(),
  stiffness: positive('belt-stiffness').nullable(),
  spanOver: positive('span-over').max(200, { error: issue('at-most', 'span-over', 200) }),
  rows: z
    .array(row, { error: issue('rows-as-a-list') })
    .max(MOST_ROWS, { error: issue('at-most', 'rows-of-a-chart', MOST_ROWS) }),
  /** Jobs opened from now on go by it; another of its section and construction no longer. */
  inUse: z.boolean({ error: issue('in-force-or-not') }),
})
export type SectionFields = Omit<BeltSection, 'id'> & { readonly inUse: boolean }
export type { SectionRow }

export const newSection = z.intersection(z.object({ id: uuid('sections-id') }), sectionFields)
export const sectionChange = z.intersection(
  z.object({ version: z.int({ error: issue('give-the-version-you-changed') }).min(1) }),
  sectionFields,
)

/** A section as the program keeps it. */
export type SectionRecord = SectionFields & { readonly id: string; readonly version: number }

/** A section as a job keeps it from its opening on. */
export const keptSection = z.intersection(z.object({ id: z.string() }), sectionFields.omit({ inUse: true }))

/** What of a section a job keeps. */
export const asKept = ({ inUse: _, version: __, ...section }: SectionRecord): BeltSection => section
