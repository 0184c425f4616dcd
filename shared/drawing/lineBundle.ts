import type { FootPlane } from '../../core/coupling/feet'
import { PLANES, type Misalignment, type Plane } from '../../core/frame/planes'
import type { SettledTolerance } from '../../core/judge/tolerance'
import { fittingExaggeration, layOutShafts, type ShaftLines } from './shaftLines'

/** How a line of a bundle is drawn: as it stands, as it was, or as it is to be set. */
export type LineLook = 'now' | 'before' | 'aim'
export interface NamedLine {
  readonly look: LineLook
  readonly name: string
  readonly line: Misalignment
}

/** Drawn size of one view of a bundle. */
export const BUNDLE_VIEW = { width: 336, height: 220 } as const
/** Names stand at least this far below one another. */
const NAME_STEP = 23

export interface DrawnBundle {
  readonly plane: Plane
  readonly sheet: ShaftLines
  readonly lines: readonly (NamedLine & {
    readonly drawn: ShaftLines['movable']
    readonly feet: ShaftLines['feet']
    /** Where its name stands, at the right. */
    readonly nameY: number
  })[]
}

/** Heights for names beside these heights, in their order, none on another nor off the sheet. */
export const spreadNames = (
  wanted: readonly number[],
  step: number,
  top: number,
  bottom: number,
): readonly number[] => {
  const order = wanted.map((y, i) => ({ y, i })).sort((a, b) => a.y - b.y)
  const placed: number[] = Array.from(wanted, () => 0)
  let last = top - step
  for (const { y, i } of order) {
    last = Math.max(y, last + step)
    placed[i] = last
  }
  let limit = bottom
  for (const { i } of [...order].reverse()) {
    placed[i] = Math.min(placed[i] ?? 0, limit)
    limit = (placed[i] ?? 0) - step
  }
  return placed
}

/** Several lines of one shaft in both views, to one exaggeration. Millimetres in; unknown planes lie on zero. */
export const drawBundle = (
  lines: readonly NamedLine[],
  feet: readonly FootPlane[],
  tolerance: SettledTolerance,
): readonly DrawnBundle[] => {
  const view = { feet, tolerance, ...BUNDLE_VIEW }
  const exaggeration = fittingExaggeration({ ...view, lines: lines.map((l) => l.line), planes: PLANES })
  return PLANES.map((plane) => {
    const laid = lines.map((l) => ({
      ...l,
      laid: layOutShafts({ ...view, plane, line: l.line, exaggeration }),
    }))
    const names = spreadNames(
      laid.map((l) => l.laid.movable.y2 + 6),
      NAME_STEP,
      16,
      BUNDLE_VIEW.height - 6,
    )
    const sheet = laid[0]?.laid ?? layOutShafts({ ...view, plane, line: NOWHERE, exaggeration })
    return {
      plane,
      sheet,
      lines: laid.map((l, i) => ({
        look: l.look,
        name: l.name,
        line: l.line,
        drawn: l.laid.movable,
        feet: l.laid.feet,
        nameY: names[i] ?? 0,
      })),
    }
  })
}

const NOWHERE: Misalignment = { offset: { v: 0, h: 0 }, slope: { v: 0, h: 0 } }
