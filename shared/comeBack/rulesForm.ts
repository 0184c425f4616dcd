import { NO_RULES, RULE_NAMES, type ComeBackRules } from '../../core/comeBack/rules'
import { readTypedNumber } from '../../core/units/typedNumber'
import { issuesOf } from '../calculation/issues'
import { typingWords } from '../wording/en'
import type { Words } from '../wording/words'
import { comeBackFields } from './rules'

export type RuleTexts = Record<keyof ComeBackRules, string>

export const textsOfRules = (rules: ComeBackRules = NO_RULES): RuleTexts =>
  Object.fromEntries(
    RULE_NAMES.map((name) => [name, rules[name] === null ? '' : String(rules[name])]),
  ) as RuleTexts

/** Reads the boxes of the works' rules; an empty one says nothing. Faults by their names. */
export const readRules = (
  texts: RuleTexts,
  words: Words,
): { readonly rules: ComeBackRules | null; readonly faults: Readonly<Record<string, string>> } => {
  const faults: Record<string, string> = {}
  const typed = RULE_NAMES.map((name) => {
    if (texts[name].trim() === '') return [name, null]
    // Days, months and hours are the same in either unit.
    const read = readTypedNumber(texts[name], 'plain', 'metric')
    if (!read.ok) faults[name] = typingWords(words).faults[read.fault]
    return [name, read.ok ? read.value : null]
  })
  const parsed = comeBackFields.safeParse(Object.fromEntries(typed))
  if (!parsed.success) for (const { path, message } of issuesOf(parsed.error)) faults[path] ??= message
  return { rules: parsed.success && Object.keys(faults).length === 0 ? parsed.data : null, faults }
}
