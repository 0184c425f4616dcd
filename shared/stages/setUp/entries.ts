import { z } from 'zod'
import { figure, oneOf, positive, units } from '../../calculation/fields'
import { issue } from '../../issue'
import { defineKind } from '../../logbook/kind'
import { setUpSchemas } from '../../methods/setUps'
import { text } from '../../text'
import { pairId, refuseCrowdedPairs } from '../feet'

const byCircle = (value: z.ZodType<number>) =>
  z.record(z.string().min(1).max(40), value, { error: issue('by-circle') })

/** How a set-up was kept while rim and face was the only method. */
const v1 = z.looseObject({
  units,
  turning: z.enum(['both', 'movable', 'stationary']),
  rim: z.looseObject({ graduation: z.number(), sagForm: z.enum(['hang', 'pipe-at-6']) }),
  face: z.looseObject({ graduation: z.number(), diameterForm: z.enum(['diameter', 'radius']) }),
  feet: z.array(z.object({ id: z.string(), x: z.number() })),
  returned: z.object({ rim: z.number(), face: z.number() }),
})

const liftFromRimFaceAlone = (old: unknown): unknown => {
  const { units, turning, rim, face, feet, returned } = v1.parse(old)
  const { graduation: rimGraduation, sagForm, ...rimMount } = rim
  const { graduation: faceGraduation, diameterForm, ...faceMount } = face
  return {
    units,
    how: { method: 'rim-face', given: { rim: { ...rimMount, turning }, faces: [faceMount] } },
    told: { sag: sagForm, circle: diameterForm },
    feet: feet.map((f) => ({ machine: 'movable', pair: f.id, x: f.x })),
    graduation: { rim: rimGraduation, face: faceGraduation },
    returned,
    // Nobody was asked why in those days: what missed zero was logged without a word.
    why: '',
  }
}

export const setUpKinds = {
  'set-up': defineKind(
    'set-up',
    z.object({
      units,
      how: z.discriminatedUnion('method', setUpSchemas, { error: issue('unknown-method') }),
      told: z.object({
        sag: oneOf('how-the-sag-was-told', ['hang', 'pipe-at-6']),
        circle: oneOf('how-the-circle-was-taped', ['diameter', 'radius']),
      }),
      feet: z
        .array(
          z.object({
            machine: oneOf('which-machine', ['movable', 'stationary']),
            pair: pairId,
            x: figure('distance-to-the-feet'),
          }),
          { error: issue('feet-as-a-list') },
        )
        .min(2, { error: issue('both-foot-pairs') })
        .max(24, { error: issue('too-many-pairs') })
        .superRefine(refuseCrowdedPairs),
      graduation: byCircle(positive('graduation')),
      returned: byCircle(figure('after-the-turn')),
      why: text('why', 500),
    }),
    [liftFromRimFaceAlone],
  ),
}
