import { ALIGNED, lineDifference, lineSum, type Misalignment } from '../frame/planes'
import type { Millimetres } from '../units/unitSystem'

/** A line told about a coupling, told about the whole train's zero instead. */
const aboutZero = (line: Misalignment, x: Millimetres): Misalignment => {
  const at = (offset: number | null, slope: number | null) =>
    offset === null || slope === null ? null : offset - slope * x
  return {
    offset: { v: at(line.offset.v, line.slope.v), h: at(line.offset.h, line.slope.h) },
    slope: line.slope,
  }
}

/**
 * Where every axis of a train lies against the `still` one, by number from the first machine on. Each
 * coupling's line is the machine behind it against the one before it, about its own centre, in the
 * frame of the train. Lines about the train's zero, millimetres and mm/mm; null where one is unknown.
 */
export const trainLines = (
  couplings: readonly { readonly x: Millimetres; readonly line: Misalignment | null }[],
  still: number,
): readonly (Misalignment | null)[] => {
  const lines: (Misalignment | null)[] = [ALIGNED]
  for (const { x, line } of couplings) {
    const before = lines[lines.length - 1]
    lines.push(before && line ? lineSum(before, aboutZero(line, x)) : null)
  }
  const base = lines[still]
  return lines.map((line) => (line && base ? lineDifference(line, base) : null))
}
