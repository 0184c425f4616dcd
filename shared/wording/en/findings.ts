import { named, type Named } from '../words'
import { capital } from '../capital'

/** What each stage found, as it stands below its name on the run sheet. */
export const findings = (n: Named) => ({
  hot: {
    running: 'Running',
    stopped: 'Stopped: measure',
    sets: (n: number) => (n === 1 ? 'One hot set' : `${String(n)} hot sets`),
    taken: 'New target',
    kept: 'Target stays',
    provisional: 'Provisional',
  },
  level: {
    level: 'Level',
    leave: `${capital(n.stationary)} shaft slopes`,
    shim: `${capital(n.movable)} to level`,
    again: 'Levelled, read again',
    half: 'One shaft read',
    runout: (by: string) => `Run-out ${by}`,
  },
  look: {
    some: (seen: number, all: number) => `${seen} of ${all}`,
    all: 'All looked at',
    report: (n: number) => `${n} to report`,
    shims: 'shims noted',
    differs: 'shims differ',
    pipe: 'pipe pulls',
    base: 'base slopes',
    pinsOut: 'pins out',
  },
  opening: {
    overdue: 'Calibration run out',
    taken: (n: number) => `${n} ${n === 1 ? 'instrument' : 'instruments'}`,
  },
  prove: {
    next: (step: string) => `Next: ${step}`,
    bumping: 'Bump test',
    strained: 'Coupling strain',
    wrongWay: 'Turns the wrong way',
    gapOut: 'Gap out of its window',
    whole: 'Guard on',
  },
  roughIn: {
    opens: (by: string, at: string) => `The faces open by ${by} at ${at}.`,
    close: 'Roughed in',
    whole: 'In band at four places',
    moved: 'Moved, feel again',
    strained: 'Strained, uncouple',
    again: 'Gaps to feel again',
    verticalDone: 'Vertical done',
    more: 'Measure the gap',
    axial: 'Axial gap out',
  },
  feet: {
    sits: (n: number, worst: string) => `${n} read, worst ${worst}`,
    rocks: (round: number, a: string, b: string) => `Round ${round}: rocks on ${a} and ${b}`,
    other: (round: number, worst: string) => `Round ${round}: worst ${worst}`,
    filled: (foot: string) => `${foot} filled, read again`,
    gaps: 'Gaps felt, rises to read',
  },
  target: {
    none: '',
    straight: 'Straight',
    alike: 'No correction',
    line: (offset: string) => `Set ${offset}`,
  },
  setUp: {
    with: (method: string, sag: string) => (sag === '' ? method : `${method}, sag ${sag}`),
    missesZero: 'A dial misses zero after a turn',
    missesZeroWhy: (why: string) => `Misses zero: ${why}`,
  },
  plan: {
    lifts: (lifts: string) => `Shims ${lifts}`,
    side: 'Side moves only',
  },
  moves: (n: number) => (n === 1 ? 'One move made' : `${n} moves made`),
  slack: { loose: 'Belts loose', off: 'Belts off' },
  inspect: {
    some: (seen: number, all: number) => `${String(seen)} of ${String(all)}`,
    all: 'All looked at',
    report: (n: number) => `${String(n)} to report`,
    set: 'sheave set otherwise',
  },
  square: (by: string) => `Ends within ${by}`,
  fit: { same: 'Same belts', new: 'New belts' },
  tension: {
    slack: 'Too slack',
    tight: 'Too tight',
    in: 'In band',
    unmatched: (belt: string) => `${belt} stands out`,
    unjudged: 'Read, no band',
    turned: 'Turned, read again',
  },
  tighten: { read: 'Read again', held: 'Held', moved: 'Tightening moved it' },
  run: { next: (point: string) => `Next: ${point}`, whole: 'Runs', bad: 'Not right' },
  contact: (together: string, apart: string) => `contact ${together} % off together, ${apart} % apart`,
  line: {
    corrected: 'Corrected; read again',
    found: (offset: string, turn: string) => `Offset ${offset}, turn ${turn}`,
  },
  signed: (day: string) => `Signed ${day}`,
})

export const findingsWords = named(findings)
