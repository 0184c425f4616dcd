import type { issues } from './wording/en/issues'
import type { things } from './wording/en/things'

/** What may be wrong with an input. */
export type IssueCode = keyof typeof issues
/** What an input may be asked for. */
export type Thing = keyof typeof things

export const ISSUE_MARK = '#'
export const ISSUE_BETWEEN = '|'

/**
 * What a schema says is wrong: a code, what it is about (a thing, or a name that was given), and a
 * figure. It is worded where it leaves; see shared/wording/wordIssue.ts.
 */
export const issue = (code: IssueCode, about: string = '', n: string | number = ''): string =>
  [ISSUE_MARK + code, about, n].join(ISSUE_BETWEEN)
