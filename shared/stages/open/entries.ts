import { z } from 'zod'
import { JOB_REASONS, VIBRATION_PLACES, VIBRATION_WAYS } from '../../../core/stages/open/entries'
import { notNegative, oneOf, rpm, units } from '../../calculation/fields'
import { defineKind } from '../../logbook/kind'
import { SPEAKERS } from '../../../core/instruments/places'
import { instrumentPlace, instrumentSerial } from '../../instruments/fields'
import { TOOLS } from '../../../core/tools/toolsToTake'
import { issue } from '../../issue'
import { text, uuid, words } from '../../text'

export const openingKinds = {
  'job-opened': defineKind(
    'job-opened',
    z.object({
      reason: oneOf('reason', JOB_REASONS),
      rpm,
      customer: text('customer', 120),
      site: text('site', 120).optional(),
      note: text('note'),
    }),
  ),
  'tools-taken': defineKind(
    'tools-taken',
    z.object({
      tools: z.array(oneOf('tool', TOOLS), { error: issue('tools-as-a-list') }).max(TOOLS.length, {
        error: issue('at-most', 'tools', TOOLS.length),
      }),
      instruments: z
        .array(
          z.object({
            id: uuid('instruments-id'),
            name: words('instruments-name', 80),
            due: z.iso.date({ error: issue('day', 'calibration-due') }).nullable(),
          }),
          { error: issue('instruments-as-a-list') },
        )
        .max(40, { error: issue('at-most', 'instruments', 40) }),
      words: text('note'),
    }),
  ),
  'instrument-spoke': defineKind(
    'instrument-spoke',
    z.object({
      place: instrumentPlace,
      kind: oneOf('kind-of-instrument', SPEAKERS),
      serial: instrumentSerial,
      calibrated: z.iso.date({ error: issue('day', 'calibration-due') }).nullable(),
    }),
  ),
  'vibration-noted': defineKind(
    'vibration-noted',
    z.object({
      units,
      moment: oneOf('moment', ['before', 'after']),
      points: z
        .array(
          z.object({
            at: oneOf('place', VIBRATION_PLACES),
            way: oneOf('way-of-vibration', VIBRATION_WAYS),
            value: notNegative('vibration'),
          }),
          { error: issue('points-as-a-list') },
        )
        .min(1, { error: issue('points-as-a-list') })
        .max(12, { error: issue('points-as-a-list') })
        .superRefine((points, context) =>
          points.forEach((p, i) => {
            if (points.slice(0, i).some((o) => o.at === p.at && o.way === p.way))
              context.addIssue({ code: 'custom', path: [i, 'at'], message: issue('one-figure-a-place') })
          }),
        ),
      words: text('note'),
    }),
  ),
}
