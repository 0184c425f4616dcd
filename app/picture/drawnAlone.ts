/** What of an element's look makes its drawing: set on the element itself, so that it looks the same with no style sheet. */
const LOOKS = [
  'fill',
  'fill-opacity',
  'fill-rule',
  'stroke',
  'stroke-width',
  'stroke-dasharray',
  'stroke-linecap',
  'stroke-linejoin',
  'stroke-opacity',
  'vector-effect',
  'opacity',
  'paint-order',
  'font-family',
  'font-size',
  'font-weight',
  'letter-spacing',
  'text-anchor',
  'dominant-baseline',
] as const
/** What tells a program something, not an eye. */
const SILENT = /^(class|style|tabindex|role|data-.*|aria-.*|id)$/
const NEVER_SEEN = 'title, desc, style, script'

const short = (x: number): string => String(Math.round(x * 1000) / 1000)

/** Where an element stands within its parent, its style's turns and shifts with it; null where it stands as it is drawn. */
const standing = (element: SVGGraphicsElement): string | null => {
  const own = element.getScreenCTM()
  const parent = (element.parentNode as SVGGraphicsElement | null)?.getScreenCTM?.()
  if (!own || !parent) return null
  const m = parent.inverse().multiply(own)
  const six = [m.a, m.b, m.c, m.d, m.e, m.f].map(short)
  return six.join(' ') === '1 0 0 1 0 0' ? null : `matrix(${six.join(' ')})`
}

const dress = (from: Element, to: Element): void => {
  const looks = getComputedStyle(from)
  for (const { name } of [...to.attributes])
    if (SILENT.test(name) && !(name === 'id' && from.closest('defs'))) to.removeAttribute(name)
  for (const look of LOOKS) {
    const value = looks.getPropertyValue(look)
    if (value !== '') to.setAttribute(look, value)
  }
  if (!(from instanceof SVGGraphicsElement) || from instanceof SVGSVGElement) return
  const at = standing(from)
  if (at) to.setAttribute('transform', at)
  else to.removeAttribute('transform')
}

/** A drawing as it looks now, on its own: no style sheet, no variable, no script, nothing that isn't seen. */
export const drawnAlone = (svg: SVGSVGElement): SVGSVGElement => {
  const copy = svg.cloneNode(true) as SVGSVGElement
  const pairs: [Element, Element][] = [[svg, copy]]
  const unseen: Element[] = []
  const walk = (from: Element, to: Element) => {
    for (const [i, child] of [...from.children].entries()) {
      const twin = to.children[i]
      if (!twin) continue
      const { display, visibility } = getComputedStyle(child)
      if (display === 'none' || visibility === 'hidden' || child.matches(NEVER_SEEN)) unseen.push(twin)
      else {
        pairs.push([child, twin])
        walk(child, twin)
      }
    }
  }
  walk(svg, copy)
  for (const [from, to] of pairs) dress(from, to)
  for (const gone of unseen) gone.remove()
  return copy
}
