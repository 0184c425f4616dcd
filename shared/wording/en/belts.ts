import { said } from '../words'
import type { ContactDiagnosis } from '../../../core/belt/fourContact'
import type { BaseKind, MotorPlace, Pull, SheavePlace } from '../../../core/register/beltMachine'
import type { LineStep } from '../../../core/stages/lineUp/entries'
import type { JudgedLine } from '../../../core/stages/lineUp/line'

/** What is turned on a base, and which way each word means. */
interface BaseWords {
  readonly name: string
  /** What moves one end of the motor. */
  readonly screw: string
  readonly away: string
  readonly toward: string
}

export const belts = {
  bases: {
    'slide-screws': { name: 'Slide base, two screws', screw: 'screw', away: 'out', toward: 'in' },
    'hanging-rods': {
      name: 'Hung on four rods with nuts',
      screw: 'nuts of both rods',
      away: 'away from the driven shaft',
      toward: 'toward the driven shaft',
    },
    'lifting-rods': {
      name: 'Stood on four rods with nuts',
      screw: 'nuts of both rods',
      away: 'away from the driven shaft',
      toward: 'toward the driven shaft',
    },
    hinged: { name: 'Hinged base', screw: 'adjusting bolt', away: 'out', toward: 'in' },
  } satisfies Record<BaseKind, BaseWords> as Readonly<Record<BaseKind, BaseWords>>,
  motorPlaces: {
    beside: 'beside the driven shaft',
    above: 'above the driven shaft',
    below: 'below the driven shaft',
  } satisfies Record<MotorPlace, string>,
  pulls: { level: 'level', up: 'upward', down: 'downward' } satisfies Record<Pull, string>,
  sheaves: { motor: 'Motor sheave', driven: 'Driven sheave' } satisfies Record<SheavePlace, string>,
  quantities: {
    offset: 'Offset',
    turn: 'Turn',
    tilt: 'Tilt',
    'fleet.motor': 'Fleet at motor',
    'fleet.driven': 'Fleet at driven',
  } satisfies Record<JudgedLine['name'], string>,
  diagnoses: {
    'in-line': 'All four rims touch: the faces stand in line.',
    offset: 'Both rims of the other sheave stand off: it is offset.',
    turned: 'One rim of the other sheave stands off: it is turned.',
    'reference-unsure':
      'The edge rocks on this sheave: the other one may stand proud of it. Lay the edge on that one and look again; only if it rocks there too is a face bad or the edge bent.',
  } satisfies Record<ContactDiagnosis, string>,
  boxes: {
    p1: 'Gap at near rim, p1',
    p2: 'Gap at far rim, p2',
    w: 'p1 to p2 apart',
    r1: 'Far rim under the edge, r1',
    r2: 'Near rim under the edge, r2',
    wR: 'r1 to r2 apart',
    g12: 'Edge shifted up, g12',
    g6: 'Edge shifted down, g6',
    h: 'Up to down apart',
  },
  begin: 'Lay the edge across both faces. Which of the four rims touch?',
  beginDetail: 'Near is the rim nearer the other shaft. Lay it on the sheave with the larger face.',
  askNumbers: 'Now the numbers: a feeler at each rim that stands off.',
  again: 'Corrected. Lay the edge on again and read.',
  depthsDiffer: (by: string) =>
    `The faces touch, yet the grooves stand ${by} apart: one rim is thicker. Grooves count, faces don’t.`,
  inLine: 'In line. The belts run straight into their grooves.',
  edge: (what: string) => `Inside the limit, but near its edge: ${what}.`,
  out: (what: string) => `${what}. Cure the turn first, then slide.`,
  outPlain: (what: string) => `${what}.`,
  isOut: (quantity: string) => `${quantity} is out`,
  areOut: (quantities: string) => `${quantities} are out`,
  and: (a: string, b: string) => `${a} and ${b}`,
  farFeet: 'far feet',
  tiltStep: (feet: string, shim: string) => `Tilt: shim the ${feet} ${shim}`,
  tiltNothing: 'Tilt: nothing',
  tiltNotRead: 'Tilt: not read',
  well: (value: string, limit: string) => `${value} is inside ${limit}`,
  turnStep: (screw: string, way: string) => `Turn: far ${screw} ${way}`,
  turnNothing: 'Turn: nothing',
  turns: (eighths: string) => `${eighths} turn`,
  farEnd: (by: string, way: string) => `far end ${by} ${way}, sheave end held`,
  awayFrom: 'away from the driven shaft',
  towardIt: 'toward the driven shaft',
  offsetStep: (by: string, way: string) => `Slide the motor sheave ${by} ${way}`,
  offsetNothing: 'Offset: nothing',
  towardMotor: 'toward the motor',
  awayMotor: 'away from the motor',
  /** What was done about each, for the record. */
  done: {
    tilt: 'Feet shimmed against the tilt',
    turn: 'Motor turned',
    offset: 'Sheave slid on its shaft',
  } satisfies Record<LineStep, string>,
  hubToEnd: 'hub face to shaft end',
  limits: {
    own: (source: string) => source || 'This machine’s own limit',
    starter: (kind: string) => `Starting point for ${kind}; the maker’s or the site’s value overrides it.`,
  },
  fingers:
    'Fingers stay out of the pinch between belt and sheave. A fan that windmills is blocked first. Belts are never rolled or pried on.',
  /** What stands on the stage itself. */
  view: {
    title: 'Sheave faces from above',
    corrections: 'Corrections, in this order',
    corrected: 'What was corrected',
    remarkOn: 'Remark on the correction',
    passOverTitle: 'Pass over lining up',
    anew: 'Begin this check anew',
    correctedAllTheSame: 'Corrected all the same: read again',
    correctedReadAgain: 'Corrected: read again',
    tapFour: 'Tap all four rims',
    next: (box: string) => `Next: ${box}`,
    logGaps: 'Log the gaps',
    logTouch: 'Log: all four touch',
    edgeOn: 'The edge lies flat on',
    edgeOnNames: { motor: 'Motor sheave', driven: 'Driven sheave' },
    edgeSide: 'On the faces',
    edgeSideNames: { outer: 'Away from motor', inner: 'Toward motor' },
  },
}

export const beltsWords = said(belts)
