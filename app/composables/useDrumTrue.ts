import { checkDrum, keepDrum, type DrumSurface } from '~~/core/stages/drumTrue/drumTrue'
import { blankTurn, nameTurnUnits, readTurn, type TurnTexts } from '~~/shared/stages/level/turn'

/** One turn of the drum being typed, and what it would mean once logged. */
export const useDrumTrue = () => {
  const job = useJob()
  const session = useSession()
  const telling = useTelling()
  const { draft: form } = useDraft<TurnTexts & { words: string }>('drum-turn', () => ({
    ...blankTurn(session.units),
    words: '',
  }))
  useUnitsOfDraft(form, nameTurnUnits)
  const state = computed(() => job.drum!)
  const read = computed(() => readTurn(form.value, 'stationary', telling.value))
  const typed = computed(() => Object.values(form.value.values).some((t) => t.trim() !== ''))
  /** As the logbook stands, with the turn in the boxes added. */
  const drum = computed(() => {
    const { machine, rpm, drum: now } = state.value
    const { runout } = read.value
    if (!runout || !typed.value) return now
    return checkDrum(machine, keepDrum(now.facts, job.compose({ kind: 'runout-read', payload: runout })), rpm)
  })
  const surface = computed(
    () =>
      drum.value.surfaces.find((s) => s.surface === (form.value.surface as DrumSurface)) ??
      drum.value.surfaces[0]!,
  )
  const clear = () => {
    form.value.values = {}
    form.value.words = ''
  }
  return { form, state, read, typed, drum, surface, clear }
}
