import type { LogEntry } from '~~/core/logbook/entry'
import { feetBeforeLastMove, planFeet } from '~~/core/stages/plan/planning'
import {
  blankMove,
  editMove,
  fillMove,
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

  const feet = computed(() => {
    if (!job.coupled) return []
    return form.value.correcting ? feetBeforeLastMove(job.coupled) : planFeet(job.coupled)
  })
  const read = computed(() =>
    readMove(form.value, feet.value, job.coupled?.machine.packLimit ?? 4, telling.value),
  )
  const plan = computed(() => (job.coupled?.plan && !job.coupled.plan.stale ? job.coupled.plan.entry : null))
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
  return { form, clear, feet, read, plan, fill, correct }
}
