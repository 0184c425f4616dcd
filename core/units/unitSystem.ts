/** Displacements, distances, shims and readings inside core. */
export type Millimetres = number
/** Slope inside core, millimetres per millimetre. */
export type Slope = number
/** Clock angles, degrees clockwise from 12. */
export type Degrees = number

export type UnitSystem = 'inch' | 'metric'

/** How many core units one contract unit is worth, by what is measured. */
export interface UnitScale {
  /** in or mm -> mm */
  readonly distance: number
  /** mil or mm -> mm */
  readonly displacement: number
  /** mil/in or mm/100 mm -> mm/mm */
  readonly slope: number
}

export const UNIT_SCALES: Readonly<Record<UnitSystem, UnitScale>> = {
  inch: { distance: 25.4, displacement: 0.0254, slope: 0.001 },
  metric: { distance: 1, displacement: 1, slope: 0.01 },
}

export type Measured = keyof UnitScale

/** A figure in contract units as core units. */
export const toCore = (value: number, measured: Measured, units: UnitSystem): number =>
  value * UNIT_SCALES[units][measured]

/** A core figure as contract units. */
export const fromCore = (value: number, measured: Measured, units: UnitSystem): number =>
  value / UNIT_SCALES[units][measured]
