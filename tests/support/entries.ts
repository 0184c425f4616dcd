import { randomUUID } from 'node:crypto'
import { SAFETY_POINTS, type EntryBody } from '../../core/logbook/entry'
import { SET_UP } from '../../core/logbook/testJob'
import { demoId } from '../../scripts/demo/works'

export const AUTHOR = demoId('day')

/** An entry as a client posts it. */
export const draft = (body: EntryBody, more: object = {}) => ({
  id: randomUUID(),
  author: AUTHOR,
  madeAt: new Date().toISOString(),
  ...body,
  ...more,
})

export const OPENING: EntryBody = {
  kind: 'job-opened',
  payload: { reason: 'planned', rpm: 990, customer: '', note: '' },
}

export { SET_UP }

const quarters = (values: readonly number[]) => values.map((value, i) => ({ clock: i * 90, value }))

/** One set at 12, 3, 6 and 9, in mil. */
export const readings = (rim: readonly number[], face: readonly number[]): EntryBody => ({
  kind: 'readings-taken',
  payload: { units: 'inch', rim: quarters(rim), face: quarters(face), returned: { rim: 0, face: 0 } },
})

export const LOW_MOTOR = readings([0, -2.5, -23, -20.5], [0, 1, 3.5, 2.5])

export const lockOut: readonly EntryBody[] = SAFETY_POINTS.map((point) => ({
  kind: 'safety-confirmed',
  payload: { point, permit: '' },
}))
