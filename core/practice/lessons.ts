import type { BeltStageId } from '../jobs/belt'
import type { CoupledStageId } from '../jobs/coupled'
import type { BenchLie } from './bench'
import type { DriveBelts } from './drive/driveBench'
import type { BenchFault } from './faults'
import type { Hands } from './hands'
import type { BeltStandId, CoupledStandId } from './stands'

export const LESSON_IDS = [
  'plate-tells-otherwise',
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
  'cold-but-aimed-hot',
  'pipe-that-pulls',
  'leaf-that-lies',
  'three-touch-one-not',
  'top-leans-out',
  'base-that-sticks',
  'set-otherwise',
  'one-of-four',
  'slack-after-a-day',
] as const
export type LessonId = (typeof LESSON_IDS)[number]

interface AnyLesson {
  readonly id: LessonId
  readonly phase: 'prepare' | 'measure' | 'correct' | 'finish' | 'belts'
  readonly faults: readonly BenchFault[]
  readonly hands: Hands
  /** Its own machine is drawn from this. */
  readonly seed: number
  /** Machines on which what is hidden is bound to show, where not every one does. */
  readonly shownBy?: readonly number[]
  readonly minutes: number
}

/** A lesson on a coupled machine: which stand, how it lies, and the stage where the hands come in; what comes before is done. */
export interface CoupledLesson extends AnyLesson {
  readonly stand: CoupledStandId
  readonly lie: BenchLie
  readonly from: CoupledStageId
}

/** A lesson on a belt drive. */
export interface BeltLesson extends AnyLesson {
  readonly stand: BeltStandId
  readonly belts: DriveBelts
  readonly from: BeltStageId
}

export type Lesson = CoupledLesson | BeltLesson

export const onBelts = (lesson: Lesson): lesson is BeltLesson => 'belts' in lesson

/** Every lesson, in the order of the work. */
export const LESSONS: readonly Lesson[] = [
  {
    id: 'plate-tells-otherwise',
    phase: 'prepare',
    stand: 'short',
    faults: ['wrong-nameplate'],
    lie: 'slow-enough',
    hands: 'steady',
    from: 'as-found',
    seed: 61,
    minutes: 15,
  },
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
    id: 'cold-but-aimed-hot',
    phase: 'finish',
    stand: 'short',
    faults: ['still-warm'],
    lie: 'height-only',
    hands: 'steady',
    from: 'as-found',
    seed: 1051,
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
  {
    id: 'three-touch-one-not',
    phase: 'belts',
    stand: 'belts',
    faults: ['unequal-rims', 'turned-motor'],
    belts: 'off',
    hands: 'steady',
    from: 'line-up',
    seed: 1301,
    minutes: 25,
  },
  {
    id: 'top-leans-out',
    phase: 'belts',
    stand: 'belts',
    faults: ['tilted-motor'],
    belts: 'off',
    hands: 'steady',
    from: 'line-up',
    seed: 1401,
    minutes: 25,
  },
  {
    id: 'base-that-sticks',
    phase: 'belts',
    stand: 'belts',
    faults: ['sticking-base', 'turned-motor'],
    belts: 'off',
    hands: 'steady',
    from: 'line-up',
    seed: 1502,
    // Where the far end has to come in: driven out it follows its screw.
    shownBy: [1502, 1504, 1505, 1507, 1509, 1511, 1513, 1515],
    minutes: 25,
  },
  {
    id: 'set-otherwise',
    phase: 'belts',
    stand: 'set-sheave',
    faults: ['changed-sheave'],
    belts: 'off',
    hands: 'steady',
    from: 'inspect',
    seed: 1601,
    minutes: 20,
  },
  {
    id: 'one-of-four',
    phase: 'belts',
    stand: 'belts',
    faults: ['mismatched-belt'],
    belts: 'run-in',
    hands: 'ordinary',
    from: 'tension',
    seed: 1701,
    minutes: 20,
  },
  {
    id: 'slack-after-a-day',
    phase: 'belts',
    stand: 'belts',
    faults: ['bedding-belts'],
    belts: 'new',
    hands: 'steady',
    from: 'tension',
    seed: 1801,
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
