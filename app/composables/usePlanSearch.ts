import { proxy, wrap } from 'comlink'
import { planMoves, type PlanInput, type PlanResult } from '~~/core/plan/movePlan'
import type { PlanSearch } from '~/workers/plan.worker'

/** Milliseconds before a search is worth mentioning: most are over by then. */
const WORTH_SAYING = 250

/**
 * Plans for an input, worked out in a worker: the newest input counts, a search under way for an older one
 * is ended. `stop` ends it for good; `again` takes it up anew. Where no worker can be had, out of reach of the
 * server for one, the page works them out itself.
 */
export const usePlanSearch = (input: () => PlanInput | null) => {
  const result = shallowRef<PlanResult | null>(null)
  const state = ref<'idle' | 'working' | 'stopped' | 'failed'>('idle')
  const long = ref(false)
  const looked = ref(0)
  let worker: Worker | null = null
  let asked = ''
  let saying: ReturnType<typeof setTimeout> | undefined

  const end = () => {
    clearTimeout(saying)
    long.value = false
    worker?.terminate()
    worker = null
  }
  const search = async (wanted: PlanInput) => {
    end()
    result.value = null
    looked.value = 0
    state.value = 'working'
    saying = setTimeout(() => (long.value = true), WORTH_SAYING)
    const plain = JSON.parse(JSON.stringify(wanted)) as PlanInput
    const own = new Worker(new URL('../workers/plan.worker.ts', import.meta.url), { type: 'module' })
    worker = own
    own.addEventListener('error', () => {
      if (worker !== own) return
      end()
      result.value = planMoves(plain)
      state.value = 'idle'
    })
    const found = await wrap<PlanSearch>(own)
      .plan(
        plain,
        proxy((settings: number) => {
          if (worker === own) looked.value = settings
        }),
      )
      .catch(() => null)
    if (worker !== own) return
    end()
    result.value = found
    state.value = found ? 'idle' : 'failed'
  }
  const again = () => {
    const now = input()
    if (now) void search(now)
  }
  watch(
    input,
    (now) => {
      // Another remark changes no plan: only what it rests on counts.
      const text = now ? JSON.stringify(now) : ''
      if (text === asked) return
      asked = text
      if (now) void search(now)
      else {
        end()
        result.value = null
        state.value = 'idle'
      }
    },
    { immediate: true },
  )
  const stop = () => {
    end()
    state.value = 'stopped'
  }
  onScopeDispose(end)
  return { result, state, long, looked, stop, again }
}
