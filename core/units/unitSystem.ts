/** Displacements, distances, shims and readings inside core. */
export type Millimetres = number
/** Slope inside core, millimetres per millimetre. */
export type Slope = number
/** Clock angles, degrees clockwise from 12; other angles where a name says so. */
export type Degrees = number
/** Temperatures and temperature rises inside core, degrees Celsius. */
export type Celsius = number
/** Forces, belt tensions and axial stiffness EA inside core. */
export type Newtons = number
/** Power inside core. */
export type Watts = number
/** Belt mass inside core. */
export type KilogramsPerMetre = number

export type UnitSystem = 'inch' | 'metric'

/** What a figure measures, and with that how it converts between the contract and core. */
export type Measured =
  | 'distance'
  | 'displacement'
  | 'slope'
  | 'force'
  | 'power'
  | 'massPerLength'
  | 'temperature'
  | 'torque'
  | 'stress'
  | 'bendingStiffness'

/** The measures of shafts and shims: what a person sees on boards. */
export type LengthMeasure = 'distance' | 'displacement' | 'slope'

const POUND_FORCE: Newtons = 4.4482216152605
const FOOT_IN_METRES = 0.3048
const POUND_IN_KILOGRAMS = 0.45359237

interface Conversion {
  /** Core units in one contract unit. */
  readonly scale: number
  /** Contract reading that is zero in core; only temperatures have one. */
  readonly zero: number
  /** Contract unit, for schemas and documentation. */
  readonly unit: string
}

const by = (scale: number, unit: string, zero = 0): Conversion => ({ scale, zero, unit })

/** How each contract unit becomes a core unit (docs/calculation.md). */
export const CONVERSIONS: Readonly<Record<UnitSystem, Readonly<Record<Measured, Conversion>>>> = {
  inch: {
    distance: by(25.4, 'in'),
    displacement: by(0.0254, 'mil'),
    slope: by(0.001, 'mil/in'),
    force: by(POUND_FORCE, 'lbf'),
    power: by(550 * FOOT_IN_METRES * POUND_FORCE, 'hp'),
    massPerLength: by(POUND_IN_KILOGRAMS / FOOT_IN_METRES, 'lb/ft'),
    temperature: by(1 / 1.8, 'degF', 32),
    torque: by(POUND_FORCE * FOOT_IN_METRES, 'lbf ft'),
    stress: by(POUND_FORCE / 25.4 ** 2, 'psi'),
    bendingStiffness: by(POUND_FORCE * 25.4 ** 2, 'lbf in^2'),
  },
  metric: {
    distance: by(1, 'mm'),
    displacement: by(1, 'mm'),
    slope: by(0.01, 'mm/100 mm'),
    force: by(1, 'N'),
    power: by(1000, 'kW'),
    massPerLength: by(1, 'kg/m'),
    temperature: by(1, 'degC'),
    torque: by(1, 'N m'),
    stress: by(1, 'MPa'),
    bendingStiffness: by(1, 'N mm^2'),
  },
}

/** A figure in contract units as core units. */
export const toCore = (value: number, measured: Measured, units: UnitSystem): number => {
  const { scale, zero } = CONVERSIONS[units][measured]
  return (value - zero) * scale
}

/** A core figure as contract units. */
export const fromCore = (value: number, measured: Measured, units: UnitSystem): number => {
  const { scale, zero } = CONVERSIONS[units][measured]
  return value / scale + zero
}
