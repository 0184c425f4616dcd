import type { LogEntry } from '../../logbook/entry'
import { remember } from '../../logbook/remember'
import { SIDES, type MachineRole, type Side } from '../../plan/pairNames'
import { registeredPacks, type FootedMachine } from '../../register/footedMachine'
import type { PairPacks } from '../../register/pair'
import { toCore, type Millimetres } from '../../units/unitSystem'

/** What lies under one foot as found, and as the register has it. Millimetres, bottom up. */
export interface FootFound {
  readonly machine: MachineRole
  readonly pair: string
  readonly side: Side
  readonly registered: readonly Millimetres[]
  /** Null where nobody looked. */
  readonly found: readonly Millimetres[] | null
  readonly marks: readonly string[]
  /** Whether what was found isn't what the register has: other leaves, in whatever order. */
  readonly differs: boolean
}

/** Leaves nearer than this are one thickness in two units. */
const ALIKE: Millimetres = 0.003

const sorted = (leaves: readonly number[]) => [...leaves].sort((a, b) => a - b)

/** Whether two packs hold the same leaves, in whatever order. Millimetres. */
export const samePack = (a: readonly Millimetres[], b: readonly Millimetres[]): boolean => {
  const [x, y] = [sorted(a), sorted(b)]
  return x.length === y.length && x.every((t, i) => Math.abs(t - (y[i] as number)) < ALIKE)
}

/** The last entry that names each foot, foot by foot. */
export const shimsAgainstRegister = remember(
  (machine: FootedMachine, entries: readonly LogEntry<'shims-found'>[]): readonly FootFound[] =>
    registeredPacks(machine).flatMap(({ machine: role, id, packs }) =>
      SIDES.map((side): FootFound => {
        const entry = [...entries]
          .reverse()
          .find((e) => e.payload.feet.some((f) => f.machine === role && f.pair === id && f.side === side))
        const foot = entry?.payload.feet.find((f) => f.machine === role && f.pair === id && f.side === side)
        const registered = packs[side]
        if (!entry || !foot)
          return { machine: role, pair: id, side, registered, found: null, marks: [], differs: false }
        const found = foot.leaves.map((l) => toCore(l.thickness, 'displacement', entry.payload.units))
        return {
          machine: role,
          pair: id,
          side,
          registered,
          found,
          marks: foot.leaves.map((l) => l.mark),
          differs: !samePack(found, registered),
        }
      }),
    ),
)

/** The packs a job starts from: as found where somebody looked, else as registered. */
export const packsAsFound = remember(
  (machine: FootedMachine, entries: readonly LogEntry<'shims-found'>[]): readonly PairPacks[] => {
    if (entries.length === 0) return registeredPacks(machine)
    const feet = shimsAgainstRegister(machine, entries)
    const under = (role: MachineRole, id: string, side: Side) => {
      const foot = feet.find((f) => f.machine === role && f.pair === id && f.side === side)
      return foot?.found ?? foot?.registered ?? []
    }
    return registeredPacks(machine).map((p) => ({
      ...p,
      packs: { left: under(p.machine, p.id, 'left'), right: under(p.machine, p.id, 'right') },
    }))
  },
)
