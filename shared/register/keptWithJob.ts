import { beltLimitsFor, type BeltLimits } from '../../core/belt/beltLimits'
import { sectionOf, type BeltSection } from '../../core/belt/sections'
import { setsFor, type LimitSet } from '../../core/judge/limitSets'
import type { MachineRecord, MachineSnapshot } from './machine'
import { stockFor } from './stockFor'
import type { Works } from './works'

/** What the works judges by, as far as it holds now. */
export interface WorksTables {
  readonly limitSets: readonly LimitSet[]
  readonly sections: readonly BeltSection[]
  readonly beltLimits: readonly BeltLimits[]
}

const ANY_PACK = 4

/**
 * A machine as a job keeps it from its opening on: as registered, with what of the works' stock and tables is its own.
 * The server writes it; a device that opens a job out of its reach stands on its own until the server's has come.
 */
export const keptWithJob = (
  machine: MachineRecord,
  works: Pick<Works, 'stock' | 'packLimit' | 'tables'> | null,
): MachineSnapshot => {
  const { limitSets = [], sections = [], beltLimits = [] } = works?.tables ?? {}
  const own = {
    ...machine,
    stock: stockFor(machine, works?.stock ?? []),
    packLimit: works?.packLimit ?? ANY_PACK,
  }
  if (own.drive === 'gear') return own
  if (own.drive === 'train') {
    // Each coupling finds its own among them.
    const sets = [...new Set(own.couplings.flatMap((c) => setsFor(c.couplingKind, limitSets)))]
    return { ...own, ...(sets.length > 0 ? { limitSets: sets } : {}) }
  }
  if (own.drive !== 'belt') {
    const sets = setsFor(own.couplingKind, limitSets)
    return { ...own, ...(sets.length > 0 ? { limitSets: sets } : {}) }
  }
  const section = sectionOf(sections, own.belts)
  const limits = beltLimitsFor(own.belts.kind, beltLimits)
  return {
    ...own,
    ...(section ? { section } : {}),
    ...(limits.length > 0 ? { beltLimits: limits } : {}),
  }
}
