import { wrap, type Remote } from 'comlink'
import type { UnitSystem } from '~~/core/units/unitSystem'
import type { WorkedOut } from '~~/shared/quick/workOut'
import type { Sums } from '~/workers/sum.worker'

type Input = { readonly units: UnitSystem }

/** Sums whose solver runs on the server: it is large, and a train is planned at a desk. Out of reach the device runs it, which takes longer. */
const AT_SERVER: ReadonlySet<string> = new Set(['train-plan'])

/** Where no worker can be had the page works it out itself; fetched while the network is there. */
const onPage = () => import('~~/shared/quick/workOut')

const atServer = async (id: string, input: Input): Promise<WorkedOut | null> => {
  try {
    const result = await askServer(`/api/calc/${id}`, { method: 'POST', body: input })
    return { answer: { ok: true, result }, steps: [] }
  } catch (failure) {
    if (!(failure instanceof ApiFailure) || failure.passing) return null
    const { code, message, issues } = failure.answer
    const refused = code === 'refused' ? ('refused' as const) : ('bad-input' as const)
    return { answer: { ok: false, error: { code: refused, message, issues: issues ?? [] } }, steps: [] }
  }
}

/**
 * What an operation makes of an input, worked out in a worker at every change; what is under way for an older
 * input is ended. Null while the input can't be read.
 */
export const useSumAnswer = (id: string, input: () => unknown) => {
  const { viewFrom } = useInView()
  const out = shallowRef<WorkedOut | null>(null)
  watch(useBehind(), () => void onPage().catch(() => null))
  const busy = ref(false)
  const failed = ref(false)
  let worker: Worker | null = null
  let remote: Remote<Sums> | null = null
  let asked = 0
  const end = () => {
    worker?.terminate()
    worker = null
    remote = null
  }
  const ask = async (wanted: unknown) => {
    const own = ++asked
    // What is still under way is for numbers that no longer stand there.
    if (busy.value) end()
    busy.value = true
    failed.value = false
    const plain = JSON.parse(JSON.stringify(wanted)) as Input
    let found: WorkedOut | null = null
    try {
      if (AT_SERVER.has(id)) found = await atServer(id, plain)
      if (found) end()
      else if (!worker) {
        worker = new Worker(new URL('../workers/sum.worker.ts', import.meta.url), { type: 'module' })
        remote = wrap<Sums>(worker)
        const broken = new Promise<never>((_, reject) => worker?.addEventListener('error', reject))
        found = await Promise.race([remote.workOut(id, plain, viewFrom), broken])
      } else found = await (remote as Remote<Sums>).workOut(id, plain, viewFrom)
    } catch {
      // Out of reach of the server, for one.
      end()
      found = await onPage()
        .then((page) => page.workOut(id, plain, viewFrom))
        .catch(() => null)
    }
    if (own !== asked) return
    busy.value = false
    failed.value = found === null
    out.value = found
  }
  const stop = () => {
    asked++
    end()
    busy.value = false
  }
  const askSoon = useDebounceFn(() => {
    const now = input()
    if (now !== null) void ask(now)
  }, 120)
  watch(
    // Typing the same number another way asks nothing new.
    () => JSON.stringify(input()),
    () => {
      if (input() !== null) return void askSoon()
      stop()
      out.value = null
    },
    { immediate: true },
  )
  onScopeDispose(stop)
  const answer = computed(() => out.value?.answer ?? null)
  const steps = computed(() => out.value?.steps ?? [])
  return { answer, steps, busy, failed, stop }
}
