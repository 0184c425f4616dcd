import type { z } from 'zod'
import { wordIssue } from '../wording/wordIssue'
import type { Issue } from './operation'

type ZodIssue = z.ZodError['issues'][number]

/** Sentences for the checks that carry none of their own. */
const sentence = (issue: ZodIssue): string => {
  switch (issue.code) {
    case 'invalid_type':
      return issue.message.startsWith('Invalid input')
        ? `This is missing or of the wrong kind: give ${articled(issue.expected)}.`
        : issue.message
    case 'unrecognized_keys':
      return `Leave out what is not asked for: ${issue.keys.join(', ')}.`
    default:
      // A schema's own words come marked; what the package says by itself is worded here.
      return issue.message.startsWith('#') ? issue.message : bySort(issue)
  }
}

const bySort = (issue: ZodIssue): string => {
  switch (issue.code) {
    case 'too_small':
      return issue.origin === 'string'
        ? 'Say something here.'
        : `This is too little: ${String(issue.minimum)} or more.`
    case 'too_big':
      return issue.origin === 'string'
        ? `This is too long: ${String(issue.maximum)} characters at most.`
        : `This is too much: ${String(issue.maximum)} at most.`
    case 'invalid_value':
      return `Choose one of ${issue.values.map(String).join(', ')}.`
    default:
      return 'This does not fit. Look at what is asked for here.'
  }
}

const articled = (expected: string): string =>
  ({ string: 'a text', number: 'a number', boolean: 'true or false', object: 'an object', array: 'a list' })[
    expected
  ] ?? expected

const flatten = (issue: ZodIssue, above: readonly PropertyKey[] = []): readonly Issue[] => {
  const path = [...above, ...issue.path]
  if (issue.code === 'invalid_union' && issue.errors.length > 0 && issue.message.startsWith('Invalid')) {
    const closest = issue.errors.reduce((least, branch) => (branch.length < least.length ? branch : least))
    return closest.flatMap((inner) => flatten(inner as ZodIssue, path))
  }
  return [{ path: path.map(String).join('.'), message: wordIssue(sentence(issue)) }]
}

/** Every issue of a failed parse, in input order, as path and plain sentence. */
export const issuesOf = (error: z.ZodError): readonly Issue[] =>
  error.issues.slice(0, 50).flatMap((issue) => flatten(issue))
