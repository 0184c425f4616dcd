import type { Reading } from '../fit/harmonicFit'
import { clockDistance } from '../frame/clock'
import { marginIn, verdictOfMargin, type Verdict } from '../judge/judge'
import type { PlaneVerdict } from '../judge/planeVerdicts'
import type { Band } from '../judge/tolerance'
import type { Millimetres } from '../units/unitSystem'

export interface TramDifferences {
  /** Reading at 3 less reading at 9. */
  readonly side: Millimetres
  /** Reading at 12 less the mean of the two sides. */
  readonly top: Millimetres
}

/** Why a difference can't be told from these readings: not read, or the dial was zeroed in between. */
export type Untold = 'not-read' | 'zeroed-between'

type Told = { readonly [K in keyof TramDifferences]: Millimetres | Untold }

/**
 * Side difference and top against side, as read: no distances enter (docs/methods/drum-tram.md). Readings
 * are compared under one zero only; the first zero that has all of them counts.
 */
export const tramDifferences = (readings: readonly Reading[]): Told => {
  const groups = [...new Set(readings.map((r) => r.group ?? ''))]
  const at = (clock: number, group?: string) =>
    readings.find(
      (r) => clockDistance(r.clock, clock) < 1 && (group === undefined || (r.group ?? '') === group),
    )?.value
  const told = (clocks: readonly number[], of: (values: readonly number[]) => number) => {
    for (const group of groups) {
      const values = clocks.map((c) => at(c, group))
      if (values.every((v) => v !== undefined)) return of(values as number[])
    }
    return clocks.every((c) => at(c) !== undefined) ? 'zeroed-between' : 'not-read'
  }
  return {
    side: told([90, 270], ([three = 0, nine = 0]) => three - nine),
    top: told([0, 90, 270], ([twelve = 0, three = 0, nine = 0]) => twelve - (three + nine) / 2),
  }
}

export interface TramCheck {
  readonly dial: 'rim' | 'face'
  readonly what: 'side' | 'top'
  readonly value: Millimetres
  readonly low: Millimetres | null
  readonly high: Millimetres | null
  readonly margin: number
  readonly verdict: Verdict
}

/** A window that nothing could be held against. */
export interface TramGap {
  readonly dial: 'rim' | 'face'
  readonly what: 'side' | 'top'
  readonly why: Untold
}

export type TramWindows = Readonly<
  Partial<Record<'side' | 'top', Readonly<Partial<Record<'rim' | 'face', Band>>>>>
>
export type TramValues = Readonly<
  Partial<Record<'rim' | 'face', Readonly<Partial<Record<'side' | 'top', Millimetres | Untold>>>>>
>

/** Judges raw tram values against raw windows. What has no window is left out; what has no value is named. */
export const judgeTram = (
  values: TramValues,
  windows: TramWindows,
): { readonly checks: readonly TramCheck[]; readonly gaps: readonly TramGap[] } => {
  const checks: TramCheck[] = []
  const gaps: TramGap[] = []
  for (const what of ['side', 'top'] as const)
    for (const dial of ['rim', 'face'] as const) {
      const value = values[dial]?.[what] ?? 'not-read'
      const window = windows[what]?.[dial]
      if (!window) continue
      if (typeof value === 'string') {
        gaps.push({ dial, what, why: value })
        continue
      }
      const margin = marginIn(value, window)
      const verdict = verdictOfMargin(margin)
      checks.push({ dial, what, value, low: window[0], high: window[1], margin, verdict })
    }
  return { checks, gaps }
}

export type TramStep = 'side' | 'height' | 'side-again' | 'drum-runout'

/**
 * What to do next: side first, height next, side again, then the drum's own run-out. Only what was judged
 * and is in counts as in: the drum is not gone to while the top was never read or the side has no limit.
 */
export const nextTramStep = (side: PlaneVerdict, height: PlaneVerdict): TramStep =>
  height === 'in' ? (side === 'in' ? 'drum-runout' : 'side-again') : side === 'in' ? 'height' : 'side'

/** Side or height with its raw checks and what the tolerance says of its plane taken together. */
export const tramState = (
  what: 'side' | 'top',
  { checks, gaps }: ReturnType<typeof judgeTram>,
  plane: PlaneVerdict,
): PlaneVerdict => {
  const own = checks.filter((c) => c.what === what)
  if (plane === 'out' || own.some((c) => c.verdict === 'out')) return 'out'
  if (plane === 'unknown' || gaps.some((g) => g.what === what)) return 'unknown'
  return plane === 'in' || own.length > 0 ? 'in' : null
}
