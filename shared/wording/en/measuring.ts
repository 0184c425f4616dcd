import { turning } from '../otherEnd'
import { sided } from '../words'
import { countOfSets } from './sets'
import type { TrustFlag } from '../../../core/trust/trustReport'

export const measuring = {
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
  agreeAndCombined: (n: number) =>
    n === 1
      ? 'One set is used.'
      : `${n === 2 ? 'Two' : countOfSets(n).split(' ')[0]} sets agree and are taken together.`,
  ordinals: ['First', 'Second', 'Third', 'Fourth', 'Fifth', 'Sixth', 'Seventh', 'Eighth'],
  setName: (nth: number) => `set ${nth}`,
  begin: (circles: string) => `Read ${circles} at each position.`,
  planeUnknown: (plane: string) => `The ${plane} is not known: it was not read.`,
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
    otherWay: 'turned the other way: for play only',
    disagrees: 'not used: disagrees',
    fails: 'not used: fails its check',
  },
  play: {
    none: (limit: string) =>
      `Turned the other way every dial reads the same within ${limit}: no play to mind.`,
    found: (circle: string, by: string, hour: string, trails: string, feet: string) =>
      `Turned the other way the ${circle} reads ${by} otherwise at ${hour}${trails}: there is play. Come to every mark from the same side.${feet}`,
    trails: (degrees: string) => `, trailing by ${degrees}°`,
    feet: (pair: string, by: string) => ` Mixed, it would send the ${pair} feet ${by} astray.`,
    turnBack: 'Turned the other way, to find play',
  },
  checks: {
    play: (circle: string, hour: string) => `Play, ${circle.toLowerCase()} at ${hour}`,
    sum: (circle: string) => `${circle}, sum check`,
    misfit: (circle: string) => `${circle}, worst misfit`,
    spare: (circle: string) => `${circle}, spare readings`,
    none: 'none',
    returned: 'Return to zero',
    repeatAt: (circle: string, hour: string) => `Repeat, ${circle.toLowerCase()} at ${hour}`,
    repeatOf: (quantity: string) => `Repeat, ${quantity.toLowerCase()}`,
  },
  /** What stands on the stage itself. */
  view: {
    table: 'Table',
    turn: 'Turn on until the full turn is done. Back at the start the dials show:',
    noteAbove: 'from above · clockwise from the marked bolt · plunger in is plus',
    noteFeltAbove: 'from above · clockwise from the marked bolt',
    noteOtherEnd: 'from behind the driven machine · plunger in is plus',
    noteFeltOtherEnd:
      'seen from behind the driven machine · a rim step is plus where the motor rim is higher',
    note: 'from behind the motor · clockwise · plunger in is plus',
    backToProof: 'Back to the steps',
    madeUpNow: 'The coupling is made up: what is read now belongs to Prove. Open it there to read on here.',
    way: 'How the set is taken',
    hot: 'Hot',
    madeUp: 'Made up',
    ways: {
      four: '12, 3, 6, 9',
      'from-3': 'from 3',
      'from-6': 'from 6',
      'from-9': 'from 9',
      twice: 'zeroed at 12, again at 3',
      three: 'three points: 9, 12, 3',
      arc: 'part arc: 10, 12, 2',
      '12-6': '12 and 6 only',
      '3-9': '3 and 9 only',
      list: 'positions of one’s own',
    },
    waysFelt: {
      four: '12, 3, 6, 9',
      '12-6': '12 and 6 only',
      '3-9': '3 and 9 only',
      list: 'positions of one’s own',
    },
    quick: {
      open: 'From paper',
      title: 'Figures from the sheet, in its order',
      order: (circles: readonly string[]) =>
        `Row by row: ${circles.join(', then ')}. Blanks between the figures; zeros too.`,
      turn: 'after turn',
      next: (circle: string, place: string) => `Next: ${circle}, ${place}.`,
      unreadable: (figures: string) => `Can’t be read: ${figures}. Type it as a number.`,
      extra: (figures: string) => `Too many figures: ${figures} has no box.`,
      fill: 'Right: put them in the boxes',
    },
    helper: {
      title: 'Angle from marks on the rim',
      arc: 'Arc from the 12 mark, along the rim',
      diameter: 'Rim diameter',
      comesTo: (degrees: string) => `That is ${degrees}°.`,
      add: (degrees: string) => `Read at ${degrees}°`,
      cost: (by: string) => `Standing 5° off would shift a reading by up to ${by}.`,
    },
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
    readAlso: (position: string) => `Read at ${position} too`,
    hoursRound: 'Positions round the hub: press an hour to read there',
    ownAngles: 'Each head tells its own angle',
    angleOf: (head: string) => `${head}, at degrees`,
    angleAt: (head: string, stop: string) => `Own angle of ${head}, stop ${stop}`,
    removePosition: (position: string) => `Remove ${position}`,
    clockAngle: 'Give a clock angle from 0 to 360 degrees.',
    positionThere: 'That position is in the list.',
  },
}

export const measuringWords = sided(
  measuring,
  (w) => ({
    ...w,
    view: {
      ...w.view,
      note: w.view.noteOtherEnd,
      noteFelt: w.view.noteFeltOtherEnd,
      ways: {
        ...w.view.ways,
        four: '12, 9, 6, 3',
        'from-3': w.view.ways['from-9'],
        'from-9': w.view.ways['from-3'],
        twice: 'zeroed at 12, again at 9',
        three: 'three points: 3, 12, 9',
        arc: 'part arc: 2, 12, 10',
      },
      waysFelt: { ...w.view.waysFelt, four: '12, 9, 6, 3' },
      shownSigns: turning(w.view.shownSigns),
    },
  }),
  (w) => ({ ...w, view: { ...w.view, note: w.view.noteAbove, noteFelt: w.view.noteFeltAbove } }),
)
