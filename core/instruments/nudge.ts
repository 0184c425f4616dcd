import type { Millimetres } from '../units/unitSystem'
import type { Sample } from './steady'

/** How far a needle swung from where it stood at first: the largest, with its sign. Zero for no samples. */
export const swing = (samples: readonly Pick<Sample, 'value'>[]): Millimetres => {
  const values = samples.flatMap((s) => s.value ?? [])
  const start = values[0] ?? 0
  return values.reduce((far, v) => (Math.abs(v - start) > Math.abs(far) ? v - start : far), 0)
}
