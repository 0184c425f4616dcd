import {
  judgeContact,
  startingLimits,
  type ContactFigures,
  type ContactLimits,
  type PaintedZone,
  type Runs,
  type TwoRuns,
} from '../../gear/contactFigures'
import {
  LEVERS,
  leversKnown,
  nextShift,
  responseOf,
  TEST_SHIFT,
  whatItDid,
  type Lever,
  type LeversKnown,
  type NextShift,
  type NoShift,
  type Response,
  type ShiftSeen,
  type ShiftTold,
} from '../../gear/levers'
import type { LogEntry } from '../../logbook/entry'
import { remember } from '../../logbook/remember'
import { registeredZones, rememberedResponses, type GearMachine } from '../../register/gearMachine'
import { toCore, type Millimetres } from '../../units/unitSystem'
import type { Pattern } from '../pattern/pattern'
import { lastRead } from '../../logbook/rounds'
import type { GearRound, GearRounds } from './rounds'

/** The zones the paint is judged against, and where they come from. */
export interface Wanted {
  readonly zones: Runs<PaintedZone>
  readonly from: 'register' | 'as-found' | 'left-before'
}

/** Paint as it was read, judged where it is known what is wanted. */
export interface ContactRead {
  readonly entry: LogEntry<'contact-painted'>
  readonly zones: Readonly<Record<keyof Runs<unknown>, PaintedZone | null>>
  /** Null where a run was not seen, or nobody knows what is wanted. */
  readonly figures: ContactFigures | null
}

/** A shift as the paint told it. */
export interface ShiftRead {
  /** The round that it ended, counted from 1. */
  readonly round: number
  readonly seen: ShiftSeen
  readonly told: ShiftTold
  readonly response: Response
}

/** What layers in or out did to the paint, where it was read on both sides of them. */
export interface LayersSeen {
  readonly round: number
  readonly layers: readonly number[]
  readonly went: TwoRuns
}

/** All that the paint of a job says. */
export interface Contact {
  readonly wanted: Wanted | null
  /** Null where nobody knows what is wanted: then only what is given would judge. */
  readonly limits: ContactLimits | null
  readonly asFound: ContactRead | null
  /** One a round, the last one under way; null where nothing was painted. */
  readonly reads: readonly (ContactRead | null)[]
  readonly now: ContactRead | null
  /** The last that was read, whatever was changed since. */
  readonly left: ContactRead | null
  readonly shifts: readonly ShiftRead[]
  readonly layersSeen: readonly LayersSeen[]
  readonly known: LeversKnown
  /** How far each stands from where it was pinned, toward the `to` end positive. */
  readonly shifted: Readonly<Record<Lever, Millimetres>>
  /** What to shift next; null while the paint is unread or good enough. */
  readonly next: NextShift | NoShift | null
  /** Its middle is where it should be, and it is out all the same. */
  readonly notByShift: boolean
  /** Something was taken apart or shifted: what was there before can't be read any more. */
  readonly disturbed: boolean
}

const wantedOf = remember((machine: GearMachine, pattern: NonNullable<Pattern>): Wanted | null => {
  const { forward, back } = pattern.payload
  const zones = registeredZones(machine.gear)
  if (zones) return { zones, from: 'register' }
  return forward && back ? { zones: { forward, back }, from: 'as-found' } : unfoundWanted(machine)
})
const unfoundWanted = remember(({ gear }: GearMachine): Wanted | null => {
  const zones = registeredZones(gear)
  if (zones) return { zones, from: 'register' }
  return gear.leftAs && { zones: gear.leftAs, from: 'left-before' }
})

const limitsOf = remember(({ gear }: GearMachine, wanted: Wanted): ContactLimits => {
  const starting = startingLimits(wanted.zones)
  const { off, shortest, longest, covered } = gear.limits
  return {
    off: off ?? starting.off,
    // A site that says one end of the length has nothing against the other.
    length: shortest === null && longest === null ? starting.length : [shortest, longest],
    covered: covered ?? starting.covered,
  }
})

const judged = remember(
  (entry: LogEntry<'contact-painted'>, wanted: Wanted, limits: ContactLimits): ContactRead => {
    const { forward, back } = entry.payload
    const figures = forward && back ? judgeContact({ forward, back }, wanted.zones, limits) : null
    return { entry, zones: { forward, back }, figures }
  },
)
const unjudged = remember((entry: LogEntry<'contact-painted'>): ContactRead => ({
  entry,
  zones: { forward: entry.payload.forward, back: entry.payload.back },
  figures: null,
}))

const shiftsOf = (
  machine: GearMachine,
  rounds: GearRounds,
  read: (entry: GearRound['painted']) => ContactRead | null,
): { readonly shifts: readonly ShiftRead[]; readonly layersSeen: readonly LayersSeen[] } => {
  const shifts: ShiftRead[] = []
  const layersSeen: LayersSeen[] = []
  rounds.forEach(({ painted, change }, i) => {
    const before = read(painted)?.figures
    const after = read(rounds[i + 1]?.first ?? null)?.figures
    if (!before || !after || !change) return
    if (change.kind === 'layers-changed')
      layersSeen.push({
        round: i + 1,
        layers: change.payload.layers,
        went: { together: after.together - before.together, apart: after.apart - before.apart },
      })
    if (change.kind !== 'gear-shifted') return
    const { lever, by, units } = change.payload
    const seen = { lever, by: toCore(by, 'displacement', units), before, after }
    shifts.push({
      round: i + 1,
      seen,
      told: whatItDid(machine.gear.school, seen),
      response: responseOf(seen),
    })
  })
  return { shifts, layersSeen }
}

/** How far each lever was shifted in this job, and in how many bites. */
const shiftedBy = (rounds: GearRounds): Readonly<Record<Lever, Millimetres>> => {
  const of = (lever: Lever) =>
    rounds.reduce(
      (sum, { change }) =>
        change?.kind === 'gear-shifted' && change.payload.lever === lever
          ? sum + toCore(change.payload.by, 'displacement', change.payload.units)
          : sum,
      0,
    )
  return { blocks: of('blocks'), gear: of('gear') }
}

const wantedFor = (machine: GearMachine, pattern: Pattern): Wanted | null =>
  pattern ? wantedOf(machine, pattern) : unfoundWanted(machine)

/** Judges any paint of a job as all of it is judged. */
export const paintReader = (
  machine: GearMachine,
  pattern: Pattern,
): ((entry: LogEntry<'contact-painted'>) => ContactRead) => {
  const wanted = wantedFor(machine, pattern)
  const limits = wanted && limitsOf(machine, wanted)
  return (entry) => (wanted && limits ? judged(entry, wanted, limits) : unjudged(entry))
}

/** What the paint of a job says, from its pattern as found and its rounds. Source: docs/stages/gear.md. */
export const readContact = (
  machine: GearMachine,
  pattern: Pattern,
  rounds: GearRounds,
  refitted: boolean,
): Contact => {
  const { gear, units } = machine
  const wanted = wantedFor(machine, pattern)
  const limits = wanted && limitsOf(machine, wanted)
  const readOf = paintReader(machine, pattern)
  const read = (entry: GearRound['painted']) => entry && readOf(entry)
  const asFound = read(pattern)
  const disturbed = refitted || rounds.length > 1 || rounds[0].painted !== null
  const reads = rounds.map(({ painted }) => read(painted))
  const whole = asFound?.zones.forward && asFound.zones.back ? asFound : null
  // What nobody disturbed still lies as it was found.
  const now = reads[reads.length - 1] ?? (disturbed ? null : whole)
  const { shifts, layersSeen } = shiftsOf(machine, rounds, read)
  const shifted = shiftedBy(rounds)
  const mm = (x: number) => toCore(x, 'displacement', units)
  const roomOf = (lever: Lever) => {
    const each = gear.room[lever]
    return each === null
      ? null
      : { from: Math.max(0, mm(each) + shifted[lever]), to: Math.max(0, mm(each) - shifted[lever]) }
  }
  const figures = now?.figures ?? null
  const off = figures?.quantities.some((q) => q.quantity === 'off' && q.verdict === 'out') ?? false
  const remembered = rememberedResponses(machine)
  const seen = shifts.map((s) => s.seen)
  return {
    wanted,
    limits,
    asFound,
    reads,
    now,
    left: lastRead(reads) ?? (disturbed ? null : whole),
    shifts,
    layersSeen,
    known: leversKnown(seen, remembered),
    shifted,
    next:
      figures && limits && off
        ? nextShift({
            school: gear.school,
            now: figures,
            seen,
            remembered,
            testShift: gear.testShift === null ? TEST_SHIFT : mm(gear.testShift),
            room: { blocks: roomOf('blocks'), gear: roomOf('gear') },
          })
        : null,
    notByShift: figures?.verdict === 'out' && !off,
    disturbed,
  }
}

/** The net shift above which the old pin holes no longer meet: the starting value, two mil. */
export const REAM_OVER: Millimetres = 2 * 0.0254

/** Blocks or gear stand so far from where they were pinned that the holes are reamed anew. */
export const holesMiss = ({ shifted }: Pick<Contact, 'shifted'>): boolean =>
  LEVERS.some((lever) => Math.abs(shifted[lever]) > REAM_OVER * (1 + 1e-9))
