import { feetWords, levelWords, lookWords, objectionsWords } from '../../wording/en'
import { SIDES, type MachineRole, type Side } from '../../../core/plan/pairNames'
import type { FootedMachine } from '../../../core/register/footedMachine'
import type { SpigotFit } from '../../../core/register/flangeMachine'
import { sheetShimFault, SLOT_ROOM, type SheetShim } from '../../../core/shims/sheetShim'
import {
  BASE_EDGES,
  type BaseEdge,
  type Found,
  type LookEntries,
  type PinsDone,
  type Place,
} from '../../../core/stages/look/entries'
import type { FootFound } from '../../../core/stages/look/shimsFound'
import { samePack } from '../../../core/stages/look/shimsFound'
import { toCore, type UnitSystem } from '../../../core/units/unitSystem'
import { boxReader, sensitivityFrom } from '../../forms/boxes'
import { namedParts, unitOf, withUnit } from '../../forms/typed'
import { pack, UNIT_NAMES } from '../../wording/figures'
import { capital } from '../../wording/capital'
import type { Telling } from '../../wording/telling'
import { readShims } from '../move/form'

/** What stands in the boxes of one place. */
export interface PlaceTexts {
  found: Found | ''
  words: string
  photographs: string[]
}

interface EdgeTexts {
  feeler: string
  low: 'near' | 'far'
  divisions: string
  reversed: string
}

/** How a spigot was felt, as typed. */
export interface SpigotTexts {
  fit: SpigotFit | ''
  play: string
  words: string
}

/** What stands in the boxes of the stage, as typed. */
export interface LookTexts {
  units: UnitSystem
  panel: 'places' | 'shims' | 'base' | 'sheet' | 'spigot'
  place: Place
  places: Partial<Record<Place, PlaceTexts>>
  pins: PinsDone | ''
  pipe: { vertical: string; horizontal: string; limit: string }
  /** Leaves and their marks by `machine:pair:side`. */
  shims: Record<string, { leaves: string; marks: string }>
  /** How a flange's spigot sits. */
  spigot: SpigotTexts
  base: {
    by: 'feeler' | 'divisions'
    length: string
    width: string
    supported: string
    sensitivity: string
    edges: Record<BaseEdge, EdgeTexts>
  }
  sheet: {
    foot: string
    thickness: string
    count: string
    length: string
    width: string
    bolt: string
    slot: string
    toBolt: string
  }
}

export const blankPlace = (): PlaceTexts => ({ found: '', words: '', photographs: [] })
const blankEdge = (): EdgeTexts => ({ feeler: '', low: 'far', divisions: '', reversed: '' })

export const blankLook = (units: UnitSystem): LookTexts => ({
  units,
  panel: 'places',
  place: 'feet',
  places: {},
  pins: '',
  pipe: { vertical: '', horizontal: '', limit: '' },
  shims: {},
  spigot: { fit: '', play: '', words: '' },
  base: {
    by: 'feeler',
    length: '',
    width: '',
    supported: '',
    sensitivity: '',
    edges: { left: blankEdge(), right: blankEdge(), coupling: blankEdge(), far: blankEdge() },
  },
  sheet: { foot: '', thickness: '', count: '1', length: '', width: '', bolt: '', slot: '', toBolt: '' },
})

/** The same texts meaning the same in other units. */
export const nameLookUnits = (texts: LookTexts, was: UnitSystem): void => {
  const [small, long] = [unitOf('displacement', was), unitOf('distance', was)]
  const { pipe, base, sheet } = texts
  for (const key of ['vertical', 'horizontal', 'limit'] as const) pipe[key] = withUnit(pipe[key], small)
  texts.spigot = { ...texts.spigot, play: withUnit(texts.spigot.play, small) }
  for (const foot of Object.values(texts.shims)) foot.leaves = namedParts(foot.leaves, small)
  for (const key of ['length', 'width', 'supported'] as const) base[key] = withUnit(base[key], long)
  for (const edge of BASE_EDGES) base.edges[edge].feeler = withUnit(base.edges[edge].feeler, small)
  base.sensitivity = sensitivityFrom(base.sensitivity, was)
  sheet.thickness = withUnit(sheet.thickness, small)
  for (const key of ['length', 'width', 'bolt', 'slot', 'toBolt'] as const)
    sheet[key] = withUnit(sheet[key], long)
}

export const shimKey = (f: { machine: MachineRole; pair: string; side: Side }): string =>
  `${f.machine}:${f.pair}:${f.side}`

type Faults = Readonly<Record<string, string>>

/** One place as typed: what would be logged, and what is still asked. */
export const readPlace = (
  texts: LookTexts,
  telling: Telling,
): { readonly payload: LookEntries['place-looked'] | null; readonly asks: string } => {
  const { found, words, photographs } = texts.places[texts.place] ?? blankPlace()
  const w = lookWords(telling.words).form
  if (found === '') return { payload: null, asks: words || photographs.length > 0 ? w.chooseFound : '' }
  if (found === 'to-report' && words.trim() === '' && photographs.length === 0)
    return { payload: null, asks: w.reportWhat }
  return {
    payload: { places: [texts.place], found, words: words.trim(), photographs: [...photographs] },
    asks: '',
  }
}

/** The dial while the pipe's bolts are loosened. */
export const readPipe = (
  texts: LookTexts,
  telling: Telling,
): { readonly payload: LookEntries['pipe-read'] | null; readonly faults: Faults } => {
  const { faults, number } = boxReader(telling)
  const vertical = number(texts.pipe.vertical, 'vertical', 'displacement')
  const horizontal = number(texts.pipe.horizontal, 'horizontal', 'displacement')
  const limit = number(texts.pipe.limit, 'limit', 'displacement', 'above')
  const clean = Object.keys(faults).length === 0 && (vertical !== null || horizontal !== null)
  const words = (texts.places.pipe ?? blankPlace()).words.trim()
  return {
    faults,
    payload: clean ? { units: telling.units, vertical, horizontal, limit, words } : null,
  }
}

export interface ShimsRead {
  /** By shimKey. */
  readonly faults: Faults
  /** A difference from the register: asked once before it is logged. */
  readonly questions: readonly string[]
  readonly payload: LookEntries['shims-found'] | null
}

/** Leaves as typed with their marks: null where nothing is typed, a sentence where they can't be read. */
export const readLeaves = (
  typed: { readonly leaves: string; readonly marks: string } | undefined,
  telling: Telling,
): { readonly list: readonly number[]; readonly named: readonly string[] } | string | null => {
  const { leaves = '', marks = '' } = typed ?? {}
  const w = lookWords(telling.words).form
  if (leaves.trim() === '') return marks.trim() === '' ? null : w.leavesToo
  const list = /^\s*(0|none|nil)\s*$/i.test(leaves) ? [] : readShims(leaves, telling)
  if (typeof list === 'string') return list
  if (list.length > 20) return objectionsWords(telling.words)['too-many-leaves']
  const named = marks.trim() === '' ? [] : marks.split(/[,;]/).map((m) => m.trim())
  return named.length > 0 && named.length !== list.length ? w.markEach(list.length) : { list, named }
}

/** The leaves found under the feet that have something in their boxes; `0` or `none` says there are none. */
export const readFoundShims = (
  texts: LookTexts,
  registered: readonly FootFound[],
  telling: Telling,
): ShimsRead => {
  const { words, units, footNames } = telling
  const w = lookWords(words).form
  const faults: Record<string, string> = {}
  const questions: string[] = []
  const feet: LookEntries['shims-found']['feet'][number][] = []
  for (const foot of registered) {
    const key = shimKey(foot)
    const read = readLeaves(texts.shims[key], telling)
    if (read === null) continue
    if (typeof read === 'string') {
      faults[key] = read
      continue
    }
    const { list, named } = read
    const found = list.map((t) => toCore(t, 'displacement', units))
    if (!samePack(found, foot.registered)) {
      const shown = (leaves: readonly number[]) => `${pack(leaves, units)} ${UNIT_NAMES[units].displacement}`
      questions.push(
        w.differs(
          capital(
            feetWords(words).place(footNames(foot.pair, foot.machine), feetWords(words).sides[foot.side]),
          ),
          shown(found),
          shown(foot.registered),
        ),
      )
    }
    feet.push({
      machine: foot.machine,
      pair: foot.pair,
      side: foot.side,
      leaves: list.map((thickness, i) => ({ thickness, mark: named[i] ?? '' })),
    })
  }
  return {
    faults,
    questions,
    payload: Object.keys(faults).length === 0 && feet.length > 0 ? { units, feet, words: '' } : null,
  }
}

export interface BaseRead {
  readonly faults: Faults
  readonly notes: Faults
  readonly missing: readonly BaseEdge[]
  readonly payload: LookEntries['base-read'] | null
}

/** The level along the four edges of the base. */
export const readBase = ({ base }: LookTexts, telling: Telling): BaseRead => {
  const { faults, number } = boxReader(telling)
  const { units } = telling
  const notes: Record<string, string> = {}
  const w = lookWords(telling.words).form
  const length = number(base.length, 'length', 'distance', 'above')
  const width = number(base.width, 'width', 'distance', 'above')
  const supported = number(base.supported, 'supported', 'distance', 'above')
  const sensitivity = number(base.sensitivity, 'sensitivity', 'plain', 'above')
  const feelers: Partial<Record<BaseEdge, { feeler: number; farLow: boolean }>> = {}
  const divided: Partial<Record<BaseEdge, { divisions: number; reversed: number | null }>> = {}
  for (const edge of BASE_EDGES) {
    const typed = base.edges[edge]
    if (base.by === 'feeler') {
      const feeler = number(typed.feeler, `feeler.${edge}`, 'displacement', 'zero')
      if (feeler !== null) feelers[edge] = { feeler, farLow: typed.low === 'far' }
    } else {
      const divisions = number(typed.divisions, `divisions.${edge}`, 'plain')
      const reversed = number(typed.reversed, `reversed.${edge}`, 'plain')
      if (divisions !== null) divided[edge] = { divisions, reversed }
    }
  }
  const got: Partial<Record<BaseEdge, unknown>> = base.by === 'feeler' ? feelers : divided
  const missing = BASE_EDGES.filter((e) => !(e in got))
  if (missing.length === 0) {
    if (length === null) notes.length = w.sizeToo
    if (width === null) notes.width = w.sizeToo
    if (base.by === 'feeler' && supported === null)
      notes.supported = levelWords(telling.words).form.supportedToo
    if (base.by === 'divisions' && sensitivity === null)
      notes.sensitivity = levelWords(telling.words).form.sensitivityToo
  }
  const clean = Object.keys(faults).length === 0 && missing.length === 0
  const by: LookEntries['base-read']['by'] | null =
    base.by === 'feeler'
      ? supported === null
        ? null
        : { by: 'feeler', supported, edges: feelers as Record<BaseEdge, { feeler: number; farLow: boolean }> }
      : sensitivity === null
        ? null
        : {
            by: 'divisions',
            sensitivity,
            edges: divided as Record<BaseEdge, { divisions: number; reversed: number | null }>,
          }
  return {
    faults,
    notes,
    missing,
    payload:
      clean && length !== null && width !== null && by ? { units, length, width, by, words: '' } : null,
  }
}

export interface SheetRead {
  readonly faults: Faults
  readonly notes: Faults
  /** The outline in millimetres once its figures are there and metal is left. */
  readonly shim: SheetShim | null
  /** What it is cut for, and all that is logged of it; null until everything is said. */
  readonly cut: {
    /** The key of the foot or bolt. */
    readonly at: string
    readonly thickness: number
    readonly count: number
    readonly outline: LookEntries['sheet-shims-cut']['outline']
  } | null
}

/** The foot pairs a sheet shim can be cut for, as choices. */
export const feetToCutFor = (machine: FootedMachine) =>
  (['movable', 'stationary'] as const).flatMap((role) =>
    machine.feet[role].flatMap((f) => SIDES.map((side) => ({ machine: role, pair: f.id, side }))),
  )

/** A shim to be cut from sheet for one of these feet or bolts, from its size and its bolt. */
export const readSheet = (
  { sheet }: Pick<LookTexts, 'sheet'>,
  places: readonly string[],
  telling: Telling,
): SheetRead => {
  const { faults, number } = boxReader(telling)
  const { units } = telling
  const w = lookWords(telling.words).form
  const notes: Record<string, string> = {}
  const length = number(sheet.length, 'length', 'distance', 'above')
  const width = number(sheet.width, 'width', 'distance', 'above')
  const bolt = number(sheet.bolt, 'bolt', 'distance', 'above')
  const typedSlot = number(sheet.slot, 'slot', 'distance', 'above')
  const toBolt = number(sheet.toBolt, 'toBolt', 'distance', 'above')
  const thickness = number(sheet.thickness, 'thickness', 'displacement', 'above')
  const count = number(sheet.count, 'count', 'plain', 'above')
  const room = units === 'inch' ? SLOT_ROOM.inch / 25.4 : SLOT_ROOM.metric
  const slot = typedSlot ?? (bolt === null ? null : Number((bolt + room).toPrecision(8)))
  if (typedSlot !== null && bolt !== null && typedSlot <= bolt) faults.slot = w.slotUnderBolt
  if (count !== null && (!Number.isInteger(count) || count > 50)) faults.count = w.countWhole
  const mm = (t: number) => toCore(t, 'distance', units)
  const whole = length !== null && width !== null && slot !== null && toBolt !== null
  const outline = whole ? { length, width, slot, toBolt } : null
  const shim = outline && {
    length: mm(outline.length),
    width: mm(outline.width),
    slot: mm(outline.slot),
    toBolt: mm(outline.toBolt),
  }
  const cut = shim && sheetShimFault(shim)
  if (cut) faults[cut === 'slot-too-wide' ? 'slot' : 'toBolt'] = w.cut[cut]
  const at = places.find((p) => p === sheet.foot)
  if (outline && thickness === null && !('thickness' in faults)) notes.thickness = w.thicknessToo
  if (outline && at === undefined) notes.foot = w.whichFoot
  const clean = Object.keys(faults).length === 0
  return {
    faults,
    notes,
    shim: clean && shim ? shim : null,
    cut:
      clean && outline && at !== undefined && thickness !== null && count !== null
        ? { at, thickness, count, outline }
        : null,
  }
}
