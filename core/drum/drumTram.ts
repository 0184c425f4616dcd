import { marginIn, verdictOfMargin, type Verdict } from '../judge/judge'
import type { Band } from '../judge/tolerance'
import type { Millimetres } from '../units/unitSystem'

/** What one dial shows at 3, 9 and 12 with one zero, zeroed at the side. */
export interface TramReadings {
  readonly three: Millimetres
  readonly nine: Millimetres
  readonly twelve: Millimetres
}

export interface TramDifferences {
  /** Reading at 3 less reading at 9. */
  readonly side: Millimetres
  /** Reading at 12 less the mean of the two sides. */
  readonly top: Millimetres
}

/** Side difference and top against side, as read: no distances enter (docs/methods/drum-tram.md). */
export const tramDifferences = (r: TramReadings): TramDifferences => ({
  side: r.three - r.nine,
  top: r.twelve - (r.three + r.nine) / 2,
})

export interface TramCheck {
  readonly dial: 'rim' | 'face'
  readonly what: 'side' | 'top'
  readonly value: Millimetres
  readonly low: Millimetres | null
  readonly high: Millimetres | null
  readonly margin: number
  readonly verdict: Verdict
}

export type TramWindows = Readonly<
  Partial<Record<'side' | 'top', Readonly<Partial<Record<'rim' | 'face', Band>>>>>
>
export type TramValues = Readonly<Partial<Record<'rim' | 'face', Readonly<Partial<TramDifferences>>>>>

/** Judges raw tram values against raw windows; what has no value or no window is left out. */
export const judgeTram = (values: TramValues, windows: TramWindows): readonly TramCheck[] =>
  (['side', 'top'] as const).flatMap((what) =>
    (['rim', 'face'] as const).flatMap((dial): readonly TramCheck[] => {
      const value = values[dial]?.[what]
      const window = windows[what]?.[dial]
      if (value === undefined || !window) return []
      const margin = marginIn(value, window)
      const verdict = verdictOfMargin(margin)
      return [{ dial, what, value, low: window[0], high: window[1], margin, verdict }]
    }),
  )

export type TramStep = 'side' | 'height' | 'side-again' | 'drum-runout'

/** What to do next: side first, height next, side again, then the drum's own run-out. */
export const nextTramStep = (sideIsIn: boolean, heightIsIn: boolean): TramStep =>
  heightIsIn ? (sideIsIn ? 'drum-runout' : 'side-again') : sideIsIn ? 'height' : 'side'
