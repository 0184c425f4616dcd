import type { Lift } from '../../logbook/lift'

/** Rim and face, while those were the only circles. */
interface First {
  readonly rim: readonly unknown[]
  readonly face: readonly unknown[]
  readonly returned: unknown
}

const toCircles: Lift = (old) => {
  const { rim, face, returned, ...rest } = old as First
  if (!Array.isArray(rim) || !Array.isArray(face)) throw new Error('not of the first version')
  return { ...rest, circles: { rim, face }, returned }
}

export const readingLifts = { 'readings-taken': [toCircles] }
