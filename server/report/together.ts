import type { Content } from 'pdfmake/interfaces'

/** Characters on a line of running text across the page. */
const ACROSS = 95
/** A page holds some sixty lines. More than this is never held together: the printer loses what it can't place. */
const MOST = 40
/** With less than this on it a last page looks lost. */
const LEAST = 15

interface Node {
  readonly text?: unknown
  readonly stack?: readonly unknown[]
  readonly ul?: readonly unknown[]
  readonly columns?: readonly unknown[]
  readonly table?: { readonly body: readonly (readonly unknown[])[] }
  readonly svg?: string
  readonly canvas?: readonly unknown[]
  readonly margin?: unknown
}

const sum = (list: readonly unknown[]): number => list.reduce<number>((n, x) => n + linesOf(x), 0)
const tallest = (list: readonly unknown[]): number => Math.max(0, ...list.map(linesOf))

/** Roughly how many lines of text something is tall; errs on the high side. */
export const linesOf = (part: unknown): number => {
  if (typeof part === 'string')
    return part.split('\n').reduce((n, line) => n + Math.max(1, Math.ceil(line.length / ACROSS)), 0)
  if (Array.isArray(part)) return sum(part)
  if (typeof part !== 'object' || part === null) return 0
  const node = part as Node
  const above = Array.isArray(node.margin) ? Number(node.margin[1]) / 12 : 0
  if (node.text !== undefined) return above + linesOf(node.text)
  if (node.stack) return above + sum(node.stack)
  if (node.ul) return above + sum(node.ul)
  if (node.columns) return above + tallest(node.columns)
  if (node.table) return above + node.table.body.reduce((n, row) => n + 0.4 + tallest(row), 1)
  if (node.svg) return above + Number(/viewBox="0 0 \S+ (\S+)"/.exec(node.svg)?.[1] ?? 120) / 12
  return above + (node.canvas ? 0.2 : 0)
}

/** Held on one page where they are short enough, else free to break. */
export const together = (...parts: readonly Content[]): Content =>
  sum(parts) <= MOST ? { unbreakable: true, stack: [...parts] } : { stack: [...parts] }

/** The last part takes as many before it along as a last page needs to be worth turning to. */
export const withoutLostEnd = (parts: readonly Content[]): readonly Content[] => {
  const from = (n: number) => sum(parts.slice(-n))
  let taken = 1
  while (taken < parts.length && from(taken) < LEAST && from(taken + 1) <= MOST) taken++
  return [...parts.slice(0, -taken), together(...parts.slice(-taken))]
}
