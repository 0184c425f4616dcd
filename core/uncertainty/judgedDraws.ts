import type { Misalignment } from '../frame/planes'
import { judgedQuantities, type JudgedQuantity, type JudgedTerm } from '../judge/quantities'
import type { SettledTolerance } from '../judge/tolerance'
import { BLOCK, column, type LineColumns } from './lineModel'

/** A judged term over a block, as it is or its square added to what stands there. */
const termInto = (
  offset: Float64Array,
  slope: Float64Array,
  offsetFactor: number,
  slopeFactor: number,
  shift: number,
  out: Float64Array,
  squared: boolean,
): void => {
  if (squared)
    for (let i = 0; i < BLOCK; i++) {
      const x = offsetFactor * (offset[i] as number) + slopeFactor * (slope[i] as number) - shift
      out[i] = (out[i] as number) + x * x
    }
  else
    for (let i = 0; i < BLOCK; i++)
      out[i] = offsetFactor * (offset[i] as number) + slopeFactor * (slope[i] as number) - shift
}

/** Room left to the nearer bound, where it is less than what was left so far. */
const roomInto = (value: Float64Array, low: number, high: number, room: Float64Array): void => {
  for (let i = 0; i < BLOCK; i++) {
    const x = value[i] as number
    room[i] = Math.min(room[i] as number, Math.min(x - low, high - x))
  }
}

/** What is judged, over a block of draws. */
export const judgedIn = (tolerance: SettledTolerance, target: Misalignment) => {
  const quantities = judgedQuantities(tolerance)
  const vector = quantities.some((q) => q.terms.length > 1)
  const bandOf = (q: JudgedQuantity): readonly [number | null, number | null] => {
    const band = (q.terms[0] as JudgedTerm).band
    return vector ? [0, band[1]] : band
  }
  /** A quantity's value, or in vector mode its length, of each draw. */
  const valuesInto = (q: JudgedQuantity, lines: LineColumns, out: Float64Array): void => {
    if (vector) out.fill(0)
    for (const t of q.terms) {
      const { offsetFactor: fo, slopeFactor: fs, plane } = t
      const shift = t.fromTarget ? fo * (target.offset[plane] ?? 0) + fs * (target.slope[plane] ?? 0) : 0
      const at = plane === 'v' ? 0 : 1
      termInto(lines[at], lines[at === 0 ? 2 : 3], fo, fs, shift, out, vector)
    }
    if (vector) for (let i = 0; i < BLOCK; i++) out[i] = Math.sqrt(out[i] as number)
  }
  const value = column()
  const room = column()
  return {
    quantities,
    vector,
    bandOf,
    valuesInto,
    /** How many of the first `count` draws have every quantity in its band. */
    inside: (lines: LineColumns, count: number): number => {
      room.fill(Infinity)
      for (const q of quantities) {
        valuesInto(q, lines, value)
        const [bottom, top] = bandOf(q)
        roomInto(value, bottom ?? -Infinity, top ?? Infinity, room)
      }
      let found = 0
      for (let i = 0; i < count; i++) if ((room[i] as number) >= 0) found++
      return found
    },
  }
}
