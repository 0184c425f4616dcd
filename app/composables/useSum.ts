import shapes from '#build/sumShapes'
import type { Field } from '~~/shared/quick/field'
import { readForm } from '~~/shared/quick/readForm'
import {
  blankOf,
  namedInner,
  openedOf,
  putAt,
  renameUnits,
  textsOf,
  type TextGroup,
  type Texts,
} from '~~/shared/quick/texts'
import type { UnitSystem } from '~~/core/units/unitSystem'

/** The form of an operation; null for one that isn't there. */
const formOf = (id: string): Field | null => shapes[id]?.form ?? null

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
  /** What the form comes to, as the sum takes it. */
  readonly input: () => unknown
  /** Stands on the sum's drawing. */
  readonly taken: (path: string) => boolean
}
/** Paths of the form that stand on the sum's drawing; for some it depends on what the form holds. */
export type SumTakes = readonly string[] | ((at: (path: string) => Texts | undefined) => readonly string[])
export const sumFormKey: InjectionKey<SumForm> = Symbol('sum form')

const stepsOf = (path: string): readonly string[] => (path === '' ? [] : path.split('/'))

/** One quick sum: what was typed, kept on the device, and what comes out of it. */
export const useSum = (id: string, takes: SumTakes = []) => {
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
    putAt(form, kept.value.texts as TextGroup, steps, value, formOf)
  }

  const read = computed(() => readForm(form, kept.value.texts, session.units, words, formOf))
  const { answer, steps, busy, failed, stop } = useSumAnswer(id, () =>
    Object.keys(read.value.faults).length > 0 ? null : read.value.input,
  )

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
  const takenNow = computed(() => (typeof takes === 'function' ? takes(at) : takes))
  provide(sumFormKey, {
    at,
    set,
    issue,
    inner: formOf,
    input: () => read.value.input,
    taken: (path) => takenNow.value.includes(path),
  })
  const clear = () => set('', openedOf(form))
  return {
    form,
    read,
    answer,
    steps,
    busy,
    failed,
    issues,
    schema: shapes[id]?.result,
    stop,
    clear,
    fill,
  }
}
