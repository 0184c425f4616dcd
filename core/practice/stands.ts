import type { BeltMachine } from '../register/beltMachine'
import type { CoupledMachine } from '../register/coupledMachine'

/** Machines that stand in the practice room alone: no register has them, so that a lesson is the same everywhere. */
export const COUPLED_STANDS = ['short', 'long', 'bare-drawer', 'bolt-bound'] as const
export const BELT_STANDS = ['belts', 'set-sheave'] as const
export const STAND_IDS = [...COUPLED_STANDS, ...BELT_STANDS] as const
export type CoupledStandId = (typeof COUPLED_STANDS)[number]
export type BeltStandId = (typeof BELT_STANDS)[number]
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

/** Coupled stands as they are registered, metric. */
export const STANDS: Readonly<Record<CoupledStandId, CoupledMachine>> = {
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

const FOUR_BELTS: BeltMachine = {
  drive: 'belt',
  powerKw: 15,
  units: 'metric',
  rpm: 1465,
  sheaves: {
    motor: {
      pitchDiameter: 170,
      outsideDiameter: 178,
      faceWidth: 82,
      grooves: 4,
      groovePitch: 19,
      depthOuter: 10,
      depthInner: 10,
    },
    driven: {
      pitchDiameter: 320,
      outsideDiameter: 328,
      faceWidth: 88,
      grooves: 4,
      groovePitch: 19,
      depthOuter: 13,
      depthInner: 13,
      hubToShaftEnd: 6,
    },
  },
  centreDistance: 760,
  belts: {
    kind: 'v',
    section: 'B',
    count: 4,
    construction: 'plain',
    length: 2296,
    mass: 0.2,
    stiffness: 58_000,
  },
  load: 'steady',
  tension: { serviceFactor: 1.3 },
  base: {
    kind: 'slide-screws',
    place: 'beside',
    pull: 'level',
    footSpacing: 250,
    sheaveToFeet: 110,
    shaftHeight: 160,
    screwPitch: 2.5,
    hubToShaftEnd: 16,
    lineAngle: 0,
    travelLeft: 40,
  },
  limits: { angle: null, tilt: null, offset: 1.5, source: '' },
  stock: [0.1, 0.25, 0.5, 1].map((thickness) => ({ thickness, count: 12 })),
  packLimit: 4,
}

/** Belt drives as they are registered, metric. */
export const DRIVE_STANDS: Readonly<Record<BeltStandId, BeltMachine>> = {
  belts: FOUR_BELTS,
  /** One belt on a sheave that can be set: one turn open when it was registered. */
  'set-sheave': {
    ...FOUR_BELTS,
    powerKw: 4,
    sheaves: {
      motor: {
        pitchDiameter: 130,
        outsideDiameter: 150,
        faceWidth: 42,
        grooves: 1,
        depthOuter: 20,
        depthInner: 20,
        build: {
          kind: 'variable',
          threadPitch: 2,
          turnsMost: 4,
          grooveAngle: 34,
          moves: 'outer',
          turnsOpen: 1,
        },
      },
      driven: {
        pitchDiameter: 280,
        outsideDiameter: 288,
        faceWidth: 34,
        grooves: 1,
        depthOuter: 17,
        depthInner: 17,
      },
    },
    centreDistance: 620,
    belts: {
      kind: 'v',
      section: 'B',
      count: 1,
      construction: 'notched',
      length: 1893,
      mass: 0.19,
      stiffness: 58_000,
    },
  },
}
