/** What the set-up asks and says. */
export const setUp = {
  complete: 'The set-up is complete and holds its zero.',
  completeStill: 'The set-up is complete.',
  slipped: 'A dial does not come back to zero. Something slipped: find it before reading.',
  whyNeeded: 'A dial misses zero. Find what slipped, or say why it is used all the same.',
  sagAsked: 'How far does the bar hang? Forgotten sag looks like a low motor.',
  turnAsked: 'Zero the dials, turn one full turn, read them again.',
  tapeAsked: 'Check each distance against the tape.',
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
    movable:
      'The bar hangs from the motor: on a level pair its dial reads minus twice the sag at 6, as if the motor sat high. It is taken out.',
    stationary:
      'The bar hangs from the driven side: on a level pair its dial reads minus twice the sag at 6, as if the motor sat low. It is taken out.',
  },
  /** What stands on the stage itself. */
  view: {
    titles: { dials: 'Set up the dials', felt: 'Set up the feelers', values: 'Set up the instrument' },
    correcting: (title: string) => `${title}, correcting`,
    note: 'seen from the side, 12 is up',
    method: 'Method',
    graduation: 'One graduation',
    sagToldAs: 'Sag told as',
    sagForms: { hang: 'Hangs', 'pipe-at-6': 'Pipe, at 6' },
    turning: 'Shafts that turn',
    both: 'Both',
    other: 'Other',
    circleTapedAs: 'Face circle taped as',
    circleForms: { diameter: 'Diameter', radius: 'Radius' },
    turn: 'Zero the dials at the start. Turn one full turn the way you will read. They show now:',
    whyUsed: 'Why it is used although a dial missed zero',
    checks: {
      dials:
        'Bracket tight, dials preloaded to mid-travel, clear for a full sweep. Press a plunger: does the number rise?',
      felt: 'Hubs clean and free of burrs, straightedge true. A blade slides with a light drag; it is never forced.',
      values:
        'Lift the motor a little at one end, or push it: does the instrument count up or down? That is its sign.',
    },
    correctInForce: 'Correct the set-up in force',
    correct: 'Correct the set-up',
    motor: 'Motor',
    driven: 'Driven machine',
  },
}
