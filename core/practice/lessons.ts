import type { CoupledStageId } from '../jobs/coupled'
import type { BenchLie } from './bench'
import type { BenchFault } from './faults'
import type { Hands } from './hands'
import type { StandId } from './stands'

export const LESSON_IDS = [
  'foot-that-rocks',
  'straightedge-first',
  'which-way-it-counts',
  'bar-hangs',
  'bracket-that-slips',
  'one-that-wont-repeat',
  'what-the-drawer-holds',
  'no-room-in-the-hole',
  'both-dials-to-zero',
  'coupled-uncoupled',
  'pipe-that-pulls',
  'leaf-that-lies',
] as const
export type LessonId = (typeof LESSON_IDS)[number]

/** A lesson: which stand it is on, what is hidden, and where the hands come in. */
export interface Lesson {
  readonly id: LessonId
  readonly phase: 'prepare' | 'measure' | 'correct' | 'finish'
  readonly stand: StandId
  readonly faults: readonly BenchFault[]
  readonly lie: BenchLie
  readonly hands: Hands
  /** The stage it begins at; what comes before has been done. */
  readonly from: CoupledStageId
  /** Its own machine is drawn from this. */
  readonly seed: number
  /** Machines on which what is hidden is bound to show, where not every one does. */
  readonly shownBy?: readonly number[]
  readonly minutes: number
}

/** Every lesson, in the order of the work. */
export const LESSONS: readonly Lesson[] = [
  {
    id: 'foot-that-rocks',
    phase: 'prepare',
    stand: 'short',
    faults: ['soft-foot'],
    lie: 'close',
    hands: 'steady',
    from: 'feet',
    seed: 101,
    minutes: 15,
  },
  {
    id: 'straightedge-first',
    phase: 'prepare',
    stand: 'short',
    faults: [],
    lie: 'dropped',
    hands: 'steady',
    from: 'rough-in',
    seed: 207,
    minutes: 20,
  },
  {
    id: 'which-way-it-counts',
    phase: 'measure',
    stand: 'short',
    faults: ['counts-other-way'],
    lie: 'roughed',
    hands: 'steady',
    from: 'set-up',
    seed: 311,
    minutes: 20,
  },
  {
    id: 'bar-hangs',
    phase: 'measure',
    stand: 'long',
    faults: ['hanging-bar'],
    lie: 'height-only',
    hands: 'steady',
    from: 'set-up',
    seed: 401,
    minutes: 20,
  },
  {
    id: 'bracket-that-slips',
    phase: 'measure',
    stand: 'short',
    faults: ['slipping-bracket'],
    lie: 'roughed',
    hands: 'ordinary',
    from: 'as-found',
    seed: 503,
    minutes: 20,
  },
  {
    id: 'one-that-wont-repeat',
    phase: 'measure',
    stand: 'short',
    faults: ['sticking-needle'],
    lie: 'roughed',
    hands: 'ordinary',
    from: 'as-found',
    seed: 601,
    // Where a needle that sticks is pulled loose at every place it shows nothing.
    shownBy: [601, 602, 603, 604, 605],
    minutes: 20,
  },
  {
    id: 'what-the-drawer-holds',
    phase: 'correct',
    stand: 'bare-drawer',
    faults: [],
    lie: 'height-only',
    hands: 'steady',
    from: 'as-found',
    seed: 713,
    minutes: 20,
  },
  {
    id: 'no-room-in-the-hole',
    phase: 'correct',
    stand: 'bolt-bound',
    faults: [],
    lie: 'side-only',
    hands: 'steady',
    from: 'as-found',
    seed: 811,
    minutes: 25,
  },
  {
    id: 'both-dials-to-zero',
    phase: 'correct',
    stand: 'short',
    faults: [],
    lie: 'side-only',
    hands: 'steady',
    from: 'as-found',
    seed: 907,
    minutes: 15,
  },
  {
    id: 'coupled-uncoupled',
    phase: 'finish',
    stand: 'short',
    faults: ['strained-coupling'],
    lie: 'roughed',
    hands: 'steady',
    from: 'set-up',
    seed: 1009,
    minutes: 25,
  },
  {
    id: 'pipe-that-pulls',
    phase: 'finish',
    stand: 'long',
    faults: ['pipe-strain'],
    lie: 'roughed',
    hands: 'steady',
    from: 'look',
    seed: 1103,
    minutes: 30,
  },
  {
    id: 'leaf-that-lies',
    phase: 'finish',
    stand: 'short',
    faults: ['false-shim'],
    lie: 'height-only',
    hands: 'steady',
    from: 'as-found',
    seed: 1203,
    // A leaf that no plan wants would lie there unnoticed.
    shownBy: [1203, 1209, 1225, 1233, 1238, 1240, 1250, 1254],
    minutes: 25,
  },
]

/** What a lesson's machine is drawn from at a try: its own the first time, another each time after. */
export const seedOfTry = ({ seed, shownBy }: Pick<Lesson, 'seed' | 'shownBy'>, nth: number): number =>
  shownBy ? (shownBy[nth % shownBy.length] ?? seed) : seed + nth

/** The machine after this one, of the same lesson. */
export const seedAfter = (lesson: Pick<Lesson, 'seed' | 'shownBy'>, seed: number): number =>
  seedOfTry(lesson, (lesson.shownBy?.indexOf(seed) ?? seed - lesson.seed) + 1)

export const lessonOf = (id: string): Lesson | null => LESSONS.find((l) => l.id === id) ?? null
