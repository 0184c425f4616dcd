import { z } from 'zod'
import { knownLine, oneOf, units } from '../../calculation/fields'
import { temperature } from '../../calculation/growth'
import { issue } from '../../issue'
import { defineKind } from '../../logbook/kind'
import { text, uuid } from '../../text'
import { pairId } from '../feet'
import { targetFields } from '../target/entries'

const moment = z.iso.datetime({ error: issue('iso-time') })

const footTemperature = z.object({
  machine: oneOf('which-machine', ['movable', 'stationary']),
  pair: pairId,
  value: temperature('running-temperature'),
})

export const hotCheckKinds = {
  'hot-run-begun': defineKind(
    'hot-run-begun',
    z.object({
      at: moment,
      left: z.object({ units, line: knownLine, job: uuid('job'), on: moment }).nullable(),
    }),
  ),
  'temperatures-read': defineKind(
    'temperatures-read',
    z.object({
      units,
      at: moment,
      feet: z
        .array(footTemperature, { error: issue('give-the-feet-as-a-list') })
        .min(1, { error: issue('give-the-feet-as-a-list') })
        .max(12, { error: issue('too-many-pairs') })
        .superRefine((feet, context) =>
          feet.forEach((f, i) => {
            if (feet.slice(0, i).some((o) => o.machine === f.machine && o.pair === f.pair))
              context.addIssue({ code: 'custom', path: [i, 'pair'], message: issue('one-figure-a-place') })
          }),
        ),
    }),
  ),
  'hot-run-ended': defineKind('hot-run-ended', z.object({ at: moment })),
  'hot-answered': defineKind(
    'hot-answered',
    z.object({
      take: oneOf('answer-to-a-hot-check', ['new', 'old']),
      target: targetFields,
      why: text('note'),
    }),
  ),
}
