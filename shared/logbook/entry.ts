import { z } from 'zod'
import { JOB_REASONS, SAFETY_POINTS, STAGES, type EntryBody } from '../../core/logbook/entry'
import {
  clock,
  dialSet,
  faceSet,
  figure,
  notNegative,
  oneOf,
  positive,
  rpm,
  units,
} from '../calculation/fields'
import { text, uuid, words } from '../text'

const pairId = z.string({ error: 'Name the foot pair.' }).min(1).max(40)

const typedReadings = z
  .array(z.object({ clock, value: figure('the reading'), group: text('the zero group', 40).optional() }), {
    error: 'Give the readings as a list of clock and value.',
  })
  .min(2, { error: 'Give at least two readings for each dial.' })
  .max(72, { error: 'Give at most 72 readings for each dial.' })

const shimList = z
  .array(positive('the shim thickness'), { error: 'Give the shims as a list of thicknesses.' })
  .max(20, { error: 'That is more than twenty shims under one foot. Check the list.' })

const footChange = z.object({
  pair: pairId,
  side: oneOf('the side', ['left', 'right']),
  takenOut: shimList,
  putIn: shimList,
})
const sideChange = z.object({ pair: pairId, moved: figure('the side move') })
const changes = z.array(footChange).max(24)
const side = z.array(sideChange).max(12)
const returned = z.object({
  rim: figure('what the rim dial shows after the full turn'),
  face: figure('what the face dial shows after the full turn'),
})
const why = words('why, in a few words', 500)

const body = <K extends EntryBody['kind'], P extends z.ZodType>(kind: K, payload: P) =>
  z.object({ kind: z.literal(kind), payload })

const bodies = [
  body(
    'job-opened',
    z.object({
      reason: oneOf('the reason', JOB_REASONS),
      rpm,
      customer: text('the customer', 120),
      note: text('the note'),
    }),
  ),
  body(
    'safety-confirmed',
    z.object({ point: oneOf('the point confirmed', SAFETY_POINTS), permit: text('the permit number', 60) }),
  ),
  body('power-restored', z.object({ why })),
  body(
    'set-up',
    z.object({
      units,
      method: z.literal('rim-face', { error: 'This job is measured by rim and face.' }),
      turning: oneOf('the shaft that turns', ['both', 'movable', 'stationary']),
      rim: z.object({
        carriedBy: dialSet.shape.carriedBy,
        plane: dialSet.shape.plane,
        sag: notNegative('the bar sag'),
        sagForm: oneOf('how the sag was told', ['hang', 'pipe-at-6']),
        graduation: positive('the rim dial’s graduation'),
        readingSign: dialSet.shape.readingSign.unwrap(),
      }),
      face: z.object({
        plunger: faceSet.shape.plunger,
        diameter: faceSet.shape.diameter,
        diameterForm: oneOf('how the face circle was taped', ['diameter', 'radius']),
        sag: figure('the face sag'),
        graduation: positive('the face dial’s graduation'),
        readingSign: dialSet.shape.readingSign.unwrap(),
      }),
      feet: z
        .array(z.object({ id: pairId, x: figure('the distance to the feet') }))
        .min(2, { error: 'Give the distance to both foot pairs.' })
        .max(2, { error: 'Give two foot pairs.' })
        .refine(([a, b]) => a?.x !== b?.x, {
          error: 'The foot pairs stand at the same place. Check the distances.',
        }),
      returned,
    }),
  ),
  body(
    'readings-taken',
    z.object({ units, rim: typedReadings, face: typedReadings, returned: returned.nullable() }),
  ),
  body('set-used-anyway', z.object({ set: uuid('the set'), why })),
  body('set-left-out', z.object({ set: uuid('the set'), why })),
  body(
    'plan-chosen',
    z.object({
      units,
      option: oneOf('the plan', ['closest', 'fewest-feet', 'fewest-shims', 'least-lift', 'own']),
      changes,
      side,
    }),
  ),
  body('move-made', z.object({ units, changes, side, remark: text('the remark') })),
  body('stage-skipped', z.object({ stage: oneOf('the stage', STAGES), why })),
  body('remark', z.object({ text: words('what to remark') })),
  body(
    'job-closed',
    z.object({
      signedBy: words('who signs', 120),
      remarks: text('the remarks', 4000),
      exception: text('the exception', 1000),
    }),
  ),
] as const

const moment = z.iso
  .datetime({ offset: true, error: 'Give the time as an ISO date and time.' })
  .refine((iso) => Date.parse(iso) >= Date.UTC(2000, 0) && Date.parse(iso) < Date.UTC(2100, 0), {
    error: 'That time can’t be right. Check the clock of this device.',
  })

const envelope = z.object({
  id: uuid('the entry’s id'),
  author: uuid('who is writing'),
  madeAt: moment,
  supersedes: z
    .object({ entry: uuid('the entry corrected'), reason: words('why it is corrected', 500) })
    .nullable()
    .default(null),
})

/** What a client posts: an entry with its own UUID, before the server has received it. */
export const entryDraft = z.intersection(
  envelope,
  z.discriminatedUnion('kind', bodies, { error: 'That kind of entry is not known here.' }),
)

/** A posted entry; its body is core's, so a schema that drifts from core fails to compile. */
export type EntryDraft = z.infer<typeof envelope> & EntryBody

/** Proof for the compiler that what the schema lets through is what core folds. */
export const asDraft = (parsed: z.output<typeof entryDraft>): EntryDraft => parsed
