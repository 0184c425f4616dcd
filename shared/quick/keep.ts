import type { EntryBody } from '../../core/logbook/entry'
import type { MachineRole } from '../../core/plan/movePlan'
import type { Machine } from '../../core/register/machine'
import type { FootRef } from '../../core/stages/feet/entries'
import type { FeltPlace } from '../../core/stages/roughIn/entries'
import type { UnitSystem } from '../../core/units/unitSystem'
import { OPERATIONS } from '../calculation/operations'

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
export const KEPT_AT: Readonly<Record<string, 'feet' | 'level' | 'rough-in'>> = {
  'soft-foot': 'feet',
  runout: 'level',
  'gap-straightedge': 'rough-in',
}

/**
 * What a quick sum writes into a job: the entries its stage would have written, else a remark with the answer as
 * text. `input` has passed the operation's own schema.
 */
export const entriesToKeep = (
  id: string,
  input: unknown,
  asText: string,
  job: { readonly machine: Machine; readonly shaft: MachineRole },
): readonly EntryBody[] => {
  const remark: readonly EntryBody[] = [{ kind: 'remark', payload: { text: asText.slice(0, LONGEST) } }]
  if (job.machine.drive !== 'coupled' || !OPERATIONS.some((o) => o.name === id)) return remark
  const own =
    id === 'soft-foot'
      ? softFoot(input as SoftFootInput, job.machine)
      : id === 'runout'
        ? runout(input as RunoutInput, job.shaft)
        : id === 'gap-straightedge'
          ? hubs(input as GapsInput)
          : []
  return own.length > 0 ? own : remark
}
