import { deflectionForce, spanFrequency } from '../../../core/belt/tension'
import type { BeltMachine } from '../../../core/register/beltMachine'
import { massOf, pushedTogether, stiffnessOf } from '../../../core/stages/tension/band'
import type { TensionRead } from '../../../core/stages/tension/tension'
import { toCore } from '../../../core/units/unitSystem'
import { beltName, readingFigure } from '../../wording/tension'
import type { Telling } from '../../wording/telling'

/** The drive from the side to scale, in pixels of a given sheet. */
export interface BeltSide {
  readonly motor: { readonly x: number; readonly y: number; readonly r: number }
  readonly driven: { readonly x: number; readonly y: number; readonly r: number }
  /** The strand that is pushed: from sheave to sheave, its middle, and where the middle is pushed to. */
  readonly pushed: {
    readonly from: readonly [number, number]
    readonly to: readonly [number, number]
    readonly middle: readonly [number, number]
    readonly down: readonly [number, number]
  }
  readonly other: { readonly from: readonly [number, number]; readonly to: readonly [number, number] }
}

/** A deflection is drawn at least this far, in pixels, so that it shows. */
const LEAST_PUSH = 26

/** Lays the drive out on a sheet, motor to the left; sheaves and centres to one scale. */
export const layBeltSide = (
  diameters: { readonly motor: number; readonly driven: number },
  centre: number,
  deflection: number,
  sheet: { readonly width: number; readonly height: number },
): BeltSide => {
  const along = centre + diameters.motor / 2 + diameters.driven / 2
  const scale = Math.min(sheet.width / along, sheet.height / Math.max(diameters.motor, diameters.driven))
  const [r, R, c] = [(diameters.motor / 2) * scale, (diameters.driven / 2) * scale, centre * scale]
  const left = (sheet.width - along * scale) / 2
  const y = sheet.height / 2
  const motor = { x: left + r, y, r }
  const driven = { x: left + r + c, y, r: R }
  const lean = Math.asin((R - r) / c)
  const strand = (side: 1 | -1) => {
    const [nx, ny] = [-Math.sin(lean), -side * Math.cos(lean)]
    return {
      from: [motor.x + nx * r, motor.y + ny * r] as const,
      to: [driven.x + nx * R, driven.y + ny * R] as const,
    }
  }
  const top = strand(1)
  const middle = [(top.from[0] + top.to[0]) / 2, (top.from[1] + top.to[1]) / 2] as const
  const push = Math.max(LEAST_PUSH, deflection * scale)
  return {
    motor,
    driven,
    pushed: {
      ...top,
      middle,
      down: [middle[0] + push * Math.sin(lean), middle[1] + push * Math.cos(lean)],
    },
    other: strand(-1),
  }
}

/** One belt as a bar against its band; shares of the widest figure on the sheet. */
export interface BeltBar {
  readonly name: string
  readonly figure: string
  readonly share: number
  readonly verdict: 'in' | 'edge' | 'out' | null
}

export interface BeltBars {
  readonly bars: readonly BeltBar[]
  /** Low and high as shares and as they are read; null where nothing gives a band. */
  readonly band: {
    readonly low: number
    readonly high: number
    readonly words: readonly [string, string]
  } | null
}

/** What a tension reads as by the school of this reading: newtons, millimetres or hertz. */
const asRead = (read: TensionRead, tension: number, machine: BeltMachine): number | null => {
  const { units, read: by, sheaves } = read.entry.payload
  const spring = { stiffness: stiffnessOf(machine), sheaves }
  switch (by.by) {
    case 'force':
      return (
        pushedTogether(machine) *
        deflectionForce(read.drive, spring, tension, toCore(by.deflection, 'distance', units))
      )
    case 'frequency': {
      const mass = massOf(machine)
      return mass === null ? null : spanFrequency(read.drive, tension, mass)
    }
    case 'deflection': {
      // The more tension, the less it gives: solved by halving, the force grows with the deflection.
      const force = toCore(by.force, 'force', units) / pushedTogether(machine)
      let [low, high] = [0, read.drive.span / 2]
      for (let i = 0; i < 60; i++) {
        const middle = (low + high) / 2
        if (deflectionForce(read.drive, spring, tension, middle) < force) low = middle
        else high = middle
      }
      return (low + high) / 2
    }
    case 'marks': {
      const slack = toCore(by.slack, 'distance', units)
      return spring.stiffness === 0 ? null : slack * (1 + tension / spring.stiffness)
    }
    case 'hand':
      return null
  }
}

/** Each belt as a bar in the measure it was read in, with the band in the same measure. */
export const drawBars = (read: TensionRead, machine: BeltMachine, telling: Telling): BeltBars => {
  const of = read.belts.length
  const ends = read.window ?? read.band?.tension.map((t) => asRead(read, t, machine)) ?? []
  const [a, b] = ends
  const known =
    typeof a === 'number' && typeof b === 'number' ? ([Math.min(a, b), Math.max(a, b)] as const) : null
  // Marks lie within hundredths of each other: what is drawn is how far they went apart.
  const { read: by, units } = read.entry.payload
  const from = by.by === 'marks' ? toCore(by.slack, 'distance', units) : 0
  const most = Math.max(...read.belts.map((x) => x.value - from), known ? known[1] - from : 0, 1e-9) * 1.12
  const share = (x: number) => Math.max(0, (x - from) / most)
  return {
    bars: read.belts.map((x, i) => ({
      name: beltName(i, of, telling),
      figure: readingFigure(read, x.value, telling),
      share: share(x.value),
      verdict: x.verdict,
    })),
    band: known && {
      low: share(known[0]),
      high: share(known[1]),
      words: [readingFigure(read, known[0], telling), readingFigure(read, known[1], telling)],
    },
  }
}
