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

const make = (name: string, attributes: Readonly<Record<string, string | number>>): SVGElement => {
  const element = document.createElementNS(SVG, name) as SVGElement
  for (const [key, value] of Object.entries(attributes)) element.setAttribute(key, String(value))
  return element
}

/** Drawings of a board, those within others with them. */
const drawingsOf = (board: Element): readonly SVGSVGElement[] =>
  [...board.querySelectorAll('svg')].filter((svg) => {
    const { width, height } = svg.getBoundingClientRect()
    return width >= SMALLEST && height >= SMALLEST && !svg.parentElement?.closest('svg')
  })

interface Line {
  readonly text: string
  readonly box: DOMRect
  readonly looks: CSSStyleDeclaration
}

/** What stands written over and under the drawings. */
const linesOf = (board: Element): readonly Line[] =>
  [...board.querySelectorAll('h2, h3, figcaption, legend, .head p')].flatMap((heading) => {
    const lines: Line[] = []
    const texts = document.createTreeWalker(heading, NodeFilter.SHOW_TEXT)
    for (let node = texts.nextNode(); node; node = texts.nextNode()) {
      const range = document.createRange()
      range.selectNodeContents(node)
      const box = range.getBoundingClientRect()
      const text = (node.textContent ?? '').replace(/\s+/g, ' ').trim()
      if (text !== '' && box.width > 0)
        lines.push({ text, box, looks: getComputedStyle(node.parentElement as Element) })
    }
    return lines
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
  const boxes = [...drawings.map((d) => d.getBoundingClientRect()), ...lines.map((l) => l.box)]
  const left = Math.min(...boxes.map((b) => b.left)) - MARGIN
  const top = Math.min(...boxes.map((b) => b.top)) - MARGIN
  const width = Math.ceil(Math.max(...boxes.map((b) => b.right)) + MARGIN - left)
  const height = Math.ceil(Math.max(...boxes.map((b) => b.bottom)) + MARGIN - top) + FOOT
  const ground = getComputedStyle(board)
  const sheet = make('svg', { xmlns: SVG, width, height, viewBox: `0 0 ${width} ${height}` })
  sheet.append(make('rect', { width, height, fill: ground.backgroundColor }))
  for (const drawing of drawings) {
    const box = drawing.getBoundingClientRect()
    const alone = drawnAlone(drawing)
    for (const [key, value] of Object.entries({
      x: box.left - left,
      y: box.top - top,
      width: box.width,
      height: box.height,
    }))
      alone.setAttribute(key, String(Math.round(value * 10) / 10))
    sheet.append(alone)
  }
  const write = (text: string, x: number, y: number, looks: CSSStyleDeclaration, size = looks.fontSize) => {
    const line = make('text', {
      x: Math.round(x),
      y: Math.round(y),
      fill: looks.color,
      'font-family': looks.fontFamily,
      'font-size': size,
      'font-weight': looks.fontWeight,
    })
    line.textContent = text
    sheet.append(line)
  }
  // Letters stand on a line about a quarter of their size above the bottom of their box.
  for (const { text, box, looks } of lines)
    write(
      text,
      box.left - left,
      box.top - top + box.height / 2 + Number.parseFloat(looks.fontSize) * 0.34,
      looks,
    )
  write(underneath, MARGIN, height - 16, ground, '14px')
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
