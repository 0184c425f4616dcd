import type { Millimetres } from '../units/unitSystem'

/** A shim to be cut from sheet. */
export interface SheetShim {
  /** The way it slides in. */
  readonly length: Millimetres
  readonly width: Millimetres
  readonly slot: Millimetres
  /** From the edge that is open for the bolt to the bolt's middle. */
  readonly toBolt: Millimetres
}

/** Metal that must stay between the slot and the edges, so that the shim bears and doesn't tear. */
export const LEAST_METAL: Millimetres = 5

/** What keeps a shim from being cut; null when it can be. */
export type SheetShimFault = 'slot-too-wide' | 'slot-too-deep' | 'bolt-outside'

/** Whether an outline leaves metal on both sides of its slot and behind it. */
export const sheetShimFault = ({ length, width, slot, toBolt }: SheetShim): SheetShimFault | null => {
  if (toBolt <= 0 || toBolt >= length) return 'bolt-outside'
  if ((width - slot) / 2 < LEAST_METAL) return 'slot-too-wide'
  if (length - toBolt - slot / 2 < LEAST_METAL) return 'slot-too-deep'
  return null
}

/** How much wider than its bolt a slot is cut where the site says nothing else. */
export const SLOT_ROOM = { inch: 25.4 / 16, metric: 2 } as const

/** Corner that is clipped off, so that it neither cuts nor catches. */
const CLIP: Millimetres = 3

/**
 * The outline as an SVG path in millimetres, the corner of its box at 0,0, the slot open at the bottom and round at the
 * bolt. Null where no metal would be left. Source: docs/stages/look.md.
 */
export const sheetShimPath = (shim: SheetShim): string | null => {
  if (sheetShimFault(shim)) return null
  const { length: l, width: w, slot, toBolt } = shim
  const c = Math.min(CLIP, (w - slot) / 4, l / 4)
  const [left, right] = [(w - slot) / 2, (w + slot) / 2]
  const at = (x: number, y: number) => `${Number(x.toFixed(4))} ${Number(y.toFixed(4))}`
  const r = Number((slot / 2).toFixed(4))
  return [
    `M${at(c, 0)}`,
    `L${at(w - c, 0)}`,
    `L${at(w, c)}`,
    `L${at(w, l - c)}`,
    `L${at(w - c, l)}`,
    `L${at(right, l)}`,
    `L${at(right, l - toBolt)}`,
    `A${r} ${r} 0 0 0 ${at(left, l - toBolt)}`,
    `L${at(left, l)}`,
    `L${at(c, l)}`,
    `L${at(0, l - c)}`,
    `L${at(0, c)}`,
    'Z',
  ].join('')
}
