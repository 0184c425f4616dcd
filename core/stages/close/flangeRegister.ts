import { registeredFlange, registeredLeaves, type FlangeMachine } from '../../register/flangeMachine'
import type { FlangeState } from '../../jobs/flange'
import { toCore, type Millimetres } from '../../units/unitSystem'
import type { Spigot } from '../flangeLook/flangeFound'
import { samePack } from '../look/shimsFound'
import type { Bolts } from '../move/bolts'
import { sameBolts, SAME_PLACE } from './registerChanges'

/** What a closing writes of a flange into the register that was otherwise when the job was opened. Millimetres. */
export type FlangeRegisterChange =
  | {
      readonly what: 'bolt-pack'
      readonly bolt: string
      readonly was: readonly Millimetres[]
      readonly now: readonly Millimetres[]
    }
  | {
      readonly what: 'flange-tape'
      readonly across: { readonly v: Millimetres; readonly h: Millimetres }
      readonly plane: Millimetres
    }
  | { readonly what: 'spigot'; readonly spigot: Spigot }
  | { readonly what: 'bolts'; readonly bolts: Bolts }

/** What the register takes over from a job on a flange, in working order. */
export const flangeRegisterChanges = ({
  machine,
  leaves,
  setUp,
  spigot,
  bolts,
}: Pick<FlangeState, 'leaves' | 'setUp' | 'spigot' | 'bolts'> & {
  readonly machine: FlangeMachine
}): readonly FlangeRegisterChange[] => {
  const registered = registeredLeaves(machine)
  const { bolts: around, plane } = registeredFlange(machine)
  const taped = setUp?.flange ?? null
  const across = { v: 2 * (around[0]?.radius ?? 0), h: acrossSides(machine) }
  const moved =
    taped !== null &&
    (Math.abs(taped.plane - plane) >= SAME_PLACE ||
      Math.abs(taped.across.v - across.v) >= SAME_PLACE ||
      Math.abs(taped.across.h - across.h) >= SAME_PLACE)
  return [
    ...leaves.flatMap((now, i): readonly FlangeRegisterChange[] => {
      const was = registered[i] ?? []
      return samePack(was, now) ? [] : [{ what: 'bolt-pack', bolt: String(i + 1), was, now }]
    }),
    ...(moved ? [{ what: 'flange-tape' as const, ...taped }] : []),
    ...(spigot.from === 'job' && (spigot.fit !== machine.flange.spigot || spigot.play !== null)
      ? [{ what: 'spigot' as const, spigot }]
      : []),
    ...(bolts?.from === 'job' && !sameBolts(machine.bolts, bolts.payload)
      ? [{ what: 'bolts' as const, bolts }]
      : []),
  ]
}

/** The register's circle from 9 to 3. */
const acrossSides = ({ flange, units }: FlangeMachine): Millimetres =>
  toCore(flange.across.h, 'distance', units)
