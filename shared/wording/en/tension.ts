import { said } from '../words'
import type { BandSource } from '../../../core/belt/tensionBand'
import type { BeltAge } from '../../../core/belt/tension'
import type { TensionSchool } from '../../../core/stages/tension/entries'
import type { NoTension } from '../../../core/stages/tension/tension'
import type { TurnsToGive } from '../../../core/stages/tension/turns'

/** Belt tension: how it is read, judged and set. */
export const tension = {
  asked: 'Read every belt of the set.',
  askedOne: 'Read the belt.',
  again: 'The motor was moved: read the belts again.',
  left: (n: number) => (n === 1 ? 'One belt is left to read.' : `${String(n)} belts are left to read.`),
  headlines: {
    slack: 'The set is too slack',
    tight: 'The set is too tight',
    slackOne: 'The belt is too slack',
    tightOne: 'The belt is too tight',
    by: (what: string, by: string) => `${what}, by ${by}.`,
    in: 'The belts are in band.',
    inOne: 'The belt is in band.',
    edge: 'In band, near its edge.',
    one: (belt: string, by: string, way: string) => `${belt} is ${by} ${way} the others.`,
    below: 'below',
    above: 'above',
    pull: 'The belts pull harder than the motor shaft may take.',
    unjudged: 'Read. Nothing says what this drive should have.',
    screening: 'Felt by hand: a screening, no verdict.',
    screeningEven: 'Felt by hand the set is even: a screening, no verdict.',
  },
  detail: {
    unmatched:
      'More tension would overload the others to bring it in. Look for another from the same batch, or a worn groove, before anything is turned: swap it or replace the set.',
    noBand:
      'Give the sticker’s force, or mass and service factor, in the register: until then it can be read and kept, not judged.',
    why: {
      'no-mass': 'The frequency says a tension once the mass of the belt is in the register.',
      'no-stiffness': 'Marks say a tension once the stiffness of the belt is in the register.',
      screening: 'A gauge says more. Where the maker’s sheet gives a window for the hand, type it.',
      'stiffness-alone': 'The belt’s own stiffness explains that force: it hangs slack, or a figure slipped.',
    } satisfies Record<NoTension, string>,
    after: {
      slack: 'The motor goes away from the driven shaft.',
      tight: 'The motor goes toward the driven shaft.',
    },
  },
  belt: (n: number) => `Belt ${String(n)}`,
  theBelt: 'The belt',
  ages: { 'run-in': 'Run in', new: 'New' } satisfies Record<BeltAge, string>,
  schools: {
    force: 'Force at a deflection',
    deflection: 'Deflection at a force',
    frequency: 'Tap, hertz',
    marks: 'Marks on the belt',
    hand: 'Ruler and hand',
  } satisfies Record<TensionSchool, string>,
  sources: {
    given: 'Given.',
    sticker: 'The sticker or manual of this drive.',
    chart: 'The site’s chart.',
    power: 'Power and speed of this drive, times the factor for the belts’ age. No sticker in the register.',
  } satisfies Record<BandSource, string>,
  chartOf: (section: string, from: string) => `The site’s chart for section ${section}: ${from}.`,
  startingMass: (section: string) =>
    `Belt mass of section ${section}: a starting value, the maker’s sheet rules.`,
  startingFactor: 'Service factor: a starting value, the maker’s sheet rules.',
  worksFactor: (factor: string, source: string) =>
    `Service factor ${factor}: the works’ limits for belt drives, ${source}.`,
  worksFactors: (factors: string, source: string) =>
    `Factors for the belts’ age ${factors}: the works’ limits for belt drives, ${source}.`,
  from: {
    learned: (perTurn: string) => `Each turn added about ${perTurn}.`,
    stiffness: 'From the belts’ registered stiffness; read again after it.',
    'first-bite': 'A small first bite: what it does says how much the next is.',
  } satisfies Record<TurnsToGive['from'], string | ((perTurn: string) => string)>,
  interval: (low: string, high: string) => `Between ${low} and ${high} turns, 95 of 100.`,
  travel: (left: string) => `${left} of travel left after it.`,
  travelEnds: (left: string) =>
    `Only ${left} of travel left after it: near the end. Shorter belts, or the base moved, come next.`,
  travelOver: 'The base has no travel left for that: shorter belts, or the base moved.',
  given: (turns: string) => `${turns} turns given so far.`,
  form: {
    aboveZero: 'Type it as a number above zero.',
    window: 'Give both ends of the window, the least first.',
    farOff: (others: string) => `The others read about ${others}. Is that right?`,
    notSlackened: 'Marks can’t come nearer than they were when slack.',
  },
  log: { read: 'Log the readings', adjusted: 'Log the turns' },
  next: (belt: string) => `Next: ${belt.toLowerCase()}`,
  view: {
    title: (age: string) => `Tension, ${age.toLowerCase()} belts`,
    toScale: (span: string) => `drawn to scale · span ${span}`,
    pushHere: 'push to here, read the force',
    /** The parts of the gauge as it is drawn. */
    gauge: { spanRing: 'lower ring, level with the line', forceRing: 'upper ring, force', mid: 'mid-span' },
    pushWith: (force: string) => `push with ${force}, read how far`,
    tap: 'tap the span, read the hertz',
    marks: 'a mark near each end of the span',
    hand: 'press mid-span with a firm hand',
    rings: (deflection: string, share: string, span: string) =>
      `Lower ring at ${deflection} (${share}); on a gauge marked in inches of span, at ${span}. Square on mid-span, from a straightedge over both sheaves or the next belt. Read the upper ring.`,
    ringsForce: (force: string) =>
      `Upper ring at ${force}. Square on mid-span. Press until it stops, and read how far the belt went.`,
    tapHow:
      'Belts still, pickup near mid-span and square to it. Tap lightly; take the reading that repeats three times.',
    marksHow:
      'Two fine marks on the back of the slack belt, as far apart as the span allows. Read them again under tension.',
    handHow: 'A ruler, a straightedge over both sheaves, a firm hand at mid-span. A screening only.',
    age: 'Belts are',
    school: 'Read by',
    sheaves: 'While a belt is pushed',
    sheavesAre: { free: 'A sheave can turn', held: 'The sheaves stand' },
    deflection: 'Deflection',
    force: 'Force',
    slack: 'Marks apart when slack',
    windowLeast: 'Window, least',
    windowMost: 'Window, most',
    bars: {
      force: (at: string, unit: string) => `Force at ${at}, ${unit}`,
      deflection: (unit: string) => `How far each gives, ${unit}`,
      marks: (unit: string) => `Marks apart, ${unit}`,
      hertz: 'Frequency of each, Hz',
    },
    band: (low: string, high: string) => `band ${low} to ${high}`,
    mean: 'Mean of the set',
    spread: 'Spread',
    aBelt: 'Tension a belt',
    bySpring: (at: string) => `Same by gauge at ${at}`,
    byTap: 'Same by tapping',
    byMarks: 'Same by marks, per m',
    pull: 'Pull on the motor shaft',
    bandFrom: 'Where the band comes from',
    why: 'Why schools differ',
    differ:
      'A gauge stretches the belt as it pushes; a short stiff belt rings higher than its tension; marks need the true stiffness; a hand varies by a third from one person to the next.',
    turn: 'Turn next',
    sheaveEnd: 'Turns, sheave end',
    farEnd: 'Turns, far end',
    turned: 'What was turned',
    even: 'Plus is away from the driven shaft. Equal turns at both ends keep the motor square.',
    passOver: 'Pass over the tension',
    all: 'Go on as it is',
    hertz: 'Hz',
  },
  working: {
    span: 'Span',
    spanFormula: 'C cos(asin((D − d) / 2C))',
    tension: (belt: string) => `${belt}: tension`,
    forceFormula: 'F t / 4q − EA 2q² / (t L)',
    frequencyFormula: '4 m t² f²',
    marksFormula: 'EA × stretch',
    mean: 'Mean of the set',
    meanFormula: 'sum / belts',
    spread: 'Spread',
    spreadFormula: '(largest − smallest) / mean',
    effective: 'Pull that turns the sheave, all belts',
    effectiveFormula: 'power × service factor / belt speed',
    ratio: 'Tight to slack strand',
    ratioFormula: 'ratio at half a turn ^ (wrap / 180°)',
    design: 'Static tension a belt',
    designFormula: '(pull / belts)(R + 1) / 2(R − 1) + m v²',
    band: 'Band',
    bandFormula: 'static tension × factors for the belts’ age',
    stickerFormula: 'the sticker’s forces as tensions',
    turns: 'Turns to the middle of the band',
    turnsFormula: '(target − now) / tension a turn',
  },
}

export const tensionWords = said(tension)
