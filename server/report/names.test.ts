import { describe, expect, it } from 'vitest'
import type { LogEntry } from '../../core/logbook/entry'
import type { Person } from '../../shared/register/works'
import { withNames, withoutNames } from './names'

const people: readonly Person[] = [
  { id: 'a', name: 'First hand', role: 'millwright' },
  { id: 'b', name: 'Second hand', role: 'millwright' },
  { id: 'c', name: 'Young hand', role: 'apprentice' },
]
const entry = (author: string, kind: string, payload: object, more: object = {}) =>
  ({ id: `${author}-${kind}`, author, kind, payload, ...more }) as unknown as LogEntry
const entries = [
  entry('b', 'job-opened', {}),
  entry('a', 'remark', { text: 'x' }),
  entry(
    'c',
    'job-closed',
    { signedBy: 'Young hand', customer: { name: 'Somebody', strokes: [] } },
    { second: 'a' },
  ),
]

describe('a report', () => {
  it('calls everybody by name', () => {
    const called = withNames(entries, people)
    expect(called.people).toEqual({ a: 'First hand', b: 'Second hand', c: 'Young hand' })
    expect(called.entries).toBe(entries)
  })

  it('without names calls them by what they are, in the order they wrote, and shows no hand', () => {
    const called = withoutNames(entries, people)
    expect(called.people).toEqual({ b: 'Millwright 1', a: 'Millwright 2', c: 'Apprentice 1' })
    expect(called.entries[2]?.payload).toMatchObject({ signedBy: 'Millwright 2', customer: null })
    expect(JSON.stringify(called)).not.toMatch(/hand|Somebody/)
    // What was logged stays as it is.
    expect(entries[2]?.payload).toMatchObject({ signedBy: 'Young hand' })
  })
})
