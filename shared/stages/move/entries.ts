import { z } from 'zod'
import { BOLT_SIZE_NAMES, comesIn } from '../../../core/bolts/sizes'
import { BOLT_CLASSES } from '../../../core/bolts/tightening'
import { figure, oneOf, positive, units } from '../../calculation/fields'
import { issue } from '../../issue'
import { defineKind } from '../../logbook/kind'
import { text } from '../../text'
import { footChanges, sideChanges, pairId } from '../feet'

/** Hold-down bolts; a class and a size that don't go together are refused at the size. */
export const boltsFields = z
  .object({
    units,
    size: oneOf('bolt-size', BOLT_SIZE_NAMES),
    boltClass: oneOf('bolt-class', BOLT_CLASSES),
    lubrication: oneOf('lubrication', ['dry', 'oiled']),
    makerTorque: positive('makers-torque').nullable().default(null),
  })
  .superRefine(({ size, boltClass }, context) => {
    if (!comesIn(boltClass, size))
      context.addIssue({ code: 'custom', path: ['size'], message: issue('no-such-bolt') })
  })

const MOST_COUNTS = 12

export const moveKinds = {
  'move-made': defineKind(
    'move-made',
    z.object({ units, changes: footChanges, side: sideChanges, remark: text('remark') }),
  ),
  'counts-read': defineKind(
    'counts-read',
    z.object({
      units,
      when: oneOf('when-counted', ['pushing', 'tightened']),
      counts: z
        .array(
          z.object({
            machine: oneOf('which-machine', ['movable', 'stationary']),
            pair: pairId,
            toGo: figure('count-left'),
          }),
          { error: issue('counts-as-a-list') },
        )
        .min(1, { error: issue('counts-as-a-list') })
        .max(MOST_COUNTS, { error: issue('counts-as-a-list') }),
    }),
  ),
  'bolts-named': defineKind('bolts-named', boltsFields),
}
