import { turned, turning } from '../otherEnd'
import { sided } from '../words'
import type { CouplingType } from '../../../core/register/couplingParts'
import type { BaseEdge, Found, PinsDone } from '../../../core/stages/look/entries'
import type { BaseCorner } from '../../../core/stages/look/base'

const found = {
  fine: 'fine',
  'put-right': 'put right',
  'to-report': 'to report',
} satisfies Record<Found, string>

const pins = {
  none: 'none fitted',
  pulled: 'pulled',
  refitted: 'back in',
  reamed: 'reamed and back in',
} satisfies Record<PinsDone, string>

const edges = {
  left: 'left side',
  right: 'right side',
  coupling: 'coupling end',
  far: 'far end',
} satisfies Record<BaseEdge, string>

const corners = {
  'coupling-left': 'coupling end, left',
  'coupling-right': 'coupling end, right',
  'far-left': 'far end, left',
  'far-right': 'far end, right',
} satisfies Record<BaseCorner, string>

const couplings = {
  jaw: 'jaw',
  grid: 'grid',
  chain: 'chain',
  gear: 'gear',
  disc: 'disc pack',
  'pin-bush': 'pin and bush',
  tyre: 'tyre',
  rigid: 'rigid',
  other: 'another, or not known',
} satisfies Record<CouplingType, string>

/** What is said of the opened machine, place by place. */
export const look = {
  found,
  pins,
  edges,
  corners,
  couplings,
  row: (place: string, found: string, words: string) =>
    words ? `${place} ${found}: ${words}` : `${place} ${found}.`,
  drivenFoot: (place: string) => `driven ${place}`,
  form: {
    chooseFound: 'Choose what it is: fine, put right, or to report.',
    reportWhat: 'Say what is to report, or take a photograph of it.',
    leavesToo: 'Give the leaves these marks are on.',
    markEach: (n: number) => `Give a mark for each of the ${n} leaves, with commas between, or none at all.`,
    differs: (foot: string, now: string, registered: string) =>
      `${foot}: found ${now}, the register has ${registered}. Press once more if you counted twice.`,
    sizeToo: 'Give the base’s size between the corners that can be shimmed.',
    slotUnderBolt: 'The slot must be wider than the bolt.',
    countWhole: 'Give a whole number, up to 50.',
    cut: {
      'slot-too-wide': 'Too little metal is left beside the slot. Check its width.',
      'slot-too-deep': 'Too little metal is left behind the bolt. Check the distance.',
      'bolt-outside': 'The bolt stands outside this shim. Check the distance.',
    },
    thicknessToo: 'Give how thick the sheet is.',
    whichFoot: 'Choose the foot.',
  },
  headlines: {
    nothing: 'Nothing has been looked at yet.',
    nothingDetail: 'Start at the feet. What is fine at once can be logged in one go.',
    some: (seen: number, all: number) => `${seen} of ${all} places looked at.`,
    all: (n: number, right: number) =>
      right === 0 ? `All ${n} places looked at and fine.` : `All ${n} places looked at, ${right} put right.`,
    report: (places: string) => `To report: ${places}.`,
    pipe: (by: string, way: string) => `The pipe pulls the coupling by ${by}: loosened, it goes ${way}.`,
    pipeDetail: (limit: string, source: string) =>
      `Limit ${limit}, ${source}. Have the pipe freed or hung before anything is aligned: it moves the machine again.`,
    base: (by: string) => `The base slopes by ${by}.`,
    baseDetail: (limit: string) =>
      `Counts as level up to ${limit}, the starting value. Shim its corners, tighten, read again.`,
    pinsOut: 'The locating pins are out: put them back when the shafts are in line.',
  },
  own: 'its own',
  starting: 'the starting value',
  pipe: {
    up: (by: string) => `${by} up`,
    down: (by: string) => `${by} down`,
    nine: (by: string) => `${by} toward 9`,
    three: (by: string) => `${by} toward 3`,
    and: (a: string, b: string) => `${a} and ${b}`,
    still: 'nowhere',
    free: (by: string, limit: string, source: string) =>
      `Loosened, the hub moves ${by}: within ${limit}, ${source}.`,
  },
  base: {
    level: 'Level within the limit: nothing to shim.',
    low: (corner: string, by: string) => `${by} under the ${corner}`,
    cure: (list: string) => `To bring it level: ${list}.`,
    twisted: (by: string) =>
      `Its two sides differ by ${by}: the base is twisted, or one reading is wrong. Read again; corner shims level it only on the whole.`,
  },
  shims: {
    intro: 'Count and mark every leaf before it comes out, so that it goes back. Type 0 where there is none.',
    differs: (foot: string, found: string, registered: string) =>
      `${foot}: ${found} found, ${registered} registered.`,
    asRegistered: 'What was found is what the register has.',
    startsFrom:
      'The plan starts from what was found. At the close the register takes over what lies there then.',
  },
  view: {
    title: 'Look and clean',
    note: 'seen from above, the coupling at the top',
    noteUpright: 'seen from the side, the motor on top',
    noteOtherEnd: 'seen from above, the coupling at the bottom',
    panel: 'What is done',
    panels: { places: 'Places', shims: 'Shims found', base: 'Base level', sheet: 'Cut a shim' },
    place: 'Place',
    foundHere: 'What it is',
    words: 'In words',
    wordsHint: 'what it was, where, what was done',
    addPhotograph: 'Add a photograph',
    photograph: (n: number, place: string) => `Photograph ${n} of ${place}`,
    removePhotograph: (n: number) => `Remove photograph ${n}`,
    scaling: 'Scaling it down…',
    before: (by: string) => `Before: ${by}`,
    unseen: 'not looked at',
    logPlace: (place: string) => `Log: ${place}`,
    allElseFine: (n: number) => (n === 1 ? 'The last one is fine' : `All ${n} others are fine`),
    pins: 'The pins are',
    pinsAre: (what: string) => `The pins are ${what}.`,
    logPins: 'Log the pins',
    pipeVertical: 'Dial on top: up +, down −',
    pipeHorizontal: 'Dial at the side: toward 3 +, toward 9 −',
    pipeLimit: 'Own limit, where it has one',
    logPipe: 'Log the dial',
    goOn: 'Go on',
    passOver: 'Pass it over',
    leaves: (foot: string) => `Leaves, ${foot}`,
    marks: (foot: string) => `Marks, ${foot}`,
    marksHint: 'A, B',
    registered: (pack: string) => `register ${pack}`,
    logShims: 'Log the shims found',
    shimmedAlready: 'Leaves were moved in this job: what lies there is on the feet and in the plan.',
    by: 'Read by',
    feeler: (edge: string) => `Feeler, ${edge}`,
    low: (edge: string) => `Low end, ${edge}`,
    lowsAlong: { near: 'coupling end', far: 'far end' },
    lowsAcross: { near: '9 side', far: '3 side' },
    divisionsAlong: (edge: string) => `Divisions toward the far end, ${edge}`,
    divisionsAcross: (edge: string) => `Divisions toward 3, ${edge}`,
    reversed: (edge: string) => `Turned end for end, ${edge}`,
    length: 'BaseCorner to corner, along',
    width: 'BaseCorner to corner, across',
    logBase: 'Log the base level',
    readNext: (edge: string) => `Read along the ${edge} next`,
    highest: 'highest',
    foot: 'For the foot',
    thickness: 'Sheet',
    count: 'How many',
    shimLength: 'Length, the way it slides in',
    shimWidth: 'Width',
    bolt: 'Bolt',
    slot: 'Slot, where it is another',
    toBolt: 'Open edge to bolt’s middle',
    logSheet: 'Log what was cut',
    svg: 'SVG to scale',
    pdfA4: 'PDF to scale, A4',
    pdfLetter: 'PDF to scale, Letter',
    printAt: 'Print at 100 %, and check the bar with a rule before cutting.',
    cutNone: 'Give length, width, bolt and the distance to the bolt, and the outline is drawn.',
    cutSoFar: 'Cut in this job',
    lifting:
      'Before lifting: slings, eyes and weight by the site’s lifting rules, and hands out from under the feet.',
    sharp: 'Cut sheet is sharp: gloves on, edges deburred before it goes in.',
    pipeCaution:
      'Before a flange is loosened: pipe drained, depressurised and isolated by the site’s procedure.',
    closed: 'The job is closed: nothing more is logged here.',
  },
  outline: {
    bar: (mm: number) => `The bar is ${mm} mm long`,
    size: (width: string, length: string, slot: string) => `${width} × ${length}, slot ${slot}`,
    sheet: (thickness: string, count: number) => `${thickness} sheet, ${count} off`,
    title: 'Shim to cut from sheet',
    paperTooSmall: 'This outline is larger than the paper. Take the SVG, or a larger paper.',
  },
  photographs: {
    tooLarge: 'That file is larger than 12 MB. Take a smaller picture.',
    notAPicture: 'That file is not a picture this program can read. Take it as JPEG, PNG or WebP.',
    tooMany: (n: number) => `A place takes ${n} photographs at a time. Log these first.`,
    notKept:
      'This device can’t keep photographs now: its storage is full or closed. Free some, then take it again.',
    otherOne: 'Another photograph is kept under that id.',
    jobFull: 'This job has as many photographs as are kept of one job.',
    onTheWay: 'on its way',
  },
  working: {
    edge: (edge: string) => `Slope, ${edge}`,
    along: 'Slope along the shafts',
    across: 'Slope across',
    mean: 'least squares: the mean of both readings',
    corner: (corner: string) => `Shim, ${corner}`,
    cornerFormula: 'height of the highest corner − height of this one',
    highest: (height: string) => `highest − (${height})`,
    pipe: 'How far the hub goes',
  },
  report: {
    name: 'Look and clean',
    place: 'place',
    foundAs: 'found',
    pins: (by: string, what: string) => `${by}: locating pins ${what}`,
    pipe: (by: string, v: string, h: string) =>
      `${by}: pipe loosened, hub moves ${v} vertical, ${h} horizontal`,
    base: (by: string, edges: string) => `${by}: base level: ${edges}`,
    shims: (by: string, foot: string, leaves: string) => `${by}: found under ${foot}: ${leaves}`,
    marks: (marks: string) => `marked ${marks}`,
    cut: (by: string, what: string, foot: string) => `${by}: cut from sheet: ${what}, for ${foot}`,
    photographs: 'Photographs',
    caption: (place: string, by: string) => `${place}, ${by}`,
    notHere: 'This photograph has not reached the server yet.',
  },
}

export const lookWords = sided(
  look,
  (w) => ({
    ...w,
    edges: { ...w.edges, left: w.edges.right, right: w.edges.left },
    corners: {
      'coupling-left': w.corners['coupling-right'],
      'coupling-right': w.corners['coupling-left'],
      'far-left': w.corners['far-right'],
      'far-right': w.corners['far-left'],
    },
    pipe: { ...w.pipe, nine: w.pipe.three, three: w.pipe.nine },
    view: {
      ...w.view,
      note: w.view.noteOtherEnd,
      pipeHorizontal: turned(w.view.pipeHorizontal),
      lowsAcross: { near: w.view.lowsAcross.far, far: w.view.lowsAcross.near },
      divisionsAcross: turning(w.view.divisionsAcross),
    },
  }),
  (w) => ({ ...w, view: { ...w.view, note: w.view.noteUpright } }),
)
