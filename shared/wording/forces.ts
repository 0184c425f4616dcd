import { CONVERSIONS, fromCore, type Newtons, type UnitSystem } from '../../core/units/unitSystem'

/** A force as it is read off a gauge: whole from a hundred, a decimal or two below. */
export const forceFigure = (newtons: Newtons, units: UnitSystem, unit = false): string => {
  const own = fromCore(newtons, 'force', units)
  const size = Math.abs(own)
  const shown = own.toFixed(size >= 100 ? 0 : size >= 10 ? 1 : 2).replace('-', '−')
  return unit ? `${shown} ${CONVERSIONS[units].force.unit}` : shown
}

/** `33.9 Hz`. */
export const hertzFigure = (hertz: number): string => `${hertz.toFixed(hertz >= 100 ? 0 : 1)} Hz`

/** A share in percent, whole: `24 %`. */
export const percent = (share: number): string => `${String(Math.round(share * 100))} %`
