/** log of the gamma function for x > 0 (Lanczos series, good to 1e-14). */
const logGamma = (x: number): number => {
  const series = [
    0.99999999999980993, 676.5203681218851, -1259.1392167224028, 771.32342877765313, -176.61502916214059,
    12.507343278686905, -0.13857109526572012, 9.9843695780195716e-6, 1.5056327351493116e-7,
  ]
  const z = x - 1
  const t = z + 7.5
  const sum = series.slice(1).reduce((s, c, i) => s + c / (z + i + 1), series[0] as number)
  return 0.5 * Math.log(2 * Math.PI) + (z + 0.5) * Math.log(t) - t + Math.log(sum)
}

/** Continued fraction of the incomplete beta function. */
const betaFraction = (x: number, a: number, b: number): number => {
  const tiny = 1e-300
  const away = (v: number) => (Math.abs(v) < tiny ? tiny : v)
  let c = 1
  let d = 1 / away(1 - ((a + b) * x) / (a + 1))
  let h = d
  for (let m = 1; m <= 500; m++) {
    const even = (m * (b - m) * x) / ((a + 2 * m - 1) * (a + 2 * m))
    d = 1 / away(1 + even * d)
    c = away(1 + even / c)
    h *= d * c
    const odd = (-(a + m) * (a + b + m) * x) / ((a + 2 * m) * (a + 2 * m + 1))
    d = 1 / away(1 + odd * d)
    c = away(1 + odd / c)
    h *= d * c
    if (Math.abs(d * c - 1) < 1e-15) break
  }
  return h
}

/** Regularised incomplete beta function I_x(a, b), 0 <= x <= 1. */
const incompleteBeta = (x: number, a: number, b: number): number => {
  if (x <= 0) return 0
  if (x >= 1) return 1
  const front = Math.exp(logGamma(a + b) - logGamma(a) - logGamma(b) + a * Math.log(x) + b * Math.log(1 - x))
  return x < (a + 1) / (a + b + 2)
    ? (front * betaFraction(x, a, b)) / a
    : 1 - (front * betaFraction(1 - x, b, a)) / b
}

/** Share of Student's t distribution with `freedom` degrees of freedom that lies below t. */
export const studentShare = (t: number, freedom: number): number => {
  const tail = incompleteBeta(freedom / (freedom + t * t), freedom / 2, 0.5) / 2
  return t > 0 ? 1 - tail : tail
}

/** The t below which `share` (above a half) of the distribution lies; by bisection, to rounding. */
export const studentQuantile = (share: number, freedom: number): number => {
  let low = 0
  let high = 1
  while (studentShare(high, freedom) < share && high < 1e9) high *= 2
  for (let i = 0; i < 200 && high - low > 1e-15 * high; i++) {
    const middle = (low + high) / 2
    if (studentShare(middle, freedom) < share) low = middle
    else high = middle
  }
  return (low + high) / 2
}
