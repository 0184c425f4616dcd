import type { LogEntry } from '../../logbook/entry'
import { remember } from '../../logbook/remember'
import type { GearMachine } from '../../register/gearMachine'
import { toCore, type Millimetres } from '../../units/unitSystem'

/** What was written of the layers, in order: as they were marked, and each change. */
export interface LayerFacts {
  readonly marked: LogEntry<'layers-marked'> | null
  readonly changes: readonly LogEntry<'layers-changed'>[]
}
export const NO_LAYERS: LayerFacts = { marked: null, changes: [] }

export const keepLayers = (now: LayerFacts, e: LogEntry): LayerFacts => {
  if (e.kind === 'layers-marked') return { ...now, marked: e }
  return e.kind === 'layers-changed' ? { ...now, changes: [...now.changes, e] } : now
}

/** What lies under each block: layers of one thickness. */
export interface Layers {
  readonly thickness: Millimetres
  readonly registered: readonly number[]
  /** As they were found; as registered where nobody looked. */
  readonly found: readonly number[]
  readonly now: readonly number[]
  /** What was found isn't what the register has. */
  readonly differs: boolean
}

/** Layers nearer than this are of one thickness in two units. */
const ALIKE: Millimetres = 0.002

export const layersOf = remember(({ gear, units }: GearMachine, facts: LayerFacts): Layers => {
  const registered = gear.layers.under
  const { marked } = facts
  const own = toCore(gear.layers.thickness, 'displacement', units)
  const thickness = marked ? toCore(marked.payload.layer, 'displacement', marked.payload.units) : own
  const found = marked ? marked.payload.under : registered
  return {
    thickness,
    registered,
    found,
    now: found.map((n, i) => facts.changes.reduce((sum, c) => sum + (c.payload.layers[i] ?? 0), n)),
    differs: Math.abs(thickness - own) > ALIKE || found.some((n, i) => n !== registered[i]),
  }
})
