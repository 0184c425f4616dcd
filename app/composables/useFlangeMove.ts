import type { LogEntry } from '~~/core/logbook/entry'
import {
  blankFlangeMove,
  editFlangeMove,
  fillFlangeMove,
  nameFlangeMoveUnits,
  readFlangeMove,
  type FlangeMoveTexts,
} from '~~/shared/stages/flangeMove/form'

/** What was really done at the flange: boxes bound to the draft, folded at every digit once they can be read. */
export const useFlangeMove = () => {
  const job = useJob()
  const session = useSession()
  const telling = useTelling()
  const { draft: form, clear } = useDraft<FlangeMoveTexts>('flange-move', () =>
    blankFlangeMove(session.units),
  )
  useUnitsOfDraft(form, nameFlangeMoveUnits)
  const state = computed(() => job.flange!)
  const plan = computed(() => (state.value.plan && !state.value.plan.stale ? state.value.plan.entry : null))
  const leaves = computed(() => (form.value.correcting ? state.value.leavesBefore : state.value.leaves))
  const read = computed(() =>
    readFlangeMove(
      form.value,
      state.value.shape.bolts,
      leaves.value,
      state.value.machine.packLimit,
      telling.value,
    ),
  )
  const asPlanned = () => {
    if (plan.value) form.value = fillFlangeMove(form.value, plan.value.payload, session.units)
  }
  const correct = (entry: LogEntry<'flange-moved'>) => {
    form.value = editFlangeMove(entry, session.units)
  }
  watch(
    read,
    ({ payload }) => {
      const { correcting } = form.value
      job.draft = payload
        ? job.compose(
            { kind: 'flange-moved', payload },
            correcting ? { entry: correcting, reason: '…' } : null,
          )
        : null
    },
    { immediate: true },
  )
  onBeforeUnmount(() => {
    job.draft = null
  })
  return { form, clear, state, plan, leaves, read, asPlanned, correct }
}
