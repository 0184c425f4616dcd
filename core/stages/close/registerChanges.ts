import { SIDES, type MachineRole, type Side } from '../../plan/pairNames'
import { MACHINE_ROLES } from '../../plan/pairNames'
import {
  movableFeet,
  registeredPacks,
  stationaryFeet,
  type FootedMachine,
} from '../../register/footedMachine'
import type { PairPacks } from '../../register/pair'
import { thicknessKey } from '../../shims/leafKinds'
import type { Millimetres } from '../../units/unitSystem'
import type { Bolts } from '../move/bolts'
import type { BoltsPayload } from '../move/entries'
import type { SetUp } from '../setUp/setUp'
import type { ColdTarget } from '../target/target'

/** What a closing writes into the register that was otherwise when the job was opened. Millimetres. */
export type RegisterChange =
  | {
      readonly what: 'pack'
      readonly machine: MachineRole
      readonly pair: string
      readonly side: Side
      readonly was: readonly Millimetres[]
      readonly now: readonly Millimetres[]
    }
  | {
      readonly what: 'distance'
      readonly machine: MachineRole
      readonly pair: string
      /** Null where nobody had taped it before. */
      readonly was: Millimetres | null
      readonly now: Millimetres
    }
  | { readonly what: 'target'; readonly target: ColdTarget }
  | { readonly what: 'bolts'; readonly bolts: Bolts }

interface Sees {
  readonly machine: FootedMachine
  readonly packs: readonly PairPacks[]
  readonly setUp: SetUp | null
  /** Only where a machine is set off on purpose. */
  readonly coldTarget?: ColdTarget
  readonly bolts: Bolts | null
}

const samePack = (a: readonly Millimetres[], b: readonly Millimetres[]): boolean => {
  const keys = (pack: readonly Millimetres[]) =>
    pack
      .map(thicknessKey)
      .sort((x, y) => x - y)
      .join()
  return keys(a) === keys(b)
}
export const sameBolts = (a: BoltsPayload | undefined, b: BoltsPayload): boolean =>
  a !== undefined &&
  (['units', 'size', 'boltClass', 'lubrication', 'makerTorque'] as const).every((k) => a[k] === b[k])

/** A tape is read no finer: what differs by less was typed in another unit. */
export const SAME_PLACE: Millimetres = 0.1

/** Distances from the coupling that were taped in this job and stand otherwise in the register. */
export const tapedDistances = ({
  machine,
  setUp,
}: Pick<Sees, 'machine' | 'setUp'>): readonly Extract<RegisterChange, { readonly what: 'distance' }>[] =>
  MACHINE_ROLES.flatMap((role) => {
    const registered = role === 'movable' ? movableFeet(machine) : stationaryFeet(machine)
    const taped = (role === 'movable' ? setUp?.feet : setUp?.stationaryFeet) ?? []
    return machine.feet[role].flatMap(({ id }) => {
      const was = registered.find((f) => f.id === id)?.x ?? null
      const now = taped.find((f) => f.id === id)?.x
      return now === undefined || (was !== null && Math.abs(now - was) < SAME_PLACE)
        ? []
        : [{ what: 'distance' as const, machine: role, pair: id, was, now }]
    })
  })

/** What the register takes over from a job, in working order; packs in whatever order of leaves are the same. */
export const registerChanges = ({
  machine,
  packs,
  setUp,
  coldTarget,
  bolts,
}: Sees): readonly RegisterChange[] => {
  const before = registeredPacks(machine)
  const changed = packs.flatMap(({ machine: role, id, packs: now }) => {
    const was = before.find((p) => p.machine === role && p.id === id)?.packs
    return SIDES.flatMap((side): RegisterChange[] =>
      samePack(was?.[side] ?? [], now[side])
        ? []
        : [{ what: 'pack', machine: role, pair: id, side, was: was?.[side] ?? [], now: now[side] }],
    )
  })
  return [
    ...changed,
    ...tapedDistances({ machine, setUp }),
    ...(coldTarget?.from === 'job' && coldTarget.payload
      ? [{ what: 'target' as const, target: coldTarget }]
      : []),
    ...(bolts?.from === 'job' && !sameBolts(machine.bolts, bolts.payload)
      ? [{ what: 'bolts' as const, bolts }]
      : []),
  ]
}
