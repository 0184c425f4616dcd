import type { FlangePush } from '../../flange/flangeMove'
import { PLANES, type Plane } from '../../frame/planes'
import { toCore, type Millimetres } from '../../units/unitSystem'
import { ARRIVED, DRIFT_LIMIT } from '../move/push'
import type { FlangeRound } from './rounds'

/** A push of a flange as far as its two dials have come. Millimetres, toward 12 and toward 3 positive. */
export interface FlangePushWatch {
  readonly wanted: FlangePush
  readonly toGo: FlangePush
  /** How far the dials say it has gone. */
  readonly gone: FlangePush
  readonly counted: boolean
  readonly arrived: boolean
  /** A plane in which the last count went away from where it was to go, or past it. */
  readonly slip: { readonly plane: Plane; readonly what: 'other-way' | 'too-far' } | null
  /** What tightening shifted; null until it was read. */
  readonly drift: { readonly by: FlangePush; readonly worst: Millimetres; readonly over: boolean } | null
}

/** Follows the dials down; null where nothing is to be pushed. */
export const watchFlangePush = (
  wanted: FlangePush | null,
  counts: FlangeRound['counts'],
): FlangePushWatch | null => {
  if (!wanted) return null
  let toGo = wanted
  let slip: FlangePushWatch['slip'] = null
  let drift: FlangePushWatch['drift'] = null
  for (const { payload } of counts) {
    const shown = {
      v: toCore(payload.toGo.v, 'displacement', payload.units),
      h: toCore(payload.toGo.h, 'displacement', payload.units),
    }
    if (payload.when === 'tightened') {
      const by = { v: toGo.v - shown.v, h: toGo.h - shown.h }
      const worst = Math.hypot(by.v, by.h)
      drift = { by, worst, over: worst > DRIFT_LIMIT * (1 + 1e-9) }
      slip = null
    } else {
      const was: FlangePush = toGo
      const wrong = PLANES.find((p) => Math.abs(shown[p]) > Math.abs(was[p]) + ARRIVED)
      const past = PLANES.find((p) => shown[p] * was[p] < 0 && Math.abs(shown[p]) > ARRIVED)
      slip = past ? { plane: past, what: 'too-far' } : wrong ? { plane: wrong, what: 'other-way' } : null
      drift = null
    }
    toGo = shown
  }
  return {
    wanted,
    toGo,
    gone: { v: wanted.v - toGo.v, h: wanted.h - toGo.h },
    counted: counts.length > 0,
    arrived: PLANES.every((p) => Math.abs(toGo[p]) <= ARRIVED),
    slip,
    drift,
  }
}
