import { z } from 'zod'
import { sheetShimFault } from '../../../core/shims/sheetShim'
import { GEAR_PLACES } from '../../../core/stages/gearLook/entries'
import { FLANGE_PLACES } from '../../../core/stages/flangeLook/entries'
import { BASE_PLACES, DRUM_PLACES, FOUND, PINS } from '../../../core/stages/look/entries'
import { COUPLING_PARTS } from '../../../core/register/couplingParts'
import { toCore } from '../../../core/units/unitSystem'
import { figure, notNegative, oneOf, positive, units, whole } from '../../calculation/fields'
import { issue } from '../../issue'
import { defineKind } from '../../logbook/kind'
import { MOST_PHOTOGRAPHS } from '../../photographs/photographs'
import { text, uuid } from '../../text'
import { footRef } from '../feet'

const words = text('what-was-found')
const edgesOf = <T extends z.ZodType>(edge: T) =>
  z.object({ left: edge, right: edge, coupling: edge, far: edge })

/** The outline of a shim cut from sheet, in or mm. */
export const sheetOutline = z.object({
  length: positive('shim-length'),
  width: positive('shim-width'),
  slot: positive('slot-width'),
  toBolt: positive('edge-to-bolt'),
})

/** Refuses an outline that leaves no metal round its slot, at the figure that is wrong. */
export const refuseCutThrough = (
  shim: z.infer<typeof sheetOutline>,
  was: 'inch' | 'metric',
  context: z.RefinementCtx,
  path: readonly string[] = [],
): void => {
  const mm = (t: number) => toCore(t, 'distance', was)
  const fault = sheetShimFault({
    length: mm(shim.length),
    width: mm(shim.width),
    slot: mm(shim.slot),
    toBolt: mm(shim.toBolt),
  })
  if (fault)
    context.addIssue({
      code: 'custom',
      path: [...path, fault === 'slot-too-wide' ? 'slot' : 'toBolt'],
      message: issue(fault),
    })
}

export const lookKinds = {
  'place-looked': defineKind(
    'place-looked',
    z
      .object({
        places: z
          .array(
            oneOf('place', [
              ...BASE_PLACES,
              ...DRUM_PLACES,
              ...FLANGE_PLACES,
              ...GEAR_PLACES,
              ...COUPLING_PARTS,
            ]),
            {
              error: issue('places-as-a-list'),
            },
          )
          .min(1, { error: issue('places-as-a-list') })
          .max(20, { error: issue('places-as-a-list') }),
        found: oneOf('what-was-found', FOUND),
        words,
        photographs: z
          .array(uuid('photographs-id'), { error: issue('photographs-as-a-list') })
          .max(MOST_PHOTOGRAPHS, { error: issue('at-most', 'photographs', MOST_PHOTOGRAPHS) }),
      })
      .superRefine((looked, context) => {
        if (looked.found === 'to-report' && looked.words.trim() === '' && looked.photographs.length === 0)
          context.addIssue({ code: 'custom', path: ['words'], message: issue('report-what') })
      }),
  ),
  'pins-handled': defineKind('pins-handled', z.object({ did: oneOf('pins-done', PINS), words })),
  'pipe-read': defineKind(
    'pipe-read',
    z
      .object({
        units,
        vertical: figure('reading').nullable(),
        horizontal: figure('reading').nullable(),
        limit: positive('pipe-limit').nullable(),
        words,
      })
      .refine((p) => p.vertical !== null || p.horizontal !== null, {
        path: ['vertical'],
        error: issue('give-at-least-one-reading'),
      }),
  ),
  'shims-found': defineKind(
    'shims-found',
    z.object({
      units,
      feet: z
        .array(
          footRef.extend({
            leaves: z
              .array(z.object({ thickness: positive('shim-thickness'), mark: text('shim-mark', 40) }), {
                error: issue('shims-as-a-list'),
              })
              .max(20, { error: issue('that-is-more-than-twenty-shims') }),
          }),
          { error: issue('feet-as-a-list') },
        )
        .min(1, { error: issue('feet-as-a-list') })
        .max(24, { error: issue('too-many-pairs') }),
      words,
    }),
  ),
  'base-read': defineKind(
    'base-read',
    z.object({
      units,
      length: positive('base-length'),
      width: positive('base-width'),
      by: z.discriminatedUnion(
        'by',
        [
          z.object({
            by: z.literal('feeler'),
            supported: positive('supported-length'),
            edges: edgesOf(
              z.object({
                feeler: notNegative('feeler'),
                farLow: z.boolean({ error: issue('one-of', 'low-end', 'true, false') }),
              }),
            ),
          }),
          z.object({
            by: z.literal('divisions'),
            sensitivity: positive('levels-sensitivity'),
            edges: edgesOf(
              z.object({
                divisions: figure('divisions-off-centre'),
                reversed: figure('divisions-with-the-level-turned-end-for').nullable(),
              }),
            ),
          }),
        ],
        { error: issue('one-of', 'level-by', 'feeler, divisions') },
      ),
      words,
    }),
  ),
  'sheet-shims-cut': defineKind(
    'sheet-shims-cut',
    footRef
      .extend({
        units,
        thickness: positive('shim-thickness'),
        count: whole('shim-count', 1, 50),
        outline: sheetOutline,
        words,
      })
      .superRefine((cut, context) => refuseCutThrough(cut.outline, cut.units, context, ['outline'])),
  ),
}
