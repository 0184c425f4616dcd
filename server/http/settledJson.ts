import type { Issue } from '../../shared/calculation/operation'
import { answerWords } from '../../shared/wording/viewWords'
import { Refused } from './refusal'

/** Deeper than anything this program takes; a body of brackets alone would otherwise cost much and mean nothing. */
const DEEPEST = 40

type Holder = Record<string | number, unknown>

const refuse = (path: readonly (string | number)[], message: string): never => {
  const issues: Issue[] = [{ path: path.join('.'), message }]
  throw new Refused(422, 'bad-input', message, { issues })
}

// eslint-disable-next-line no-control-regex
const NUL = /\u0000/
const storable = (text: string): boolean => !NUL.test(text) && text.isWellFormed()

/**
 * Settles at the one edge what JSON can say and a database or a comparison can't take: -0 becomes 0, a text
 * with a null character or half a character pair is refused at its place, and so are numbers beyond all
 * bounds and nesting without end. Changes `root` in place.
 */
export const settledJson = (root: unknown): unknown => {
  const top: Holder = { body: root }
  const open: { readonly holder: Holder; readonly path: readonly (string | number)[] }[] = [
    { holder: top, path: [] },
  ]
  for (let here = open.pop(); here; here = open.pop()) {
    const { holder, path } = here
    for (const key of Object.keys(holder)) {
      const value = holder[key]
      const at = holder === top ? [] : [...path, key]
      if (holder !== top && !storable(key)) refuse(path, answerWords.unstorableText)
      if (typeof value === 'string') {
        if (!storable(value)) refuse(at, answerWords.unstorableText)
      } else if (typeof value === 'number') {
        if (!Number.isFinite(value)) refuse(at, answerWords.numberBeyond)
        if (value === 0) holder[key] = 0
      } else if (typeof value === 'object' && value !== null) {
        if (at.length >= DEEPEST) refuse(at.slice(0, 3), answerWords.tooDeep)
        open.push({ holder: value as Holder, path: at })
      }
    }
  }
  return top.body
}
