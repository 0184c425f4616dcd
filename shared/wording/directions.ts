import { directionsWords } from './en'
import type { Misalignment, Plane } from '../../core/frame/planes'
import { clockFace } from './clockFace'
import { figure } from './figures'
import { seenClock, seenHour } from './otherEnd'
import type { Telling } from './telling'

const zero = (shown: string) => !/[1-9]/.test(shown)
/** The hour a horizontal value points to, as it is called from where one stands. */
export const hourOf = (value: number, { viewFrom }: Pick<Telling, 'viewFrom'>): '3' | '9' =>
  seenHour(value > 0 ? '3' : '9', viewFrom)

/** `3.6 mil low`: an offset never stands with a bare sign. */
export const offsetWords = (value: number | null, plane: Plane, telling: Telling): string => {
  const { words, units } = telling
  const d = directionsWords(words)
  if (value === null) return d.unknown
  if (zero(figure(Math.abs(value), 'displacement', units))) return plane === 'v' ? d.levelWith : d.inLineWith
  const size = figure(Math.abs(value), 'displacement', units, { unit: true })
  return `${size} ${plane === 'v' ? (value > 0 ? d.high : d.low) : d.toward(hourOf(value, telling))}`
}

/** `outboard end low`: the angle by its far end; empty size says there is none. `far` names the far feet. */
export const slopeEndWords = (value: number | null, plane: Plane, far: string, telling: Telling): string => {
  const d = directionsWords(telling.words)
  if (value === null) return d.unknown
  if (zero(figure(Math.abs(value), 'slope', telling.units))) return d.noAngle[plane]
  return d.end(far, plane === 'v' ? (value > 0 ? d.high : d.low) : d.toward(hourOf(value, telling)))
}

/** `outboard end low, gap open at top`. */
export const slopeWords = (value: number | null, plane: Plane, far: string, telling: Telling): string => {
  const end = slopeEndWords(value, plane, far, telling)
  const d = directionsWords(telling.words)
  if (value === null || zero(figure(Math.abs(value), 'slope', telling.units))) return end
  const where = plane === 'v' ? (value > 0 ? d.bottom : d.top) : hourOf(-value, telling)
  return `${end}, ${d.gapOpenAt(where)}`
}

/**
 * The word that belongs to the sign of a judged quantity, short enough to stand under its figure:
 * `low`, `toward 9`, `end high`, `open at 6`. Empty when the figure shows as zero or has no sign.
 */
export const signWord = (
  quantity: { readonly name: string; readonly kind: 'displacement' | 'slope' },
  value: number | null,
  telling: Telling,
): string => {
  const { words, units } = telling
  const d = directionsWords(words)
  const [what, ...rest] = quantity.name.split('.')
  const plane = rest.at(-1)
  if (value === null || (plane !== 'v' && plane !== 'h')) return ''
  if (zero(figure(Math.abs(value), quantity.kind, units))) return ''
  const plus = value > 0
  if (what === 'offset') return plane === 'v' ? (plus ? d.high : d.low) : d.toward(hourOf(value, telling))
  if (what === 'flex') return d.under.openAt(plane === 'v' ? (plus ? '6' : '12') : hourOf(-value, telling))
  return plane === 'v' ? (plus ? d.under.endHigh : d.under.endLow) : d.under.endTo(hourOf(value, telling))
}

/** `add 12` / `take out 5` / `leave as it is`. */
export const shimWords = (value: number | null, { words, units }: Telling): string => {
  const d = directionsWords(words)
  if (value === null) return d.unknown
  const size = figure(Math.abs(value), 'displacement', units)
  if (zero(size)) return d.shim.leave
  return `${value > 0 ? d.shim.add : d.shim.takeOut} ${size}`
}

/** `push 7.0 toward 9`. */
export const sideWords = (value: number | null, telling: Telling): string => {
  const { words, units } = telling
  const d = directionsWords(words)
  if (value === null) return d.unknown
  const size = figure(Math.abs(value), 'displacement', units)
  return zero(size) ? d.shim.leave : d.push(size, hourOf(value, telling))
}

/** `toward 3:45`: which way both planes of an upright shaft point; empty where they show as nothing. */
export const towardWords = (
  at: { readonly v: number | null; readonly h: number | null },
  kind: 'displacement' | 'slope',
  { words, units }: Telling,
): string => {
  if (at.v === null || at.h === null || zero(figure(Math.hypot(at.v, at.h), kind, units))) return ''
  return directionsWords(words).towardClock(clockFace((Math.atan2(at.h, at.v) * 180) / Math.PI))
}

/** `3.9 mil toward 10:00`: both planes of an upright shaft as one way on the clock. Empty where it shows as nothing. */
export const clockwardWords = (
  at: { readonly v: number | null; readonly h: number | null },
  kind: 'displacement' | 'slope',
  { words, units }: Telling,
): string => {
  if (at.v === null || at.h === null) return directionsWords(words).unknown
  const size = Math.hypot(at.v, at.h)
  if (zero(figure(size, kind, units))) return ''
  const clock = clockFace((Math.atan2(at.h, at.v) * 180) / Math.PI)
  return directionsWords(words).clockward(figure(size, kind, units, { unit: true }), clock)
}

/** How an upright shaft stands: `leans 0.54 mil/in toward 3:45, stands 3.9 mil off toward 10`. */
const uprightWords = (line: Misalignment, telling: Telling): string => {
  const d = directionsWords(telling.words)
  const lean = clockwardWords(line.slope, 'slope', telling)
  const off = clockwardWords(line.offset, 'displacement', telling)
  return [lean ? d.leans(lean) : d.upright, off ? d.off(off) : d.inLineWith].join(', ')
}

/** Where an axis stands, in one clause: both offsets, and `parallel` where the caller says it is. */
export const misalignmentWords = (line: Misalignment, parallel: boolean, telling: Telling): string =>
  telling.viewFrom === 'above' ? uprightWords(line, telling) : offsetsWords(line, parallel, telling)

const offsetsWords = (line: Misalignment, parallel: boolean, telling: Telling): string =>
  [
    ...(['v', 'h'] as const).flatMap((p) =>
      line.offset[p] === null ? [] : [offsetWords(line.offset[p], p, telling)],
    ),
    ...(parallel ? [directionsWords(telling.words).parallel] : []),
  ].join(', ')

/** A clock angle as people call it. */
export const clockName = (
  clock: number,
  { words, viewFrom }: Pick<Telling, 'words' | 'viewFrom'>,
): string => {
  const seen = seenClock(clock, viewFrom)
  return directionsWords(words).hours[seen] ?? directionsWords(words).degrees(seen)
}

/** `9` for 9 o’clock: where there is little room. */
export const hourName = (clock: number, telling: Pick<Telling, 'words' | 'viewFrom'>): string =>
  clockName(clock, telling).replace(' o’clock', '')

/** Where a line lies, in one clause: `5.5 mil low, outboard end low`; planes that stand on zero are left out. */
export const lineWords = (line: Misalignment, far: string, telling: Telling): string => {
  const d = directionsWords(telling.words)
  const parts = (['v', 'h'] as const).flatMap((plane) => {
    const offset = offsetWords(line.offset[plane], plane, telling)
    const end = slopeEndWords(line.slope[plane], plane, far, telling)
    return [
      ...(offset === d.levelWith || offset === d.inLineWith ? [] : [offset]),
      ...(end === d.noAngle[plane] ? [] : [end]),
    ]
  })
  return parts.length === 0 ? d.levelWith : parts.join(', ')
}

/** Where faces open: at 6 or 12, at 9 or 3. */
export const openAt = (opening: number, plane: Plane, telling: Pick<Telling, 'viewFrom'>): string =>
  plane === 'v' ? (opening > 0 ? '6' : '12') : hourOf(-opening, telling)

/** How a line moves, in one clause: `5.5 mil up, outboard end down`. What shows as nothing is left out. */
export const goWords = (by: Misalignment, far: string, { words, units, viewFrom }: Telling): string => {
  const d = directionsWords(words)
  const w = d.go
  const shown = (x: number | null, kind: 'displacement' | 'slope') =>
    x !== null && /[1-9]/.test(figure(Math.abs(x), kind, units))
  const way = (x: number, plane: 'v' | 'h') =>
    plane === 'v' ? (x > 0 ? w.up : w.down) : d.toward(hourOf(x, { viewFrom }))
  const parts = (['v', 'h'] as const).flatMap((p) => {
    const [offset, slope] = [by.offset[p], by.slope[p]]
    return [
      ...(offset !== null && shown(offset, 'displacement')
        ? [`${figure(Math.abs(offset), 'displacement', units, { unit: true })} ${way(offset, p)}`]
        : []),
      ...(slope !== null && shown(slope, 'slope') ? [d.end(far, way(slope, p))] : []),
    ]
  })
  return parts.length === 0 ? w.nowhere : parts.join(', ')
}
