import { done, refused, type Outcome } from '../outcome'
import type { KilogramsPerMetre, Millimetres, Newtons, Watts } from '../units/unitSystem'
import { beltSpeed, type BeltDrive } from './geometry'

/** Tight to slack strand ratio at half a turn of wrap, V-belts. Editable; flat and toothed have others. */
export const RATIO_AT_180 = 5
/** Factors on the static tension, run-in and new belts. Editable. */
export const BAND_FACTORS = { 'run-in': [1, 1.15], new: [1.3, 1.5] } as const
export type BeltAge = keyof typeof BAND_FACTORS
export const BELT_AGES: readonly BeltAge[] = ['run-in', 'new']
/** The gauge's usual deflection: a sixty-fourth of the span. */
export const DEFLECTION_SHARE = 1 / 64

const INCH: Millimetres = 25.4
/** What the ring of a gauge marked in inches of span is set to for a deflection: it goes down a sixty-fourth of it. To a quarter. */
export const inchesOfSpan = (deflection: Millimetres): number =>
  Math.round((4 * deflection) / (INCH * DEFLECTION_SHARE)) / 4

export interface BeltLoad {
  readonly power: Watts
  /** Of the small sheave. */
  readonly rpm: number
  readonly serviceFactor: number
  readonly belts: number
  readonly mass: KilogramsPerMetre
  readonly ratioAt180: number
}

/** How a belt answers a push at mid-span. */
export interface BeltSpring {
  /** Axial stiffness EA per belt; 0 when unknown. */
  readonly stiffness: Newtons
  /** free: a sheave can turn, the whole belt stretches. held: only the span does. */
  readonly sheaves: 'free' | 'held'
}

export interface DesignTension {
  /** Tension difference of the strands, all belts. */
  readonly effective: Newtons
  readonly ratio: number
  /** Per belt, at rest. */
  readonly staticTension: Newtons
  /** m v^2 per belt. */
  readonly centrifugal: Newtons
}

/**
 * Static tension a belt needs: `Ts = (Te/N)(R+1)/(2(R-1)) + m v^2`, `Te = P SF / v`,
 * `R = R180^(wrap/pi)`. Source: docs/methods/belt-tension.md; from the balance of a strand on a sheave.
 */
export const designTension = (drive: BeltDrive, load: BeltLoad): DesignTension => {
  const v = beltSpeed(drive.small, load.rpm)
  const effective = (load.power * load.serviceFactor) / v
  const ratio = load.ratioAt180 ** (drive.wrapSmall / Math.PI)
  const centrifugal = load.mass * v * v
  return {
    effective,
    ratio,
    centrifugal,
    staticTension: ((effective / load.belts) * (ratio + 1)) / (2 * (ratio - 1)) + centrifugal,
  }
}

const stretched = (drive: BeltDrive, spring: BeltSpring): Millimetres =>
  spring.sheaves === 'free' ? drive.pitchLength : drive.span

/** Extra tension that pushing the span by `deflection` makes. */
const pushTension = (drive: BeltDrive, spring: BeltSpring, deflection: Millimetres): Newtons =>
  (spring.stiffness * 2 * deflection ** 2) / (drive.span * stretched(drive, spring))

/** Force at mid-span for a deflection: `F = 4 (q/t)(Ts + EA 2 q^2/(t Le))`. */
export const deflectionForce = (
  drive: BeltDrive,
  spring: BeltSpring,
  tension: Newtons,
  deflection: Millimetres,
): Newtons => 4 * (deflection / drive.span) * (tension + pushTension(drive, spring, deflection))

/** Static tension from force and deflection; refuses a force that stretching alone explains. */
export const tensionFromForce = (
  drive: BeltDrive,
  spring: BeltSpring,
  force: Newtons,
  deflection: Millimetres,
): Outcome<Newtons> => {
  const tension = (force * drive.span) / (4 * deflection) - pushTension(drive, spring, deflection)
  return tension >= 0 ? done(tension) : refused('force-from-stiffness-alone', ['force'])
}

/** Span frequency in hertz: `f = sqrt(Ts/m)/(2t)`. */
export const spanFrequency = (drive: BeltDrive, tension: Newtons, mass: KilogramsPerMetre): number =>
  Math.sqrt(tension / mass) / ((2 * drive.span) / 1000)

/**
 * Static tension from span frequency: `Ts = 4 m t^2 f^2`, less `pi^2 EI / t^2` where the belt's
 * bending stiffness (N mm^2) is known: short stiff belts ring too high.
 */
export const tensionFromFrequency = (
  drive: BeltDrive,
  frequency: number,
  mass: KilogramsPerMetre,
  bendingStiffness: number,
): Outcome<Newtons> => {
  const span = drive.span / 1000
  const tension =
    4 * mass * span * span * frequency * frequency - (Math.PI ** 2 * bendingStiffness) / drive.span ** 2
  return tension >= 0 ? done(tension) : refused('force-from-stiffness-alone', ['frequency'])
}

export interface ShaftLoad {
  readonly atRest: Newtons
  readonly running: Newtons
  /** Nearer bearing while at rest; null without overhang and bearing span. */
  readonly nearerBearing: Newtons | null
}

/**
 * Pull on the shaft: at rest `2 N Ts sin(wrap/2)`; running the vector sum of both strands less
 * their centrifugal part. The nearer bearing carries `load (1 + overhang / bearing span)`.
 */
export const shaftLoad = (
  drive: BeltDrive,
  belts: number,
  design: DesignTension,
  bearing?: { readonly overhang: Millimetres; readonly span: Millimetres },
): ShaftLoad => {
  const atRest = 2 * belts * design.staticTension * Math.sin(drive.wrapSmall / 2)
  const mean = design.staticTension - design.centrifugal
  const half = design.effective / belts / 2
  const along = 2 * mean * Math.cos(drive.strandAngle)
  const across = 2 * half * Math.sin(drive.strandAngle)
  return {
    atRest,
    running: belts * Math.hypot(along, across),
    nearerBearing: bearing ? atRest * (1 + bearing.overhang / bearing.span) : null,
  }
}
