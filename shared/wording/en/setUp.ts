import { named, type Named } from '../words'
import { capital } from '../capital'
import type { NudgeSays } from '../../../core/setup/nudge'
import type { SetUpCheck } from '../../../core/stages/setUp/checks'

/** What the set-up asks and says. */
export const setUp = (n: Named) => ({
  complete: 'The set-up is complete and holds its zero.',
  completeStill: 'The set-up is complete.',
  slipped: 'A dial does not come back to zero. Something slipped: find it before reading.',
  whyNeeded: 'A dial misses zero. Find what slipped, or say why it is used all the same.',
  sagAsked: `How far does the bar hang? Forgotten sag looks like a low ${n.movable}.`,
  turnAsked: 'Zero the dials, turn one full turn, read them again.',
  turnAskedHeads: 'Zero the heads, turn one full turn, read them again.',
  tapeAsked: 'Check each distance against the tape.',
  rimDialTo: (feet: string) => `Rim dial to ${feet}`,
  centreTo: (feet: string) => `Centre to ${feet}`,
  fromTo: (pair: string, feet: string) => `${pair} to ${feet}`,
  sagAs: (label: string, told: string) => `${label}: ${told}`,
  circleAs: (label: string, told: string) => `${label}, ${told}`,
  circleTold: { diameter: 'diameter', radius: 'radius' },
  sagTold: { hang: 'it hangs', 'pipe-at-6': 'at 6 on a pipe' },
  afterTurn: (circle: string) => `${circle}, after the turn`,
  whyUsed: 'why it is used',
  oneGraduation: 'one graduation',
  next: (what: string) => `Next: ${what}`,
  log: 'Log the set-up',
  logCorrection: 'Log the correction',
  aboveZero: 'Give a number above zero.',
  neverTravels:
    'A dial stays in one place while only the other shaft turns. Turn the shaft that carries it, or both.',
  noSign: 'A bar hangs down: give the sag without a sign.',
  sagAt6: (shown: string) => `${shown} at 6 on a pipe`,
  sagHangs: (shown: string) => `bar hangs ${shown}`,
  tenfold: (was: string, source: string) => `Tenfold off ${source} (${was}). Check the decimal point.`,
  feetForInches: (was: string, source: string) => `Twelve times off ${source} (${was}). Feet for inches?`,
  unitSlip: (was: string, source: string) => `About 25 times off ${source} (${was}). Inches for millimetres?`,
  farOff: (was: string, source: string) => `${source} says ${was}. Tape it again to be sure.`,
  sagDiffers: (was: string) => `The last job had ${was}. Another bar? Check it on a pipe.`,
  register: 'the register',
  lastJob: 'the last job',
  reapplies: (sets: string) =>
    `${sets} were read with this set-up and will be worked out again by the corrected one.`,
  newOne: 'Logging again starts a new set-up; sets already read keep theirs.',
  /** Which way the sag goes into the readings, by the machine that carries the dial. */
  sagSign: {
    movable: `The bar hangs from the ${n.movable}: on a level pair its dial reads minus twice the sag at 6, as if the ${n.movable} sat high. It is taken out.`,
    stationary: `The bar hangs from the ${n.stationary} side: on a level pair its dial reads minus twice the sag at 6, as if the ${n.movable} sat low. It is taken out.`,
  },
  checks: {
    tight: 'Brackets tight: shaken by hand, the needle comes back',
    preload: 'Dials preloaded to mid-travel',
    'push-test': 'Push test: plunger in, the number rises',
    clearance: 'Clear for a full turn',
    marked: 'Places marked, so that it can be refitted',
    'floats-pushed': 'Shaft pushed to one side before every reading: it floats',
    'hubs-clean': 'Hubs clean, straightedge true, blades slid and not forced',
    'each-own-machine': 'Each head on its own machine: nudge one and see which number moves',
    'cords-clear': 'Cords clear of the turning shafts',
    'sign-proved': `Sign proved: the ${n.movable} lifted a little, the number watched`,
  } satisfies Record<SetUpCheck, string>,
  nudged: 'what nudging the head moved',
  nudgedOther: 'what it did to the other head',
  nudgeAgain: 'The heads are not on their own machines yet, or not named so.',
  nudgedWas: (own: string, other: string) =>
    `The ${n.movable}’s head was nudged: its figure changed by ${own}, the other by ${other}.`,
  nudge: {
    'as-named': 'Its own figure moved: each head is on its own machine.',
    swapped:
      'The other figure moved: the heads are named the wrong way round. Swap their names or cords, nudge again.',
    'both-move':
      'Both figures moved: both heads may sit on one machine, or one is loose. Look, then nudge again.',
    'too-little': 'Too little to tell. Nudge it by three graduations or more.',
  } satisfies Record<NudgeSays, string>,
  pipe: {
    open: 'Measure it on a pipe',
    openFor: (bar: string) => `On a pipe: ${bar}`,
    measured: (at6: string) => `measured on a pipe: ${at6} at 6`,
    was: (bar: string, at6: string, back: string) =>
      `${bar} measured on a pipe: ${at6} at 6, ${back} back at 12.`,
  },
  stillHub: {
    label: 'Still hub’s mark at 12',
    leave: 'Leave its run-out in',
    surfaces: { rim: 'rim', face: 'face' },
    takenOut: (surfaces: string) => `Its measured run-out (${surfaces}) is taken out of the readings.`,
    leftIn:
      'Its measured run-out stays in the readings and widens what they can say. Say which mark stands at 12 to take it out.',
    unknown:
      'The still hub’s run-out is in the readings and was not measured. Turn that hub under a dial in Level and run-out, or turn both shafts.',
    was: (mark: string) => `The still hub’s measured run-out is taken out; its mark ${mark} stood at 12.`,
  },
  refit: 'Marked for refitting: where and how',
  refitWas: (how: string) => `Marked for refitting: ${how}`,
  checked: 'Checked before reading',
  checkedWere: (list: string) => `Checked before reading: ${list}.`,
  /** What stands on the stage itself. */
  view: {
    titles: {
      dials: 'Set up the dials',
      heads: 'Set up the heads',
      felt: 'Set up the feelers',
      values: 'Set up the instrument',
    },
    correcting: (title: string) => `${title}, correcting`,
    note: 'seen from the side, 12 is up',
    noteUpright: 'from the side; 12 is the marked bolt',
    method: 'Method',
    graduation: 'One graduation',
    sagToldAs: 'Sag told as',
    sagForms: { hang: 'Hangs', 'pipe-at-6': 'Pipe, at 6' },
    turning: 'Shafts that turn',
    both: 'Both',
    other: 'Other',
    circleTapedAs: 'Face circle taped as',
    circleForms: { diameter: 'Diameter', radius: 'Radius' },
    nudgeOwn: (head: string) => `Nudge the ${head}: its figure changes by`,
    nudgeOther: (head: string) => `… and the ${head}’s by`,
    turnHeads: 'Zero the heads at the start. Turn one full turn the way you will read. They show now:',
    turn: 'Zero the dials at the start. Turn one full turn the way you will read. They show now:',
    whyUsed: 'Why it is used although a dial missed zero',
    correctInForce: 'Correct the set-up in force',
    correct: 'Correct the set-up',
    motor: capital(n.movable),
    driven: capital(n.stationaryMachine),
  },
})

export const setUpWords = named(
  setUp,
  (w) => w,
  (w) => ({ ...w, view: { ...w.view, note: w.view.noteUpright } }),
)
