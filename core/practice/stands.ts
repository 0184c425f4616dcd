import type { CoupledMachine } from '../register/coupledMachine'

/** Machines that stand in the practice room alone: no register has them, so that a lesson is the same everywhere. */
export const STAND_IDS = ['short', 'long', 'bare-drawer', 'bolt-bound'] as const
export type StandId = (typeof STAND_IDS)[number]

const pair = (id: string, x: number, existing: readonly number[], room = 1.5) => ({
  id,
  x,
  existing: { left: existing, right: existing },
  maxPack: 3.2,
  sidePlus: room,
  sideMinus: room,
  locked: false,
})

const DRAWER = [0.05, 0.1, 0.2, 0.25, 0.5, 1].map((thickness) => ({ thickness, count: 24 }))

const SHORT: CoupledMachine = {
  drive: 'coupled',
  units: 'metric',
  rpm: 1480,
  usual: { method: 'rim-face', carriedBy: 'movable', rimPlane: -38, plunger: 'away', faceDiameter: 180 },
  couplingType: 'grid',
  hubs: {
    stationaryDiameter: 220,
    movableDiameter: 220,
    gapLeast: 2.8,
    gapMost: 3.6,
    float: null,
    closeEnough: 0.4,
    rimLimit: null,
    faceLimit: null,
  },
  feet: {
    movable: [pair('inboard', 260, [1, 0.25]), pair('outboard', 760, [1, 0.25])],
    stationary: [
      { ...pair('inboard', -280, [0.5]), locked: true },
      { ...pair('outboard', -640, [0.5]), locked: true },
    ],
  },
  tolerance: { form: 'speed-rule', mode: 'plane', grade: 'standard' },
  stock: DRAWER,
  packLimit: 4,
}

/** The stands as they are registered, metric. */
export const STANDS: Readonly<Record<StandId, CoupledMachine>> = {
  short: SHORT,
  long: {
    ...SHORT,
    usual: { method: 'reverse-rim', onStationary: -210, onMovable: 210 },
    couplingType: 'disc',
    feet: {
      ...SHORT.feet,
      movable: [pair('inboard', 430, [1, 0.25]), pair('outboard', 980, [1, 0.25])],
    },
  },
  /** Thick and few: what is wanted has to be built from what is there. */
  'bare-drawer': {
    ...SHORT,
    feet: {
      ...SHORT.feet,
      movable: [pair('inboard', 260, [0.5, 0.25]), pair('outboard', 760, [0.5, 0.25])],
    },
    stock: [
      { thickness: 0.2, count: 4 },
      { thickness: 0.25, count: 4 },
      { thickness: 0.5, count: 4 },
    ],
    packLimit: 3,
  },
  'bolt-bound': {
    ...SHORT,
    feet: {
      movable: [pair('inboard', 260, [1, 0.25], 0.03), pair('outboard', 760, [1, 0.25], 0.03)],
      stationary: [pair('inboard', -280, [0.5]), pair('outboard', -640, [0.5])],
    },
  },
}
