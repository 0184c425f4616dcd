import type { FaultsHidden } from '../../../core/practice/faults'
import type { Habit } from '../../../core/practice/habits'
import type { Hands } from '../../../core/practice/hands'
import type { Lesson, LessonId } from '../../../core/practice/lessons'
import type { CoupledStandId, StandId } from '../../../core/practice/stands'
import { said } from '../words'

const times = (n: number, one: string, many: string) => (n === 1 ? one : `${String(n)} ${many}`)

/** The front of the practice room: its lessons, free practice, what the bench has seen somebody do. */
const practice = {
  title: 'Practice',
  aside: 'Nothing done here reaches a machine’s own record.',
  stands: {
    tag: 'BENCH',
    area: 'Practice room',
    motor: 'Motor',
    pump: 'Pump',
    fan: 'Fan',
    names: {
      short: 'Short coupling',
      long: 'Long spacer',
      'bare-drawer': 'Short coupling, few shims',
      'bolt-bound': 'Short coupling, tight holes',
      belts: 'Four V-belts',
      'set-sheave': 'One belt, sheave that can be set',
    } satisfies Record<StandId, string>,
    couplings: {
      short: 'Grid coupling',
      long: 'Disc coupling with a spacer',
      'bare-drawer': 'Grid coupling',
      'bolt-bound': 'Grid coupling',
    } satisfies Record<CoupledStandId, string>,
  },
  lessons: {
    title: 'Lessons, in the order of the work',
    tried: (done: number, all: number) => `${String(done)} of ${String(all)} tried`,
    aside: 'how your best try ended, and the fewest moves of the machine',
    phases: {
      prepare: 'Prepare',
      measure: 'Measure',
      correct: 'Correct',
      finish: 'Finish',
      belts: 'Belts',
    } satisfies Record<Lesson['phase'], string>,
    about: {
      'plate-tells-otherwise': 'Limits follow the plate',
      'foot-that-rocks': 'Fill one, never both',
      'straightedge-first': 'Height before side',
      'which-way-it-counts': 'Push test, signs at 6',
      'bar-hangs': 'Sag, before any plan',
      'bracket-that-slips': 'Where each needle ends',
      'one-that-wont-repeat': 'Read again or believe?',
      'what-the-drawer-holds': 'Packs from few leaves',
      'no-room-in-the-hole': 'Move the other machine',
      'both-dials-to-zero': 'Small bites, both ends',
      'coupled-uncoupled': 'Find the strain',
      'cold-but-aimed-hot': 'Feel the feet, then read',
      'pipe-that-pulls': 'Loosen it and look',
      'leaf-that-lies': 'Planned against made',
      'three-touch-one-not': 'Grooves count, faces don’t',
      'top-leans-out': 'Tilt, at both marks',
      'base-that-sticks': 'Screw back, then look',
      'set-otherwise': 'Count the turns first',
      'one-of-four': 'Swap the set, don’t pull',
      'slack-after-a-day': 'New belts, read twice',
    } satisfies Record<LessonId, string>,
    best: (moves: number, fewest: number) => `best ${String(moves)} · fewest ${String(fewest)}`,
    notTried: (minutes: number) => `Not tried · about ${String(minutes)} min`,
    open: (name: string, told: string) => `${name}: ${told}`,
  },
  free: {
    title: 'Free practice',
    machine: 'Machine',
    method: 'Method',
    hands: 'Hands',
    handsAre: { steady: 'steady', ordinary: 'ordinary', tired: 'tired' } satisfies Record<Hands, string>,
    hidden: 'Hidden faults',
    hiddenAre: { none: 'none', one: 'one', several: 'several' } satisfies Record<FaultsHidden, string>,
    start: 'Set up the bench',
  },
  goOnTitle: 'Under way on this device',
  goOn: (when: string) => `begun ${when}`,
  drop: 'Drop it',
  dropTry: (name: string) => `Drop the try: ${name}`,
  habits: {
    title: 'What the bench has seen you do',
    none: 'Nothing yet. It is told here after your first try.',
    of: (n: number, all: number) => `${String(n)} of the last ${String(all)}`,
    well: {
      'tells-the-sag': 'You tell the sag',
      'presses-the-plunger': 'You press the plunger first',
      'watches-the-return': 'You watch the needle come back',
      'repeats-before-moving': 'You repeat a set before you move',
      'cures-one-foot': 'You fill one foot of a diagonal',
      'three-and-nine': 'You get 3 and 9 the right way round',
      'lays-what-is-logged': 'You lay what you log',
      'reads-uncoupled': 'You read with the coupling open',
      'reads-what-is-there': 'You type what edge and gauge show',
      'numbers-before-moving': 'You read gaps before you move the motor',
      'tells-belts-age': 'You tell how old belts are',
      'reads-after-tightening': 'You read again after the base is drawn down',
    } satisfies Record<Habit, string>,
    badly: {
      'tells-the-sag': 'You forget the sag',
      'presses-the-plunger': 'You trust a dial’s sign untried',
      'watches-the-return': 'You go on though a needle did not come back',
      'repeats-before-moving': 'You move before a set repeats',
      'cures-one-foot': 'You fill both feet of a diagonal',
      'three-and-nine': 'You swap 3 and 9',
      'lays-what-is-logged': 'You lay other leaves than you log',
      'reads-uncoupled': 'You read with the coupling made up',
      'reads-what-is-there': 'You type other than edge and gauge show',
      'numbers-before-moving': 'You move the motor by touch alone',
      'tells-belts-age': 'You judge belts by the wrong age',
      'reads-after-tightening': 'You trust what was read before the base was drawn down',
    } satisfies Record<Habit, string>,
  },
  set: {
    by: 'Set by the lead',
    until: (day: string) => `by ${day}`,
    left: (days: number) =>
      days < 0
        ? `${times(-days, 'one day', 'days')} late`
        : days === 0
          ? 'today'
          : `${times(days, 'one day', 'days')} left`,
    start: 'Start the lesson',
    about: (minutes: number) => `about ${String(minutes)} min`,
    title: 'Set a lesson',
    lesson: 'Lesson',
    day: 'By',
    note: 'A word with it',
    save: 'Set it',
    drop: 'Take it back',
  },
  results: {
    title: 'Results',
    csv: 'All of it as CSV',
    columns: {
      person: 'Person',
      lesson: 'Lesson',
      ended: 'Ended',
      moves: 'Moves',
      fewest: 'Fewest',
      help: 'Asked',
      minutes: 'Minutes',
      when: 'When',
    },
    none: 'Nobody has handed anything in yet.',
    free: (machine: string) => `Free practice, ${machine}`,
  },
}

export const practiceWords = said(practice)
