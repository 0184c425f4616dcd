import { wrap, type Remote } from 'comlink'
import type { CalculationAnswer } from '~~/shared/calculation/operation'
import { calculate } from '~~/shared/calculation/operations'
import type { Sums } from '~/workers/sum.worker'

/** Sums whose solver runs on the server: it is large, and a train is planned at a desk. */
const AT_SERVER: ReadonlySet<string> = new Set(['train-plan'])

const atServer = async (id: string, input: unknown): Promise<CalculationAnswer | null> => {
  try {
    return { ok: true, result: await askServer(`/api/calc/${id}`, { method: 'POST', body: input as object }) }
  } catch (failure) {
    if (!(failure instanceof ApiFailure) || failure.passing) return null
    const { code, message, issues } = failure.answer
    const refused = code === 'refused' ? ('refused' as const) : ('bad-input' as const)
    return { ok: false, error: { code: refused, message, issues: issues ?? [] } }
  }
}

/**
 * What an operation makes of an input, worked out in a worker at every change; what is under way for an older
 * input is ended. Null while the input can't be read.
 */
export const useSumAnswer = (id: string, input: () => unknown) => {
  const answer = shallowRef<CalculationAnswer | null>(null)
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
    const plain = JSON.parse(JSON.stringify(wanted)) as unknown
    let found: CalculationAnswer | null = null
    try {
      if (AT_SERVER.has(id)) found = await atServer(id, plain)
      else if (!worker) {
        worker = new Worker(new URL('../workers/sum.worker.ts', import.meta.url), { type: 'module' })
        remote = wrap<Sums>(worker)
        const broken = new Promise<never>((_, reject) => worker?.addEventListener('error', reject))
        found = await Promise.race([remote.calculate(id, plain), broken])
      } else found = await (remote as Remote<Sums>).calculate(id, plain)
    } catch {
      // Where no worker can be had, out of reach of the server for one, the page works it out itself.
      end()
      found = await calculate(id, plain).catch(() => null)
    }
    if (own !== asked) return
    busy.value = false
    failed.value = found === null
    answer.value = found
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
      answer.value = null
    },
    { immediate: true },
  )
  onScopeDispose(stop)
  return { answer, busy, failed, stop, needsServer: AT_SERVER.has(id) }
}
