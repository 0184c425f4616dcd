import { GLASS, MOST_POINTS, MOST_STROKES, type Strokes } from '../../core/stages/close/glass'

/** Points nearer than this to the last one add nothing to the line, parts of the glass. */
const STEP = 4

const within = (value: number, most: number) => Math.min(most, Math.max(0, Math.round(value)))

const pointsOf = (strokes: Strokes): number => strokes.reduce((n, s) => n + s.length / 2, 0)

/** These strokes with a new one begun at a point (parts of the glass); as they were where there are too many. */
export const beginStroke = (strokes: Strokes, x: number, y: number): Strokes =>
  strokes.length >= MOST_STROKES || pointsOf(strokes) >= MOST_POINTS
    ? strokes
    : [...strokes, [within(x, GLASS.width), within(y, GLASS.height)]]

/** These strokes with the last one led on to a point; as they were where that is hardly further. */
export const leadStroke = (strokes: Strokes, x: number, y: number): Strokes => {
  const last = strokes[strokes.length - 1]
  if (!last || pointsOf(strokes) >= MOST_POINTS) return strokes
  const [toX, toY] = [within(x, GLASS.width), within(y, GLASS.height)]
  const [fromX, fromY] = last.slice(-2) as [number, number]
  if (Math.hypot(toX - fromX, toY - fromY) < STEP) return strokes
  return [...strokes.slice(0, -1), [...last, toX, toY]]
}

/** The strokes as one SVG path; a tap is a dot. */
export const signaturePath = (strokes: Strokes): string =>
  strokes
    .map((stroke) => {
      const points: string[] = []
      for (let i = 0; i + 1 < stroke.length; i += 2) points.push(`${stroke[i]} ${stroke[i + 1]}`)
      const [from = '0 0', ...on] = points
      return `M${from}L${(on.length === 0 ? [from] : on).join('L')}`
    })
    .join('')

/** The signature as a drawing of its own, for print. */
export const signatureSvg = (strokes: Strokes): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${GLASS.width} ${GLASS.height}">` +
  `<path d="${signaturePath(strokes)}" fill="none" stroke="#000000" stroke-width="7" stroke-linecap="round" stroke-linejoin="round"/></svg>`
