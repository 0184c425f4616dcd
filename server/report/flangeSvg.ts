import { FLANGE_CLOCK, type FlangeDrawing } from '../../shared/drawing/flangeClock'
import { clockFace } from '../../shared/wording/clockFace'
import { figure } from '../../shared/wording/figures'
import type { Telling } from '../../shared/wording/telling'

const { size, middle, rim, circle, hub, shim } = FLANGE_CLOCK
const n = (x: number) => x.toFixed(1)
const text = (x: number, y: number, words: string, size = 17) =>
  `<text x="${n(x)}" y="${n(y + size / 3)}" font-family="Text" font-size="${size}" text-anchor="middle">${words}</text>`

/** The flange seen from above in black on white: bolts by their hours, what lies at each more than before. */
export const flangeSvg = (drawing: FlangeDrawing, { units }: Pick<Telling, 'units'>): string =>
  [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${size} ${size}" width="${size}" height="${size}">`,
    `<circle cx="${middle}" cy="${middle}" r="${rim}" fill="none" stroke="black" stroke-width="2"/>`,
    `<circle cx="${middle}" cy="${middle}" r="${circle}" fill="none" stroke="black" stroke-width="0.7" stroke-dasharray="6 4"/>`,
    `<circle cx="${middle}" cy="${middle}" r="${hub}" fill="none" stroke="black" stroke-width="1"/>`,
    drawing.tops
      ? `<path d="${drawing.tops}" fill="none" stroke="black" stroke-width="1" stroke-dasharray="2 4"/>`
      : '',
    ...drawing.bolts.flatMap((b) => [
      b.height > 0
        ? `<rect x="${middle - shim / 2}" y="${n(middle - rim - b.height)}" width="${shim}" height="${n(b.height)}" fill="#dddddd" stroke="black" transform="rotate(${n(b.clock)} ${middle} ${middle})"/>`
        : '',
      `<circle cx="${n(b.x)}" cy="${n(b.y)}" r="11" fill="${b.id === '1' ? 'black' : 'none'}" stroke="black" stroke-width="2"/>`,
      text(b.name.x, b.name.y, clockFace(b.clock), 15),
      text(b.label.x, b.label.y, figure(b.added, 'displacement', units, { sign: true })),
    ]),
    drawing.offset
      ? `<path d="M${middle} ${middle}L${n(drawing.offset.x)} ${n(drawing.offset.y)}" stroke="black"/><circle cx="${n(drawing.offset.x)}" cy="${n(drawing.offset.y)}" r="5" fill="black"/>`
      : '',
    '</svg>',
  ].join('')
