import { directionsWords, quantitiesWords, aimsWords } from './en'
import type { JudgedValue, Judgement } from '../../core/judge/judge'
import { signWord, slopeEndWords, offsetWords } from './directions'
import { figure } from './figures'
import type { Telling } from './telling'

/** A judged quantity in words: vertical is up and down, horizontal is toward 3 and 9. */
export const quantityName = (name: string, { words }: Pick<Telling, 'words'>): string =>
  quantitiesWords(words)[name] ?? name

/** A judged value with its sign in words: `8.4 mil low`, `angle, vertical: outboard end low`. */
const valueWords = (q: JudgedValue, far: string, telling: Telling): string => {
  const plane = q.name.endsWith('.v') ? 'v' : q.name.endsWith('.h') ? 'h' : null
  const name = quantityName(q.name, telling).toLowerCase()
  const w = aimsWords(telling.words)
  // What is set off on purpose is counted from where it was set.
  const offset = (what: string) => (aimed(q) ? w.fromIt(what) : what)
  const angle = (what: string) => (aimed(q) ? w.fromItAngle(what) : what)
  if (plane && q.name.startsWith('offset.')) return offset(offsetWords(q.value, plane, telling))
  if (plane && q.name.startsWith('slope.'))
    return angle(
      `${name} ${figure(q.value, 'slope', telling.units)}, ${slopeEndWords(q.value, plane, far, telling)}`,
    )
  const word = signWord(q, q.value, telling)
  // Where a flexing plane opens says which plane it is, and the figure needs no sign beside it.
  if (plane && word && q.value !== null && q.name.startsWith('flex.'))
    return angle(
      `${quantityName(q.name.slice(0, -2), telling).toLowerCase()} ${figure(Math.abs(q.value), q.kind, telling.units, { unit: true })} ${word}`,
    )
  const shown = figure(q.value, q.kind, telling.units, { unit: true })
  return angle(word ? `${name} ${shown}, ${word}` : `${name} ${shown}`)
}

/** Whether a cold target sets this quantity off zero. */
export const aimed = ({ aim }: Pick<JudgedValue, 'aim'>): boolean => aim !== null && Math.abs(aim) > 1e-12

/** Every quantity of a judgement that has this verdict, in words, for a headline. */
export const namedQuantities = (
  judgement: Judgement,
  verdict: JudgedValue['verdict'],
  far: string,
  telling: Telling,
): string =>
  judgement.quantities
    .filter((q) => q.verdict === verdict)
    .map((q) => valueWords(q, far, telling))
    .join('; ')

/** Both angles within a fifth of their limits: only then is a pair of shafts called parallel. */
export const isParallel = (judgement: Judgement): boolean => {
  const angles = judgement.quantities.filter((q) => q.name.startsWith('slope') || q.name.startsWith('flex'))
  return angles.length > 0 && angles.every((q) => q.margin !== null && q.margin >= 0.8 && !aimed(q))
}

/** `±5.5`, `−2.0 to 6.0`, `2.0 or more`: the band a quantity is judged by. */
export const limitWords = (
  q: Pick<JudgedValue, 'low' | 'high' | 'kind'> & { readonly name?: string },
  telling: Pick<Telling, 'units'>,
): string => {
  const f = (x: number | null) => figure(x, q.kind, telling.units)
  if (q.low !== null && q.high !== null)
    // A size has no sign: its zero is no limit. In one plane it is: never low, never high.
    return q.low === -q.high || (q.low === 0 && !/\.[vh]$/.test(q.name ?? ''))
      ? f(q.high)
      : `${f(q.low)}…${f(q.high)}`
  return q.low !== null ? `≥ ${f(q.low)}` : f(q.high)
}

/** Judged quantities of one kind at one place, by plane. */
export interface QuantityGroup {
  readonly what: string
  /** The limit of all rows; by plane where they differ. */
  readonly limit: string
  readonly rows: readonly { readonly plane: string; readonly q: JudgedValue }[]
}

/** A judgement in groups: `Angle` with its `vertical` and `horizontal`; no plane for a size without one. */
export const quantityGroups = (judgement: Judgement, telling: Telling): readonly QuantityGroup[] => {
  const planes = directionsWords(telling.words).planes
  const named = judgement.quantities.map((q) => {
    const plane = q.name.endsWith('.v') ? planes.v : q.name.endsWith('.h') ? planes.h : ''
    return { q, plane, what: quantityName(plane ? q.name.slice(0, -2) : q.name, telling) }
  })
  return [...new Set(named.map((n) => n.what))].map((what) => {
    const rows = named.filter((n) => n.what === what)
    const limits = rows.map(({ q }) => limitWords(q, telling))
    const limit =
      new Set(limits).size === 1
        ? (limits[0] ?? '')
        : rows.map(({ plane }, i) => `${plane} ${limits[i]}`).join(', ')
    return { what, limit, rows: rows.map(({ plane, q }) => ({ plane, q })) }
  })
}
