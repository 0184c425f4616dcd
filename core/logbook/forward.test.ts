import { expect, it } from 'vitest'
import type { LogEntry } from './entry'
import { extended, takenForward } from './forward'

const entry = (id: string, more: Partial<LogEntry> = {}): LogEntry =>
  ({
    id,
    author: 'a',
    madeAt: '2026-11-20T08:00:00Z',
    receivedAt: null,
    after: null,
    before: null,
    supersedes: null,
    kind: 'remark',
    payload: { text: id },
    ...more,
  }) as LogEntry

/** A fold that counts its steps. */
const counting = () => {
  const steps: string[] = []
  const blank = { ids: [] as readonly string[] }
  const fold = takenForward(blank, (now, e) => {
    steps.push(e.id)
    return { ids: [...now.ids, e.id] }
  })
  return { fold, steps }
}

it('takes one step for one entry more, and none for what it has folded', () => {
  const { fold, steps } = counting()
  const long = Array.from({ length: 50 }, (_, i) => entry(`e${i}`))
  fold(long)
  steps.length = 0
  const longer = extended(long, entry('next'))
  expect(fold(longer).ids).toEqual([...long.map((e) => e.id), 'next'])
  expect(steps).toEqual(['next'])
  fold(longer)
  expect(steps).toEqual(['next'])
})

it('folds anew where the entry belongs further up, or the shorter logbook was not folded', () => {
  const { fold, steps } = counting()
  const [a, b] = [entry('a'), entry('b')]
  const both = extended([a], b)
  expect(fold(both).ids).toEqual(['a', 'b'])
  const corrected = extended(both, entry('c', { supersedes: { entry: 'a', reason: 'typed wrong' } }))
  expect(fold(corrected).ids).toEqual(['c', 'b'])
  steps.length = 0
  // What follows a correction goes on from it.
  expect(fold(extended(corrected, entry('d'))).ids).toEqual(['c', 'b', 'd'])
  expect(steps).toEqual(['d'])
})
