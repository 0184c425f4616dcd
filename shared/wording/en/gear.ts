import type { Figure, GearSchool, Lever, NoShift, ShiftTold } from '../../../core/gear/levers'
import type { GearKind } from '../../../core/register/gearMachine'
import type { LightLoad } from '../../../core/stages/contact/entries'
import type { ContactQuantity, Run } from '../../../core/gear/contactFigures'
import { said } from '../words'

const levers: Readonly<Record<GearKind, Readonly<Record<Lever, string>>>> = {
  worm: { blocks: 'worm blocks', gear: 'wheel' },
  bevel: { blocks: 'pinion blocks', gear: 'gear' },
}

/** The contact of a gearset: what its paint says, what to shift, how far. */
export const gear = {
  levers,
  runs: { forward: 'Running forward', back: 'Running back' } satisfies Record<Run, string>,
  run: { forward: 'forward', back: 'back' } satisfies Record<Run, string>,
  figures: { together: 'Off together', apart: 'Off apart' } satisfies Record<Figure, string>,
  /** In a sentence: what both runs have in common, what sets them apart. */
  figuresIn: { together: 'off together', apart: 'off apart' } satisfies Record<Figure, string>,
  quantities: {
    off: (run: string) => `Off, ${run}`,
    length: (run: string) => `Length, ${run}`,
    covered: (run: string) => `Wanted covered, ${run}`,
    edge: (run: string) => `Clear of the ends, ${run}`,
  } satisfies Record<ContactQuantity, (run: string) => string>,
  closingRows: {
    off: 'Off',
    length: 'Length',
    covered: 'Wanted covered',
    edge: 'Clear of the ends',
  } satisfies Record<ContactQuantity, string>,
  /** Of both runs the one that is worse. */
  worst: { length: 'Length, worse', covered: 'Wanted covered', edge: 'Clear of ends' },
  toward: (by: string, end: string) => `${by} toward the ${end}`,
  even: 'on the middle that is wanted',
  schools: {
    'together-blocks': 'Both to one side: bearing blocks; to opposite sides: the gear along its shaft',
    'together-gear': 'Both to one side: the gear along its shaft; to opposite sides: bearing blocks',
  } satisfies Record<GearSchool, string>,
  wantedFrom: {
    register: 'the zone in the register',
    'as-found': 'the pattern before opening',
    'left-before': 'as the last job left it',
  },
  limitsOf: (source: string) => `limits from ${source}`,
  limitsStarting: 'starting limits; the site’s or the maker’s override them',
  unjudged: 'Nobody knows what is wanted: the pattern was not kept, and the register has no zone.',
  headlines: {
    todo: 'Blue the teeth, turn both ways under light load, and drag the paint’s ends to where it lies.',
    again: (what: string) => `${what}. Paint again: the paint tells what it did.`,
    shifted: (lever: string, by: string, end: string) => `The ${lever} went ${by} toward the ${end}`,
    layered: 'Layers were changed',
    refitted: 'It was apart again',
    in: 'The contact is where it was wanted.',
    edge: 'The contact is inside its limits, near an edge.',
    unknown: 'The paint is read. Nothing says where it should lie.',
    both: (end: string) => `Both runs touch toward the ${end}.`,
    apart: (forward: string, back: string) =>
      `The runs touch apart: forward toward the ${forward}, back toward the ${back}.`,
    one: (run: string, end: string) => `The ${run} run touches toward the ${end}.`,
    shape: {
      short: 'The paint lies where it should, and is too short.',
      long: 'The paint lies where it should, and is too long.',
      covered: 'The paint covers too little of the zone that is wanted.',
      edge: 'The paint runs onto an end of the tooth.',
    },
  },
  shape:
    'No shift along the tooth cures that. See that the blocks sit square and flat; then the centre distance, by its layers.',
  backlashToo: { wide: 'Backlash is wide.', tight: 'Backlash is tight.' },
  underLoad: 'Under load it moves toward the middle of the tooth; that is expected.',
  shift: (lever: string, by: string, end: string) => `Shift the ${lever} ${by} toward the ${end}.`,
  shiftWhole: (lever: string, end: string) =>
    `Shift both ${lever} as a whole, to the other side: toward the ${end}.`,
  shiftGear: (lever: string, end: string) => `Shift the ${lever} along its shaft, toward the ${end}.`,
  stays: {
    blocks: 'The blocks stay where they are.',
    gear: (lever: string) => `The ${lever} stays where it is on its shaft.`,
  },
  why: {
    name: (by: string) => `Why ${by}`,
    test: (by: string) =>
      `Nobody knows yet how far the paint goes. ${by} is a test: what the paint does then, rules.`,
    job: (round: number, shifted: string, went: string, rate: string) =>
      `Round ${round} shifted ${shifted} and the paint went ${went}: ${rate}.`,
    register: (rate: string) => `In the last job the paint went ${rate}.`,
    sum: (figure: string, rate: string, by: string) => `${figure} ÷ ${rate} = ${by}`,
    rate: (percent: string, unit: string) => `${percent}\u00a0% a ${unit}`,
    room: (lever: string, room: string) => `Room left for the ${lever} that way: ${room}.`,
    roomUnknown: (lever: string) => `How much room the ${lever} have, nobody wrote. Look before you push.`,
    roomShort: (wanted: string) => `It would take ${wanted}; there is no more room than that.`,
    predicted: (together: string, apart: string) =>
      `Expected then: off together ${together}, off apart ${apart}.`,
    learning: 'Which way the paint goes is not said by any rule here: this shift tells.',
  },
  noShift: {
    'neither-lever':
      'Neither the blocks nor the gear move what is off. Look for a cocked block, a bent shaft, a bearing not seated.',
    'no-room':
      'There is no room left that way. The holes, or the gear itself, must give: say so to who answers for it.',
    'nothing-moves':
      'Two shifts did nothing the paint can tell. See whether a pin, a bolt or a cover still holds it.',
  } satisfies Record<NoShift, string>,
  told: {
    'as-the-rule': 'The paint followed, as the rule says.',
    learned: 'The paint went: now it is known which way.',
    'other-way': 'Against the rule: the paint went the other way. The paint rules; the next shift goes back.',
    'other-figure':
      'Against the rule: this set the other figure moving. The paint rules; the other one is shifted for it.',
    nothing: 'The paint did nothing that can be told.',
  } satisfies Record<ShiftTold, string>,
  againstRule: 'Not what the rule here says: the paint has shown that this one serves.',
  byRule: (rule: string) => `The rule here: ${rule}.`,
  loads: {
    'helper-drags': 'A helper drags on the output by hand',
    'band-brake': 'A strap or band brake on the output',
    'own-load': 'What it carries, lightly',
    other: 'Otherwise (say how)',
  } satisfies Record<LightLoad, string>,
  caution:
    'Fingers out of the mesh. A helper turns, on your word alone, by hand at the motor coupling, under light load.',
  cautionLoad:
    'Light load only, so that the flanks touch and no more. The site’s lockout procedure and the maker’s manual govern.',
  cleared: (load: string, helper: string) => (helper === '' ? load : `${load}; ${helper} turns`),
  percentSign: '%',
  percent: (x: string) => `${x}\u00a0%`,
  view: {
    title: (round: number) => `Contact, round ${round}`,
    closing: 'Contact as left',
    fromTo: (before: string) => `${before} → `,
    changesBetween: (n: number) => (n === 1 ? '1 change on the way' : `${n} changes on the way`),
    note: 'drag the paint’s ends · dashed: wanted',
    asFoundTitle: 'Pattern as found',
    asFoundNote: 'before anything is disturbed',
    fromAbove: 'From above',
    twoRuns: 'What the two runs say',
    verdictIs: (verdict: string, limit: string) => (limit === '' ? verdict : `${verdict}, limit ${limit}`),
    begins: (run: string) => `${run}: paint begins, percent`,
    ends: (run: string) => `${run}: paint ends, percent`,
    unseen: 'not seen',
    paintIt: 'Tap where the paint lies',
    clearPaint: 'Take this run’s paint off',
    columns: { found: 'found', limit: 'limit', what: '%' },
    words: 'Remark',
    log: 'Log what the paint shows',
    logPattern: 'Log the pattern as found',
    passOver: 'Pass over the contact',
    passPattern: 'No pattern to keep',
    clear: 'The mesh is clear',
    clearTitle: 'Before turning',
    howLoaded: 'How the light load is made',
    helper: 'Who turns',
    shifted: 'Log the shift',
    shiftTitle: 'What was shifted',
    by: 'By',
    way: 'Toward',
    lever: 'Shifted',
    shiftAndPaint: (by: string) => `Shifted ${by}: paint again`,
    otherShift: 'Shifted otherwise',
    scale: (kind: string) => (kind === 'worm' ? 'worm over wheel' : 'pinion and gear'),
    flank: (run: string, from: string, to: string) =>
      `${run}: the flank seen from one side, ${from} left, ${to} right`,
    noPaint: 'No paint marked',
    zone: (from: string, to: string) => `paint from ${from} % to ${to} %`,
    wantedZone: (from: string, to: string) => `wanted from ${from} % to ${to} %`,
    photographs: 'Photographs of both flanks stay with the pattern.',
  },
  faults: {
    range: 'Give it between 0 and 100 % of the face width.',
    half: 'Give both ends of the paint.',
    none: 'Paint both runs.',
    noneFound: 'Paint one run at least, as it was found.',
    shift: 'Give how far it went, above zero.',
    load: 'Say how the load was made.',
  },
  sum: {
    ends: { from: 'left end', to: 'right end' },
    wanted: { from: 'Wanted zone begins, %', to: 'Wanted zone ends, %' },
    does: {
      together: 'Shift the bearing blocks, to the other side.',
      apart: 'Shift the gear along its shaft.',
    } satisfies Record<Figure, string>,
  },
  facts: {
    room: (lever: string, room: string) => `${lever}: ${room} of room either way.`,
    goes: (lever: string, together: string, apart: string) =>
      `With the ${lever} the paint went ${together} together, ${apart} apart.`,
  },
  register: {
    group: 'Gearset',
    limits: 'Limits of the contact',
    wanted: 'Zones that are wanted',
    site: 'What the site says',
    kind: 'Kind of gearset',
    kinds: { worm: 'Worm and wheel', bevel: 'Bevel gears' } satisfies Record<GearKind, string>,
    ratio: 'Turns of the motor to one of the gear',
    pressureAngle: 'Pressure angle, degrees',
    ends: { from: 'End of a tooth where 0 % is', to: 'End of a tooth where 100 % is' },
    school: 'What to shift for what',
    backlashBy: 'Backlash is meant by',
    window: { 0: 'Backlash: least', 1: 'Backlash: most' },
    layer: 'Thickness of a layer under the blocks',
    under: (n: number) => `Layers under block ${n}`,
    move: 'More layers move the shafts',
    moves: { apart: 'apart', closer: 'together' },
    room: {
      blocks: 'Room for the blocks either way (empty: not known)',
      gear: 'Room for the gear along its shaft (empty: not known)',
    } satisfies Record<Lever, string>,
    testShift: 'First shift, a test (empty: starting value)',
    zone: (run: string, end: 0 | 1) =>
      `${run}: ${end === 0 ? 'begins' : 'ends'}, % (empty: the pattern as found)`,
    off: 'Middle may be off by, % (empty: starting value)',
    shortest: 'Shortest paint, % (empty: starting value)',
    longest: 'Longest paint, % (empty: starting value)',
    covered: 'Wanted zone covered at least, % (empty: starting value)',
    source: 'Where these limits come from',
    covers: 'Covers',
    seals: 'Seals',
    waiting: 'Waiting times',
  },
  working: {
    off: (run: string) => `Off, ${run}`,
    offFormula: 'middle of the paint − middle of the wanted zone',
    together: 'Off together',
    togetherFormula: '(off forward + off back) ÷ 2',
    apart: 'Off apart',
    apartFormula: '(off forward − off back) ÷ 2',
    covered: (run: string) => `Wanted covered, ${run}`,
    coveredFormula: 'painted part of the wanted zone ÷ its length',
    rate: (lever: string) => `How the paint goes with the ${lever}`,
    rateFormula: 'what the paint went ÷ what was shifted',
    shift: 'Shift',
    shiftFormula: '− what is off ÷ how the paint goes',
    note: 'Both flanks seen from one side; percent of the face width, from the first end of the tooth.',
  },
}

export const gearWords = said(gear)
