import type { z } from 'zod'
import { issue, ISSUE_MARK } from '../issue'
import { kindsOfValue } from '../wording/en/issues'
import { wordIssue } from '../wording/wordIssue'
import type { Issue } from './operation'

type ZodIssue = z.ZodError['issues'][number]

/** The code for a check that carries none of its own: what the package says by itself is never shown. */
const ownIssue = (found: ZodIssue): string => {
  // Ours are codes; what an inner input's check said is worded already.
  if (found.message.startsWith(ISSUE_MARK) || found.code === 'custom') return found.message
  switch (found.code) {
    case 'invalid_type':
      return issue('missing-or-wrong-kind', articled(found.expected))
    case 'unrecognized_keys':
      return issue('not-asked-for', found.keys.join(', '))
    case 'too_small':
      return found.origin === 'string' ? issue('left-empty') : issue('too-little', '', String(found.minimum))
    case 'too_big':
      return issue(found.origin === 'string' ? 'too-many-characters' : 'too-much', '', String(found.maximum))
    case 'invalid_value':
      return issue('choose-one-of', found.values.map(String).join(', '))
    default:
      return issue('does-not-fit')
  }
}

const articled = (expected: string): string =>
  Object.hasOwn(kindsOfValue, expected) ? kindsOfValue[expected as keyof typeof kindsOfValue] : expected

const flatten = (found: ZodIssue, above: readonly PropertyKey[] = []): readonly Issue[] => {
  const path = [...above, ...found.path]
  if (found.code === 'invalid_union' && found.errors.length > 0 && found.message.startsWith('Invalid')) {
    const closest = found.errors.reduce((least, branch) => (branch.length < least.length ? branch : least))
    return closest.flatMap((inner) => flatten(inner as ZodIssue, path))
  }
  return [{ path: path.map(String).join('.'), message: wordIssue(ownIssue(found)) }]
}

/** Every issue of a failed parse, in input order, as path and plain sentence. */
export const issuesOf = (error: z.ZodError): readonly Issue[] =>
  error.issues.slice(0, 50).flatMap((issue) => flatten(issue))
