import { toCore, type Measured, type UnitSystem } from '../units/unitSystem'
import type { Band, Tolerance } from './tolerance'

/** A limit given in contract units, in core units. The form stays. */
export const toleranceToCore = (tolerance: Tolerance, units: UnitSystem): Tolerance => {
  const bandToCore = ([low, high]: readonly [number | null, number | null], measured: Measured): Band => [
    low === null ? null : toCore(low, measured, units),
    high === null ? null : toCore(high, measured, units),
  ]
  switch (tolerance.form) {
    case 'offset-slope':
      return {
        ...tolerance,
        offset: toCore(tolerance.offset, 'displacement', units),
        slope: toCore(tolerance.slope, 'slope', units),
      }
    case 'flex-plane':
      return {
        ...tolerance,
        slope: toCore(tolerance.slope, 'slope', units),
        spoolLength: toCore(tolerance.spoolLength, 'distance', units),
      }
    case 'window':
      return {
        ...tolerance,
        offset: {
          v: bandToCore(tolerance.offset.v, 'displacement'),
          h: bandToCore(tolerance.offset.h, 'displacement'),
        },
        slope: { v: bandToCore(tolerance.slope.v, 'slope'), h: bandToCore(tolerance.slope.h, 'slope') },
      }
    case 'speed-rule':
      return {
        ...tolerance,
        spoolLength:
          tolerance.spoolLength === undefined ? undefined : toCore(tolerance.spoolLength, 'distance', units),
      }
  }
}
