import { LINE_SLACK, type MachineLifts } from './machineLifts'
import { levelInterval, type LimitForm } from './planeLimits'

/** Half of a difference in last digits must not leave a lift out. */
const EQUAL = 1e-9

/** Values that the outer pairs may come to at a level: inner pairs off their line may make up a little. */
const slackened = (m: MachineLifts, f: LimitForm, level: number): readonly [number, number] => {
  const [low, high] = levelInterval(f, level)
  if (m.innerWeights.length === 0) return [low, high]
  const slack = m.innerWeights.reduce(
    (s, w) => s + Math.abs(f.offsetFactor * w.offset + f.slopeFactor * w.slope) * LINE_SLACK,
    0,
  )
  return [low - slack, high + slack]
}

/** Far-pair lifts for which every form stays inside its level set, the near lift already counted. */
export const farRange = (
  m: MachineLifts,
  forms: readonly LimitForm[],
  offset: number,
  slope: number,
  level: number,
): readonly [number, number] => {
  let low = -Infinity
  let high = Infinity
  for (const f of forms) {
    const [lo, hi] = slackened(m, f, level)
    const now = f.offsetFactor * offset + f.slopeFactor * slope - f.shift
    const rate = f.offsetFactor * m.farOffset + f.slopeFactor * m.farSlope
    if (Math.abs(rate) < 1e-15) {
      if (now < lo - EQUAL || now > hi + EQUAL) return [1, 0]
      continue
    }
    const a = (lo - now) / rate
    const b = (hi - now) / rate
    low = Math.max(low, Math.min(a, b))
    high = Math.min(high, Math.max(a, b))
  }
  return [low, high]
}

/** Near-pair lifts that some far-pair lift could go with: the shadow of the parallelogram. */
export const nearRange = (
  m: MachineLifts,
  forms: readonly LimitForm[],
  offset: number,
  slope: number,
  level: number,
): readonly [number, number] => {
  let low = -Infinity
  let high = Infinity
  for (let i = 0; i < forms.length; i++)
    for (let j = i + 1; j < forms.length; j++) {
      const f = forms[i] as LimitForm
      const g = forms[j] as LimitForm
      const fn = f.offsetFactor * m.nearOffset + f.slopeFactor * m.nearSlope
      const ff = f.offsetFactor * m.farOffset + f.slopeFactor * m.farSlope
      const gn = g.offsetFactor * m.nearOffset + g.slopeFactor * m.nearSlope
      const gf = g.offsetFactor * m.farOffset + g.slopeFactor * m.farSlope
      const det = fn * gf - ff * gn
      if (Math.abs(det) < 1e-18) continue
      const [flo, fhi] = slackened(m, f, level)
      const [glo, ghi] = slackened(m, g, level)
      const nowF = f.offsetFactor * offset + f.slopeFactor * slope - f.shift
      const nowG = g.offsetFactor * offset + g.slopeFactor * slope - g.shift
      const p = gf / det
      const q = -ff / det
      const [pl, ph] = scaledRange(flo - nowF, fhi - nowF, p)
      const [ql, qh] = scaledRange(glo - nowG, ghi - nowG, q)
      low = Math.max(low, pl + ql)
      high = Math.min(high, ph + qh)
    }
  return [low, high]
}

const scaledRange = (low: number, high: number, by: number): readonly [number, number] =>
  by === 0 ? [0, 0] : by > 0 ? [low * by, high * by] : [high * by, low * by]

/** Far-pair lifts at which no inner pair is asked for more than its packs can do, the near lift given. */
export const followedRange = (m: MachineLifts, nearLift: number): readonly [number, number] => {
  let low = -Infinity
  let high = Infinity
  const from = m.near.foot.x
  for (const { foot, v } of m.inner) {
    const share = (foot.x - from) / (m.far.foot.x - from)
    if (share < 1e-9) continue
    const own = nearLift * (1 - share)
    low = Math.max(low, ((v[0] as number) - LINE_SLACK - own) / share)
    high = Math.min(high, ((v[v.length - 1] as number) + LINE_SLACK - own) / share)
  }
  return [low, high]
}
