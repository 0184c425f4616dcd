import { defineStore } from 'pinia'
import type { ActRefusal, BenchAct } from '~~/core/practice/acts'
import { drawBench, type BenchLie } from '~~/core/practice/bench'
import type { BenchState } from '~~/core/practice/benchState'
import { actRefusal, afterAct } from '~~/core/practice/doAct'
import { stateOf } from '~~/core/practice/doubts'
import type { BenchFault } from '~~/core/practice/faults'
import type { Hands } from '~~/core/practice/hands'
import type { LessonId } from '~~/core/practice/lessons'
import { openingActs, openingEntries } from '~~/core/practice/opening'
import type { Review } from '~~/core/practice/review'
import { benchOf, entriesOf, type HintStep, type PracticeStep } from '~~/core/practice/steps'
import type { CoupledStageId } from '~~/core/jobs/coupled'
import type { LogEntry } from '~~/core/logbook/entry'
import { settleSetUp } from '~~/core/stages/setUp/setUp'
import type { PractisedMachine } from '~~/shared/practice/stand'
import { practiceWords } from '~~/shared/wording/en/practice'
import { composeEntry } from '~/device/composeEntry'
import { deviceStore } from '~/device/database'
import { newId } from '~/device/newId'
import { practiceId } from '~/doors/isPractice'
import { ahead } from '~/stages/ahead'

const loadReview = ahead(() => import('~~/core/practice/review'))

/** What a try is set up from; the same set-up gives the same machine to anybody. */
export interface TrySetUp {
  readonly lesson: LessonId | null
  readonly machine: PractisedMachine
  readonly seed: number
  readonly hands: Hands
  readonly faults: readonly BenchFault[]
  readonly lie: BenchLie
  readonly from: CoupledStageId
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

const settingOf = ({ machine, seed, hands, faults, lie }: TrySetUp) => ({
  machine,
  seed,
  hands,
  faults,
  lie,
})
const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T

/** The bench in view: the machine with what hides in it, what hands did to it, and how much was asked. */
export const usePractice = defineStore('practice', () => {
  const session = useSession()
  const record = shallowRef<PracticeRecord | null>(null)
  const now = shallowRef<BenchState | null>(null)
  /** Shown while the shafts are on their way; null where they stand. */
  const underway = shallowRef<BenchState | null>(null)
  const refused = ref<ActRefusal | null>(null)
  const bench = computed(() => (record.value ? drawBench(settingOf(record.value)) : null))
  const entries = computed(() => entriesOf(record.value?.steps ?? []))
  const shown = computed(() => underway.value ?? now.value)
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
  const quietWhy = practiceWords(useWords()).quietWhy

  const keep = () => {
    const kept = record.value
    if (!kept) return
    // A full device store costs going on after a reload only.
    void deviceStore()
      .then((db) => db.put('practice', plain(kept)))
      .catch(() => null)
  }
  const add = (
    step: { readonly act: BenchAct } | { readonly entry: LogEntry } | { readonly hint: HintStep },
  ) => {
    if (!record.value) return
    const at = new Date().toISOString()
    record.value = { ...record.value, steps: [...record.value.steps, { at, ...step }] }
    keep()
  }

  const show = (kept: PracticeRecord) => {
    record.value = kept
    underway.value = null
    refused.value = null
    now.value = bench.value ? benchOf(bench.value, kept.steps) : null
  }
  /** Fetches a try of this device into view. Throws an ApiFailure where there is none. */
  const load = async (id: string) => {
    if (record.value?.id === id) return
    const kept = (await (await deviceStore()).get('practice', id)) as PracticeRecord | undefined
    if (!kept) throw outOfReach()
    show(kept)
  }

  /** Sets up a bench and answers the id of the try. */
  const start = async (setUp: TrySetUp): Promise<string> => {
    const id = practiceId(newId())
    const drawn = drawBench(settingOf(setUp))
    const at = new Date().toISOString()
    const written: LogEntry[] = []
    for (const body of openingEntries(drawn, setUp.from))
      written.push(composeEntry(body, written, session.authorId))
    const steps: PracticeStep[] = [
      ...written.map((entry) => ({ at, entry })),
      ...openingActs(drawn).map((act) => ({ at, act })),
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
    show(kept)
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
    show(kept)
    return id
  }

  /** Hands do something; said why where they can't. */
  const hands = (act: BenchAct): boolean => {
    if (!bench.value || !now.value) return false
    refused.value = actRefusal(bench.value, now.value, act)
    underway.value = null
    if (refused.value) return false
    now.value = afterAct(bench.value, now.value, act)
    add({ act })
    return true
  }

  /** An entry as it was logged; a set-up that mounts other instruments mounts them on the bench. */
  const write = (entry: LogEntry) => {
    add({ entry })
    if (entry.kind !== 'set-up' || !now.value) return
    const { how } = settleSetUp(entry)
    if (standsOtherwise(how, now.value.mount)) hands({ act: 'mount', how })
  }

  /** The set that fails its checks and is used all the same, while the checks keep quiet; null where none does. */
  const quietlyUsed = (entry: LogEntry): string | null => {
    if (entry.kind !== 'readings-taken' || !record.value) return null
    const { latest } = stateOf(record.value.machine, entries.value)
    const there = latest.sets.some((s) => s.set.entry.id === entry.id)
    return there && latest.trust === 'doubtful' ? entry.id : null
  }

  const ask = (hint: HintStep) => add({ hint })
  /** Looks back on the try as it stands; what that takes is fetched when it is first asked for. */
  const review = async (): Promise<Review | null> => {
    const { reviewOf } = await loadReview()
    return record.value && bench.value ? reviewOf(bench.value, record.value.steps, record.value.opened) : null
  }
  const finish = () => {
    if (!record.value || record.value.finishedAt) return
    record.value = { ...record.value, finishedAt: new Date().toISOString() }
    keep()
  }

  return {
    record,
    bench,
    now,
    underway,
    shown,
    refused,
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

/** Whether a set-up puts other instruments on the shafts than stand there: sag and signs are only told. */
const standsOtherwise = (how: NonNullable<BenchState['mount']>, mount: BenchState['mount']): boolean => {
  const stands = (m: BenchState['mount']) => {
    if (m?.method === 'rim-face')
      return [
        m.method,
        m.given.rim.carriedBy,
        m.given.rim.turning,
        ...m.given.faces.map((f) => f.plunger),
      ].join()
    if (m?.method === 'reverse-rim') return [m.method, m.given.onStationary.turning].join()
    return m?.method ?? ''
  }
  return stands(how) !== stands(mount)
}
