/** What the set-up asks and says. */
export const setUp = {
  complete: 'The set-up is complete and holds its zero.',
  slipped: 'A dial does not come back to zero. Something slipped: find it before reading.',
  whyNeeded: 'A dial misses zero. Find what slipped, or say why it is used all the same.',
  sagAsked: 'How far does the bar hang? Forgotten sag looks like a low motor.',
  turnAsked: 'Zero the dials, turn one full turn, read them again.',
  tapeAsked: 'Check each distance against the tape.',
  centreTo: (feet: string) => `Centre to ${feet}`,
  fromTo: (pair: string, feet: string) => `${pair} to ${feet}`,
  sagTold: { hang: 'it hangs', 'pipe-at-6': 'at 6 on a pipe' },
  afterTurn: (circle: string) => `${circle}, after the turn`,
  whyUsed: 'why it is used',
  oneGraduation: 'one graduation',
  next: (what: string) => `Next: ${what}`,
  log: 'Log the set-up',
  logCorrection: 'Log the correction',
  aboveZero: 'Give a number above zero.',
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
}
