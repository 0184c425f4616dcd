import { eachPlane, type Misalignment, type Plane } from '~~/core/frame/planes'
import { toCore } from '~~/core/units/unitSystem'
import { typedMillimetres, typedValue } from '~~/shared/forms/typed'
import type { Texts } from '~~/shared/quick/texts'

/** How a board of a quick sum reads and writes the sum's form: by path, as it is typed and in millimetres. */
export const useSumBoard = () => {
  const form = inject(sumFormKey)!
  const session = useSession()
  const text = (path: string): string => {
    const here = form.at(path)
    return typeof here === 'string' ? here : ''
  }
  const mm = (path: string, measure: 'displacement' | 'distance'): number | null =>
    typedMillimetres(text(path), measure, session.units)
  const rows = (path: string): readonly Texts[] => {
    const here = form.at(path)
    return Array.isArray(here) ? here : []
  }
  /** Pairs that stand in this list, millimetres; an ordinary distance while none is typed. */
  const feetIn = (list: string) => {
    const found = rows(list).flatMap((_, i) => {
      const x = mm(`${list}/${i}/x`, 'distance')
      return x === null || x <= 0 ? [] : [{ id: String(i), x }]
    })
    return found.length > 0 ? found : [{ id: '0', x: 300 }]
  }
  /** Offset and angle that stand below a path; null where nothing is typed. */
  const lineAt = (path: string): Misalignment => {
    const offset = (p: Plane) => mm(`${path}/offset/${p}`, 'displacement')
    const slope = (p: Plane) => {
      const typed = typedValue(text(`${path}/slope/${p}`), 'plain', session.units)
      return typed === null ? null : toCore(typed, 'slope', session.units)
    }
    return { offset: eachPlane(offset), slope: eachPlane(slope) }
  }
  /** A number box bound to a path. */
  const box = (path: string, measure: 'displacement' | 'distance' | 'plain') => ({
    modelValue: text(path),
    measure,
    units: session.units,
    onDye: true,
    signed: true,
    note: form.issue(path),
    noteIsFault: form.issue(path) !== '',
    'onUpdate:modelValue': (typed: string) => form.set(path, typed),
  })
  return { form, text, mm, rows, feetIn, lineAt, box, set: form.set }
}
