import type { SetUpPayload } from '~~/core/stages/setUp/entries'
import {
  editSetUp,
  nameSetUpUnits,
  readSetUp,
  startSetUp,
  type SetUpContext,
  type SetUpTexts,
} from '~~/shared/stages/setUp/form'
import type { OfferedMethod } from '~~/shared/methods/forms'

/** The set-up boxes of a job: the form bound to the draft, the units and what is known of the machine. */
export const useSetUpForm = () => {
  const job = useJob()
  const session = useSession()
  const telling = useTelling()
  const machine = computed(() => job.coupled!.machine)
  const ofThisJob = computed(() => job.coupled?.setUp?.entry.payload ?? null)
  const context = computed((): SetUpContext => ({
    machine: machine.value,
    last: ofThisJob.value ?? job.previous?.setUp ?? null,
    lastJob: job.previous?.setUp ?? null,
  }))
  const { draft: form, clear } = useDraft<SetUpTexts & { correcting: string }>('set-up', () => ({
    ...startSetUp(context.value, session.units),
    correcting: '',
  }))
  useUnitsOfDraft(form, nameSetUpUnits)

  const read = computed(() => readSetUp(form.value, context.value, telling.value))
  const chooseMethod = (method: OfferedMethod) => {
    if (method === form.value.method) return
    const { correcting } = form.value
    form.value = { ...startSetUp(context.value, session.units, method), correcting }
  }
  const correct = (payload: SetUpPayload, entry: string) => {
    form.value = { ...editSetUp(payload, context.value, session.units), correcting: entry }
  }
  return { form, read, context, clear, chooseMethod, correct }
}
