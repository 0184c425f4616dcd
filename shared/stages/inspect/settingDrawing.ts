import type { SettingFollows, SettingRow } from '../../../core/stages/inspect/setting'

type Point = readonly [x: number, y: number]

/** One flange cut open above the shaft, in pixels. */
export interface FlangeDrawn {
  readonly outline: readonly Point[]
  readonly moves: boolean
  /** Where its name stands. */
  readonly label: Point
}

/** A sheave cut open above its shaft, in pixels of a given sheet; the motor lies to the left. */
export interface SheaveDrawn {
  readonly flanges: readonly FlangeDrawn[]
  /** The moving flanges and the belt as they stood before; empty where nothing changed. */
  readonly before: { readonly flanges: readonly (readonly Point[])[]; readonly belt: readonly Point[] } | null
  readonly belt: readonly Point[]
  readonly beltMiddle: Point
  /** Groove centre before and now, and the height at which they are compared. */
  readonly centres: { readonly was: number; readonly is: number; readonly y: number }
  readonly hub: readonly Point[]
  readonly axis: number
}

/** What the drawing needs of the sheave and the belt: millimetres. */
export interface SheaveForm {
  readonly outsideDiameter: number | null
  /** From each face to the groove's centre, as it was left. */
  readonly depths: { readonly outer: number; readonly inner: number }
  readonly belt: { readonly topWidth: number; readonly height: number }
}

/** Where the pitch line lies in a belt, down from its back: a share of its height. */
const PITCH_DOWN = 0.3
/** Least room of a flange beside its flank, millimetres. */
const LEAST_FLANGE = 3

/** A belt whose section nobody knows, in about the size that its groove has. */
export const usualBelt = (pitchDiameter: number): SheaveForm['belt'] => {
  const topWidth = 0.12 * pitchDiameter
  return { topWidth, height: 0.65 * topWidth }
}

/** Draws the sheave as it stands and as it was left, to one scale both ways. */
export const drawSheave = (
  s: SettingFollows,
  form: SheaveForm,
  sheet: { readonly width: number; readonly height: number },
): SheaveDrawn => {
  const slant = Math.tan((s.grooveAngle * Math.PI) / 360)
  const { topWidth, height } = form.belt
  const pitchWidth = topWidth - 2 * PITCH_DOWN * height * slant
  const [rWas, rIs] = [s.was.pitchDiameter / 2, s.is.pitchDiameter / 2]
  const [first, last] = [s.rows[0] ?? s.was, s.rows[s.rows.length - 1] ?? s.is]
  const highest = Math.max(rWas, rIs, first.pitchDiameter / 2)
  const lowest = Math.max(height, Math.min(rWas, rIs, last.pitchDiameter / 2))
  const rOut = Math.max(
    form.outsideDiameter === null ? 0 : form.outsideDiameter / 2,
    highest + PITCH_DOWN * height,
  )
  const rIn = Math.max(rOut * 0.2, lowest - height)
  const rHub = rIn * 0.62
  /** How far each flange stands out from where it was left. */
  const moved = {
    outer: s.moves === 'outer' ? s.opened : s.moves === 'both' ? s.opened / 2 : 0,
    inner: s.moves === 'inner' ? s.opened : s.moves === 'both' ? s.opened / 2 : 0,
  }
  const flank = (r: number, out: number) => pitchWidth / 2 + (r - rWas) * slant + out
  const faces = {
    outer: Math.max(form.depths.outer, flank(rOut, 0) + LEAST_FLANGE),
    inner: Math.max(form.depths.inner, flank(rOut, 0) + LEAST_FLANGE),
  }
  const most = Math.max(...Object.values(moved), 0)
  const wide = faces.outer + faces.inner + 2 * most + 16
  const scale = Math.min(sheet.width / wide, (sheet.height - 34) / rOut)
  const axis = sheet.height - 8
  const middle = sheet.width / 2 - ((faces.outer - faces.inner) / 2) * scale
  const at = (x: number, r: number): Point => [middle + x * scale, axis - r * scale]
  const outline = (side: 'outer' | 'inner', out: number): readonly Point[] => {
    const way = side === 'outer' ? 1 : -1
    const face = faces[side] + out
    return [
      at(way * flank(rIn, out), rIn),
      at(way * flank(rOut, out), rOut),
      at(way * (face - (face - flank(rOut, out)) * 0.35), rOut),
      at(way * face, rOut - (rOut - rIn) * 0.55),
      at(way * face, rHub),
      at(way * flank(rIn, out), rHub),
    ]
  }
  const belt = (x: number, r: number): readonly Point[] => {
    const back = r + PITCH_DOWN * height
    const foot = back - height
    const half = (at: number) => pitchWidth / 2 + (at - r) * slant
    return [
      at(x - half(back), back),
      at(x + half(back), back),
      at(x + half(foot), foot),
      at(x - half(foot), foot),
    ]
  }
  const movesToo = (side: 'outer' | 'inner') => s.moves === 'both' || s.moves === side
  const sides = ['inner', 'outer'] as const
  return {
    flanges: sides.map((side) => {
      const way = side === 'outer' ? 1 : -1
      return {
        outline: outline(side, moved[side]),
        moves: movesToo(side),
        label: at(way * (faces[side] + moved[side]) + (way * 10) / scale, rOut - (rOut - rIn) * 0.3),
      }
    }),
    before: s.changed
      ? {
          flanges: sides.filter(movesToo).map((side) => outline(side, 0)),
          belt: belt(0, rWas),
        }
      : null,
    belt: belt(s.shift, rIs),
    beltMiddle: at(s.shift, rIs - height * 0.2),
    centres: { was: at(0, 0)[0], is: at(s.shift, 0)[0], y: at(0, rOut)[1] - 16 },
    hub: [
      at(-faces.inner - moved.inner - 6, rHub),
      at(faces.outer + moved.outer + 6, rHub),
      at(faces.outer + moved.outer + 6, 0),
      at(-faces.inner - moved.inner - 6, 0),
    ],
    axis,
  }
}

/** Settings that fit beside each other. */
const MOST_COLUMNS = 9

/** The settings that are shown: as many as fit, with the one it was left at and the one it stands at among them. */
export const rowsShown = (s: SettingFollows): readonly SettingRow[] => {
  if (s.rows.length <= MOST_COLUMNS) return s.rows
  const at = (turns: number) => s.rows.findIndex((r) => r.turns === turns)
  const [a, b] = [at(s.before), at(s.now)].sort((x, y) => x - y) as [number, number]
  if (b - a >= MOST_COLUMNS) {
    // Further apart than fits: both, and what lies evenly between.
    const step = (b - a) / (MOST_COLUMNS - 1)
    return Array.from({ length: MOST_COLUMNS }, (_, i) => s.rows[Math.round(a + i * step)]).filter(
      (r) => r !== undefined,
    )
  }
  const from = Math.max(0, Math.min(Math.floor((a + b + 1 - MOST_COLUMNS) / 2), s.rows.length - MOST_COLUMNS))
  return s.rows.slice(from, from + MOST_COLUMNS)
}

/** Where a current stands in a column: shares of its height from below, the plate among them. */
export interface CurrentsDrawn {
  readonly plate: number | null
  readonly bars: readonly (readonly [low: number, high: number] | null)[]
}

/** Lays currents out against the plate; null where none is known. */
export const drawCurrents = (s: SettingFollows, rows: readonly SettingRow[]): CurrentsDrawn | null => {
  const known = rows.flatMap((r) => r.current ?? [])
  if (known.length === 0) return null
  const { plate } = s.amperes
  const top = Math.max(...known, plate ?? 0) * 1.08
  const least = Math.min(...known, plate ?? Infinity) * 0.92
  const share = (a: number) => (a - least) / (top - least)
  return {
    plate: plate === null ? null : share(plate),
    bars: rows.map((r) => r.current && [share(r.current[0]), share(r.current[1])]),
  }
}
