import { z } from 'zod'
import type { CoupledMachine } from '../../core/register/machine'
import { figure, notNegative, oneOf, positive, rpm, tolerance, units } from '../calculation/fields'
import { uuid, words } from '../text'

const shims = z
  .array(positive('the shim thickness'), { error: 'Give the shims as a list of thicknesses.' })
  .max(20, { error: 'That is more than twenty shims under one foot. Check the list.' })

const pair = z.object({
  id: oneOf('the foot pair', ['inboard', 'outboard']),
  x: positive('the distance from the coupling to the feet'),
  existing: z.object({ left: shims, right: shims }),
  maxPack: notNegative('the highest pack'),
  sidePlus: notNegative('the room toward 3'),
  sideMinus: notNegative('the room toward 9'),
  locked: z.boolean({ error: 'Say whether the feet are locked.' }),
})

/** What a person writes about a coupled machine; distances and shims in its own units. */
export const machineFields = z.object({
  tag: words('the tag', 20).regex(/^[A-Za-z0-9][A-Za-z0-9-]*$/, {
    error: 'Use letters, digits and hyphens in the tag.',
  }),
  name: words('the machine’s name', 80),
  area: words('where it stands', 80),
  movableName: words('what is moved', 40),
  stationaryName: words('what it drives', 40),
  couplingKind: words('the kind of coupling', 60),
  powerKw: positive('the power'),
  units,
  rpm,
  usual: z.object({
    carriedBy: oneOf('the machine that carries the dials', ['movable', 'stationary']),
    rimPlane: figure('the rim dial’s plane'),
    plunger: oneOf('the way the face plunger points', ['away', 'back']),
    faceDiameter: positive('the face swing diameter'),
  }),
  feet: z
    .tuple([pair, pair], { error: 'Give two foot pairs.' })
    .refine(([a, b]) => a.id === 'inboard' && b.id === 'outboard', {
      error: 'Give the inboard pair first, then the outboard pair.',
    })
    .refine(([a, b]) => a.x < b.x, {
      error: 'The outboard feet must lie further from the coupling than the inboard feet.',
      path: [1, 'x'],
    }),
  stationaryFeet: z
    .array(z.object({ id: z.string().min(1).max(40), x: figure('the distance to the feet') }))
    .max(6),
  tolerance,
})

export type MachineFields = z.infer<typeof machineFields>

/** A change to a machine, against the version it was read at. */
export const machineChange = machineFields.extend({
  version: z.int({ error: 'Give the version you changed.' }).min(1),
})

export const newMachine = machineFields.extend({ id: uuid('the machine’s id') })

export interface MachineRecord extends MachineFields {
  readonly id: string
  readonly version: number
}

/** A machine as a job keeps it: as registered on the day, with the stock and pack rule of the works. */
export type MachineSnapshot = MachineFields &
  CoupledMachine & { readonly id: string; readonly version: number }
