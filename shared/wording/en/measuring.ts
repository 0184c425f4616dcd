import type { MethodId } from '../../../core/methods/methods'
import type { TrustLevel } from '../../../core/stages/measure/measurement'
import type { TrustFlag } from '../../../core/trust/trustReport'

const COUNTS = ['No', 'One', 'Two', 'Three', 'Four', 'Five', 'Six']
const sets = (n: number) => `${COUNTS[n] ?? n} ${n === 1 ? 'set' : 'sets'}`

export const measuring = {
  methods: {
    'rim-face': 'Rim and face',
    'reverse-rim': 'Reverse rim',
    'spacer-faces': 'Faces across a spacer',
    heads: 'Heads on both shafts',
    gaps: 'Gap and straightedge',
    values: 'Values at the coupling',
    'foot-values': 'Values at two feet',
  } satisfies Record<MethodId, string>,
  /** Circles by name, as they stand before "dial" or alone. */
  circles: {
    rim: 'Rim',
    face: 'Face',
    face1: 'First face',
    face2: 'Second face',
    onStationary: 'Driven hub',
    onMovable: 'Motor hub',
    atStationary: 'Driven face',
    atMovable: 'Motor face',
    stationary: 'Driven head',
    movable: 'Motor head',
    steps: 'Rim step',
    gaps: 'Gap',
    offset: 'Offset',
    angle: 'Angle',
    nearPlane: 'Near feet',
    farPlane: 'Far feet',
  } as Readonly<Record<string, string>>,
  trust: {
    none: 'No readings yet',
    doubtful: 'Don’t use it yet',
    unproven: 'Unproven: nothing could expose a bad reading',
    once: 'Balances; not repeated yet',
    agreed: 'Repeats',
    overridden: 'Used against a failed check, with a reason',
  } satisfies Record<TrustLevel, string>,
  flags: {
    closure: 'Top and bottom don’t add up to left and right.',
    residual: 'The readings don’t lie on one circle.',
    unproven: 'Too few readings to expose a bad one. Add a position or repeat the set.',
    'arc-short': 'The readings cover little of the turn.',
    amplified: 'Positions so close together make every reading error larger.',
    'single-plane': 'Only one plane was read.',
    'return-to-zero': 'A dial did not come back to zero after the full turn: something slipped.',
    'no-sag': 'No bar sag was given. Right only when nothing hangs.',
    'one-shaft-turned': 'Only one shaft turned: the other hub’s run-out is in the readings.',
    'hub-radii': 'The rim steps don’t fit the hub radii that were given. Check both.',
    'go-no-go': 'Only tried with one blade: bounds, no values. Measure a real gap before cutting shims.',
    'weak-geometry': 'The set-up is too small for what will be judged.',
    'axial-float': 'The shafts crept along their axis between readings.',
  } satisfies Record<TrustFlag, string>,
  weak: (effect: string, what: string, remedy: 'apart' | 'diameter' | 'finer-dial', needs: string) =>
    `One graduation in one reading alone makes ${effect} of ${what}: more than half of its limit. ${
      remedy === 'apart'
        ? `The dials would have to run ${needs} apart.`
        : remedy === 'diameter'
          ? `The face would have to be swept on ${needs}.`
          : 'Only a finer dial can tell that.'
    }`,
  sets,
  setsAgree: (n: number) => `${sets(n)} ${n === 1 ? 'stands' : 'agree'}`,
  agreeAndCombined: (n: number) =>
    n === 1
      ? 'One set is used.'
      : `${n === 2 ? 'Two' : sets(n).split(' ')[0]} sets agree and are taken together.`,
  ordinals: ['First', 'Second', 'Third', 'Fourth', 'Fifth', 'Sixth', 'Seventh', 'Eighth'],
  setName: (nth: number) => `set ${nth}`,
  begin: (circles: string) => `Read ${circles} at each position.`,
  beginType: (circles: string) => `Type ${circles} in both planes.`,
  beginDetail:
    'Zero the dials at the first position. Always turn the same way, and stop on the mark without turning back.',
  beginFelt: 'Nothing turns. A stack of feelers is typed as it is, 20+18.',
  beginValues: 'Type what the instrument shows, with its own sign. It is turned round as the set-up says.',
  notEnough: 'Not enough to go by yet.',
  nothingExposes: 'Nothing could expose a bad reading here.',
  soFar: (where: string) => `So far: ${where}.`,
  repeatIt: 'This set balances. Repeat it before you move anything.',
  usedAgainst: (set: string) => `${set} is used against a failed check; the reason is in the record.`,
  inBand: (where: string) => `In band. ${where}.`,
  onEdge: (what: string) => `Inside the limit, but near its edge: ${what}.`,
  outOfBand: (what: string) => `Out of band: ${what}.`,
  notJudged: (where: string) => `Not enough is known to judge it. ${where}.`,
  doesNotRepeat: (hour: string, circle: string) =>
    `The ${hour} ${circle} reading does not repeat. Take it again.`,
  doesNotFit: (hour: string, circle: string) => `The ${hour} ${circle} reading does not fit. Take it again.`,
  doesNotBalance: (circle: string, apart: string, limit: string) =>
    `The ${circle} does not balance: ${apart} apart, limit ${limit}.`,
  whichOfFour: 'Four readings can’t tell which of them is wrong. Read the set again.',
  whatMoved: 'Find what moved, then read the set again.',
  disagree: (a: string, b: string) => `${a} and ${b} don’t agree. Read a third one.`,
  swapped: 'They would agree if 3 and 9 were swapped in one of them.',
  apartAtFeet: (feet: string, apart: string, plane: string) =>
    `The two would send the ${feet} to places ${apart} apart in the ${plane} plane.`,
  setUpFirst: 'Set up the dials first.',
  setUpFirstDetail: 'Without their distances the readings mean nothing.',
  nothingMoved: 'Nothing was moved yet.',
  nothingMovedDetail: 'Readings before a move belong to As found.',
  standing: {
    used: 'used',
    leftOut: (why: string) => `left out: ${why}`,
    usedAnyway: (why: string) => `used anyway: ${why}`,
    disagrees: 'not used: disagrees',
    fails: 'not used: fails its check',
  },
  checks: {
    sum: (circle: string) => `${circle}, sum check`,
    misfit: (circle: string) => `${circle}, worst misfit`,
    spare: (circle: string) => `${circle}, spare readings`,
    none: 'none',
    returned: 'Return to zero',
    repeatAt: (circle: string, hour: string) => `Repeat, ${circle.toLowerCase()} at ${hour}`,
    repeatOf: (quantity: string) => `Repeat, ${quantity.toLowerCase()}`,
  },
  setUpFinding: (method: string, sag: string) => (sag === '' ? method : `${method}, sag ${sag}`),
  missesZero: 'A dial misses zero after a turn',
  missesZeroWhy: (why: string) => `Misses zero: ${why}`,
  /** What stands on the stage itself. */
  view: {
    table: 'Table',
    turn: 'Turn on until the full turn is done. Back at the start the dials show:',
    note: 'seen from behind the motor · turn clockwise · plunger in is plus',
    noteFelt: 'seen from behind the motor · a rim step is plus where the motor rim is higher',
    angleOver: (length: string) => `Angle over ${length}`,
    shownSigns: (high: 1 | -1, toward3: 1 | -1) =>
      `as the instrument shows them · motor high is ${high > 0 ? 'plus' : 'minus'}, toward 3 is ${toward3 > 0 ? 'plus' : 'minus'}`,
    useAnyway: (set: string) => `Use the ${set} anyway and say why`,
    leaveSet: 'Leave the set as it was',
    another: 'Read another set',
    correctSet: (set: string) => `Correct the ${set}`,
    useSet: (set: string) => `Use the ${set}`,
    leaveOutSet: (set: string) => `Leave out the ${set}`,
    correct: 'Correct',
    leaveOut: 'Leave out',
    use: 'Use',
    whyAgainst: 'Why is it used against its check?',
    asFound: 'As found',
    afterMove: (n: number) => `After move ${n}`,
    correcting: (round: string, set: string) => `${round}, correcting the ${set}`,
    nextSet: (round: string, nth: string) => `${round}, ${nth} set`,
    next: 'next',
    set: 'set',
    logSet: 'Log this set',
    nextTurn: 'Next: the full turn',
    nextReading: (circle: string, hour: string) => `Next: ${circle} at ${hour}`,
    logged: 'Sets logged',
    sumWaits: 'sum check waits for four readings',
    balances: 'balances',
    balancesWithin: (apart: string) => `balances within ${apart}`,
    apart: (apart: string, limit: string) => `${apart} apart, limit ${limit}`,
    balanceTold: (circle: string, words: string) => `${circle}: ${words}`,
    anotherPosition: 'Another position, degrees clockwise from 12',
    addPosition: 'Add the position',
    four: '12, 3, 6, 9',
    eight: 'Eight',
    remove: 'Remove',
    removePosition: (position: string) => `Remove ${position}`,
    clockAngle: 'Give a clock angle from 0 to 360 degrees.',
    positionThere: 'That position is in the list.',
  },
}
