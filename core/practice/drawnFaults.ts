import type { CoupledMachine } from '../register/coupledMachine'
import { chanceFor } from './bench'
import { BENCH_FAULTS, type BenchFault, type FaultsHidden } from './faults'

/** Faults that one and the same machine can't show at once: each would hide the other. */
const APART: readonly (readonly BenchFault[])[] = [
  ['slipping-bracket', 'sticking-needle', 'backlash', 'counts-other-way'],
  ['soft-foot', 'bent-foot'],
]

const fits = (fault: BenchFault, machine: CoupledMachine): boolean =>
  // A dial on a rim does not feel a shaft that creeps along itself.
  fault !== 'float' || machine.usual.method === 'rim-face'

/** What free practice hides in a machine: none, one, or two to three that can be told apart. The same seed hides the same. */
export const drawnFaults = (
  seed: number,
  hidden: FaultsHidden,
  machine: CoupledMachine,
): readonly BenchFault[] => {
  if (hidden === 'none') return []
  const random = chanceFor(seed, 'hidden')
  const wanted = hidden === 'one' ? 1 : 2 + Math.floor(2 * random())
  let left = BENCH_FAULTS.filter((f) => fits(f, machine))
  const drawn: BenchFault[] = []
  while (drawn.length < wanted && left.length > 0) {
    const fault = left[Math.floor(random() * left.length)] as BenchFault
    drawn.push(fault)
    left = left.filter((f) => f !== fault && !APART.some((set) => set.includes(f) && set.includes(fault)))
  }
  return drawn
}
