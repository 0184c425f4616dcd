import { readTypedNumber } from '../../../core/units/typedNumber'
import type { UnitSystem } from '../../../core/units/unitSystem'
import type { MethodForm } from '../../methods/form'
import { ownClock, TWO_PLANES, usualPositions, type ReadingBox } from './form'

/**
 * The order of a printed data sheet: circle by circle, each at its positions, then what every dial shows after the
 * turn. Sheet and quick entry go by it alike.
 */
export const sheetOrder = (
  circles: readonly string[],
  positions: readonly number[],
  reads: MethodForm['reads'],
): readonly ReadingBox[] => [
  ...circles.flatMap((circle) => positions.map((clock) => ({ circle, clock: ownClock(circle, clock) }))),
  ...(reads === 'dials' ? circles.map((circle) => ({ circle, clock: null })) : []),
]

/** Positions a sheet of this method is printed with. */
export const sheetPositions = (reads: MethodForm['reads'], drive = 'coupled'): readonly number[] =>
  reads === 'values' ? TWO_PLANES : usualPositions(drive)

/** One figure of a quick entry read back: where it goes, and how it was understood. */
export interface QuickFigure {
  readonly box: ReadingBox
  readonly text: string
  /** In the unit of the boxes; null where it can't be read. */
  readonly value: number | null
}

export interface QuickEntry {
  readonly figures: readonly QuickFigure[]
  /** Boxes that got no figure. */
  readonly missing: readonly ReadingBox[]
  /** Figures that no box is left for. */
  readonly extra: readonly string[]
}

/**
 * Figures typed one after another in the sheet's order, parted by blanks, semicolons or lines; a unit may stand behind
 * a figure (`-2.25 mil`). Nothing is guessed: a comma is a decimal comma.
 */
export const readQuickEntry = (
  typed: string,
  order: readonly ReadingBox[],
  units: UnitSystem,
): QuickEntry => {
  const texts = typed
    .replace(/(\d)\s+(mil|thou|mm|in)\b/gi, '$1$2')
    .split(/[\s;]+/)
    .filter((t) => t !== '')
  const figures = texts.slice(0, order.length).map((text, i): QuickFigure => {
    const read = readTypedNumber(text, 'displacement', units)
    return { box: order[i] as ReadingBox, text, value: read.ok ? read.value : null }
  })
  return { figures, missing: order.slice(texts.length), extra: texts.slice(order.length) }
}
