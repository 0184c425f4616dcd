import type { Millimetres } from '../units/unitSystem'
import { liftClasses } from './liftClasses'
import { innerLifts, innerShift, type MachineLifts } from './machineLifts'
import { outwardFromZero } from './outward'
import type { PairLifts } from './planFoot'
import type { Work } from './work'

/** A lift of near and far pair of one machine, with what it costs and does to the line. */
export interface Setting {
  readonly near: number
  readonly far: number
  readonly changes: number
  readonly pairs: number
  readonly lift: Millimetres
  readonly offset: number
  readonly slope: number
}

/** A machine that isn't there: nothing moves. */
export const NO_SETTING: Setting = {
  near: 0,
  far: 0,
  changes: 0,
  pairs: 0,
  lift: 0,
  offset: 0,
  slope: 0,
}

/** Null when an inner pair can't follow the line of the outer two. */
export const settingOf = (m: MachineLifts, near: number, far: number): Setting | null => {
  const inner = m.inner.length > 0 ? innerLifts(m, near, far) : []
  if (!inner) return null
  const off = innerShift(m, near, far, inner)
  const a = m.near.v[near] as number
  const b = m.far.v[far] as number
  const ca = m.near.changes[near] as number
  const cb = m.far.changes[far] as number
  return {
    near,
    far,
    changes: ca + cb,
    pairs: (ca > 0 ? 1 : 0) + (cb > 0 ? 1 : 0),
    lift: Math.abs(a) + Math.abs(b),
    offset: m.nearOffset * a + m.farOffset * b + off.offset,
    slope: m.nearSlope * a + m.farSlope * b + off.slope,
  }
}

/** Settings of the second machine that a search runs over on the outside, at most. */
const MOST_OUTSIDE = 10_000

/** The lifts that are easiest to make, and of those that are alike the ones that lift least; lowest first. */
const easiest = (pair: PairLifts, count: number): readonly number[] => {
  const out: number[] = []
  for (const { v, at } of liftClasses(pair, 'changes')) {
    if (out.length >= count) break
    outwardFromZero(v, 0, v.length - 1, (i) => out.push(at[i] as number) < count)
  }
  return out.sort((i, j) => i - j)
}

/**
 * Every setting of the second machine, once. Where there are too many to run over, the easiest of each
 * pair: the first machine's own lifts lie as close, so that what is lost is handling, not closeness.
 */
export const outsideSettings = (m: MachineLifts, work: Work): Setting[] => {
  const out: Setting[] = []
  const whole = m.near.v.length * m.far.v.length <= MOST_OUTSIDE
  if (!whole) work.narrow(MOST_OUTSIDE)
  const each = whole ? Infinity : Math.sqrt(MOST_OUTSIDE)
  const fars = easiest(m.far, each)
  for (const a of easiest(m.near, each))
    for (const b of fars) {
      const setting = settingOf(m, a, b)
      if (setting) out.push(setting)
    }
  return out
}
