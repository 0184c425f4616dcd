import type { BeltConstruction } from '../register/beltMachine'
import { toCore, type KilogramsPerMetre, type Millimetres, type UnitSystem } from '../units/unitSystem'
import type { ChartRow, Interval } from './tensionBand'
import type { BeltAge } from './tension'

/** Forces of one range of small sheaves, in the table's own units. */
export interface SectionRow {
  /** Pitch diameters of the small sheave; `to` null where it is open above. */
  readonly from: number
  readonly to: number | null
  /** Belt speeds in m/s or ft/min; null where they don't count. */
  readonly speed: { readonly from: number; readonly to: number | null } | null
  /** Push at the gauge's deflection for new and for run-in belts; null where the chart doesn't say. */
  readonly force: Readonly<Record<BeltAge, Interval | null>>
}

/** What is known of one belt section and construction; null where it isn't. */
export interface BeltSection {
  readonly id: string
  /** As the register calls it, whatever the capitals. */
  readonly section: string
  /** Null: whatever way it is made. */
  readonly construction: BeltConstruction | null
  readonly source: string
  readonly units: UnitSystem
  readonly topWidth: number | null
  readonly height: number | null
  /** Of one belt, kg/m or lb/ft. */
  readonly mass: number | null
  /** The smallest sheave it may run on, pitch diameter. */
  readonly smallestSheave: number | null
  /** Axial stiffness of one belt; N or lbf. */
  readonly stiffness: number | null
  /** The gauge's deflection as a share of the span: 64 for 1/64. */
  readonly spanOver: number
  /** The site's or the maker's chart of forces; empty where it has none. */
  readonly rows: readonly SectionRow[]
}

const same = (a: string, b: string): boolean => a.trim().toLowerCase() === b.trim().toLowerCase()

/** The row of the tables for a belt: its own construction first, then one that says nothing of it. Null for an unknown section. */
export const sectionOf = <S extends BeltSection>(
  sections: readonly S[],
  belts: { readonly section: string; readonly construction?: BeltConstruction | undefined },
): S | null => {
  const named = sections.filter((s) => same(s.section, belts.section))
  return (
    named.find((s) => s.construction !== null && s.construction === belts.construction) ??
    named.find((s) => s.construction === null) ??
    null
  )
}

const FEET_A_MINUTE = 0.00508

/** A table's rows as the band is looked up in: millimetres, newtons, metres a second. */
export const chartOf = (table: BeltSection): readonly ChartRow[] => {
  const mm = (x: number): Millimetres => toCore(x, 'distance', table.units)
  const n = (force: Interval | null): Interval | null =>
    force && [toCore(force[0], 'force', table.units), toCore(force[1], 'force', table.units)]
  const speed = (x: number) => (table.units === 'inch' ? x * FEET_A_MINUTE : x)
  return table.rows.map((r) => ({
    section: table.section,
    smallSheave: [mm(r.from), r.to === null ? Infinity : mm(r.to)],
    ...(r.speed
      ? { speed: [speed(r.speed.from), r.speed.to === null ? Infinity : speed(r.speed.to)] as Interval }
      : {}),
    force: { new: n(r.force.new), 'run-in': n(r.force['run-in']) },
  }))
}

/** The table that holds for a machine's belts: the site's as the job was opened with it, else the starting values. */
export const tableOf = (machine: {
  readonly section?: BeltSection
  readonly belts: Parameters<typeof sectionOf>[1]
}): BeltSection | null => machine.section ?? sectionOf(STARTER_SECTIONS, machine.belts)

/** The smallest sheave of a drive against what its section may run on; null where the table doesn't say. */
export const smallestSheave = (
  table: BeltSection,
  diameters: readonly Millimetres[],
): { readonly smallest: Millimetres; readonly least: Millimetres; readonly tooSmall: boolean } | null => {
  if (table.smallestSheave === null) return null
  const least = toCore(table.smallestSheave, 'distance', table.units)
  const smallest = Math.min(...diameters)
  return { smallest, least, tooSmall: smallest < least }
}

/** Mass of one belt by its table; null where the table doesn't say. */
export const sectionMass = (table: BeltSection): KilogramsPerMetre | null =>
  table.mass === null ? null : toCore(table.mass, 'massPerLength', table.units)

/** Top width, height, mass and smallest sheaves of usual sections, millimetres and kg/m: plain, then notched. */
const USUAL: readonly (readonly [
  section: string,
  topWidth: number,
  height: number,
  mass: number,
  plain: number,
  notched: number,
])[] = [
  ['Z', 10, 6, 0.06, 50, 45],
  ['A', 13, 8, 0.11, 75, 63],
  ['B', 17, 11, 0.2, 125, 100],
  ['C', 22, 14, 0.32, 200, 160],
  ['D', 32, 19, 0.66, 355, 300],
  ['SPZ', 9.7, 8, 0.075, 63, 50],
  ['SPA', 12.7, 10, 0.12, 90, 71],
  ['SPB', 16.3, 13, 0.2, 140, 112],
  ['SPC', 22, 18, 0.36, 224, 180],
]

/**
 * What the program ships with. It has no charts of forces: those are the maker's. Starting values: the maker's
 * sheet rules (docs/sections.md).
 */
export const STARTER_SECTIONS: readonly BeltSection[] = USUAL.flatMap(
  ([section, topWidth, height, mass, plain, notched]) =>
    (
      [
        ['plain', plain, mass],
        ['notched', notched, mass * 0.95],
      ] as const
    ).map(([construction, smallestSheave, kilograms]) => ({
      id: `starting ${section} ${construction}`,
      section,
      construction,
      source: '',
      units: 'metric' as const,
      topWidth,
      height,
      mass: Number(kilograms.toFixed(3)),
      smallestSheave,
      stiffness: null,
      spanOver: 64,
      rows: [],
    })),
)
