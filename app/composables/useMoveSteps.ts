import { pushingWords } from '~~/shared/wording/en'
import { keyOfPair, pairKey, SIDES } from '~~/core/plan/pairNames'
import type { PlanFoot } from '~~/core/plan/movePlan'
import type { LogEntry } from '~~/core/logbook/entry'
import { toCore } from '~~/core/units/unitSystem'
import { capital } from '~~/shared/wording/capital'
import { pairName } from '~~/shared/wording/telling'

/** The two steps of a move, shims and push: what the plan wants in each, and which of them is on. */
export const useMoveSteps = (feet: Ref<readonly PlanFoot[]>, plan: Ref<LogEntry<'plan-chosen'> | null>) => {
  const job = useJob()
  const telling = useTelling()
  const w = computed(() => pushingWords(telling.value.words).steps)
  const pairs = computed(() =>
    feet.value.map((f) => {
      const of = (side: 'left' | 'right') => {
        const change = plan.value?.payload.changes.find(
          (c) => pairKey(c.pair, c.machine) === keyOfPair(f) && c.side === side,
        )
        const mm = (t: number) => toCore(t, 'displacement', plan.value?.payload.units ?? 'inch')
        return change ? { takeOut: change.takenOut.map(mm), putIn: change.putIn.map(mm) } : null
      }
      return {
        machine: f.machine ?? 'movable',
        id: f.id,
        name: capital(pairName(telling.value, f)),
        packs: f.existing,
        planned: { left: of('left'), right: of('right') },
      }
    }),
  )
  const plannedSide = (pair: Pick<PlanFoot, 'id' | 'machine'>) =>
    plan.value ? (job.footed?.plan?.footwork.moves.find((m) => keyOfPair(m) === keyOfPair(pair))?.h ?? 0) : 0
  const plannedShims = computed(() => pairs.value.some((p) => SIDES.some((s) => p.planned[s])))
  const plannedSides = computed(() => feet.value.some((f) => Math.abs(plannedSide(f)) > 1e-9))

  const picked = ref<'v' | 'h' | null>(null)
  watch(
    () => plan.value?.id,
    () => (picked.value = null),
  )
  /** Shims first: while any wait, the push waits. */
  const step = computed({
    get: () => picked.value ?? (plannedSides.value && !plannedShims.value ? 'h' : 'v'),
    set: (which) => (picked.value = which),
  })
  const steps = computed(() => [
    { value: 'v' as const, label: w.value.v, says: plannedShims.value ? w.value.shimsNow : w.value.noShims },
    {
      value: 'h' as const,
      label: w.value.h,
      says: !plannedSides.value ? w.value.noSides : plannedShims.value ? w.value.sidesWait : w.value.sidesNow,
    },
  ])
  return { pairs, plannedSide, plannedShims, plannedSides, step, steps }
}
