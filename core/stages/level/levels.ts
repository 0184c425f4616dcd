import { slopeByDivisions, slopeByFeeler } from '../../level/levelReading'
import type { LogEntry } from '../../logbook/entry'
import { remember } from '../../logbook/remember'
import type { CoupledMachine } from '../../register/coupledMachine'
import type { PairPacks } from '../../register/pair'
import { packsForLifts, type FootLeaves, type PairShare } from '../../shims/packsForLifts'
import { toCore, type Millimetres, type Slope } from '../../units/unitSystem'
import { sizeVerdict } from '../../judge/sizeVerdict'

/** What a precision level said of each shaft, and whether the machine was shimmed since. */
export interface LevelFacts {
  readonly movable: LogEntry<'level-read'> | null
  readonly stationary: LogEntry<'level-read'> | null
  /** The shims that came after the movable machine's reading; null where none did. */
  readonly shimmed: LogEntry<'machine-levelled'> | null
  /** All of it in order, for the record. */
  readonly all: readonly LogEntry<'level-read' | 'machine-levelled'>[]
}
export const NO_LEVELS: LevelFacts = { movable: null, stationary: null, shimmed: null, all: [] }

export const keepLevels = (now: LevelFacts, e: LogEntry): LevelFacts => {
  switch (e.kind) {
    case 'level-read':
      return {
        ...now,
        [e.payload.machine]: e,
        shimmed: e.payload.machine === 'movable' ? null : now.shimmed,
        all: [...now.all, e],
      }
    case 'machine-levelled':
      return { ...now, shimmed: e, all: [...now.all, e] }
    default:
      return now
  }
}

/** A shaft counts as level up to this slope, the starting value: half a mil an inch. */
export const LEVEL_LIMIT: Slope = 0.0005

/** How one shaft lies. */
export interface ShaftLevel {
  readonly entry: LogEntry<'level-read'>
  /** Rising away from the coupling positive, whichever machine it is. */
  readonly rise: Slope
  /** Divisions the level itself is off; null where it wasn't turned end for end, or a feeler was used. */
  readonly levelError: number | null
  readonly verdict: 'in' | 'edge' | 'out'
}

const riseOf = ({ payload }: LogEntry<'level-read'>): { rise: Slope; levelError: number | null } => {
  const { reading, units } = payload
  if (reading.by === 'feeler') {
    const slope = slopeByFeeler(reading.feeler, reading.supported, units)
    return { rise: reading.low === 'far' ? -slope : slope, levelError: null }
  }
  const { divisions, reversed, sensitivity } = reading
  const { slope, levelError } = slopeByDivisions(divisions, reversed, sensitivity, units)
  return { rise: slope, levelError }
}

const levelOf = remember((entry: LogEntry<'level-read'>): ShaftLevel => {
  const found = riseOf(entry)
  return { entry, ...found, verdict: sizeVerdict(Math.abs(found.rise), LEVEL_LIMIT * (1 + 1e-9)) }
})

/** What the two shafts' levels come to. */
export interface Levels {
  readonly facts: LevelFacts
  readonly movable: ShaftLevel | null
  readonly stationary: ShaftLevel | null
  /**
   * `other-first`: the driven shaft isn't read, and levelling beside a sloping one misaligns it. `leave`: it slopes
   * too. `shim`: it is level and the movable one isn't. `again`: shims were laid since.
   */
  readonly says: 'nothing' | 'other-first' | 'this-first' | 'leave' | 'shim' | 'level' | 'again'
}

export const checkLevels = remember((facts: LevelFacts): Levels => {
  const movable = facts.movable && levelOf(facts.movable)
  const stationary = facts.stationary && levelOf(facts.stationary)
  const says = facts.shimmed
    ? 'again'
    : !movable && !stationary
      ? 'nothing'
      : stationary?.verdict === 'out'
        ? 'leave'
        : !movable
          ? 'this-first'
          : movable.verdict !== 'out'
            ? stationary
              ? 'level'
              : 'other-first'
            : stationary
              ? 'shim'
              : 'other-first'
  return { facts, movable, stationary, says }
})

/** The shims that level the movable machine: under both feet of its low end. */
export interface LevelCure {
  /** The pair that is low. */
  readonly pair: string
  readonly spacing: Millimetres
  readonly shares: readonly PairShare[]
  readonly leaves: readonly FootLeaves[]
}

/** What levels the movable machine; null where it is to be left as it is. Pairs between get their part of it. */
export const levelCure = (
  machine: CoupledMachine,
  { says, movable }: Levels,
  packs: readonly PairPacks[],
): LevelCure | null => {
  if (says !== 'shim' || !movable) return null
  const pairs = machine.feet.movable
    .map((f) => ({ id: f.id, x: toCore(f.x, 'distance', machine.units) }))
    .sort((a, b) => a.x - b.x)
  const [near, far] = [pairs[0], pairs[pairs.length - 1]]
  if (!near || !far) return null
  // The high end stays, whichever it is.
  const pivot = movable.rise > 0 ? far : near
  const shares = pairs.map((f) => ({ pair: f.id, wanted: -movable.rise * (f.x - pivot.x) }))
  return {
    pair: movable.rise > 0 ? near.id : far.id,
    spacing: far.x - near.x,
    shares,
    leaves: packsForLifts(machine, packs, shares),
  }
}
