import type { TrainFields } from '../../shared/register/trainMachine'

const pair = (id: string, x: number, leaves: readonly number[]) => ({
  id,
  x,
  existing: { left: [...leaves], right: [...leaves] },
  maxPack: 5,
  sidePlus: 2,
  sideMinus: 2,
  locked: false,
})
const grouted = (id: string, x: number) => ({
  id,
  x,
  existing: { left: [], right: [] },
  maxPack: 0,
  sidePlus: 0,
  sideMinus: 0,
  locked: true,
})

/** The pan mill's line: the mill on its foundation, its gear unit, its motor. */
export const PAN_MILL_LINE: TrainFields = {
  drive: 'train',
  tag: 'CP-40',
  name: 'Pan mill line',
  area: 'Clay preparation hall',
  movableName: 'Motor',
  stationaryName: 'Pan mill',
  powerKw: 55,
  units: 'metric',
  rpm: 1475,
  machines: [
    { id: 'm1', name: 'Pan mill', feet: [grouted('first', -1150), grouted('second', -400)] },
    {
      id: 'm2',
      name: 'Gear unit',
      feet: [pair('first', 340, [2, 0.2]), pair('second', 720, [2, 0.1])],
    },
    {
      id: 'm3',
      name: 'Motor',
      feet: [pair('first', 1390, [1, 0.5]), pair('second', 1750, [1, 0.2])],
    },
  ],
  couplings: [
    {
      id: 'c1',
      name: 'Mill coupling',
      x: 0,
      stationary: 'left',
      rpm: 148,
      couplingKind: 'Gear coupling',
      couplingType: 'gear',
      usual: { method: 'rim-face', carriedBy: 'movable', rimPlane: -40, plunger: 'away', faceDiameter: 240 },
      hubs: {
        stationaryDiameter: 260,
        movableDiameter: 260,
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
      id: 'c2',
      name: 'Motor coupling',
      x: 1060,
      stationary: 'left',
      rpm: 1475,
      couplingKind: 'Pin and bush coupling',
      couplingType: 'pin-bush',
      usual: { method: 'heads', stationaryPlane: 90, movablePlane: 90 },
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
  ],
}
