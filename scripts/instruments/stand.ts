import type { CoupledMachine } from '../../core/register/coupledMachine'
import { methodToCore, type MethodGiven } from '../../core/methods/methods'
import { usualSetUp } from '../../core/methods/usualSetUp'
import { STANDS } from '../../core/practice/stands'
import type { BenchLie } from '../../core/practice/bench'
import { Workbench } from './workbench'

/** What the simulated instruments stand on, as their page asks for it. */
export interface StandWanted {
  /** The tag of a coupled machine of the program's register; empty for one of the practice room. */
  readonly machine: string
  readonly seed: number
  readonly lie: BenchLie
  /** Heads at these planes (mm from the coupling's middle, toward the motor positive); null mounts what the machine is usually measured by. */
  readonly heads: { readonly stationary: number; readonly movable: number } | null
}

const mountOf = (machine: CoupledMachine, heads: StandWanted['heads']): MethodGiven => {
  const usual = heads ? null : usualSetUp(machine.usual, { sag: 0, turning: 'both' })
  if (usual) return { method: usual.method, given: methodToCore(usual, machine.units) } as MethodGiven
  const { stationary, movable } = heads ?? { stationary: -100, movable: 100 }
  return { method: 'heads', given: { stationaryPlane: stationary, movablePlane: movable } }
}

/** Sets a machine up, from the register of the program at this address or from the practice room. */
export const standUp = async (program: string, wanted: StandWanted): Promise<Workbench> => {
  let machine: CoupledMachine = STANDS.long
  if (wanted.machine !== '') {
    const answer = await fetch(`${program}/api/machines/${encodeURIComponent(wanted.machine)}`)
    if (!answer.ok) throw new Error(`There is no machine ${wanted.machine} at ${program}.`)
    const { machine: found } = (await answer.json()) as { machine: CoupledMachine }
    // Its drawer is the practice room's: what instruments feel does not go by the stores.
    const { stock, packLimit } = STANDS.long
    machine = { ...found, stock, packLimit }
    if (machine.drive !== 'coupled' || machine.feet.movable.length !== 2)
      throw new Error(`${wanted.machine} can’t stand here: a coupled machine on two foot pairs can.`)
  }
  const { seed, lie, heads } = wanted
  return new Workbench({ machine, seed, lie, mount: mountOf(machine, heads) })
}
