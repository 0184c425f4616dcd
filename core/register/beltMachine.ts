import type { StockLeaf } from './shelf'
import type { ComeBackRules } from '../comeBack/rules'
import type { BeltKind } from '../belt/sheaveLine'
import type { UnitSystem } from '../units/unitSystem'

/** Where the motor of a belt drive stands on its base, and how the base moves it. */
export const BASE_KINDS = ['slide-screws', 'hanging-rods', 'hinged'] as const
export type BaseKind = (typeof BASE_KINDS)[number]
/** Where the motor stands, seen from the driven shaft. */
export const MOTOR_PLACES = ['beside', 'above', 'below'] as const
export type MotorPlace = (typeof MOTOR_PLACES)[number]
/** Which way the belts pull the motor: level, or along the rods. */
export const PULLS = ['level', 'up', 'down'] as const
export type Pull = (typeof PULLS)[number]

export type SheavePlace = 'motor' | 'driven'

export const otherSheave = (place: SheavePlace): SheavePlace => (place === 'motor' ? 'driven' : 'motor')

/** A fixed sheave, in the record's own units (distances). */
export interface Sheave {
  readonly pitchDiameter: number
  readonly faceWidth: number
  readonly grooves: number
  /** From the face turned away from the motor, and from the one turned to it, to the groove centre. */
  readonly depthOuter: number
  readonly depthInner: number
}

/** A motor that drives through belts, in the record's own units. */
export interface BeltMachine {
  readonly drive: 'belt'
  readonly units: UnitSystem
  /** Motor speed. */
  readonly rpm: number
  /** When to come back, by this machine's own rule. */
  readonly comeBack?: ComeBackRules
  readonly sheaves: Readonly<Record<SheavePlace, Sheave>>
  readonly centreDistance: number
  readonly belts: { readonly kind: BeltKind; readonly section: string; readonly count: number }
  readonly base: {
    readonly kind: BaseKind
    readonly place: MotorPlace
    readonly pull: Pull
    /** Between the foot pairs along the shaft. */
    readonly footSpacing: number
    /** From the sheave's plane to the sheave-end feet. */
    readonly sheaveToFeet: number
    readonly shaftHeight: number
    /** Travel of a screw or nut a turn; null when unknown. */
    readonly screwPitch: number | null
    /** From hub face to shaft end on the motor; null when never measured. */
    readonly hubToShaftEnd: number | null
    /** Shaft line above the direction of slide, degrees. */
    readonly lineAngle: number
  }
  /** Its own limits; null where the starter limit of the belt kind holds. Angles in degrees. */
  readonly limits: {
    readonly angle: number | null
    readonly tilt: number | null
    readonly offset: number | null
    readonly source: string
  }
  readonly stock: readonly StockLeaf[]
  readonly packLimit: number
}
