import type { LogEntry } from '~~/core/logbook/entry'
import { feetBeforeLastMove, planFeet } from '~~/core/stages/plan/planning'
import {
  blankMove,
  editMove,
  fillMove,
  movesDriven,
  nameMoveUnits,
  readMove,
  type MoveTexts,
} from '~~/shared/stages/move/form'

/** What was really done at each foot: boxes bound to the draft, folded at every digit once they can be read. */
export const useMoveForm = () => {
  const job = useJob()
  const session = useSession()
  const telling = useTelling()
  const { draft: form, clear } = useDraft<MoveTexts>('move', () => blankMove(session.units))
  useUnitsOfDraft(form, nameMoveUnits)

  const plan = computed(() => (job.footed?.plan && !job.footed.plan.stale ? job.footed.plan.entry : null))
  /** A line of its own can be given to the driven machine: it has two pairs at least. */
  const hasDriven = computed(() => (job.footed?.machine.feet.stationary.length ?? 0) > 1)
  const withDriven = computed(
    () =>
      hasDriven.value &&
      (form.value.driven === true || (plan.value !== null && movesDriven(plan.value.payload))),
  )
  const feet = computed(() => {
    const state = job.footed
    if (!state) return []
    const feetOf = form.value.correcting ? feetBeforeLastMove : planFeet
    return [...feetOf(state), ...(withDriven.value ? feetOf(state, 'stationary') : [])]
  })
  const read = computed(() =>
    readMove(form.value, feet.value, job.footed?.machine.packLimit ?? 4, telling.value),
  )
  const fill = (what: { shims: boolean; side: boolean }) => {
    if (plan.value) form.value = fillMove(form.value, plan.value.payload, what, session.units)
  }
  const correct = (entry: LogEntry<'move-made'>) => {
    form.value = editMove(entry, session.units)
  }
  watch(
    read,
    ({ payload }) => {
      const { correcting } = form.value
      job.draft = payload
        ? job.compose({ kind: 'move-made', payload }, correcting ? { entry: correcting, reason: '…' } : null)
        : null
    },
    { immediate: true },
  )
  onBeforeUnmount(() => {
    job.draft = null
  })
  return { form, clear, feet, hasDriven, withDriven, read, plan, fill, correct }
}
