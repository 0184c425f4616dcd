const ROOT_TWO = Math.SQRT2
const ROOT_PI = Math.sqrt(Math.PI)

/** Complementary error function: series near zero, continued fraction beyond; good to 1e-11. */
const erfc = (x: number): number => {
  if (x < 0) return 2 - erfc(-x)
  if (x < 3) {
    let term = x
    let sum = x
    for (let n = 1; Math.abs(term) > 1e-17 * Math.abs(sum) && n < 200; n++) {
      term *= (-x * x) / n
      sum += term / (2 * n + 1)
    }
    return 1 - (2 / ROOT_PI) * sum
  }
  if (x > 27) return 0
  let fraction = 0
  for (let n = 24; n >= 1; n--) fraction = n / 2 / (x + fraction)
  return Math.exp(-x * x) / (ROOT_PI * (x + fraction))
}

/** Share of the standard normal distribution below x. */
export const normalShare = (x: number): number => erfc(-x / ROOT_TWO) / 2

/** Share between two bounds, which may be infinite. */
export const normalBetween = (low: number, high: number): number => {
  if (low >= high) return 0
  const upper = high === Infinity ? 1 : high === -Infinity ? 0 : normalShare(high)
  const lower = low === -Infinity ? 0 : low === Infinity ? 1 : normalShare(low)
  return Math.max(0, upper - lower)
}

/** Density of the standard normal distribution. */
export const normalDensity = (x: number): number => Math.exp((-x * x) / 2) / Math.sqrt(2 * Math.PI)
