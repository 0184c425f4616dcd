import { issue } from '../issue'
import { z } from 'zod'
import { BOLT_CLASSES, NUT_FACTOR, proofStress, threadOf, tightening } from '../../core/bolts/tightening'
import { done } from '../../core/outcome'
import { defineOperation } from './defineOperation'
import { oneOf, positive, units, whole } from './fields'
import { out } from './results'

/** Hold-down bolts in three criss-cross passes. */
export const tighteningOperation = defineOperation({
  name: 'tightening',
  summary: 'Torque of hold-down bolts in three passes and the criss-cross order.',
  input: z
    .object({
      units,
      diameter: positive('bolt-diameter', 'distance'),
      pitch: positive('thread-pitch', 'distance'),
      boltClass: oneOf('bolt-class', BOLT_CLASSES).optional(),
      proofStress: positive('proof-stress', 'stress').optional(),
      lubrication: oneOf('lubrication', ['dry', 'oiled']).optional(),
      nutFactor: positive('nut-factor')
        .max(1, { error: issue('a-nut-factor-is-below-1') })
        .optional(),
      makerTorque: positive('makers-torque', 'torque').optional(),
      bolts: whole('number-of-bolts', 1, 64),
    })
    .superRefine((value, context) => {
      const need = (path: string, message: string) =>
        context.addIssue({ code: 'custom', path: [path], message })
      if (value.boltClass === undefined && value.proofStress === undefined && value.makerTorque === undefined)
        need('boltClass', issue('give-the-bolt-class-its-proof'))
      if (value.pitch >= value.diameter) need('pitch', issue('the-pitch-cant-be-larger-than'))
    }),
  result: z.object({
    tensileArea: out().describe('mm^2'),
    preload: out('force'),
    torque: out('torque'),
    passes: z.array(z.object({ share: out(), torque: out('torque') })),
    order: z.array(out()),
  }),
  compute: (given) =>
    done(
      tightening({
        ...given,
        // The maker's torque alone needs no class: its thread is told by the units it is written in.
        thread: given.boltClass ? threadOf(given.boltClass) : given.units,
        proofStress: given.proofStress ?? proofStress(given.boltClass ?? '8.8', given.diameter),
        nutFactor: given.nutFactor ?? NUT_FACTOR[given.lubrication ?? 'dry'],
      }),
    ),
})
