import type { BeltMachine, SheavePlace } from '../register/beltMachine'
import { toCore, type Millimetres } from '../units/unitSystem'

/** Blades are tried a little inside the rim: it may be turned round. */
const INSIDE = 0.95
/** An edge at the very rim would touch it in a point. */
const SHIFTED = 0.8

/** How far apart the two places on a sheave's face lie where gaps are read from an edge. */
export const acrossFace = ({ sheaves, units }: BeltMachine, place: SheavePlace): Millimetres =>
  INSIDE * toCore(sheaves[place].pitchDiameter, 'distance', units)

/** How far apart the edge is shifted up and down for tilt: both sheaves have a face there, so the smaller one rules. */
export const upAndDown = (machine: BeltMachine): Millimetres =>
  SHIFTED * Math.min(acrossFace(machine, 'motor'), acrossFace(machine, 'driven'))
