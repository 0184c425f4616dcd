import type { UnitSystem } from '../../core/units/unitSystem'
import type { MethodGiven } from '../../core/methods/methods'
import type { Turning } from '../../core/coupling/dialSet'
import type { Reading } from '../../core/fit/harmonicFit'

/**
 * A number that is taped or read off for a method; distances and small lengths, always typed positive
 * unless signed. Its label is in shared/wording/en/methods.ts.
 */
export interface NumberField {
  readonly id: string
  readonly measure: 'distance' | 'displacement'
  /** May be zero or below. */
  readonly signed?: boolean
  /** How far the dial end of a bar hangs: told either way, asked when it differs from the last job. */
  readonly sag?: boolean
  /** What gravity does besides to a bar: none on an upright shaft. */
  readonly hangs?: boolean
  /** Which choice says how its dial counts. */
  readonly counts?: string
  /** A swing circle: told as diameter or radius. */
  readonly circle?: boolean
  /** At which end of the drawing its box stands; its dial says so where it has one. */
  readonly end?: 'movable' | 'stationary'
  /** Starts at this pair of feet. */
  readonly foot?: 'near' | 'far'
  /** What stands in the box of a first set-up, by unit system. */
  readonly usually?: Readonly<Record<UnitSystem, string>>
}

/** `movable` and `stationary` are called by the names of the machines. */
export type ChoiceValue =
  'movable' | 'stationary' | 'away' | 'back' | 'rises' | 'falls' | 'one' | 'two' | 'plus' | 'minus'

/** A few exclusive words that belong to a method. */
export interface ChoiceField {
  readonly id: string
  readonly options: readonly ChoiceValue[]
}

/** What a form holds, understood: numbers (a circle as diameter, a sag as it hangs), and words. */
export interface FormValues {
  readonly numbers: Readonly<Record<string, number>>
  readonly choices: Readonly<Record<string, string>>
  readonly turning: Turning
  /** The measured surface of the hub that stands still, plunger in positive. */
  readonly still?: { readonly rim: readonly Reading[] | null; readonly face: readonly Reading[] | null }
}

/** A dial in the drawing of the distances: at which plane, carried by which machine. */
export interface DrawnDial {
  readonly carriedBy: 'movable' | 'stationary'
  /** Which number says how far from the coupling centre it runs. */
  readonly plane: string
  /** Face dial: which number says its swing circle, and which way it points. */
  readonly face?: { readonly circle: string; readonly plunger: 'away' | 'back' }
}

/** How one method is asked for in the set-up. One file a method, one row in forms.ts. */
export interface MethodForm {
  readonly method: MethodGiven['method']
  readonly numbers: readonly NumberField[]
  readonly choices: readonly ChoiceField[]
  /** Circles in the order they are read, by the choices made. */
  readonly circles: (choices: Readonly<Record<string, string>>) => readonly string[]
  /**
   * `dials`: zeroed at the first position, turned round and back. `felt`: read where it stands. `values`: one figure a
   * plane, worked out by the instrument.
   */
  readonly reads: 'dials' | 'felt' | 'values'
  /** Numbers (millimetres) and words of a set-up in core units, to fill the boxes with. */
  readonly valuesOf: (how: MethodGiven) => Pick<FormValues, 'numbers' | 'choices'> | null
  /** The set-up that these values make, in the unit of the values. */
  readonly given: (values: FormValues) => MethodGiven
  readonly dials: (choices: Readonly<Record<string, string>>) => readonly DrawnDial[]
}

export const SHOWN: ChoiceField['options'] = ['plus', 'minus']
/** What plus on the instrument means, from the choice. */
export const shownSign = (choice: string | undefined): 1 | -1 => (choice === 'minus' ? -1 : 1)
export const shownAs = (sign: 1 | -1): string => (sign === -1 ? 'minus' : 'plus')

export const RISES: ChoiceField['options'] = ['rises', 'falls']

/** A still hub's surface as a dial that counts this way would show it. */
export const shownBy = (sign: 1 | -1, surface: readonly Reading[] | null | undefined) =>
  surface ? { runout: surface.map((r) => ({ ...r, value: r.value * sign || 0 })) } : {}

export const signOf = (choice: string | undefined): 1 | -1 => (choice === 'falls' ? -1 : 1)
export const risesOf = (sign: 1 | -1 | undefined): string => (sign === -1 ? 'falls' : 'rises')
