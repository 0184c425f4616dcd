import { wrap, type Remote } from 'comlink'
import type { CalculationAnswer } from '~~/shared/calculation/operation'
import { calculate, inputSchema, OPERATIONS, resultSchema } from '~~/shared/calculation/operations'
import {
  blankOf,
  fieldOf,
  namedInner,
  openedOf,
  readForm,
  renameUnits,
  textsOf,
  type Field,
  type Texts,
  type TextGroup,
} from '~~/shared/quick/schemaForm'
import type { UnitSystem } from '~~/core/units/unitSystem'
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

const forms = new Map<string, Field>()
/** The form of an operation; null for one that isn't there. */
const formOf = (id: string): Field | null => {
  const known = forms.get(id)
  const operation = OPERATIONS.find((o) => o.name === id)
  if (known || !operation) return known ?? null
  const form = fieldOf(inputSchema(operation))
  forms.set(id, form)
  return form
}

interface Kept {
  units: UnitSystem
  texts: Texts
}

/** How the parts of a form reach what was typed into them: by their path. */
export interface SumForm {
  readonly at: (path: string) => Texts | undefined
  readonly set: (path: string, value: Texts) => void
  readonly issue: (path: string) => string
  readonly inner: (operation: string) => Field | null
}
export const sumFormKey: InjectionKey<SumForm> = Symbol('sum form')

const stepsOf = (path: string): readonly string[] => (path === '' ? [] : path.split('/'))

/** One quick sum: what was typed, kept on the device, and what comes out, worked out in a worker at every change. */
export const useSum = (id: string) => {
  const session = useSession()
  const words = useWords()
  const form = formOf(id) as Field
  const kept = useLocalStorage<Kept>(
    `hc.sum.${id}`,
    { units: session.units, texts: blankOf(form) },
    { deep: true },
  )

  const fill = (input: { readonly units: UnitSystem }) => {
    session.switchUnits(input.units)
    kept.value = {
      units: input.units,
      texts: textsOf(form, namedInner(form, input, formOf), input.units, formOf),
    }
  }
  // A link may bring its numbers along.
  const brought = decodeURIComponent(location.hash.slice(1))
  if (brought !== '') {
    try {
      fill(JSON.parse(brought) as { units: UnitSystem })
    } catch {
      // Not one of our links: the form stays as it was.
    }
  }
  watch(
    () => session.units,
    (now) => {
      const { units, texts } = kept.value
      if (units !== now) kept.value = { units: now, texts: renameUnits(form, texts, units, now, formOf) }
    },
    { immediate: true, flush: 'sync' },
  )

  const at = (path: string): Texts | undefined => {
    let here: Texts | undefined = kept.value.texts
    for (const step of stepsOf(path)) here = (here as TextGroup | null | undefined)?.[step]
    return here
  }
  const set = (path: string, value: Texts) => {
    const steps = stepsOf(path)
    const last = steps[steps.length - 1]
    if (last === undefined) {
      kept.value.texts = value
      return
    }
    const holder = at(steps.slice(0, -1).join('/')) as TextGroup
    holder[last] = value
  }

  const read = computed(() => readForm(form, kept.value.texts, session.units, words, formOf))
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
  const ask = async (input: unknown) => {
    const own = ++asked
    // What is still under way is for numbers that no longer stand there.
    if (busy.value) end()
    busy.value = true
    failed.value = false
    const plain = JSON.parse(JSON.stringify(input)) as unknown
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
  const askSoon = useDebounceFn((input: unknown) => void ask(input), 120)
  watch(
    () => JSON.stringify(read.value.input),
    () => {
      if (Object.keys(read.value.faults).length > 0) answer.value = null
      else void askSoon(read.value.input)
    },
    { immediate: true },
  )
  const stop = () => {
    asked++
    end()
    busy.value = false
  }
  onScopeDispose(() => {
    asked++
    end()
  })

  const issues = computed(() => (answer.value && !answer.value.ok ? answer.value.error.issues : []))
  /** A fault of the box itself, or what the operation says of what stands in it. */
  const issue = (path: string): string => {
    const dotted = stepsOf(path)
      .filter((step) => step !== 'of')
      .join('.')
    const fault = read.value.faults[dotted]
    if (fault) return fault
    const typed = at(path)
    if (typeof typed !== 'string' || typed.trim() === '') return ''
    return issues.value.find((i) => i.path === dotted)?.message ?? ''
  }
  provide(sumFormKey, { at, set, issue, inner: formOf })
  const operation = OPERATIONS.find((o) => o.name === id)
  const schema = operation ? resultSchema(operation) : {}
  const clear = () => set('', openedOf(form))
  return {
    form,
    read,
    answer,
    busy,
    failed,
    issues,
    schema,
    stop,
    clear,
    fill,
    needsServer: AT_SERVER.has(id),
  }
}
