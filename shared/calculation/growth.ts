import { issue, type Thing } from '../issue'
import { z } from 'zod'
import { growthTarget, type FootGrowth } from '../../core/growth/growth'
import { EXPANSION, MATERIALS } from '../../core/growth/materials'
import { done } from '../../core/outcome'
import { defineOperation } from './defineOperation'
import { figure, idText, oneOf, positive, refuseTwins, units } from './fields'
import { lineOut, out } from './results'

export const temperature = (what: Thing) =>
  figure(what)
    // In either unit: no machine is aligned for less than this, nor for more.
    .min(-273.15, { error: issue('that-is-colder-than-anything-can') })
    .max(3000, { error: issue('that-is-hotter-than-a-machine') })
    .meta({ measured: 'temperature' })
export const material = oneOf('material', MATERIALS)
export const alpha = positive('expansion-per-degree-celsius', undefined, 1e-8).max(1e-3, {
  error: issue('give-the-expansion-per-degree-celsius'),
})

const foot = z
  .object({
    id: idText,
    x: figure('distance-to-the-feet', 'distance'),
    material: material.optional(),
    alpha: alpha.optional(),
    height: positive('height-from-base-to-shaft-centre', 'distance').optional(),
    coldTemp: temperature('cold-temperature').optional(),
    runTemp: temperature('running-temperature').optional(),
    sideRise: figure('side-growth', 'displacement').optional(),
    rise: z
      .object({
        v: figure('rise', 'displacement'),
        h: figure('side-growth', 'displacement'),
      })
      .optional(),
  })
  .superRefine((value, context) => {
    if (value.rise !== undefined) return
    const need = (path: string, message: string) =>
      context.addIssue({ code: 'custom', path: [path], message })
    if (value.material === undefined && value.alpha === undefined)
      need('material', issue('give-the-material-or-its-expansion'))
    if (value.height === undefined) need('height', issue('give-the-height-from-the-base'))
    if (value.coldTemp === undefined) need('coldTemp', issue('give-the-temperature-when-cold'))
    if (value.runTemp === undefined) need('runTemp', issue('give-the-temperature-when-running'))
  })

const input = z.object({
  units,
  machines: z
    .array(
      z.object({
        role: oneOf('which-machine-it-is', ['stationary', 'movable']),
        feet: z
          .array(foot, { error: issue('give-the-feet-as-a-list') })
          .min(2, { error: issue('give-at-least-two-foot-pairs') })
          .max(12, { error: issue('give-at-most-twelve-foot-pairs') })
          .superRefine((list, context) => refuseTwins(list, context, 'foot-pairs')),
      }),
      { error: issue('give-the-machines-as-a-list-2') },
    )
    .min(1, { error: issue('give-one-machine-or-both') })
    .max(2, { error: issue('give-one-machine-or-both') })
    .superRefine((list, context) => {
      if (list.length === 2 && list[0]?.role === list[1]?.role)
        context.addIssue({
          code: 'custom',
          path: [1, 'role'],
          message: issue('both-machines-have-the-same-role'),
        })
    }),
})

const footGrowth = (f: z.infer<typeof foot>): FootGrowth =>
  f.rise
    ? { id: f.id, x: f.x, typed: f.rise }
    : {
        id: f.id,
        x: f.x,
        alpha: f.alpha ?? EXPANSION[f.material ?? 'steel'],
        height: f.height ?? 0,
        rise: (f.runTemp ?? 0) - (f.coldTemp ?? 0),
        sideRise: f.sideRise ?? 0,
      }

/** Cold target from how both machines grow. */
export const growthOperation = defineOperation({
  name: 'growth',
  summary: 'The cold target line from how each foot pair rises between cold and running.',
  input,
  result: z.object({
    target: lineOut,
    machines: z.array(
      z.object({
        role: z.enum(['stationary', 'movable']),
        feet: z.array(
          z.object({ id: z.string(), rise: z.object({ v: out('displacement'), h: out('displacement') }) }),
        ),
      }),
    ),
  }),
  compute: ({ machines }) =>
    done(growthTarget(machines.map((m) => ({ role: m.role, feet: m.feet.map(footGrowth) })))),
})
