import type { StockLeaf } from './shelf'
import type { ComeBackRules } from '../comeBack/rules'
import type { BeltLimits } from '../belt/beltLimits'
import type { BeltSection } from '../belt/sections'
import type { BeltKind } from '../belt/sheaveLine'
import type { UnitSystem } from '../units/unitSystem'

/** Where the motor of a belt drive stands on its base, and how the base moves it. */
export const BASE_KINDS = ['slide-screws', 'hanging-rods', 'lifting-rods', 'hinged'] as const
export type BaseKind = (typeof BASE_KINDS)[number]
/** Where the motor stands, seen from the driven shaft. */
export const MOTOR_PLACES = ['beside', 'above', 'below'] as const
export type MotorPlace = (typeof MOTOR_PLACES)[number]
/** Which way the belts pull the motor: level, or along the rods. */
export const PULLS = ['level', 'up', 'down'] as const
export type Pull = (typeof PULLS)[number]

export type SheavePlace = 'motor' | 'driven'

export const otherSheave = (place: SheavePlace): SheavePlace => (place === 'motor' ? 'driven' : 'motor')

/** How a belt is made; what its section's charts are asked by. */
export const BELT_CONSTRUCTIONS = ['plain', 'notched', 'banded', 'other'] as const
export type BeltConstruction = (typeof BELT_CONSTRUCTIONS)[number]

/** Whether the belts of a set were sold as one that belongs together. */
export const BELT_SETS = ['matched', 'not-matched'] as const
export type BeltSetKind = (typeof BELT_SETS)[number]

/** What the driven machine asks of the motor: a fan’s power goes with the cube of its speed. */
export const LOADS = ['fan-or-pump', 'steady', 'other'] as const
export type Load = (typeof LOADS)[number]

/** Whether a sheave’s flanges can be set closer or wider. */
export type SheaveBuild =
  | { readonly kind: 'fixed' }
  | {
      readonly kind: 'variable'
      /** Travel of the moving flange a turn, in the record's own units. */
      readonly threadPitch: number
      /** Turns from closed to wide open. */
      readonly turnsMost: number
      /** The whole angle of the groove, degrees. */
      readonly grooveAngle: number
      /** One flange moves, the one turned away from the motor or to it, or both. */
      readonly moves: 'outer' | 'inner' | 'both'
      /** Turns open at which the registered pitch diameter and depths hold. */
      readonly turnsOpen: number
    }

/** A sheave, in the record's own units (distances). */
export interface Sheave {
  readonly build?: SheaveBuild
  readonly outsideDiameter?: number
  /** Groove to groove. */
  readonly groovePitch?: number
  /** From hub face to shaft end, positive where the shaft stands out; of the driven sheave. */
  readonly hubToShaftEnd?: number
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
  /** What its plate says the motor gives, kW. */
  readonly powerKw?: number
  readonly units: UnitSystem
  /** Motor speed. */
  readonly rpm: number
  /** When to come back, by this machine's own rule. */
  readonly comeBack?: ComeBackRules
  readonly sheaves: Readonly<Record<SheavePlace, Sheave>>
  readonly centreDistance: number
  /** The site's table of its belts' section, as it was at the opening of a job; missing where it has none. */
  readonly section?: BeltSection
  /** What the works judges drives of its kind of belt by, nearest first, as it was at the opening of a job. */
  readonly beltLimits?: readonly BeltLimits[]
  readonly belts: {
    readonly kind: BeltKind
    readonly section: string
    readonly count: number
    readonly construction?: BeltConstruction
    /** Pitch length. */
    readonly length?: number
    /** Of one belt, kg/m or lb/ft. */
    readonly mass?: number
    /** Axial stiffness EA of one belt, N or lbf. */
    readonly stiffness?: number
    readonly set?: BeltSetKind
    /** Day they were fitted, `2026-01-31`. */
    readonly fittedOn?: string
  }
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
    /** How far the base can still take the motor away. */
    readonly travelLeft?: number
  }
  /** What the motor’s plate allows, amperes. */
  readonly plateCurrent?: number
  readonly load?: Load
  /** Where its tension band comes from; what is missing is unknown. Forces in the record's own units. */
  readonly tension?: {
    /** The sticker’s or the manual’s: force a belt, at this deflection of the span. */
    readonly stickerLow?: number
    readonly stickerHigh?: number
    readonly stickerDeflection?: number
    /** By which power is multiplied where the band is worked out of power and speed. */
    readonly serviceFactor?: number
    /** What the motor’s shaft may be pulled by at rest. */
    readonly shaftLoadMost?: number
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
