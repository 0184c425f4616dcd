import { positionAt, type Misalignment, type VH } from '../../frame/planes'
import { judge, worstVerdict, type Judgement, type VerdictOrUnknown } from '../../judge/judge'
import type { SettledTolerance } from '../../judge/tolerance'
import { remember } from '../../logbook/remember'
import type { FlangeShape } from '../../register/flangeMachine'
import type { Spigot } from '../flangeLook/flangeFound'
import type { Measurement } from '../measure/measurement'
import type { Millimetres } from '../../units/unitSystem'

/**
 * What a flange as it was measured asks for. shim: its tilt, or what the tilt does at the coupling, is out. push: what stays
 * without a tilt is out, and the spigot lets it go. beyond: it would have to go further than the spigot lets it. frame: the spigot
 * is tight, so that it is frame or spigot, not shims. leave: inside. unknown: not measured.
 */
export type FlangeAsk = 'shim' | 'push' | 'beyond' | 'frame' | 'leave' | 'unknown'

export interface FlangeNeed {
  readonly asks: FlangeAsk
  readonly tilt: VerdictOrUnknown
  /** What stays at every height once the tilt is gone: where the axis stands at the flange. */
  readonly stays: { readonly at: VH; readonly size: Millimetres | null; readonly judgement: Judgement | null }
  /** How far a loose flange is to go now: the offset as it stands at the coupling, the other way. */
  readonly push: { readonly v: Millimetres; readonly h: Millimetres } | null
}

/** Nothing is measured: nothing is asked. */
const NO_NEED: FlangeNeed = {
  asks: 'unknown',
  tilt: 'unknown',
  stays: { at: { v: null, h: null }, size: null, judgement: null },
  push: null,
}

const isTilt = (name: string) => name.startsWith('slope')

/** The tilt first, then what stays without it (docs/methods/vertical-flange.md). */
export const flangeNeed = remember(
  (
    latest: Measurement,
    shape: FlangeShape,
    spigot: Spigot,
    tolerance: SettledTolerance,
    target: Misalignment,
  ): FlangeNeed => {
    const { coupling, judgement } = latest
    if (!coupling || !judgement) return NO_NEED
    const tilt = worstVerdict(judgement.quantities.filter((q) => isTilt(q.name)).map((q) => q.verdict))
    const at = positionAt(coupling, shape.plane)
    const after = judge({ offset: at, slope: target.slope }, tolerance, target)
    const size = at.v === null || at.h === null ? null : Math.hypot(at.v, at.h)
    const { v, h } = coupling.offset
    const push =
      v === null || h === null
        ? null
        : { v: (target.offset.v ?? 0) - v || 0, h: (target.offset.h ?? 0) - h || 0 }
    const asks = ((): FlangeAsk => {
      if (judgement.verdict === 'unknown' || push === null) return 'unknown'
      if (judgement.verdict !== 'out') return 'leave'
      // An offset that only the lean of the axis makes goes with it.
      if (tilt === 'out' || after.verdict !== 'out') return 'shim'
      if (spigot.fit === 'tight') return 'frame'
      return spigot.play !== null && Math.hypot(push.v, push.h) > spigot.play ? 'beyond' : 'push'
    })()
    return { asks, tilt, stays: { at, size, judgement: after }, push }
  },
)
