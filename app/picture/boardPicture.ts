import { drawnAlone } from './drawnAlone'
import { facesFor } from './fonts'

const SVG = 'http://www.w3.org/2000/svg'
const MARGIN = 20
const FOOT = 40
/** Smaller ones are marks beside words. */
const SMALLEST = 60
/** Dots of the picture to one of the view: to be read when it is printed. */
const DENSITY = 2

export interface BoardPicture {
  readonly svg: string
  readonly width: number
  readonly height: number
}

const stand = <E extends Element>(element: E, attributes: Readonly<Record<string, string | number>>): E => {
  for (const [key, value] of Object.entries(attributes))
    element.setAttribute(key, typeof value === 'number' ? String(Math.round(value * 10) / 10) : value)
  return element
}
const make = (name: string, attributes: Readonly<Record<string, string | number>>): Element =>
  stand(document.createElementNS(SVG, name), attributes)

/** Drawings of a board, those within others with them. */
const drawingsOf = (board: Element): readonly SVGSVGElement[] =>
  [...board.querySelectorAll('svg')].filter((svg) => {
    const { width, height } = svg.getBoundingClientRect()
    return width >= SMALLEST && height >= SMALLEST && !svg.parentElement?.closest('svg')
  })

/** The look of the ground that a board lies on: its own, or what shows through it. */
const groundOf = (board: Element): CSSStyleDeclaration => {
  for (let on: Element | null = board; on; on = on.parentElement) {
    const looks = getComputedStyle(on)
    if (!/^(transparent|rgba\(0, 0, 0, 0\))$/.test(looks.backgroundColor)) return looks
  }
  return getComputedStyle(document.body)
}

interface Line {
  readonly text: string
  readonly box: DOMRect
  readonly looks: CSSStyleDeclaration
}

/** What hands set things by: what it says is no part of the picture, but for figures that were typed. */
const CONTROLS = 'button, select, textarea, label.el-radio-button, .el-select, .visually-hidden, svg'

/** A text as it is broken into lines in the view. */
const broken = (node: Node, looks: CSSStyleDeclaration): readonly Line[] => {
  const words = [...(node.textContent ?? '').matchAll(/\S+/g)]
  const lines: { text: string; box: DOMRect }[] = []
  const range = document.createRange()
  for (const { 0: word, index } of words) {
    range.setStart(node, index)
    range.setEnd(node, index + word.length)
    const box = range.getBoundingClientRect()
    const last = lines.at(-1)
    if (box.width === 0) continue
    if (last && Math.abs(last.box.top - box.top) < 3) {
      last.text += ` ${word}`
      last.box = new DOMRect(last.box.x, last.box.y, box.right - last.box.x, last.box.height)
    } else lines.push({ text: word, box })
  }
  return lines.map((line) => ({ ...line, looks }))
}

/** What stands written on the board, over, under and beside its drawings. */
const linesOf = (board: Element): readonly Line[] => {
  const lines: Line[] = []
  const texts = document.createTreeWalker(board, NodeFilter.SHOW_TEXT)
  for (let node = texts.nextNode(); node; node = texts.nextNode()) {
    const of = node.parentElement
    if (of && !of.closest(CONTROLS)) lines.push(...broken(node, getComputedStyle(of)))
  }
  return lines
}

/** Boxes with what was typed into them. */
const typedIn = (board: Element): readonly Line[] =>
  [
    ...board.querySelectorAll<HTMLInputElement>('input:not([type=radio], [type=checkbox], [type=file])'),
  ].flatMap((input) => {
    const box = input.getBoundingClientRect()
    return input.value === '' || box.width === 0
      ? []
      : [{ text: input.value, box, looks: getComputedStyle(input) }]
  })

/**
 * A board as one drawing of its own: its drawings and what is written over them, where they stand, on its ground, with a line under
 * it that says what it is.
 * @returns Null where there is nothing drawn.
 */
export const pictureOf = async (board: Element, underneath: string): Promise<BoardPicture | null> => {
  const drawings = drawingsOf(board)
  if (drawings.length === 0) return null
  const lines = linesOf(board)
  const typed = typedIn(board)
  const boxes = [...drawings.map((d) => d.getBoundingClientRect()), ...[...lines, ...typed].map((l) => l.box)]
  const left = Math.min(...boxes.map((b) => b.left)) - MARGIN
  const top = Math.min(...boxes.map((b) => b.top)) - MARGIN
  const width = Math.ceil(Math.max(...boxes.map((b) => b.right)) + MARGIN - left)
  const height = Math.ceil(Math.max(...boxes.map((b) => b.bottom)) + MARGIN - top) + FOOT
  const ground = groundOf(board)
  const sheet = make('svg', { xmlns: SVG, width, height, viewBox: `0 0 ${width} ${height}` })
  sheet.append(make('rect', { width, height, fill: ground.backgroundColor }))
  for (const drawing of drawings) {
    const box = drawing.getBoundingClientRect()
    const alone = drawnAlone(drawing)
    stand(alone, { x: box.left - left, y: box.top - top, width: box.width, height: box.height })
    sheet.append(alone)
  }
  const write = (text: string, at: { x: number; y: number; end?: boolean }, looks: CSSStyleDeclaration) => {
    const line = make('text', {
      x: Math.round(at.x),
      y: Math.round(at.y),
      fill: looks.color,
      'font-family': looks.fontFamily,
      'font-size': looks.fontSize,
      'font-weight': looks.fontWeight,
      ...(at.end ? { 'text-anchor': 'end' } : {}),
    })
    line.textContent = text
    sheet.append(line)
  }
  // Letters stand on a line about a third of their size below the middle of their box.
  const middle = ({ box, looks }: Line) =>
    box.top - top + box.height / 2 + Number.parseFloat(looks.fontSize) * 0.34
  for (const line of lines) write(line.text, { x: line.box.left - left, y: middle(line) }, line.looks)
  for (const line of typed) {
    const { box, looks } = line
    const at = { x: box.left - left, y: box.top - top, width: box.width, height: box.height }
    sheet.append(make('rect', { ...at, fill: 'none', stroke: looks.color, 'stroke-opacity': 0.4 }))
    write(line.text, { x: box.right - left - 6, y: middle(line), end: true }, looks)
  }
  write(underneath, { x: MARGIN, y: height - 16 }, ground)
  const families = [...sheet.querySelectorAll('[font-family]')]
    .map((e) => e.getAttribute('font-family'))
    .join()
  const faces = make('style', {})
  faces.textContent = await facesFor(families)
  sheet.prepend(faces)
  return { svg: new XMLSerializer().serializeToString(sheet), width, height }
}

/** A picture as dots, twice as dense as the view. Throws where the browser can't draw it. */
export const asPng = async ({ svg, width, height }: BoardPicture): Promise<Blob> => {
  const url = URL.createObjectURL(new Blob([svg], { type: 'image/svg+xml' }))
  try {
    const image = new Image()
    image.src = url
    await image.decode()
    const canvas = document.createElement('canvas')
    canvas.width = width * DENSITY
    canvas.height = height * DENSITY
    canvas.getContext('2d')?.drawImage(image, 0, 0, canvas.width, canvas.height)
    const png = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/png'))
    if (!png) throw new Error('The browser drew nothing.')
    return png
  } finally {
    URL.revokeObjectURL(url)
  }
}
