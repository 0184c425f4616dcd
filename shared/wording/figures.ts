import { fromCore, type LengthMeasure, type UnitSystem } from '../../core/units/unitSystem'

export const UNIT_NAMES: Readonly<Record<UnitSystem, Readonly<Record<LengthMeasure, string>>>> = {
  inch: { displacement: 'mil', distance: 'in', slope: 'mil/in' },
  metric: { displacement: 'mm', distance: 'mm', slope: 'mm/100 mm' },
}

/** Decimals shown; everything is kept in full behind them. */
const DECIMALS: Readonly<Record<UnitSystem, Readonly<Record<LengthMeasure, number>>>> = {
  inch: { displacement: 1, distance: 2, slope: 2 },
  metric: { displacement: 3, distance: 1, slope: 3 },
}

interface FigureOptions {
  /** Show a plus before positive figures. */
  readonly sign?: boolean
  /** Say the unit after the figure. */
  readonly unit?: boolean
  /** More decimals than usual, for working. */
  readonly extra?: number
}

const minusSign = (text: string): string => text.replace('-', '−')

/** A core figure as people read it: rounded for display, with a true minus. A dash when unknown. */
export const figure = (
  value: number | null,
  measured: LengthMeasure,
  units: UnitSystem,
  options: FigureOptions = {},
): string => {
  if (value === null) return '–'
  const decimals = DECIMALS[units][measured] + (options.extra ?? 0)
  const rounded = fromCore(value, measured, units).toFixed(decimals)
  const settled = Number(rounded) === 0 ? rounded.replace('-', '') : rounded
  const signed = options.sign && Number(rounded) > 0 ? `+${settled}` : minusSign(settled)
  return options.unit ? `${signed} ${UNIT_NAMES[units][measured]}` : signed
}

/** A shim or feeler thickness: no needless zeros. */
export const thickness = (value: number, units: UnitSystem): string =>
  minusSign(String(Number(fromCore(value, 'displacement', units).toFixed(units === 'inch' ? 2 : 4))))

/** A figure as a person would type it into a box: plain digits, no rounding that shows. */
export const asTyped = (value: number, measured: LengthMeasure, units: UnitSystem): string =>
  String(Number(fromCore(value, measured, units).toPrecision(10)))

/** Shims of a pack, `25+10`, or `none`. */
export const pack = (shims: readonly number[], units: UnitSystem): string =>
  shims.length === 0 ? 'none' : shims.map((t) => thickness(t, units)).join('+')

const DEGREE = Math.PI / 180

/** `0.21°`: an angle of a sheave. */
export const degrees = (radians: number, digits = 2): string =>
  `${(Math.abs(radians) < 5e-7 ? 0 : radians / DEGREE).toFixed(digits).replace('-', '−')}°`

/** A gap or an offset at the sheaves: finer than a taped distance. */
export const gapFigure = (mm: number, { units }: { readonly units: UnitSystem }, unit = false): string =>
  figure(mm, 'distance', units, { extra: 1, unit })
