import { z } from 'zod'
import { figure, units } from '../../calculation/fields'
import { issue } from '../../issue'
import { MOST_UNITS } from '../../../core/register/trainMachine'
import { defineKind } from '../../logbook/kind'
import { text } from '../../text'
import { pairId } from '../feet'
import { riseHeat } from '../target/entries'
import { partId } from '../trainPlan/entries'

const rise = z
  .object({
    pair: pairId,
    heat: riseHeat.nullable(),
    rise: figure('rise').nullable(),
    side: figure('side-growth'),
  })
  .superRefine((value, context) => {
    if ((value.heat === null) === (value.rise === null))
      context.addIssue({ code: 'custom', path: ['rise'], message: issue('heat-or-rise') })
  })

/** How the machines of a train grow from cold to running. */
export const growthFields = z.object({
  units,
  machines: z
    .array(
      z.object({
        machine: partId,
        feet: z
          .array(rise, { error: issue('give-the-feet-as-a-list') })
          .min(2, { error: issue('give-at-least-two-foot-pairs') })
          .max(2, { error: issue('a-train-machine-has-two-pairs') }),
      }),
      { error: issue('give-the-machines-as-a-list') },
    )
    .min(1, { error: issue('give-the-machines-as-a-list') })
    .max(MOST_UNITS, { error: issue('give-at-most-eight-machines') })
    .superRefine((list, context) =>
      list.forEach((m, i) => {
        if (list.some((o, j) => j < i && o.machine === m.machine))
          context.addIssue({ code: 'custom', path: [i, 'machine'], message: issue('same-id', 'machines') })
      }),
    ),
  source: text('source-of-the-target', 200),
})

export const trainGrowthKinds = { 'growth-set': defineKind('growth-set', growthFields) }
