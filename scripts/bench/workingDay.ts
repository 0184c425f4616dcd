import { randomUUID } from 'node:crypto'
import { SET_UP } from '../../core/jobs/testJob'
import type { EntryBody } from '../../core/logbook/entry'
import { demoId } from '../demo/works'

/** An entry as a client posts it. */
export const draft = (body: EntryBody, more: object = {}) => ({
  id: randomUUID(),
  author: demoId('day'),
  madeAt: new Date().toISOString(),
  ...body,
  ...more,
})
const quarters = (values: readonly number[]) => values.map((value, i) => ({ clock: i * 90, value }))
/** Entries of a working day, round after round: two sets, a word, a plan of their own, a push. */
export const day = (count: number, since: string): readonly object[] => {
  const all: object[] = []
  let after = since
  const add = (body: EntryBody) => {
    const entry = draft(body, { after })
    after = entry.id
    all.push(entry)
    return entry.id
  }
  add({ kind: 'lockout-waived', payload: { why: 'a trial on the stand' } })
  add({ kind: 'set-up', payload: SET_UP })
  for (let round = 0; all.length < count; round++) {
    const sets = [0, 1].map((n) =>
      add({
        kind: 'readings-taken',
        payload: {
          units: 'inch',
          circles: { rim: quarters([0, -2.5 - n / 10, -23, -20.5]), face: quarters([0, 1, 3.5, 2.5]) },
          returned: { rim: 0, face: 0 },
        },
      }),
    )
    add({ kind: 'remark', payload: { text: `round ${round}` } })
    const side = (['inboard', 'outboard'] as const).map((pair) => ({
      machine: 'movable' as const,
      pair,
      moved: round % 2 === 0 ? 1 : -1,
    }))
    add({ kind: 'plan-chosen', payload: { units: 'inch', option: 'own', changes: [], side, sets } })
    add({ kind: 'move-made', payload: { units: 'inch', changes: [], side, remark: '' } })
  }
  return all.slice(0, count)
}
