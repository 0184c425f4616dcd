import { machineNames } from '~~/shared/wording/machineNames'
import { checkLevels, keepLevels, levelCure } from '~~/core/stages/level/levels'
import { checkRunouts, keepRunouts, runoutEffect } from '~~/core/stages/level/runouts'
import { blankLevel, nameLevelUnits, readLevel, ROLES, type LevelTexts } from '~~/shared/stages/level/form'

/** The boxes of the level and of the turned hub, bound to the draft; what they would mean once logged. */
export const useLevelForm = () => {
  const job = useJob()
  const session = useSession()
  const telling = useTelling()
  const { draft: form } = useDraft<LevelTexts>('level', () => blankLevel(session.units))
  useUnitsOfDraft(form, nameLevelUnits)
  const state = computed(() => job.coupled!)
  const names = computed(() => machineNames(state.value))
  const read = computed(() => readLevel(form.value, telling.value))
  const typing = computed(() =>
    form.value.panel === 'level' ? read.value.levels.length > 0 : read.value.runout !== null,
  )

  /** As the logbook stands, with what is in the boxes added. */
  const levels = computed(() => {
    const facts = read.value.levels.reduce(
      (now, payload) => keepLevels(now, job.compose({ kind: 'level-read', payload })),
      state.value.levels.facts,
    )
    return checkLevels(facts)
  })
  const runouts = computed(() => {
    const { runout } = read.value
    const facts = state.value.runouts.surfaces.map((s) => s.entry)
    return checkRunouts(
      runout && form.value.panel === 'runout'
        ? keepRunouts(facts, job.compose({ kind: 'runout-read', payload: runout }))
        : facts,
      state.value.rpm,
    )
  })
  /** The surface the boxes stand for, as typed or as it was last turned. */
  const surface = computed(
    () =>
      runouts.value.surfaces.find(
        (s) => s.machine === form.value.machine && s.surface === form.value.surface,
      ) ?? null,
  )
  const cure = computed(() => levelCure(state.value.machine, levels.value, state.value.packs))
  const effect = computed(() => runoutEffect(state.value.setUp?.how ?? null))
  const clearLevel = () => {
    for (const role of ROLES)
      form.value.shafts[role] = { ...form.value.shafts[role], feeler: '', divisions: '', reversed: '' }
  }
  const clearTurn = () => {
    form.value.values = {}
    form.value.limit = ''
  }
  return { form, state, names, read, typing, levels, runouts, surface, cure, effect, clearLevel, clearTurn }
}
