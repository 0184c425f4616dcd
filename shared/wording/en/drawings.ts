import { sided } from '../words'

/** What stands on the boards themselves, and what a screen reader is told of them. */
export const drawings = {
  exaggerated: (times: number) => `drawn ${times}×`,
  tallerThanLong: (times: number, note: string) => `drawn ${times}× taller than long · ${note}`,
  widerAcross: (times: number) => `drawn ${times}× wider across than along · tap a contact: touch or gap`,
  gate: (limit: string) => `gate ±${limit}`,
  nowAndAfter: (now: string, after: string) => `Now ${now}, after the plan ${after}.`,
  asFound: 'as found',
  valueIn: (value: string, plane: string) => `${value}, ${plane.toLowerCase()}`,
  asLeft: 'as left',
  coldTarget: 'set cold',
  now: 'now',
  overlaid: { v: 'Side view', h: 'Top view, 3 o’clock is up' },
  overlaidTold: (plane: 'v' | 'h', whole: string) =>
    `${plane === 'v' ? 'Side' : 'Top'} view, as found dashed, ${whole} whole`,
  machine: (movable: string, stationary: string) => `${movable} and ${stationary} from the side`,
  beltMachine: (movable: string, stationary: string) =>
    `${movable} and ${stationary}, joined by belts, from the side`,
  belts: (drive: string, section: string) => `${drive}, section ${section}`,
  base: (base: string, place: string, pull: string) => `${base}, motor ${place}, pull ${pull}`,
  rimDial: (at: string) => `rim dial ${at}`,
  dial: (at: string) => `dial ${at}`,
  taped: 'The distances as taped, from the side',
  sheaves: 'Sheave faces from above, the edge across them',
  straightedge: 'straightedge',
  nearRim: (sheave: string) => `${sheave}, near rim`,
  farRim: (sheave: string) => `${sheave}, far rim`,
  touches: { touch: 'touch', gap: 'gap', unknown: '?' },
  turn: 'turn',
  tilt: 'tilt',
  motorBase: 'The motor on its base, from above',
  motor: 'motor',
  toward: (machine: string) => `${machine} →`,
  tallestPack: (pack: string) => `coupling end · tallest pack ${pack} at full height`,
  bothMachines: (pack: string) =>
    `driven machine above, coupling between · tallest pack ${pack} at full height`,
  youStandHere: (end: string, machine: string) =>
    `${end} end · you stand here, behind the ${machine}, looking at the coupling`,
  fromOtherEnd: {
    top: (end: string, pack: string) => `${end} end · tallest pack ${pack} at full height`,
    bottom: 'coupling end · you stand here, behind the driven machine, looking at the coupling',
  },
  packNow: (pack: string) => `now ${pack}`,
  foot: (pair: string, side: string) => `${pair} ${side}`,
  takeOut: (pack: string) => `take out ${pack}`,
  putIn: (pack: string) => `put in ${pack}`,
  takenOut: 'Taken out',
  wasPutIn: 'Put in',
  none: 'none',
  footInPlane: (feet: string, plane: string) => `${feet}, ${plane}`,
  leave: 'leave',
  footMove: (move: string, pair: string) => `${move}, ${pair}`,
  dialOf: (circle: string) => `${circle} dial`,
  readingAt: (circle: string, hour: string) => `${circle} at ${hour}`,
  misfits: (reading: string) => `${reading}, misfits`,
  oclock: (hour: string) => `${hour} o’clock`,
  before: (figure: string) => `before ${figure}`,
  topAndBottom: '12 + 6',
  leftAndRight: '3 + 9',
}

export const drawingsWords = sided(drawings, (d) => ({
  ...d,
  overlaid: { ...d.overlaid, h: 'Top view, 9 o’clock is up' },
}))
