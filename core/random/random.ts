/** Anything that yields numbers evenly spread over 0 (included) to 1; passed in so that runs repeat. */
export type Random = () => number

/** A small seeded generator (32-bit mix); the same seed gives the same numbers everywhere. */
export const seededRandom = (seed: number): Random => {
  let state = seed >>> 0
  return () => {
    state = (state + 0x6d2b79f5) >>> 0
    let t = state
    t = Math.imul(t ^ (t >>> 15), t | 1)
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61)
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
}

/** Normally spread numbers, mean 0 and standard deviation 1 (polar method, both of each pair used). */
export const normalFrom = (random: Random): Random => {
  let spare: number | null = null
  return () => {
    if (spare !== null) {
      const value = spare
      spare = null
      return value
    }
    let u: number
    let v: number
    let s: number
    do {
      u = 2 * random() - 1
      v = 2 * random() - 1
      s = u * u + v * v
    } while (s >= 1 || s === 0)
    const factor = Math.sqrt((-2 * Math.log(s)) / s)
    spare = v * factor
    return u * factor
  }
}
