import type { BeltAge } from '../../belt/tension'
import type { UnitSystem } from '../../units/unitSystem'

/** What was read at each belt, belt by belt from the motor side out; forces N or lbf, lengths in or mm. */
export type TensionReadBy =
  /** Pushed to one deflection, the force read. */
  | { readonly by: 'force'; readonly deflection: number; readonly forces: readonly number[] }
  /** Pushed with one force, the deflection read. */
  | { readonly by: 'deflection'; readonly force: number; readonly deflections: readonly number[] }
  /** Tapped, the frequency of the span read, hertz. */
  | { readonly by: 'frequency'; readonly hertz: readonly number[] }
  /** Marks on the back of the belt: how far apart when slack, and now. */
  | { readonly by: 'marks'; readonly slack: number; readonly apart: readonly number[] }
  /** Ruler and a firm hand: how far it gives. A screening, unless its maker gives a window for it. */
  | {
      readonly by: 'hand'
      readonly deflections: readonly number[]
      readonly window: readonly [least: number, most: number] | null
    }

export const TENSION_SCHOOLS = ['force', 'deflection', 'frequency', 'marks', 'hand'] as const
export type TensionSchool = TensionReadBy['by']

export interface TensionEntries {
  'tension-read': {
    readonly units: UnitSystem
    readonly age: BeltAge
    /** Whether a sheave can turn while the span is pushed, so that the whole belt gives. */
    readonly sheaves: 'free' | 'held'
    readonly read: TensionReadBy
    readonly words: string
  }
  /** Turns given to what moves the motor, at each of its ends; positive takes it away and tightens. */
  'tension-adjusted': { readonly sheaveEnd: number; readonly farEnd: number; readonly words: string }
}
