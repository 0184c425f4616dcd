import type { MethodId } from '../methods/methods'
import { feelerLimits } from '../register/hubs'
import type { MeasuredMachine } from '../register/measuredMachine'
import { partsOfCoupling, type CouplingPart } from '../register/couplingParts'
import { toCore, type Millimetres } from '../units/unitSystem'

export const TOOLS = [
  'lock',
  'scraper',
  'marker',
  'jack',
  'torque-wrench',
  'feelers',
  'straightedge',
  'level',
  'tape',
  'dials',
  'magnet-bases',
  'bracket',
  'sag-pipe',
  'mirror',
  'heads',
  'instrument',
  'shims',
  'coupling-parts',
] as const
export type ToolId = (typeof TOOLS)[number]

/** What a tool is for: the groups of the list. */
export type ToolUse = 'prepare' | 'feet' | 'measure' | 'move'

/** One thing to take along; what makes it the right one. */
export interface Tool {
  readonly id: ToolId
  readonly use: ToolUse
  readonly count?: number
  /** At least as long as this, or reaching this far. */
  readonly size?: Millimetres
  /** Leaves by thickness that earlier jobs took, most used first. */
  readonly leaves?: readonly Millimetres[]
  readonly parts?: readonly CouplingPart[]
}

/** A leaf and how many of it earlier jobs on this machine put in. */
export interface LeafUse {
  readonly thickness: Millimetres
  readonly count: number
}

/** Dials of a method; a foot that rises and the watch of a side move want two anyway. */
const DIALS: Readonly<Record<MethodId, number>> = {
  'rim-face': 2,
  'reverse-rim': 2,
  'spacer-faces': 2,
  gaps: 0,
  heads: 0,
  values: 0,
  'foot-values': 0,
}

/** Thicknesses that are listed of an earlier choice. */
const MOST_LEAVES = 6

/** Parts that wear and are changed on the spot. */
const SPARES: readonly CouplingPart[] = ['spider', 'insert', 'bushes', 'tyre', 'grease', 'gasket']

/** From hub to hub a straightedge must lie on both rims, each hub about half as wide as it is across. */
const straightedge = (machine: MeasuredMachine): Millimetres | undefined => {
  const { diameter, gap } = feelerLimits(machine)
  if (diameter === null) return undefined
  const { usual, units } = machine
  const spool = usual.method === 'spacer-faces' ? toCore(usual.spoolLength, 'distance', units) : 0
  return Math.max(spool, gap.most ?? 0) + diameter
}

/** From where a bracket is clamped to where its dial stands. */
const reach = ({ usual, units }: MeasuredMachine): Millimetres | undefined => {
  const far = (t: number) => toCore(Math.abs(t), 'distance', units)
  switch (usual.method) {
    case 'rim-face':
      return 2 * far(usual.rimPlane)
    case 'reverse-rim':
      return far(usual.onMovable - usual.onStationary)
    case 'spacer-faces':
      return far(usual.spoolLength)
    default:
      return undefined
  }
}

const maybe = <T>(key: string, value: T | undefined) => (value === undefined ? {} : { [key]: value })

/**
 * What goes along to this machine, measured by this method: from the method, the coupling, the machine's sizes, and
 * the leaves that its jobs before took. Source: docs/stages/open.md.
 */
export const toolsToTake = (
  machine: MeasuredMachine,
  method: MethodId,
  before: readonly LeafUse[],
): readonly Tool[] => {
  const parts = partsOfCoupling(machine.couplingType).filter((p) => SPARES.includes(p))
  const leaves = [...before]
    .sort((a, b) => b.count - a.count || a.thickness - b.thickness)
    .slice(0, MOST_LEAVES)
    .map((l) => l.thickness)
  const dials = DIALS[method]
  const clamped = dials > 0 && machine.usual.method === method
  return [
    { id: 'lock', use: 'prepare' },
    { id: 'scraper', use: 'prepare' },
    { id: 'marker', use: 'prepare' },
    ...(parts.length > 0 ? [{ id: 'coupling-parts', use: 'prepare', parts } as const] : []),
    { id: 'feelers', use: 'feet' },
    { id: 'straightedge', use: 'feet', ...maybe('size', straightedge(machine)) },
    { id: 'level', use: 'feet' },
    { id: 'dials', use: 'measure', count: Math.max(2, dials) },
    { id: 'magnet-bases', use: 'measure', count: 2 },
    ...(dials > 0
      ? ([
          { id: 'bracket', use: 'measure', ...maybe('size', clamped ? reach(machine) : undefined) },
          { id: 'sag-pipe', use: 'measure' },
          { id: 'mirror', use: 'measure' },
        ] as const)
      : []),
    ...(method === 'heads' ? [{ id: 'heads', use: 'measure' } as const] : []),
    ...(method === 'values' || method === 'foot-values'
      ? [{ id: 'instrument', use: 'measure' } as const]
      : []),
    { id: 'tape', use: 'measure' },
    { id: 'shims', use: 'move', ...(leaves.length > 0 ? { leaves } : {}) },
    { id: 'jack', use: 'move' },
    { id: 'torque-wrench', use: 'move' },
  ]
}
