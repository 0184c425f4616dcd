import { nextTramStep, type TramStep } from '../../drum/drumTram'
import type { Verdict } from '../../judge/judge'
import { planeVerdicts, type PlaneVerdict } from '../../judge/planeVerdicts'
import type { SettledTolerance } from '../../judge/tolerance'
import { ALIGNED } from '../../frame/planes'
import { isBelieved, type Measurement } from '../measure/measurement'

/** How one step of the tram stands: judged, waiting for its turn, or not needed since nothing shifted it. */
export type TramStands = Verdict | 'unknown' | 'waits' | 'not-needed'

/** The steps in the order they are done, and the one in turn. */
export interface Tram {
  readonly turn: TramStep
  readonly rows: readonly { readonly step: TramStep; readonly stands: TramStands }[]
  readonly side: PlaneVerdict
  readonly height: PlaneVerdict
}

interface Seen {
  readonly measurements: readonly Measurement[]
  /** Of each move, whether leaves were laid or taken. */
  readonly shimmed: readonly boolean[]
  readonly tolerance: SettledTolerance
  /** How the drum itself runs; null while nobody turned it. */
  readonly drum: Verdict | null
}

const sideOf = (m: Measurement, tolerance: SettledTolerance) =>
  m.coupling && isBelieved(m) ? planeVerdicts(m.coupling, tolerance, ALIGNED) : null

/** A plane with its edge told apart from the middle of its band. */
const stands = (m: Measurement, plane: 'v' | 'h', says: PlaneVerdict): TramStands => {
  if (says !== 'in') return says === 'out' ? 'out' : 'unknown'
  const own = (m.judgement?.quantities ?? []).filter((q) => q.name.endsWith(`.${plane}`))
  return own.some((q) => q.verdict === 'edge') ? 'edge' : 'in'
}

/**
 * Side first, height next, side again because shims shift it, then the drum by itself. Told by the last measurement that is
 * believed: whatever is out comes first.
 */
export const tramSteps = ({ measurements, shimmed, tolerance, drum }: Seen): Tram => {
  const latest = measurements[measurements.length - 1] as Measurement
  const now = sideOf(latest, tolerance)
  const [side, height] = [now?.h ?? 'unknown', now?.v ?? 'unknown'] as const
  const anyShim = shimmed.some(Boolean)
  // It stood in band once, before shims shifted it.
  const sideBefore = measurements.some((m, i) => {
    const later = shimmed.slice(i).some(Boolean)
    return later && sideOf(m, tolerance)?.h === 'in'
  })
  const sideNow = now ? stands(latest, 'h', side) : 'waits'
  const heightNow = now ? stands(latest, 'v', height) : 'waits'
  const fine = (s: TramStands) => s === 'in' || s === 'edge'
  return {
    turn: now ? nextTramStep(side, height) : anyShim && sideBefore ? 'side-again' : 'side',
    rows: [
      { step: 'side', stands: sideBefore ? 'in' : sideNow },
      { step: 'height', stands: heightNow },
      {
        step: 'side-again',
        stands: anyShim ? sideNow : fine(heightNow) && fine(sideNow) ? 'not-needed' : 'waits',
      },
      { step: 'drum-runout', stands: drum ?? 'waits' },
    ],
    side,
    height,
  }
}
