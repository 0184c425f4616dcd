import { z } from 'zod'
import { growthTarget, type FootGrowth } from '../../core/growth/growth'
import { EXPANSION, MATERIALS } from '../../core/growth/materials'
import { done } from '../../core/outcome'
import { defineOperation } from './defineOperation'
import { figure, idText, oneOf, positive, refuseTwins, units } from './fields'
import { lineOut, out } from './results'

export const temperature = (what: string) =>
  figure(what)
    .min(-460, { error: 'That is colder than anything can be. Check the temperature.' })
    .meta({ measured: 'temperature' })
export const material = oneOf('the material', MATERIALS)
export const alpha = positive('the expansion per degree Celsius', undefined, 1e-8).max(1e-3, {
  error: 'Give the expansion per degree Celsius, for example 0.0000117 for steel.',
})

const foot = z
  .object({
    id: idText,
    x: figure('the distance to the feet', 'distance'),
    material: material.optional(),
    alpha: alpha.optional(),
    height: positive('the height from base to shaft centre', 'distance').optional(),
    coldTemp: temperature('the cold temperature').optional(),
    runTemp: temperature('the running temperature').optional(),
    sideRise: figure('the side growth', 'displacement').optional(),
    rise: z
      .object({
        v: figure('the rise', 'displacement'),
        h: figure('the side growth', 'displacement'),
      })
      .optional(),
  })
  .superRefine((value, context) => {
    if (value.rise !== undefined) return
    const need = (path: string, message: string) =>
      context.addIssue({ code: 'custom', path: [path], message })
    if (value.material === undefined && value.alpha === undefined)
      need('material', 'Give the material, or its expansion (alpha), or the rise itself.')
    if (value.height === undefined) need('height', 'Give the height from the base to the shaft centre.')
    if (value.coldTemp === undefined) need('coldTemp', 'Give the temperature when cold.')
    if (value.runTemp === undefined) need('runTemp', 'Give the temperature when running.')
  })

const input = z.object({
  units,
  machines: z
    .array(
      z.object({
        role: oneOf('which machine it is', ['stationary', 'movable']),
        feet: z
          .array(foot, { error: 'Give the feet as a list.' })
          .min(2, { error: 'Give at least two foot pairs.' })
          .max(12, { error: 'Give at most twelve foot pairs.' })
          .superRefine((list, context) => refuseTwins(list, context, 'foot pairs')),
      }),
      { error: 'Give the machines as a list.' },
    )
    .min(1, { error: 'Give one machine or both.' })
    .max(2, { error: 'Give one machine or both.' })
    .superRefine((list, context) => {
      if (list.length === 2 && list[0]?.role === list[1]?.role)
        context.addIssue({ code: 'custom', path: [1, 'role'], message: 'Both machines have the same role.' })
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
