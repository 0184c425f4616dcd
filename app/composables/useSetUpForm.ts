import type { SetUpPayload } from '~~/core/stages/setUp/entries'
import {
  editSetUp,
  NO_PIPE,
  nameSetUpUnits,
  readSetUp,
  startSetUp,
  type PipeTexts,
  type SetUpContext,
  type SetUpTexts,
} from '~~/shared/stages/setUp/form'
import type { OfferedMethod } from '~~/shared/methods/forms'

/** The set-up boxes of a job: the form bound to the draft, the units and what is known of the machine. */
export const useSetUpForm = () => {
  const job = useJob()
  const session = useSession()
  const telling = useTelling()
  const machine = computed(() => job.measured!.machine)
  const ofThisJob = computed(() => job.measured?.setUp?.entry.payload ?? null)
  const before = computed(() =>
    job.part ? (job.previous?.parts?.[job.part] ?? null) : (job.previous?.setUp ?? null),
  )
  const context = computed((): SetUpContext => ({
    machine: machine.value,
    last: ofThisJob.value ?? before.value,
    lastJob: before.value,
    turned: job.coupled?.runouts.surfaces ?? [],
  }))
  const { draft: form, clear } = useDraft<SetUpTexts & { correcting: string }>('set-up', () => ({
    ...startSetUp(context.value, session.units),
    correcting: '',
  }))
  useUnitsOfDraft(form, nameSetUpUnits)

  const read = computed(() => readSetUp(form.value, context.value, telling.value))
  // Nudging a head proves what its tick says.
  watch(
    () => read.value.nudge,
    (says) => {
      if (says === 'as-named' && !form.value.checked.includes('each-own-machine'))
        form.value.checked = [...form.value.checked, 'each-own-machine']
    },
  )
  const chooseMethod = (method: OfferedMethod) => {
    if (method === form.value.method) return
    const { correcting } = form.value
    form.value = { ...startSetUp(context.value, session.units, method), correcting }
  }
  const correct = (payload: SetUpPayload, entry: string) => {
    form.value = { ...editSetUp(payload, context.value, session.units), correcting: entry }
  }
  /** The boxes of one bar on a pipe, made when first asked for. */
  const pipeOf = (id: string): PipeTexts => (form.value.pipe[id] ??= { ...NO_PIPE })
  return { form, read, context, clear, chooseMethod, correct, pipeOf }
}
