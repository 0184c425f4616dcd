import { said } from '../words'
import type { PushSlip } from '../../../core/stages/move/push'

/** Words of a side move watched at both ends, and of tightening down behind a move. */
export const pushing = {
  steps: {
    v: 'Vertical',
    h: 'Horizontal',
    shimsNow: 'shims now, foot by foot',
    noShims: 'nothing to shim',
    sidesNow: 'now, a dial at both ends',
    sidesWait: 'waits for the shims',
    noSides: 'nothing to push',
  },
  toGo: (pair: string, unit: string, hour: string) => `${pair}, ${unit} to go toward ${hour}`,
  beyond: (pair: string, unit: string, hour: string) => `${pair}, ${unit} too far: back toward ${hour}`,
  there: (pair: string) => `${pair}: there`,
  countNow: (pair: string) => `${pair}: the dial now`,
  slacken: 'slacken',
  push: 'push',
  room: (room: string) => `room ${room}`,
  arrived: 'Both ends are there. Tighten down, then read the dials again.',
  setDials: 'Set a dial at each end to its count: it falls to zero as the machine moves.',
  bites: {
    title: 'This bite',
    slacken: (foot: string) => `Slacken the screw at ${foot}.`,
    push: (foot: string, by: string, hour: string) => `Push at ${foot}: ${by} toward ${hour}.`,
    then: 'Read both dials, type them, and the next bite is worked out.',
    thenLive: 'Take the counts once the needles stand still, and the next bite is worked out.',
  },
  slips: {
    'other-way': (pair: string) =>
      `${pair} went the other way. Wrong side: push at the foot across from it. Or the dial’s sign is turned.`,
    'other-foot': (pair: string) =>
      `${pair} did not move, the other end did: the wrong foot was pushed, or its bolts hold.`,
    'too-far': (pair: string) => `${pair} went past zero. Slacken, and push it back from the other side.`,
  } satisfies Record<PushSlip, (pair: string) => string>,
  drift: {
    title: 'Shift on tightening',
    unread: 'Read the dials again once the last pass is done.',
    box: (pair: string, hour: string) => `${pair}, toward ${hour} is plus`,
    boxes: 'Dials zeroed before tightening: what they say behind the last pass',
    inReport: (feet: string, said: string) => `Shift on tightening: ${feet}; ${said}.`,
    of: (pair: string, by: string, hour: string) => `${pair} ${by} toward ${hour}`,
    still: (pair: string) => `${pair} nothing`,
    in: (limit: string) => `within ${limit} (starting value)`,
    over: (limit: string) => `over ${limit} (starting value)`,
    overWhat:
      'Tightening shifts it: slacken, look at washers, burrs and soft feet, and tighten again in order, in three passes.',
  },
  tighten: {
    title: 'Then tighten',
    noBolts: 'Which bolts hold it? Say it once, and the torque of each pass stands here.',
    say: 'Say which bolts',
    change: 'Other bolts',
    typical: 'Typical values for dry or oiled threads; the maker’s torque rules.',
    caution: 'Hands out of the pinch; the wrench pulled, not pushed.',
    order: 'criss-cross',
    driven: 'The driven machine first, by its own bolts and torque:',
    inReport: (bolt: string, torque: string) =>
      `Hold-down bolts: ${bolt}, ${torque} in three passes, criss-cross.`,
  },
  bolts: {
    title: 'Hold-down bolts',
    size: 'Size',
    boltClass: 'Class',
    lubrication: 'Threads',
    makerTorque: 'The maker’s torque, if given',
    save: 'Use these bolts',
  },
  questions: {
    far: (pair: string, typed: string, wanted: string) =>
      `${pair}: ${typed} to go, ${wanted} were planned. Check the digits; press once more if it is so.`,
  },
  log: { counts: 'Log the dials', tightened: 'Log the dials after tightening' },
  whenRead: 'When the dials were read',
  afterBite: 'after a bite',
  afterTightening: 'after tightening',
  jacksOff: 'Back the jacking screws off before the last pass: left tight, they push on.',
  headlines: {
    pushTo: (end: string, hour: string) => `Push it toward ${hour}, ${end} first.`,
    bitesLeft: (worst: string) => `${worst} to go.`,
    tighten: 'Both ends are there: tighten down and read the dials again.',
    drifted: (by: string) => `Tightening shifted it by ${by}.`,
    held: 'It held while it was tightened. Log the move and measure.',
  },
}

export const pushingWords = said(pushing)
