import { firstAtLeast } from './machineLifts'

/** Visits entries from..to of a rising list, those nearest to 0 first, until `each` says no. */
export const outwardFromZero = (
  list: Float64Array,
  from: number,
  to: number,
  each: (i: number) => boolean,
): void => {
  let up = Math.min(to + 1, Math.max(from, firstAtLeast(list, 0)))
  let down = up - 1
  while (down >= from || up <= to) {
    const above = up <= to ? (list[up] as number) : Infinity
    const below = down >= from ? -(list[down] as number) : Infinity
    if (!each(above <= below ? up++ : down--)) return
  }
}
