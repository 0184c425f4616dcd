import { ISSUE_BETWEEN, ISSUE_MARK, type IssueCode, type Thing } from '../issue'
import { issues } from './en/issues'
import { things } from './en/things'

const isCode = (code: string): code is IssueCode => Object.hasOwn(issues, code)
const isThing = (about: string): about is Thing => Object.hasOwn(things, about)

/** The sentence for what a schema said; anything a schema did not say stays as it is. */
export const wordIssue = (said: string): string => {
  if (!said.startsWith(ISSUE_MARK)) return said
  const [code = '', about = '', ...n] = said.slice(ISSUE_MARK.length).split(ISSUE_BETWEEN)
  return isCode(code) ? issues[code](isThing(about) ? things[about] : about, n.join(ISSUE_BETWEEN)) : said
}
