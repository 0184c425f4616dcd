import type { LogEntry } from '../../logbook/entry'
import { remember } from '../../logbook/remember'
import {
  registeredLeaves,
  type BoltLeaves,
  type FlangeMachine,
  type SpigotFit,
} from '../../register/flangeMachine'
import { toCore, type Millimetres } from '../../units/unitSystem'
import { samePack } from '../look/shimsFound'

/** What was found under the bolts and in the register of a flange, oldest first. */
export interface FlangeFound {
  readonly shims: readonly LogEntry<'bolt-shims-found'>[]
  readonly spigot: LogEntry<'spigot-felt'> | null
  readonly cut: readonly LogEntry<'bolt-shims-cut'>[]
}
export const NOTHING_FOUND: FlangeFound = { shims: [], spigot: null, cut: [] }

export const keepFlangeFound = (now: FlangeFound, e: LogEntry): FlangeFound => {
  switch (e.kind) {
    case 'bolt-shims-found':
      return { ...now, shims: [...now.shims, e] }
    case 'spigot-felt':
      return { ...now, spigot: e }
    case 'bolt-shims-cut':
      return { ...now, cut: [...now.cut, e] }
    default:
      return now
  }
}

/** What lies under one bolt as found, and as the register has it. Millimetres, bottom up. */
export interface BoltFound {
  readonly bolt: string
  readonly registered: readonly Millimetres[]
  /** Null where nobody looked. */
  readonly found: readonly Millimetres[] | null
  readonly marks: readonly string[]
  readonly differs: boolean
}

/** The last entry that names each bolt, clockwise from 12. */
export const boltsFound = remember(
  (machine: FlangeMachine, entries: FlangeFound['shims']): readonly BoltFound[] =>
    registeredLeaves(machine).map((registered, i): BoltFound => {
      const bolt = String(i + 1)
      const entry = [...entries].reverse().find((e) => e.payload.bolts.some((b) => b.bolt === bolt))
      const told = entry?.payload.bolts.find((b) => b.bolt === bolt)
      if (!entry || !told) return { bolt, registered, found: null, marks: [], differs: false }
      const found = told.leaves.map((l) => toCore(l.thickness, 'displacement', entry.payload.units))
      return {
        bolt,
        registered,
        found,
        marks: told.leaves.map((l) => l.mark),
        differs: !samePack(found, registered),
      }
    }),
)

/** The leaves a job starts from: as found where somebody looked, else as registered. */
export const leavesAsFound = remember((machine: FlangeMachine, entries: FlangeFound['shims']): BoltLeaves =>
  boltsFound(machine, entries).map((b) => b.found ?? b.registered),
)

/** How the motor sits in its register, and who says so. */
export interface Spigot {
  readonly fit: SpigotFit
  /** From stop to stop; null where nobody measured it. */
  readonly play: Millimetres | null
  readonly from: 'job' | 'register'
}

const felt = remember((entry: LogEntry<'spigot-felt'>): Spigot => {
  const { fit, play, units } = entry.payload
  return { fit, play: play === null ? null : toCore(play, 'displacement', units), from: 'job' }
})
const registeredSpigot = remember(({ flange, units }: FlangeMachine): Spigot => ({
  fit: flange.spigot,
  play: flange.play === null ? null : toCore(flange.play, 'displacement', units),
  from: 'register',
}))

/** As felt in this job, else as the register has it. */
export const spigotOf = (machine: FlangeMachine, { spigot }: FlangeFound): Spigot =>
  spigot ? felt(spigot) : registeredSpigot(machine)
