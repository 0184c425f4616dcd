import { sheetShimPath, type SheetShim } from '../../../core/shims/sheetShim'

/** A bar of known length beside the outline: whoever cuts checks the print with a rule first. */
export const CHECK_BAR = 50

const escaped = (s: string): string =>
  s.replace(/[&<>"]/g, (c) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[c] ?? '')

/** What is printed of a shim, in millimetres on paper. */
export interface OutlineDrawing {
  readonly svg: string
  readonly width: number
  readonly height: number
}

const MARGIN = 4
const FOOT = 16

/**
 * A shim at its true size: its outline, the bolt's middle, and a bar to check the print by. Null where the outline
 * can't be cut. `lines` are written inside the drawing's foot.
 */
export const outlineDrawing = (
  shim: SheetShim,
  lines: readonly string[],
  barWords: string,
): OutlineDrawing | null => {
  const path = sheetShimPath(shim)
  if (!path) return null
  const width = Math.max(shim.width, CHECK_BAR) + 2 * MARGIN
  const height = shim.length + 2 * MARGIN + FOOT + lines.length * 5
  const [cx, cy] = [shim.width / 2, shim.length - shim.toBolt]
  const y = shim.length + 8
  const n = (x: number) => String(Number(x.toFixed(3)))
  const text = (at: number, words: string) =>
    `<text x="0" y="${n(at)}" font-size="3.6" font-family="sans-serif" fill="#000">${escaped(words)}</text>`
  const svg = [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${n(width)}mm" height="${n(height)}mm" viewBox="${-MARGIN} ${-MARGIN} ${n(width)} ${n(height)}">`,
    `<path d="${path}" fill="none" stroke="#000" stroke-width="0.25"/>`,
    `<path d="M${n(cx - 4)} ${n(cy)}H${n(cx + 4)}M${n(cx)} ${n(cy - 4)}V${n(cy + 4)}" fill="none" stroke="#000" stroke-width="0.2"/>`,
    `<path d="M0 ${n(y - 2)}V${n(y + 2)}M0 ${n(y)}H${CHECK_BAR}M${CHECK_BAR} ${n(y - 2)}V${n(y + 2)}" fill="none" stroke="#000" stroke-width="0.3"/>`,
    text(y + 6, barWords),
    ...lines.map((line, i) => text(y + 11 + i * 5, line)),
    '</svg>',
  ].join('')
  return { svg, width, height }
}
