import { defineStore } from 'pinia'
import type { ActRefusal, BenchAct } from '~~/core/practice/acts'
import type { Bench, BenchLie } from '~~/core/practice/bench'
import type { BenchState } from '~~/core/practice/benchState'
import type { DriveAct, DriveRefusal } from '~~/core/practice/drive/driveActs'
import type { DriveBelts, DriveBench } from '~~/core/practice/drive/driveBench'
import type { DriveState } from '~~/core/practice/drive/driveState'
import type { BenchFault } from '~~/core/practice/faults'
import type { Hands } from '~~/core/practice/hands'
import { benchAsLeft, type KindOfBench } from '~~/core/practice/kindOfBench'
import type { LessonId } from '~~/core/practice/lessons'
import type { Review } from '~~/core/practice/reviews'
import type { TrySetting } from '~~/core/practice/setting'
import { entriesOf, type HintStep, type PracticeStep } from '~~/core/practice/steps'
import type { StageId } from '~~/core/jobs/jobs'
import type { LogEntry } from '~~/core/logbook/entry'
import type { PractisedMachine } from '~~/shared/practice/stand'
import { practiceBenchWords } from '~~/shared/wording/en/practiceBench'
import { composeEntry } from '~/device/composeEntry'
import { deviceStore } from '~/device/database'
import { newId } from '~/device/newId'
import { practiceId } from '~/doors/isPractice'
import { ahead } from '~/stages/ahead'

const loadCoupled = ahead(() => import('~~/core/practice/coupledBench'))
const loadBelt = ahead(() => import('~~/core/practice/drive/beltBench'))
/** What it takes to look back, by what stands on the bench. */
const REVIEWS = {
  coupled: ahead(() => import('~~/core/practice/review').then((m) => m.reviewOf)),
  belt: ahead(() => import('~~/core/practice/drive/driveReview').then((m) => m.driveReviewOf)),
} as const

/** A kind whose bench, state and acts are nobody's business here: they were made by it and go back to it. */
type AnyKind = KindOfBench<
  TrySetting['machine']['drive'],
  unknown,
  unknown,
  unknown,
  ActRefusal | DriveRefusal
>
/** A machine as it stands on the bench; `drive` says of which kind bench and state are. */
type Standing = { readonly kind: AnyKind } & (
  | { readonly drive: 'coupled'; readonly bench: Bench; readonly now: BenchState }
  | { readonly drive: 'belt'; readonly bench: DriveBench; readonly now: DriveState }
)

/** What a try is set up from; the same set-up gives the same machine to anybody. */
export interface TrySetUp {
  readonly lesson: LessonId | null
  readonly machine: PractisedMachine
  readonly seed: number
  readonly hands: Hands
  readonly faults: readonly BenchFault[]
  /** How a coupled machine lies. */
  readonly lie?: BenchLie
  /** What lies on the sheaves of a drive. */
  readonly belts?: DriveBelts
  readonly from: StageId
}

/** A try as this device keeps it. */
export interface PracticeRecord extends TrySetUp {
  readonly id: string
  readonly startedAt: string
  readonly person: string
  readonly steps: readonly PracticeStep[]
  /** How many steps were there before the hands came in. */
  readonly opened: number
  /** Handed in, with when. */
  readonly finishedAt: string | null
}

/** Draws the machine of a try; what that takes comes with its kind. */
const drawn = async (setUp: TrySetUp, steps: readonly PracticeStep[]): Promise<Standing> => {
  const { drive } = setUp.machine
  const kind = (
    drive === 'belt' ? (await loadBelt()).BELT_BENCH : (await loadCoupled()).COUPLED_BENCH
  ) as AnyKind
  // How it lies is said of a coupled machine, what is on its sheaves of a drive.
  const bench = kind.draw(setUp as TrySetting)
  return { drive, kind, bench, now: benchAsLeft(kind, bench, steps) } as Standing
}
const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T

/** The bench in view: the machine with what hides in it, what hands did to it, and how much was asked. */
export const usePractice = defineStore('practice', () => {
  const session = useSession()
  const record = shallowRef<PracticeRecord | null>(null)
  const standing = shallowRef<Standing | null>(null)
  /** Shown while the shafts are on their way; null where they stand. */
  const underway = shallowRef<BenchState | null>(null)
  const refused = ref<ActRefusal | DriveRefusal | null>(null)
  const entries = computed(() => entriesOf(record.value?.steps ?? []))
  /** A coupled machine on the bench: how it stands, and how it is shown while the shafts are on their way. */
  const coupled = computed(() => {
    const s = standing.value
    return s?.drive === 'coupled' ? { bench: s.bench, now: s.now, shown: underway.value ?? s.now } : null
  })
  /** A belt drive on the bench. */
  const drive = computed(() => {
    const s = standing.value
    return s?.drive === 'belt' ? { bench: s.bench, now: s.now } : null
  })
  /** The furthest that was asked since something was last logged. */
  const asked = computed((): HintStep | null => {
    const steps = record.value?.steps ?? []
    for (let i = steps.length - 1; i >= 0; i--) {
      const step = steps[i]
      if (step && 'hint' in step) return step.hint
      if (step && 'entry' in step) return null
    }
    return null
  })
  const quietWhy = practiceBenchWords(useWords()).quietWhy

  const keep = () => {
    const kept = record.value
    if (!kept) return
    // A full device store costs going on after a reload only.
    void deviceStore()
      .then((db) => db.put('practice', plain(kept)))
      .catch(() => null)
  }
  const add = (
    step: { readonly act: BenchAct | DriveAct } | { readonly entry: LogEntry } | { readonly hint: HintStep },
  ) => {
    if (!record.value) return
    const at = new Date().toISOString()
    record.value = { ...record.value, steps: [...record.value.steps, { at, ...step }] }
    keep()
  }

  const show = async (kept: PracticeRecord) => {
    const stands = await drawn(kept, kept.steps)
    record.value = kept
    standing.value = stands
    underway.value = null
    refused.value = null
  }
  /** Fetches a try of this device into view. Throws an ApiFailure where there is none. */
  const load = async (id: string) => {
    if (record.value?.id === id) return
    const kept = (await (await deviceStore()).get('practice', id)) as PracticeRecord | undefined
    if (!kept) throw outOfReach()
    await show(kept)
  }

  /** Sets up a bench and answers the id of the try. */
  const start = async (setUp: TrySetUp): Promise<string> => {
    const id = practiceId(newId())
    const { kind, bench } = await drawn(setUp, [])
    const opening = await kind.opening(bench, setUp.from)
    const at = new Date().toISOString()
    const written: LogEntry[] = []
    for (const body of opening.entries) written.push(composeEntry(body, written, session.authorId))
    const steps: PracticeStep[] = [
      ...written.map((entry) => ({ at, entry })),
      ...(opening.acts as readonly (BenchAct | DriveAct)[]).map((act) => ({ at, act })),
    ]
    const kept: PracticeRecord = {
      ...plain(setUp),
      id,
      startedAt: at,
      person: session.authorId,
      steps,
      opened: steps.length,
      finishedAt: null,
    }
    await (await deviceStore()).put('practice', plain(kept))
    await show(kept)
    return id
  }

  /** Goes back to a step of a try and on from there in another one; answers its id. */
  const branch = async (from: PracticeRecord, upTo: number): Promise<string> => {
    const id = practiceId(newId())
    const kept: PracticeRecord = {
      ...from,
      id,
      startedAt: new Date().toISOString(),
      steps: from.steps.slice(0, Math.max(from.opened, upTo)),
      finishedAt: null,
    }
    await (await deviceStore()).put('practice', plain(kept))
    await show(kept)
    return id
  }

  /** Hands do something; said why where they can't. */
  const hands = (act: BenchAct | DriveAct): boolean => {
    const s = standing.value
    if (!s) return false
    underway.value = null
    refused.value = s.kind.refusal(s.bench, s.now, act)
    if (refused.value) return false
    standing.value = { ...s, now: s.kind.after(s.bench, s.now, act) } as Standing
    add({ act })
    return true
  }

  /** An entry as it was logged, and what hands do along with it: a set-up mounts its instruments. */
  const write = (entry: LogEntry) => {
    add({ entry })
    const s = standing.value
    const along = s?.kind.along(s.bench, s.now, entry)
    if (along) hands(along as BenchAct | DriveAct)
  }

  /** The set that fails its checks and is used all the same, while the checks keep quiet; null where none does. */
  const quietlyUsed = (entry: LogEntry): string | null => {
    const s = standing.value
    return s?.kind.refusedSet(s.bench, entries.value, entry) ?? null
  }
  /** Moves made since the hands came in. */
  const moves = computed(() => {
    const own = entriesOf((record.value?.steps ?? []).slice(record.value?.opened ?? 0))
    return standing.value?.kind.moves(own) ?? 0
  })

  const ask = (hint: HintStep) => add({ hint })
  /** Looks back on the try as it stands; what that takes is fetched when it is first asked for. */
  const review = async (): Promise<Review | null> => {
    const [s, kept] = [standing.value, record.value]
    if (!s || !kept) return null
    return s.drive === 'belt'
      ? (await REVIEWS.belt())(s.bench, kept.steps, kept.opened)
      : (await REVIEWS.coupled())(s.bench, kept.steps, kept.opened)
  }
  const finish = () => {
    if (!record.value || record.value.finishedAt) return
    record.value = { ...record.value, finishedAt: new Date().toISOString() }
    keep()
  }

  return {
    record,
    coupled,
    drive,
    underway,
    refused,
    moves,
    entries,
    asked,
    quietWhy,
    load,
    start,
    branch,
    hands,
    write,
    quietlyUsed,
    ask,
    review,
    finish,
  }
})
