import { PLANES, positionAt, type Misalignment, type Plane } from '../../core/frame/planes'
import type { UnitSystem } from '../../core/units/unitSystem'
import { fromCore } from '../../core/units/unitSystem'

/** A sheet of graph paper with both views of a plan, to scale. */
export interface GraphSheet {
  readonly title: string
  readonly units: UnitSystem
  readonly feet: readonly {
    readonly id: string
    readonly name: string
    readonly x: number
    readonly v: number
    readonly h: number
  }[]
  readonly found: Misalignment
  readonly target: Misalignment
  /** Where the movable axis will lie, told from where the stationary one lies now. */
  readonly predicted: Misalignment
  /** Where the stationary axis will lie, where it is moved too. */
  readonly ground?: Misalignment | undefined
  readonly words: {
    readonly views: Readonly<Record<Plane, string>>
    readonly scale: (along: string, across: string) => string
    readonly found: string
    readonly target: string
    readonly planned: string
    readonly coupling: string
    readonly move: (foot: { readonly v: number; readonly h: number }, plane: Plane) => string
  }
}

/** Paper, millimetres: A4 lying, its margin, and a division of its grid. */
const PAPER = { width: 297, height: 210, margin: 12 } as const
const DIVISION: Readonly<Record<UnitSystem, number>> = { metric: 2, inch: 2.54 }
/** What a division may stand for along the shafts (mm or in) and across them (mm or mil). */
const ALONG: Readonly<Record<UnitSystem, readonly number[]>> = {
  metric: [5, 8, 10, 12, 15, 20, 25, 30, 40, 50, 100, 200],
  inch: [0.25, 0.4, 0.5, 0.6, 0.8, 1, 1.5, 2, 2.5, 3, 4, 5, 10],
}
const ACROSS: Readonly<Record<UnitSystem, readonly number[]>> = {
  metric: [0.002, 0.005, 0.01, 0.02, 0.025, 0.04, 0.05, 0.1, 0.2, 0.25, 0.5, 1],
  inch: [0.1, 0.2, 0.5, 1, 2, 2.5, 4, 5, 10, 20, 25, 50],
}
const UNITS: Readonly<Record<UnitSystem, { readonly along: string; readonly across: string }>> = {
  metric: { along: 'mm', across: 'mm' },
  inch: { along: 'in', across: 'mil' },
}

const n = (x: number) => String(Number(x.toFixed(3)))
const escape = (text: string) =>
  text.replace(/[&<>"]/g, (c) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[c] ?? c)

const FLAT: Misalignment = { offset: { v: 0, h: 0 }, slope: { v: 0, h: 0 } }

/** Where the sheet begins left of the coupling: past the driven machine's feet, where it is moved too. */
const leftEnd = (feet: GraphSheet['feet']): number =>
  Math.min(-0.3 * Math.max(...feet.map((f) => f.x)), ...feet.map((f) => 1.1 * f.x))

/** How many units a division of the paper stands for, each way: the finest that holds everything. */
export const graphScale = (
  sheet: Pick<GraphSheet, 'units' | 'feet' | 'found' | 'target' | 'predicted' | 'ground'>,
): { readonly along: number; readonly across: number } => {
  const { units, feet } = sheet
  const far = Math.max(...feet.map((f) => f.x))
  const divisions = (PAPER.width - 2 * PAPER.margin) / DIVISION[units]
  const length = fromCore(1.15 * far - leftEnd(feet), 'distance', units)
  const along = ALONG[units].find((a) => a * divisions >= length) ?? (ALONG[units].at(-1) as number)
  const rows = (PAPER.height - 2 * PAPER.margin - 24) / 2 / DIVISION[units] / 2 - 3
  const reach = Math.max(
    ...[sheet.found, sheet.target, sheet.predicted].flatMap((line) =>
      PLANES.flatMap((p) => [0, far * 1.08].map((x) => Math.abs(positionAt(line, x)[p] ?? 0))),
    ),
    ...PLANES.flatMap((p) =>
      [0, leftEnd(feet)].map((x) => Math.abs((sheet.ground && positionAt(sheet.ground, x)[p]) ?? 0)),
    ),
  )
  const tall = fromCore(reach, 'displacement', units)
  const across = ACROSS[units].find((a) => a * rows >= tall) ?? (ACROSS[units].at(-1) as number)
  return { along, across }
}

/** The sheet as an SVG of its own size, black on white: what graph-paper people draw by hand. Millimetres in. */
export const graphPaper = (sheet: GraphSheet): string => {
  const { units, feet, words } = sheet
  const { width: W, height: H, margin } = PAPER
  const d = DIVISION[units]
  const scale = graphScale(sheet)
  const far = Math.max(...feet.map((f) => f.x))
  const inPaper = (mm: number) => (fromCore(mm, 'distance', units) / scale.along) * d
  const left = leftEnd(feet)
  const x = (mm: number) => margin + inPaper(mm - left)
  const right = margin + Math.floor((W - 2 * margin) / d) * d
  const half = (H - 2 * margin - 24) / 2
  const text = (at: number, y: number, said: string, more = '') =>
    `<text x="${n(at)}" y="${n(y)}" font-size="3.4" ${more}>${escape(said)}</text>`
  const view = (plane: Plane, top: number): string => {
    const rows = Math.floor(half / d)
    const zero = top + Math.floor(rows / 2) * d
    const y = (mm: number) => zero - (fromCore(mm, 'displacement', units) / scale.across) * d
    const grid: string[] = []
    for (let i = 0; i * d <= right - margin + 1e-9; i++)
      grid.push(
        `<path d="M${n(margin + i * d)} ${n(top)}v${n(rows * d)}" stroke-width="${i % 5 === 0 ? 0.18 : 0.07}"/>`,
      )
    for (let i = 0; i <= rows; i++)
      grid.push(
        `<path d="M${n(margin)} ${n(top + i * d)}H${n(right)}" stroke-width="${(i - Math.floor(rows / 2)) % 5 === 0 ? 0.18 : 0.07}"/>`,
      )
    const end = far * 1.08
    const line = (l: Misalignment, more: string, from = 0, to = end) =>
      `<path d="M${n(x(from))} ${n(y(positionAt(l, from)[plane] ?? 0))}L${n(x(to))} ${n(y(positionAt(l, to)[plane] ?? 0))}" ${more}/>`
    const at = (f: GraphSheet['feet'][number]) => ({
      x: x(f.x),
      // Feet left of the coupling are the driven machine's, whose axis is the ground line.
      from: f.x < 0 ? zero : y(positionAt(sheet.found, f.x)[plane] ?? 0),
      to: y(positionAt((f.x < 0 ? sheet.ground : sheet.predicted) ?? FLAT, f.x)[plane] ?? 0),
    })
    const marks = feet.map(at)
    const taped = (f: GraphSheet['feet'][number]) =>
      `${f.name}, ${n(fromCore(f.x, 'distance', units))} ${UNITS[units].along}`
    return [
      `<g stroke="#7a7a7a" fill="none">${grid.join('')}</g>`,
      '<g stroke="black" fill="none">',
      `<path d="M${n(margin)} ${n(zero)}H${n(right)}" stroke-width="0.4"/>`,
      `<path d="M${n(x(0))} ${n(top)}v${n(rows * d)}" stroke-width="0.3" stroke-dasharray="4 1 1 1"/>`,
      ...marks.map((m) => `<path d="M${n(m.x)} ${n(top)}v${n(rows * d)}" stroke-width="0.25"/>`),
      ...marks.map((m) => `<path d="M${n(m.x)} ${n(m.from)}V${n(m.to)}" stroke-width="0.8"/>`),
      line(sheet.target, 'stroke-width="0.3" stroke-dasharray="0.6 1.4"'),
      line(sheet.predicted, 'stroke-width="0.45" stroke-dasharray="3 1.5"'),
      ...(sheet.ground ? [line(sheet.ground, 'stroke-width="0.45" stroke-dasharray="3 1.5"', left, 0)] : []),
      line(sheet.found, 'stroke-width="0.6"'),
      ...marks.map((m) => `<circle cx="${n(m.x)}" cy="${n(m.from)}" r="0.9"/>`),
      '</g>',
      `<g font-family="sans-serif" fill="black" paint-order="stroke" stroke="white" stroke-width="0.8">`,
      ...feet.map((f) => text(x(f.x) + 1, top + 3.6, taped(f))),
      ...feet.map((f) => text(x(f.x) + 1, top + rows * d - 1.2, words.move(f, plane), 'font-weight="bold"')),
      text(x(0) + 1, top + 3.6, words.coupling),
      text(margin, top - 1.4, words.views[plane], 'font-weight="bold"'),
      '</g>',
    ].join('')
  }
  const told = words.scale(
    `${n(scale.along)} ${UNITS[units].along}`,
    `${n(scale.across)} ${UNITS[units].across}`,
  )
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${W}mm" height="${H}mm" viewBox="0 0 ${W} ${H}">`,
    `<rect width="${W}" height="${H}" fill="white"/>`,
    `<g font-family="sans-serif" fill="black">`,
    text(margin, margin, `${sheet.title}. ${told}`, 'font-weight="bold"'),
    text(margin, H - margin + 6, `${words.found}: ————   ${words.planned}: – – –   ${words.target}: · · ·`),
    '</g>',
    view('v', margin + 9),
    view('h', margin + 9 + half + 8),
    '</svg>',
  ].join('')
}
