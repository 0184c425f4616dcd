import type { Limited, LimitRow, RowLimits } from '../../core/judge/limitSets'
import type { Grade } from '../../core/judge/tolerance'
import { readTypedNumber, type TypedMeasure } from '../../core/units/typedNumber'
import { issuesOf } from '../calculation/issues'
import { typingWords } from '../wording/en'
import type { Words } from '../wording/words'
import { boxOf, type LimitTexts } from './form'
import { limitSetFields, type LimitSetFields } from './limitSet'

/**
 * Reads the boxes; faults by the path of their field, like `rows.2.fine.offset`. `unread` are those of boxes that hold
 * something that is no figure: said at once, the others when it is to be saved.
 */
export const readLimits = (
  texts: LimitTexts,
  words: Words,
): {
  readonly fields: LimitSetFields | null
  readonly unread: Readonly<Record<string, string>>
  readonly faults: Readonly<Record<string, string>>
} => {
  const unread: Record<string, string> = {}
  const number = (text: string, path: string, measure: TypedMeasure): number | null => {
    const read = readTypedNumber(text, measure, texts.units)
    if (read.ok) return read.value
    if (read.fault !== 'empty') unread[path] = typingWords(words).faults[read.fault]
    return null
  }
  const rows = texts.rows.map((r, i): LimitRow => {
    const cells = (grade: Grade): RowLimits => {
      const of = (q: Limited) => number(r[grade][q], `rows.${i}.${grade}.${q}`, boxOf(q))
      return { offset: of('offset'), slope: of('slope'), flexSlope: of('flexSlope') }
    }
    return {
      upTo: number(r.upTo, `rows.${i}.upTo`, 'plain'),
      fine: cells('fine'),
      standard: cells('standard'),
    }
  })
  const trimmed = {
    ...texts,
    coupling: texts.level === 'works' ? '' : texts.coupling.trim(),
    name: texts.name.trim(),
    source: texts.source.trim(),
    revision: texts.revision.trim(),
    rows,
  }
  const parsed = limitSetFields.safeParse(trimmed)
  const faults = { ...unread }
  if (!parsed.success) for (const { path, message } of issuesOf(parsed.error)) faults[path] ??= message
  return {
    fields: parsed.success && Object.keys(faults).length === 0 ? parsed.data : null,
    unread,
    faults,
  }
}
