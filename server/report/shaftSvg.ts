import { reportWords } from '../../shared/wording/en'
import type { Misalignment, Plane } from '../../core/frame/planes'
import { PLANES } from '../../core/frame/planes'
import type { CoupledState } from '../../core/jobs/coupled'
import { fittingExaggeration, layOutShafts, type ShaftLines } from '../../shared/drawing/shaftLines'
import { figure } from '../../shared/wording/figures'
import type { Telling } from '../../shared/wording/telling'

const W = 250
const H = 150

const n = (x: number) => x.toFixed(1)
const text = (x: number, y: number, words: string, anchor = 'middle') =>
  `<text x="${n(x)}" y="${n(y)}" font-family="Text" font-size="8" text-anchor="${anchor}">${words}</text>`
const shaft = (l: ShaftLines, dashed: boolean) =>
  `<path d="M${n(l.movable.x1)} ${n(l.movable.y1)}L${n(l.movable.x2)} ${n(l.movable.y2)}" stroke="black" stroke-width="${dashed ? 0.8 : 1.6}"${dashed ? ' stroke-dasharray="4 2"' : ''} fill="none"/>`

/** One view of the shaft lines in black on white: as found dashed, as left whole, the gate at the coupling. */
export const shaftSvg = (
  state: Pick<CoupledState, 'setUp' | 'tolerance' | 'target'>,
  plane: Plane,
  found: Misalignment | null,
  left: Misalignment,
  { units, footNames, words }: Telling,
): string | null => {
  const w = reportWords(words).result
  const feet = state.setUp?.feet
  if (!feet) return null
  const lines = [left, ...(found ? [found] : [])]
  const sheet = { feet, tolerance: state.tolerance, target: state.target, width: W, height: H }
  const exaggeration = fittingExaggeration({ ...sheet, lines, planes: PLANES })
  const lay = (line: Misalignment) => layOutShafts({ ...sheet, plane, line, exaggeration })
  const now = lay(left)
  const before = found ? lay(found) : null
  const gate = now.gate
    ? `<path d="M${n(now.coupling - 5)} ${n(now.gate.top)}h10m-5 0v-5M${n(now.coupling - 5)} ${n(now.gate.bottom)}h10m-5 0v5" stroke="black" fill="none"/>${text(now.coupling - 8, now.gate.top - 8, w.gate(figure((now.displacementAt(now.gate.top) - now.displacementAt(now.gate.bottom)) / 2, 'displacement', units, { unit: true })))}`
    : ''
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${W} ${H}" width="${W}" height="${H}">`,
    `<path d="M0 ${n(now.zero)}H${n(now.coupling)}" stroke="black" stroke-width="1.6"/>`,
    `<path d="M${n(now.coupling)} ${n(now.zero)}H${W}" stroke="black" stroke-width="0.5" stroke-dasharray="2 2"/>`,
    gate,
    now.target
      ? `<path d="M${n(now.target.x1)} ${n(now.target.y1)}L${n(now.target.x2)} ${n(now.target.y2)}" stroke="black" stroke-width="0.7" stroke-dasharray="1 3"/>`
      : '',
    before ? shaft(before, true) : '',
    shaft(now, false),
    ...now.feet.map((f) => `<circle cx="${n(f.x)}" cy="${n(f.y)}" r="2.5" fill="black"/>`),
    ...now.feet.map((f) => text(Math.min(f.x, W - 22), H - 4, footNames(f.id))),
    text(2, 8, w.exaggerated(now.exaggeration), 'start'),
    '</svg>',
  ].join('')
}

/** A verdict's lozenge in black: filled in band, half filled on the edge, barred out. */
export const verdictSvg = (verdict: string): string => {
  const outline = '<path d="M5 1l4 4-4 4-4-4z" fill="none" stroke="black"/>'
  const inside =
    verdict === 'in'
      ? '<path d="M5 1l4 4-4 4-4-4z" fill="black"/>'
      : verdict === 'edge'
        ? '<path d="M5 1v8l-4-4z" fill="black"/>'
        : verdict === 'out'
          ? '<path d="M1 5h8" stroke="black"/>'
          : ''
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 10 10" width="9" height="9">${outline}${inside}</svg>`
}
