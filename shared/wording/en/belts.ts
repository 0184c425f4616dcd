import { said } from '../words'
import type { ContactDiagnosis } from '../../../core/belt/fourContact'
import type { BaseKind, MotorPlace, Pull, SheavePlace } from '../../../core/register/beltMachine'
import type { LineStep } from '../../../core/stages/lineUp/entries'
import type { JudgedLine } from '../../../core/stages/lineUp/line'

export const belts = {
  bases: {
    'slide-screws': 'Slide base, two screws',
    'hanging-rods': 'Hung on four rods with nuts',
    'lifting-rods': 'Stood on four rods with nuts',
    hinged: 'Hinged base',
  } satisfies Record<BaseKind, string>,
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
    p1h: 'p1, half a turn on',
    p2h: 'p2, half a turn on',
    g12h: 'g12, half a turn on',
    g6h: 'g6, half a turn on',
  },
  /** Of a motor above or below: the shafts' plane stands upright, seen facing the faces under the edge. */
  boxesUpright: { g12: 'Edge shifted right, g12', g6: 'Edge shifted left, g6', h: 'Right to left apart' },
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
  tiltSlide: (by: string, way: string) => `Tilt: slide the far feet ${by} to the ${way}`,
  tiltSlideHow:
    'Seen facing the faces under the edge. Ease the feet on their plate, tap that end over, and hold the sheave end.',
  tiltShimHow: 'Under both feet away from the sheave; the sheave-end feet stay as they are.',
  right: 'right',
  left: 'left',
  tiltNothing: 'Tilt: nothing',
  tiltNotRead: 'Tilt: not read',
  well: (value: string, limit: string) => `${value} is inside ${limit}`,
  turnStep: (where: string) => `Turn: the far end goes ${where}`,
  turnHeld: (by: string) => `That is ${by}, the sheave end held.`,
  turnNothing: 'Turn: nothing',
  turns: (eighths: string) => `${eighths} turn`,
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
  /** How a sheave goes along its shaft on its bushing, in order. */
  bushing: {
    title: 'How the sheave is shifted',
    steps: (was: string, now: string, by: string, way: string): readonly string[] => [
      was
        ? `Measure hub face to shaft end: ${was} by the register. Mark the shaft at the hub.`
        : 'Measure hub face to shaft end, write it down, and mark the shaft at the hub.',
      'Take the bushing screws out and put them into the pulling holes, oiled.',
      'Draw them in evenly, in turn, until the bushing lets go. No hammer.',
      now ? `Shift the sheave ${by} ${way}: hub face to shaft end ${now}.` : `Shift the sheave ${by} ${way}.`,
      'Screws back into their own holes, drawn up evenly in turn to the maker’s torque, nothing on the taper.',
      'Measure again: drawing up pulls the hub along. Shaft key and set screw tight.',
    ],
  },
  wobble: (by: string) => `The face wobbles ${by} over a turn; the mean of both readings takes it out.`,
  predicted: {
    after: (steps: string) => `after ${steps}`,
    steps: (from: number, to: number) =>
      from === to ? `step ${String(from)}` : `steps ${String(from)} to ${String(to)}`,
  },
  limits: {
    own: (source: string) => source || 'This machine’s own limit',
    works: (source: string) => `The works’ limits for belt drives: ${source}.`,
    of: (what: string, source: string) => `${what}: ${source}`,
    angle: 'Fleet',
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
    by: 'Laid across with',
    byNames: { edge: 'Straightedge', string: 'String' },
    stringHow:
      'Tie the string round the shaft behind the sheave, draw it taut across both faces so that it just touches, and hold it there.',
    halfTurn: 'Read again, sheaves half a turn on',
    halfTurned: 'Both sheaves turned half a turn: the gaps once more',
    grooveIs: (sheave: string, n: number) => `${sheave}: groove ${String(n)}`,
    groove: (sheave: string) => `${sheave}: belt in groove`,
    edgeOn: 'The edge lies flat on',
    edgeOnNames: { motor: 'Motor sheave', driven: 'Driven sheave' },
    edgeSide: 'On the faces',
    edgeSideNames: { outer: 'Away from motor', inner: 'Toward motor' },
  },
}

export const beltsWords = said(belts)
