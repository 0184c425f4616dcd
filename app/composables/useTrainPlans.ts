import { wrap } from 'comlink'
import type { TrainInput } from '~~/core/stages/trainPlan/planning'
import type { TrainPlan } from '~~/core/train/trainPlan'
import type { TrainSearch } from '~/workers/train.worker'
import { ahead } from '~/stages/ahead'

/** Where no worker can be had, out of reach of the server for one, the page works them out itself. */
const onPage = ahead(async () => {
  const [solver, { trainPlans }] = await Promise.all([
    import('~~/shared/solver/highs'),
    import('~~/core/stages/trainPlan/search'),
  ])
  await solver.loadSolver()
  return (input: TrainInput) => trainPlans(input, solver.highsWithin(ON_PAGE_SECONDS).solve)
})
const ON_PAGE_SECONDS = 8

/** Plans of a line, worked out in a worker: the newest input counts, a search under way for an older one is ended. */
export const useTrainPlans = (input: () => TrainInput | null) => {
  const plans = shallowRef<readonly TrainPlan[]>([])
  const state = ref<'idle' | 'working' | 'failed'>('idle')
  let worker: Worker | null = null
  let asked = ''
  const end = () => {
    worker?.terminate()
    worker = null
  }
  const search = async (wanted: TrainInput) => {
    end()
    plans.value = []
    state.value = 'working'
    const own = new Worker(new URL('../workers/train.worker.ts', import.meta.url), { type: 'module' })
    worker = own
    const failed = new Promise<null>((done) => own.addEventListener('error', () => done(null)))
    const found = await Promise.race([
      wrap<TrainSearch>(own)
        .plans(JSON.parse(JSON.stringify(wanted)) as TrainInput)
        .catch(() => null),
      failed,
    ])
    if (worker !== own) return
    end()
    const here =
      found ??
      (await onPage()
        .then((plan) => plan(wanted))
        .catch(() => null))
    // What was asked meanwhile is under way by itself.
    if (asked !== JSON.stringify(wanted) || worker) return
    plans.value = here ?? []
    state.value = here ? 'idle' : 'failed'
  }
  const again = () => {
    const now = input()
    if (now) void search(now)
  }
  watch(
    input,
    (now) => {
      const text = now ? JSON.stringify(now) : ''
      if (text === asked) return
      asked = text
      if (now) void search(now)
      else {
        end()
        plans.value = []
        state.value = 'idle'
      }
    },
    { immediate: true },
  )
  onScopeDispose(end)
  return { plans, state, again }
}
