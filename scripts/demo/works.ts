import { createHash } from 'node:crypto'
import type { LimitSetFields } from '../../shared/limits/limitSet'
import type { MachineFields } from '../../shared/register/machine'
import type { Instrument, Person, ShimStock, Works } from '../../shared/register/works'

/** The same name gives the same UUID on every machine and every day. */
export const demoId = (name: string): string => {
  const h = createHash('sha256').update(`orrin-vale/${name}`).digest('hex')
  return `${h.slice(0, 8)}-${h.slice(8, 12)}-4${h.slice(13, 16)}-a${h.slice(17, 20)}-${h.slice(20, 32)}`
}

export const WORKS: Omit<Works, 'stock' | 'instruments'> = {
  name: 'Orrin Vale Tile Works',
  packLimit: 4,
  footWords: 'inboard-outboard',
}

/** A pair of feet that is never moved: nothing is known of what lies under it. */
const fixedPair = (id: string, x: number) => ({
  id,
  x,
  existing: { left: [], right: [] },
  maxPack: 0,
  sidePlus: 0,
  sideMinus: 0,
  locked: true,
})

const limitRow = (
  upTo: number | null,
  fine: readonly [number | null, number | null, number | null],
  standard: readonly [number | null, number | null, number | null],
) => {
  const of = ([offset, slope, flexSlope]: typeof fine) => ({ offset, slope, flexSlope })
  return { upTo, fine: of(fine), standard: of(standard) }
}

/** The gear coupling's maker gives an offset only; the works has a table of its own in preparation. */
export const LIMIT_SETS: readonly (LimitSetFields & { readonly id: string })[] = [
  {
    id: demoId('limits/gear coupling'),
    level: 'coupling',
    coupling: 'Gear coupling',
    name: 'Gear couplings by their maker',
    source: 'Maker’s sheet, Orrin Vale file 33',
    revision: 'C',
    units: 'metric',
    rows: [
      limitRow(300, [0.1, null, null], [0.18, null, null]),
      limitRow(750, [0.08, null, null], [0.12, null, null]),
      limitRow(1500, [0.05, null, null], [0.08, null, null]),
    ],
    inForce: true,
  },
  {
    id: demoId('limits/works'),
    level: 'works',
    coupling: '',
    name: 'Orrin Vale table',
    source: 'Drafted by the maintenance lead from ten years of good runs',
    revision: 'draft 2',
    units: 'inch',
    rows: [
      limitRow(1000, [3, 0.6, 0.8], [5, 1, 1.6]),
      limitRow(1500, [2, 0.4, 0.6], [3.5, 0.7, 1.2]),
      limitRow(3000, [1.2, 0.2, 0.3], [2, 0.35, 0.6]),
    ],
    inForce: false,
  },
]

export const PEOPLE: readonly Person[] = [
  { id: demoId('day'), name: 'Day-shift millwright', role: 'millwright' },
  { id: demoId('night'), name: 'Night-shift millwright', role: 'millwright' },
  { id: demoId('apprentice'), name: 'Apprentice', role: 'apprentice' },
  { id: demoId('lead'), name: 'Maintenance lead', role: 'lead' },
  { id: demoId('planner'), name: 'Planner', role: 'planner' },
]

export const STOCK: readonly ShimStock[] = [
  ...[1, 2, 3, 5, 10, 20, 25, 50, 100].map((thickness) => ({ units: 'inch' as const, thickness, count: 40 })),
  ...[0.025, 0.05, 0.1, 0.2, 0.5, 1, 2].map((thickness) => ({
    units: 'metric' as const,
    thickness,
    count: 40,
  })),
]

/** Instruments; their calibration holds for so many days from the seed on, or has run out. */
export const INSTRUMENTS: readonly (Omit<Instrument, 'due'> & { readonly dueIn: number | null })[] = [
  { id: demoId('instrument/dial 1'), name: 'Dial 1, half mil', kind: 'dial', dueIn: 96 },
  { id: demoId('instrument/dial 2'), name: 'Dial 2, half mil', kind: 'dial', dueIn: 96 },
  { id: demoId('instrument/dial 3'), name: 'Dial 3, 0.01 mm', kind: 'dial', dueIn: -19 },
  { id: demoId('instrument/level'), name: 'Precision level, 0.02 mm/m', kind: 'level', dueIn: 210 },
  { id: demoId('instrument/feelers'), name: 'Feeler set A', kind: 'feelers', dueIn: null },
  { id: demoId('instrument/torque'), name: 'Torque wrench, 60 to 340 N m', kind: 'torque-wrench', dueIn: 41 },
  { id: demoId('instrument/belt'), name: 'Belt gauge, spring', kind: 'belt-gauge', dueIn: 150 },
]

export const MACHINES: readonly MachineFields[] = [
  {
    drive: 'coupled',
    tag: 'CP-11',
    name: 'Clay ball mill',
    area: 'Clay preparation hall',
    movableName: 'Motor',
    stationaryName: 'Gear unit',
    couplingKind: 'Grid coupling',
    couplingType: 'grid',
    powerKw: 75,
    units: 'inch',
    rpm: 990,
    usual: { method: 'rim-face', carriedBy: 'movable', rimPlane: -1.5, plunger: 'away', faceDiameter: 8 },
    feet: {
      movable: [
        {
          id: 'inboard',
          x: 12,
          existing: { left: [25, 10], right: [25, 10] },
          maxPack: 125,
          sidePlus: 60,
          sideMinus: 60,
          locked: false,
        },
        {
          id: 'outboard',
          x: 34.5,
          existing: { left: [25, 5], right: [25, 5] },
          maxPack: 125,
          sidePlus: 60,
          sideMinus: 60,
          locked: false,
        },
      ],
      stationary: [fixedPair('inboard', -13), fixedPair('outboard', -30)],
    },
    hubs: {
      stationaryDiameter: 9.5,
      movableDiameter: 9.5,
      gapLeast: 0.108,
      gapMost: 0.14,
      float: null,
      closeEnough: 15,
      rimLimit: null,
      faceLimit: null,
    },
    tolerance: { form: 'speed-rule', mode: 'plane', grade: 'standard' },
  },
  {
    drive: 'coupled',
    tag: 'CP-14',
    name: 'Extruder main drive',
    area: 'Clay preparation hall',
    movableName: 'Motor',
    stationaryName: 'Extruder gear unit',
    couplingKind: 'Spacer coupling',
    couplingType: 'disc',
    powerKw: 132,
    units: 'metric',
    rpm: 1480,
    usual: { method: 'reverse-rim', onStationary: -110, onMovable: 120 },
    feet: {
      movable: [
        {
          id: 'inboard',
          x: 360,
          existing: { left: [1, 0.2], right: [1, 0.2] },
          maxPack: 4,
          sidePlus: 1.5,
          sideMinus: 1.5,
          locked: false,
        },
        {
          id: 'outboard',
          x: 1040,
          existing: { left: [1, 0.5], right: [1, 0.5] },
          maxPack: 4,
          sidePlus: 1.5,
          sideMinus: 1.5,
          locked: false,
        },
      ],
      // The gear unit stands on shims of its own: it may be moved where the motor can't.
      stationary: [
        {
          id: 'inboard',
          x: -420,
          existing: { left: [1, 0.5], right: [1, 0.5] },
          maxPack: 4,
          sidePlus: 1,
          sideMinus: 1,
          locked: false,
        },
        {
          id: 'outboard',
          x: -1100,
          existing: { left: [1, 0.2], right: [1, 0.2] },
          maxPack: 4,
          sidePlus: 1,
          sideMinus: 1,
          locked: false,
        },
      ],
    },
    hubs: {
      stationaryDiameter: 230,
      movableDiameter: 230,
      gapLeast: null,
      gapMost: null,
      float: 3,
      closeEnough: 0.4,
      rimLimit: null,
      faceLimit: null,
    },
    tolerance: { form: 'speed-rule', mode: 'plane', grade: 'standard', spoolLength: 180 },
  },
  {
    drive: 'coupled',
    tag: 'KY-09',
    name: 'Dust-collector screw',
    area: 'Kiln yard',
    movableName: 'Geared motor',
    stationaryName: 'Screw conveyor',
    couplingKind: 'Jaw coupling',
    couplingType: 'jaw',
    powerKw: 11,
    units: 'inch',
    rpm: 1460,
    usual: { method: 'rim-face', carriedBy: 'movable', rimPlane: -0.75, plunger: 'away', faceDiameter: 5 },
    feet: {
      movable: [
        {
          id: 'inboard',
          x: 6.5,
          existing: { left: [], right: [] },
          maxPack: 60,
          sidePlus: 30,
          sideMinus: 25,
          locked: false,
        },
        {
          id: 'outboard',
          x: 16.25,
          existing: { left: [10], right: [10] },
          maxPack: 60,
          sidePlus: 4,
          sideMinus: 25,
          locked: false,
        },
      ],
      stationary: [fixedPair('bearing', -9)],
    },
    hubs: {
      stationaryDiameter: 5.5,
      movableDiameter: 5.5,
      gapLeast: 0.1,
      gapMost: 0.12,
      float: null,
      closeEnough: null,
      rimLimit: null,
      faceLimit: null,
    },
    tolerance: {
      form: 'offset-slope',
      mode: 'plane',
      offset: 4,
      slope: 0.8,
      source: 'Coupling maker’s sheet, Orrin Vale file 27',
    },
  },
  {
    drive: 'coupled',
    tag: 'PR-02',
    name: 'Press hydraulic power pack',
    area: 'Press hall',
    movableName: 'Motor',
    stationaryName: 'Pump',
    couplingKind: 'Small jaw coupling',
    couplingType: 'jaw',
    powerKw: 30,
    units: 'inch',
    rpm: 1470,
    usual: { method: 'rim-face', carriedBy: 'movable', rimPlane: -0.9, plunger: 'away', faceDiameter: 4.5 },
    feet: {
      movable: [
        {
          id: 'inboard',
          x: 7.25,
          existing: { left: [20, 5], right: [20, 5] },
          maxPack: 80,
          sidePlus: 40,
          sideMinus: 40,
          locked: false,
        },
        {
          id: 'outboard',
          x: 18.5,
          existing: { left: [20, 5], right: [25, 2] },
          maxPack: 80,
          sidePlus: 40,
          sideMinus: 40,
          locked: false,
        },
      ],
      stationary: [fixedPair('pump', -8)],
    },
    hubs: {
      stationaryDiameter: 4.5,
      movableDiameter: 4.5,
      gapLeast: 0.108,
      gapMost: 0.128,
      float: null,
      closeEnough: null,
      rimLimit: 8,
      faceLimit: 6,
    },
    tolerance: {
      form: 'offset-slope',
      mode: 'plane',
      offset: 5,
      slope: 1,
      source: 'Coupling maker’s sheet, Orrin Vale file 31',
    },
  },
  {
    drive: 'coupled',
    tag: 'CP-40',
    name: 'Pan mill, motor coupling',
    area: 'Clay preparation hall',
    movableName: 'Motor',
    stationaryName: 'Gear unit',
    couplingKind: 'Pin and bush coupling',
    couplingType: 'pin-bush',
    powerKw: 55,
    units: 'metric',
    rpm: 1475,
    usual: { method: 'heads', stationaryPlane: 90, movablePlane: 90 },
    feet: {
      movable: [
        {
          id: 'inboard',
          x: 330,
          existing: { left: [1, 0.5], right: [1, 0.5] },
          maxPack: 4,
          sidePlus: 1.5,
          sideMinus: 1.5,
          locked: false,
        },
        {
          id: 'outboard',
          x: 690,
          existing: { left: [1, 0.2], right: [1, 0.2] },
          maxPack: 4,
          sidePlus: 1.5,
          sideMinus: 1.5,
          locked: false,
        },
      ],
      stationary: [fixedPair('inboard', -340), fixedPair('outboard', -720)],
    },
    hubs: {
      stationaryDiameter: 210,
      movableDiameter: 210,
      gapLeast: 3,
      gapMost: 5,
      float: null,
      closeEnough: 0.4,
      rimLimit: null,
      faceLimit: null,
    },
    tolerance: { form: 'speed-rule', mode: 'plane', grade: 'standard' },
  },
  {
    drive: 'coupled',
    tag: 'CP-40M',
    name: 'Pan mill, mill coupling',
    area: 'Clay preparation hall',
    movableName: 'Gear unit',
    stationaryName: 'Pan mill',
    couplingKind: 'Gear coupling',
    couplingType: 'gear',
    powerKw: 55,
    units: 'metric',
    rpm: 148,
    usual: { method: 'heads', stationaryPlane: 90, movablePlane: 90 },
    feet: {
      movable: [
        {
          id: 'inboard',
          x: 340,
          existing: { left: [2, 0.2], right: [2, 0.2] },
          maxPack: 4,
          sidePlus: 1.5,
          sideMinus: 1.5,
          locked: false,
        },
        {
          id: 'outboard',
          x: 720,
          existing: { left: [2, 0.1], right: [2, 0.1] },
          maxPack: 4,
          sidePlus: 1.5,
          sideMinus: 1.5,
          locked: false,
        },
      ],
      stationary: [fixedPair('inboard', -400), fixedPair('outboard', -1150)],
    },
    hubs: {
      stationaryDiameter: 210,
      movableDiameter: 210,
      gapLeast: 3,
      gapMost: 5,
      float: 2,
      closeEnough: 0.4,
      rimLimit: null,
      faceLimit: null,
    },
    tolerance: { form: 'speed-rule', mode: 'plane', grade: 'standard' },
  },
  {
    drive: 'belt',
    tag: 'GL-03',
    name: 'Glaze mill',
    area: 'Glaze house',
    movableName: 'Motor',
    stationaryName: 'Glaze mill',
    powerKw: 22,
    units: 'metric',
    rpm: 1465,
    sheaves: {
      motor: { pitchDiameter: 180, faceWidth: 101, grooves: 5, depthOuter: 10, depthInner: 10 },
      driven: { pitchDiameter: 348, faceWidth: 106, grooves: 5, depthOuter: 12.7, depthInner: 12.7 },
    },
    centreDistance: 820,
    belts: { kind: 'v', section: 'B', count: 5 },
    base: {
      kind: 'slide-screws',
      place: 'beside',
      pull: 'level',
      footSpacing: 254,
      sheaveToFeet: 120,
      shaftHeight: 160,
      screwPitch: 2.5,
      hubToShaftEnd: 16,
      lineAngle: 0,
    },
    limits: { angle: null, tilt: null, offset: 1.5, source: 'Site rule for V-belts, Orrin Vale file 12' },
  },
]
