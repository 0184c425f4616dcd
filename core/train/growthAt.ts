import { MACHINE_ROLES } from '../plan/pairNames'
import type { TargetPayload } from '../stages/target/entries'
import type { GrowthSet } from '../stages/trainGrowth/entries'
import type { TrainPart } from './parts'

/** The growth of the whole train as one coupling of it sees it. */
export const growthAt = (part: TrainPart, { units, machines, source }: GrowthSet): TargetPayload => ({
  units,
  source,
  learned: null,
  given: {
    way: 'growth',
    machines: MACHINE_ROLES.flatMap((role) => {
      const grown = machines.find((m) => m.machine === part.roles[role])
      if (!grown) return []
      return [
        {
          machine: role,
          feet: grown.feet.flatMap((f) => {
            const at = part.machine.feet[role].find((p) => p.id === f.pair)
            const side = part.mirrored && f.side !== 0 ? -f.side : f.side
            return at ? [{ ...f, side, x: inUnits(at.x, part.machine.units, units) }] : []
          }),
        },
      ]
    }),
  },
})

/** A distance of one unit system in the other (in, mm). */
export const inUnits = (x: number, from: 'inch' | 'metric', to: 'inch' | 'metric'): number =>
  from === to ? x : from === 'inch' ? x * 25.4 : x / 25.4
