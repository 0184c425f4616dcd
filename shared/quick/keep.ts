import type { EntryBody } from '../../core/logbook/entry'
import type { MachineRole } from '../../core/plan/pairNames'
import type { Machine } from '../../core/register/machine'
import type { FootRef } from '../../core/stages/feet/entries'
import type { FeltPlace } from '../../core/stages/roughIn/entries'
import type { UnitSystem } from '../../core/units/unitSystem'
import { OPERATIONS } from '../calculation/operations'
import { isMeasuring, measurementToKeep } from './keepMeasurement'

/** Longest remark a logbook takes. */
const LONGEST = 2000

type Rises = Readonly<Record<'f1' | 'f2' | 'f3' | 'f4', number>>
type Corners = Extract<EntryBody, { kind: 'gaps-felt' }>['payload']['gaps'][number]['corners']
interface SoftFootInput {
  readonly units: UnitSystem
  readonly rises: Rises
  readonly corners?: Readonly<Partial<Record<keyof Rises, Corners>>>
  readonly footSize?: { readonly along: number; readonly across: number }
  readonly pipeLoosened?: Rises
}
interface RunoutInput {
  readonly units: UnitSystem
  readonly surface: 'rim' | 'face'
  readonly readings: readonly { readonly clock: number; readonly value: number }[]
  readonly diameter?: number
  readonly limit?: number
}
interface LevelInput {
  readonly units: UnitSystem
  readonly feeler?: number
  readonly supportedLength?: number
  readonly divisions?: number
  readonly reversedDivisions?: number
  readonly sensitivity?: number
}
interface GapsInput {
  readonly units: UnitSystem
  readonly gaps?: { readonly diameter: number; readonly readings: readonly FeltPlace[] }
  readonly rises?: {
    readonly hubRadius: { readonly stationary: number; readonly movable: number }
    readonly readings: readonly FeltPlace[]
  }
}

/** f1 to f4 on this machine: round the outer feet from the coupling end’s left. */
const outerFeet = (machine: Machine): readonly FootRef[] => {
  if (machine.drive !== 'coupled') return []
  const pairs = machine.feet.movable
  const [near, far] = [pairs[0]?.id ?? '', pairs[pairs.length - 1]?.id ?? '']
  return [
    { machine: 'movable', pair: near, side: 'left' },
    { machine: 'movable', pair: near, side: 'right' },
    { machine: 'movable', pair: far, side: 'right' },
    { machine: 'movable', pair: far, side: 'left' },
  ]
}
const FEET = ['f1', 'f2', 'f3', 'f4'] as const

const softFoot = (input: SoftFootInput, machine: Machine): readonly EntryBody[] => {
  // Feet between the outer ones were not read: the stage asks for all of them.
  if (machine.drive !== 'coupled' || machine.feet.movable.length !== 2) return []
  const feet = outerFeet(machine)
  const { units, corners, footSize, pipeLoosened } = input
  const read = (rises: Rises, pipe: 'bolted' | 'slack'): EntryBody => ({
    kind: 'rises-read',
    payload: {
      units,
      rises: FEET.map((f, i) => ({ ...(feet[i] as FootRef), rise: rises[f] })),
      pipe,
      remark: '',
    },
  })
  const felt = FEET.flatMap((f, i) => {
    const own = corners?.[f]
    return own ? [{ ...(feet[i] as FootRef), corners: own, size: footSize ?? null }] : []
  })
  return [
    ...(felt.length > 0 ? [{ kind: 'gaps-felt' as const, payload: { units, gaps: felt } }] : []),
    read(input.rises, 'bolted'),
    ...(pipeLoosened ? [read(pipeLoosened, 'slack')] : []),
  ]
}

const runout = (input: RunoutInput, shaft: MachineRole): readonly EntryBody[] => [
  {
    kind: 'runout-read',
    payload: {
      units: input.units,
      machine: shaft,
      surface: input.surface,
      diameter: input.diameter ?? null,
      readings: input.readings.map(({ clock, value }) => ({ clock, value })),
      limit: input.limit ?? null,
      remark: '',
    },
  },
]

/** A level on one shaft; the low end is the keeper's to say, for the sum's shim goes under it whichever it is. */
const level = (input: LevelInput, machine: MachineRole, low: 'coupling' | 'far'): readonly EntryBody[] => {
  const { units, feeler, supportedLength, divisions, reversedDivisions, sensitivity } = input
  // The bubble runs to the high end: away from the coupling where the coupling end is low.
  const slope = reversedDivisions === undefined ? divisions : ((divisions ?? 0) - reversedDivisions) / 2
  const turn = (low === 'coupling' ? 1 : -1) * ((slope ?? 0) < 0 ? -1 : 1)
  const reading =
    feeler !== undefined && supportedLength !== undefined
      ? { by: 'feeler' as const, feeler, supported: supportedLength, low }
      : divisions !== undefined && sensitivity !== undefined
        ? {
            by: 'divisions' as const,
            divisions: divisions * turn || 0,
            reversed: reversedDivisions === undefined ? null : reversedDivisions * turn || 0,
            sensitivity,
          }
        : null
  return reading ? [{ kind: 'level-read', payload: { units, machine, reading, remark: '' } }] : []
}

const hubs = ({ units, gaps, rises }: GapsInput): readonly EntryBody[] => [
  {
    kind: 'hubs-felt',
    payload: {
      units,
      steps: rises?.readings ?? [],
      gaps: gaps?.readings ?? [],
      diameter: gaps?.diameter ?? null,
      hubs: rises
        ? { stationary: 2 * rises.hubRadius.stationary, movable: 2 * rises.hubRadius.movable }
        : null,
      coupled: false,
      drag: null,
      pushed: null,
      remark: '',
    },
  },
]

/** Sums whose figures a stage of a coupled job would have written; others are kept as a remark. */
export const KEPT_AT: Readonly<Record<string, 'feet' | 'level' | 'rough-in' | 'as-found'>> = {
  'soft-foot': 'feet',
  level: 'level',
  runout: 'level',
  'rim-face': 'as-found',
  'reverse-rim': 'as-found',
  'spacer-faces': 'as-found',
  heads: 'as-found',
  'coupling-values': 'as-found',
  'foot-values': 'as-found',
  'gap-straightedge': 'rough-in',
}

/** What a sum is kept into. */
export interface KeepingJob {
  readonly machine: Machine
  /** Whose shaft was turned or levelled, and which of its ends was low. */
  readonly shaft: MachineRole
  readonly low?: 'coupling' | 'far'
}

/** The entries a stage would have written of a sum's input; none where only a remark can hold it. */
const stageEntries = (id: string, input: unknown, job: KeepingJob): readonly EntryBody[] => {
  const { machine } = job
  if (machine.drive !== 'coupled') return []
  if (isMeasuring(id)) return measurementToKeep(id, input, machine) ?? []
  switch (id) {
    case 'soft-foot':
      return softFoot(input as SoftFootInput, machine)
    case 'runout':
      return runout(input as RunoutInput, job.shaft)
    case 'gap-straightedge':
      return hubs(input as GapsInput)
    case 'level':
      return level(input as LevelInput, job.shaft, job.low ?? 'coupling')
    default:
      return []
  }
}

/**
 * What a quick sum writes into a job: the entries its stage would have written, else a remark with the answer as
 * text. `input` has passed the operation's own schema.
 */
export const entriesToKeep = (
  id: string,
  input: unknown,
  asText: string,
  job: KeepingJob,
): readonly EntryBody[] => {
  const own = OPERATIONS.some((o) => o.name === id) ? stageEntries(id, input, job) : []
  return own.length > 0 ? own : [{ kind: 'remark', payload: { text: asText.slice(0, LONGEST) } }]
}
