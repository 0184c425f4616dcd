import { lineOfFootValues, type FootValue } from '../coupling/footValues'
import type { Misalignment } from '../frame/planes'
import { BLOCK, type LineModel } from './lineModel'
import type { LineCovariance } from './linear'
import type { Spread } from './spread'

const diagonal = (variances: readonly number[]): LineCovariance => {
  const out = new Float64Array(16)
  variances.forEach((x, i) => (out[5 * i] = x))
  return out
}

const add = (value: number, sd: number, z: Float64Array, out: Float64Array) => {
  for (let i = 0; i < BLOCK; i++) out[i] = value + sd * (z[i] as number)
}

/**
 * Offset and slope typed as they are: offsets err like readings, slopes by `slopeSd` (mm/mm). What is not
 * known stays unknown.
 */
export const typedLine = ({ offset, slope }: Misalignment, slopeSd: number): LineModel => {
  const values = [offset.v, offset.h, slope.v, slope.h]
  const sds = (sd: Spread) => [sd.reading, sd.reading, slopeSd, slopeSd]
  return {
    tells: values.map((x) => x !== null) as unknown as LineModel['tells'],
    hubUnknown: false,
    nominal: Float64Array.from(values, (x) => x ?? 0),
    covariance: (sd) => diagonal(sds(sd).map((s) => s * s)),
    drawing: (sd) => ({
      count: 4,
      into: (z, lines) => {
        const s = sds(sd)
        lines.forEach((line, k) => add(values[k] ?? 0, s[k] as number, z[k] as Float64Array, line))
      },
    }),
  }
}

/** Positions or corrections typed at the feet: each errs like a reading, each distance like a tape. */
export const footValuesLine = (values: readonly FootValue[], kind: 'position' | 'correction'): LineModel => {
  const sign = kind === 'position' ? 1 : -1
  const n = values.length
  const line = lineOfFootValues(values, kind)
  const nominal = Float64Array.from([
    line.offset.v ?? 0,
    line.offset.h ?? 0,
    line.slope.v ?? 0,
    line.slope.h ?? 0,
  ])
  /** The line through all feet by least squares, of each draw. */
  const into =
    (sd: Spread) =>
    (z: readonly Float64Array[], lines: Parameters<ReturnType<LineModel['drawing']>['into']>[1]) => {
      const [offsetV, offsetH, slopeV, slopeH] = lines
      for (let i = 0; i < BLOCK; i++) {
        let [sx, sxx, v0, v1, h0, h1] = [0, 0, 0, 0, 0, 0]
        for (let f = 0; f < n; f++) {
          const value = values[f] as FootValue
          const x = value.x + sd.distance * (z[3 * f]?.[i] as number)
          const v = sign * value.v + sd.reading * (z[3 * f + 1]?.[i] as number)
          const h = sign * value.h + sd.reading * (z[3 * f + 2]?.[i] as number)
          sx += x
          sxx += x * x
          v0 += v
          v1 += v * x
          h0 += h
          h1 += h * x
        }
        const det = n * sxx - sx * sx
        const v = (n * v1 - sx * v0) / det
        const h = (n * h1 - sx * h0) / det
        slopeV[i] = v
        slopeH[i] = h
        offsetV[i] = (v0 - v * sx) / n
        offsetH[i] = (h0 - h * sx) / n
      }
    }
  const covariance = (sd: Spread): LineCovariance => {
    const step = 1e-4
    const out = new Float64Array(16)
    const move = (f: number, part: 'x' | 'v' | 'h', by: number) => {
      const moved = values.map((value, i) => (i === f ? { ...value, [part]: value[part] + by } : value))
      const { offset, slope } = lineOfFootValues(moved, kind)
      return [offset.v ?? 0, offset.h ?? 0, slope.v ?? 0, slope.h ?? 0]
    }
    for (let f = 0; f < n; f++)
      for (const [part, s] of [
        ['x', sd.distance],
        ['v', sd.reading],
        ['h', sd.reading],
      ] as const) {
        const [up, down] = [move(f, part, step), move(f, part, -step)]
        const by = up.map((u, k) => ((u - (down[k] as number)) / (2 * step)) * s)
        for (let j = 0; j < 4; j++)
          for (let k = 0; k < 4; k++)
            out[4 * j + k] = (out[4 * j + k] as number) + (by[j] as number) * (by[k] as number)
      }
    return out
  }
  return {
    tells: [true, true, true, true],
    hubUnknown: false,
    nominal,
    covariance,
    drawing: (sd) => ({ count: 3 * n, into: into(sd) }),
  }
}
