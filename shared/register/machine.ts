import { z } from 'zod'
import type { Machine } from '../../core/register/machine'
import { issue } from '../issue'
import { keptLimitSet } from '../limits/limitSet'
import { keptBeltLimits } from '../beltLimits/beltLimits'
import { keptSection } from '../sections/section'
import { uuid } from '../text'
import { beltFields } from './beltMachine'
import { coupledFields } from './coupledMachine'
import { drumFields } from './drumMachine'
import { gearFields } from './gearMachine'
import { flangeFields } from './flangeMachine'
import { trainFields } from './trainMachine'
import { liftMachine } from './lifts'

/** What a person writes about a machine. One row a kind of drive. */
export const machineFields = z.discriminatedUnion(
  'drive',
  [coupledFields, trainFields, flangeFields, drumFields, gearFields, beltFields],
  {
    error: issue('unknown-drive'),
  },
)

export type MachineFields = z.infer<typeof machineFields>

/** A change to a machine, against the version it was read at. */
export const machineChange = z.intersection(
  z.object({ version: z.int({ error: issue('give-the-version-you-changed') }).min(1) }),
  machineFields,
)

export const newMachine = z.intersection(z.object({ id: uuid('machines-id') }), machineFields)

/** What a row of the register has besides what was written. */
interface Row {
  readonly id: string
  readonly version: number
}

export type MachineRecord = MachineFields & Row

/** A machine as a job keeps it: as registered on the day, with the stock, pack rule and limits of the works. */
export type MachineSnapshot = MachineFields & Machine & Row

const works = z.object({
  stock: z.array(
    z.object({
      thickness: z.number(),
      count: z.number(),
      kind: z.enum(['plain', 'laminated']).optional(),
      layer: z.number().optional(),
    }),
  ),
  packLimit: z.number(),
  limitSets: z.array(keptLimitSet).optional(),
  section: keptSection.optional(),
  beltLimits: z.array(keptBeltLimits).optional(),
})
const row = z.object({ id: z.string(), version: z.number() })

/** A stored record of whatever version, as it is written today. Throws on damage. */
export const readMachineFields = (version: number, record: unknown): MachineFields =>
  machineFields.parse(liftMachine(version, record))

/** A snapshot of whatever version as it was kept with a job. Throws on damage. */
export const readSnapshot = (version: number, kept: unknown): MachineSnapshot => {
  const lifted = liftMachine(version, kept)
  return { ...machineFields.parse(lifted), ...works.parse(lifted), ...row.parse(lifted) } as MachineSnapshot
}
