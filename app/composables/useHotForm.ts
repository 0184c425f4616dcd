import { movableName, machineNames } from '~~/shared/wording/machineNames'
import { hotWords } from '~~/shared/wording/en'
import { timeWords } from '~~/shared/wording/days'
import { meaningOfHot } from '~~/shared/wording/hotCheck'
import { drawWarming } from '~~/shared/stages/hotCheck/drawing'
import {
  blankTemperatures,
  nameTemperatureUnits,
  readTemperatures,
  type TemperatureTexts,
  type WarmPair,
} from '~~/shared/stages/hotCheck/form'

/** The temperatures of a hot run: boxes bound to the draft, what they come to, and how they are drawn. */
export const useHotForm = () => {
  const job = useJob()
  const session = useSession()
  const telling = useTelling()
  const now = useNow({ interval: 5000 })
  const state = computed(() => job.coupled!)
  const pairs = computed((): readonly WarmPair[] => {
    const { movable, stationary } = state.value.feet
    return [
      ...[...stationary].sort((a, b) => a.x - b.x).map(({ id }) => ({ machine: 'stationary' as const, id })),
      ...movable.map(({ id }) => ({ machine: 'movable' as const, id })),
    ]
  })
  const { draft: form } = useDraft<TemperatureTexts>('temperatures', () => blankTemperatures(session.units))
  useUnitsOfDraft(form, nameTemperatureUnits)
  const read = computed(() =>
    readTemperatures(form.value, pairs.value, state.value.hot.warming, now.value.getTime(), telling.value),
  )
  const drawn = computed(() => {
    const { run, settledSince, warming } = state.value.hot
    return drawWarming(
      warming,
      {
        begun: run.begun && Date.parse(run.begun.payload.at),
        stopped: run.ended && Date.parse(run.ended.payload.at),
        settled: settledSince,
      },
      now.value.getTime(),
      session.units,
    )
  })
  const sinceStop = computed(() => {
    const { ended, answered } = state.value.hot.run
    return ended && !answered
      ? Math.max(0, Math.round((now.value.getTime() - Date.parse(ended.payload.at)) / 60_000))
      : null
  })
  const meaning = computed(() =>
    meaningOfHot(state.value, movableName(state.value), telling.value, now.value.getTime()),
  )
  const degrees = computed(() => (session.units === 'inch' ? '°F' : '°C'))
  const nameOf = (machine: WarmPair['machine'], pair: string) =>
    `${machineNames(state.value)[machine]}, ${telling.value.footNames(pair, machine)}`
  const still = computed(() => {
    const v = hotWords(telling.value.words).view
    const { settledSince, warming } = state.value.hot
    if (warming.length === 0) return v.noneYet
    return settledSince === null ? v.notStill : v.still(timeWords(settledSince))
  })
  const clear = () => {
    form.value = blankTemperatures(session.units)
  }
  return { form, pairs, read, drawn, sinceStop, now, clear, state, meaning, degrees, nameOf, still }
}

/** Logs what stands in the boxes of a hot run, once what is odd was asked. */
export const useLogTemperatures = ({ read, clear }: ReturnType<typeof useHotForm>) => {
  const job = useJob()
  const ask = useAskOnce(() => read.value.questions)
  const log = () => {
    const { payload } = read.value
    if (payload && ask.mayGo() && job.log({ kind: 'temperatures-read', payload })) clear()
  }
  return { ask, log }
}
