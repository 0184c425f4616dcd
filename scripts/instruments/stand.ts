import type { CoupledMachine } from '../../core/register/coupledMachine'
import { methodToCore, type MethodGiven } from '../../core/methods/methods'
import { usualSetUp } from '../../core/methods/usualSetUp'
import { STANDS } from '../../core/practice/stands'
import type { BenchLie } from '../../core/practice/bench'
import { signIn } from '../demo/signIn.mjs'
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

/** The cookie of whoever HC_SIGN_IN names; empty where it names nobody. */
const signedIn = async (program: string): Promise<string> => {
  const [, name, secret] = /^(.+?):(.+)$/.exec(process.env.HC_SIGN_IN ?? '') ?? []
  return name && secret ? signIn(program, [name], secret) : ''
}

/** Sets a machine up, from the register of the program at this address or from the practice room. */
export const standUp = async (program: string, wanted: StandWanted): Promise<Workbench> => {
  let machine: CoupledMachine = STANDS.long
  if (wanted.machine !== '') {
    const at = `${program}/api/machines/${encodeURIComponent(wanted.machine)}`
    const answer = await fetch(at, { headers: { cookie: await signedIn(program) } })
    if (answer.status === 401)
      throw new Error(
        `${program} lets nobody in unknown: start with HC_SIGN_IN="name:PIN" of somebody who may look.`,
      )
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
