import type { EntryKind, LogEntry } from '../logbook/entry'
import { remember } from '../logbook/remember'
import { MACHINE_ROLES, type MachineRole, type Side } from '../plan/pairNames'
import type { TrainMachine } from '../register/trainMachine'
import type { FootChange, SideChange } from '../stages/plan/entries'
import { growthAt, inUnits } from './growthAt'
import { partsOf, type TrainPart } from './parts'

/** What happens to the whole train, wherever it is written. */
const OF_ALL: readonly EntryKind[] = [
  'safety-confirmed',
  'power-restored',
  'lockout-waived',
  'bump-begun',
  'rotation-seen',
  'hot-run-begun',
  'hot-run-ended',
  'job-closed',
]

interface Ref {
  readonly machine: MachineRole
  readonly side?: Side
}

const mirroredSide = (side: Side): Side => (side === 'left' ? 'right' : 'left')

/** How feet that one part names are called in another; null where that one has no such machine. */
const renamed =
  (from: TrainPart, to: TrainPart) =>
  <R extends Ref>(ref: R): R | null => {
    const unit = from.roles[ref.machine]
    const machine = MACHINE_ROLES.find((role) => unit !== null && to.roles[role] === unit)
    if (!machine) return null
    return from.mirrored !== to.mirrored && ref.side
      ? { ...ref, machine, side: mirroredSide(ref.side) }
      : { ...ref, machine }
  }

const kept = <R>(list: readonly (R | null)[]): readonly R[] => list.filter((r) => r !== null)

/** An entry about another part as this one hears it: its feet by this part's names. Null where it has none of them. */
const translated = (from: TrainPart, to: TrainPart, e: LogEntry): LogEntry | null => {
  const name = renamed(from, to)
  const flip = from.mirrored === to.mirrored ? 1 : -1
  const sideways = (list: readonly SideChange[]) =>
    kept(list.map(name)).map((s) => ({ ...s, moved: s.moved === 0 ? 0 : flip * s.moved }))
  switch (e.kind) {
    case 'move-made': {
      const changes = kept(e.payload.changes.map(name))
      const side = sideways(e.payload.side)
      return changes.length + side.length > 0 ? { ...e, payload: { ...e.payload, changes, side } } : null
    }
    case 'hubs-roughed': {
      const changes = kept(e.payload.changes.map(name))
      const side = sideways(e.payload.side)
      return changes.length + side.length > 0 ? { ...e, payload: { ...e.payload, changes, side } } : null
    }
    case 'machine-levelled': {
      const changes = kept(e.payload.changes.map(name))
      return changes.length > 0 ? { ...e, payload: { ...e.payload, changes } } : null
    }
    case 'foot-filled': {
      const change = name(e.payload.change)
      return change && { ...e, payload: { ...e.payload, change } }
    }
    case 'shims-found': {
      const feet = kept(e.payload.feet.map(name))
      return feet.length > 0 ? { ...e, payload: { ...e.payload, feet } } : null
    }
    case 'rises-read': {
      const rises = kept(e.payload.rises.map(name))
      // A soft foot belongs to the machine that is moved here.
      return rises.length === 4 && rises.every((r) => r.machine === 'movable')
        ? { ...e, payload: { ...e.payload, rises } }
        : null
    }
    default:
      return null
  }
}

/** The part of a plan for the whole train that concerns this one. */
const planFor = (part: TrainPart, e: LogEntry<'train-plan-chosen'>): LogEntry<'plan-chosen'> | null => {
  const { units, changes, side, sets } = e.payload
  const roleOf = (unit: string) => MACHINE_ROLES.find((role) => part.roles[role] === unit)
  const own = changes.flatMap((c): FootChange[] => {
    const machine = roleOf(c.machine)
    return machine ? [{ ...c, machine, side: part.mirrored ? mirroredSide(c.side) : c.side }] : []
  })
  const pushed = side.flatMap((c): SideChange[] => {
    const machine = roleOf(c.machine)
    return machine ? [{ ...c, machine, moved: part.mirrored && c.moved !== 0 ? -c.moved : c.moved }] : []
  })
  if (own.length + pushed.length === 0) return null
  const { kind: _, payload: __, ...envelope } = e
  return {
    ...envelope,
    kind: 'plan-chosen',
    payload: {
      units,
      option: 'own',
      changes: own,
      side: pushed,
      sets: part.what === 'coupling' ? (sets[part.id] ?? []) : [],
    },
  }
}

/** A machine hears how a coupling of its was set up: by what its dials show it is pushed. */
const setUpFor = (from: TrainPart, part: TrainPart, e: LogEntry<'set-up'>): LogEntry<'set-up'> | null => {
  if (part.what !== 'machine' || !Object.values(from.roles).includes(part.id)) return null
  const feet = part.machine.feet.movable.map((f) => ({
    machine: 'movable' as const,
    pair: f.id,
    x: inUnits(f.x, part.machine.units, e.payload.units),
  }))
  return { ...e, payload: { ...e.payload, feet } }
}

/** What the growth of the train makes of this coupling's cold target. */
const targetFor = (part: TrainPart, e: LogEntry<'growth-set'>): LogEntry<'target-set'> => {
  const { kind: _, payload, ...envelope } = e
  return { ...envelope, kind: 'target-set', payload: growthAt(part, payload) }
}

/** What a part of a train hears of an entry of the train's logbook: by its own names, or nothing. */
export const heardBy = remember((train: TrainMachine, part: TrainPart, e: LogEntry): LogEntry | null => {
  switch (e.kind) {
    case 'job-opened': {
      const rpm = e.payload.rpm * part.ratio
      return { ...e, payload: { ...e.payload, rpm: Math.max(0.01, Number(rpm.toPrecision(4))) } }
    }
    case 'train-plan-chosen':
      return planFor(part, e)
    case 'growth-set':
      return part.what === 'coupling' ? targetFor(part, e) : null
    case 'stage-skipped':
      return e.part === undefined || e.part === part.id ? e : null
    default: {
      if (OF_ALL.includes(e.kind) || e.part === part.id) return e
      const from = e.part === undefined ? undefined : partsOf(train).byId.get(e.part)
      if (!from) return null
      return e.kind === 'set-up' ? setUpFor(from, part, e) : translated(from, part, e)
    }
  }
})

/** Two moves between which nothing was read are one to a coupling: what they did is measured together. */
export const joinedMove = remember(
  (first: LogEntry<'move-made'>, then: LogEntry<'move-made'>): LogEntry<'move-made'> => ({
    ...first,
    payload: {
      ...first.payload,
      ...alike(first, then),
      remark: [first.payload.remark, then.payload.remark].filter(Boolean).join('; '),
    },
  }),
)

/** What both did, in the units of the first. */
const alike = (first: LogEntry<'move-made'>, then: LogEntry<'move-made'>) => {
  const factor =
    first.payload.units === then.payload.units ? 1 : first.payload.units === 'inch' ? 1 / 0.0254 : 0.0254
  const own = (t: number) => (factor === 1 ? t : Number((t * factor).toPrecision(10)))
  return {
    changes: [
      ...first.payload.changes,
      ...then.payload.changes.map((c) => ({
        ...c,
        takenOut: c.takenOut.map(own),
        putIn: c.putIn.map(own),
      })),
    ],
    side: [...first.payload.side, ...then.payload.side.map((s) => ({ ...s, moved: own(s.moved) }))],
  }
}
