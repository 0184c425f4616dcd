import { z } from 'zod'
import { figure, knownLine, oneOf, positive, units } from '../../calculation/fields'
import { alpha, material, temperature } from '../../calculation/growth'
import { issue } from '../../issue'
import { defineKind } from '../../logbook/kind'
import { text, uuid } from '../../text'
import { pairId, refuseCrowdedPairs } from '../feet'

/** How a foot pair rises by its heat. */
export const riseHeat = z
  .object({
    material: material.nullable(),
    alpha: alpha.nullable(),
    height: positive('height-from-base-to-shaft-centre'),
    cold: temperature('cold-temperature'),
    running: temperature('running-temperature'),
  })
  .superRefine((value, context) => {
    if (value.material === null && value.alpha === null)
      context.addIssue({
        code: 'custom',
        path: ['material'],
        message: issue('give-the-material-or-its-expansion'),
      })
  })

const footRise = z
  .object({
    pair: pairId,
    x: figure('distance-to-the-feet'),
    heat: riseHeat.nullable(),
    rise: figure('rise').nullable(),
    side: figure('side-growth'),
  })
  .superRefine((value, context) => {
    if ((value.heat === null) === (value.rise === null))
      context.addIssue({ code: 'custom', path: ['rise'], message: issue('heat-or-rise') })
  })

const machine = z
  .object({
    machine: oneOf('which-machine-it-is', ['stationary', 'movable']),
    feet: z
      .array(footRise, { error: issue('give-the-feet-as-a-list') })
      .min(2, { error: issue('give-at-least-two-foot-pairs') })
      .max(6, { error: issue('give-at-most-six-foot-pairs') })
      .superRefine((feet, context) =>
        refuseCrowdedPairs(
          feet.map(({ pair, x }) => ({ machine: '', pair, x })),
          context,
        ),
      ),
  })
  .superRefine(({ machine: role, feet }, context) =>
    feet.forEach((f, i) => {
      if (f.x * (role === 'movable' ? 1 : -1) <= 0)
        context.addIssue({
          code: 'custom',
          path: ['feet', i, 'x'],
          message: issue('feet-on-the-wrong-side'),
        })
    }),
  )

const given = z.discriminatedUnion(
  'way',
  [
    z.object({ way: z.literal('none') }),
    z.object({
      way: z.literal('growth'),
      machines: z
        .array(machine, { error: issue('give-the-machines-as-a-list-2') })
        .min(1, { error: issue('give-one-machine-or-both') })
        .max(2, { error: issue('give-one-machine-or-both') })
        .superRefine((list, context) => {
          if (list.length === 2 && list[0]?.machine === list[1]?.machine)
            context.addIssue({
              code: 'custom',
              path: [1, 'machine'],
              message: issue('both-machines-have-the-same-role'),
            })
        }),
    }),
    z.object({ way: z.literal('line'), line: knownLine }),
  ],
  { error: issue('one-of', 'way-of-a-target', 'none, growth, line') },
)

/** A cold target: the line itself, or what it follows from. */
export const targetFields = z.object({
  units,
  given,
  source: text('source-of-the-target', 200),
  learned: z.object({ job: uuid('job'), on: z.iso.datetime({ error: issue('iso-time') }) }).nullable(),
})

export const targetKinds = { 'target-set': defineKind('target-set', targetFields) }
