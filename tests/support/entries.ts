import { randomUUID } from 'node:crypto'
import { REVERSE_SET_UP, SET_UP } from '../../core/jobs/testJob'
import type { EntryBody } from '../../core/logbook/entry'
import { SAFETY_POINTS } from '../../core/stages/makeSafe/entries'
import { demoId } from '../../scripts/demo/works'

export const AUTHOR = demoId('day')
export { REVERSE_SET_UP, SET_UP }

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

const quarters = (values: readonly number[]) => values.map((value, i) => ({ clock: i * 90, value }))

/** One set of a rim and a face at 12, 3, 6 and 9, in mil. */
export const readings = (
  rim: readonly number[],
  face: readonly number[],
): Extract<EntryBody, { kind: 'readings-taken' }> => ({
  kind: 'readings-taken',
  payload: {
    units: 'inch',
    circles: { rim: quarters(rim), face: quarters(face) },
    returned: { rim: 0, face: 0 },
  },
})

export const LOW_MOTOR = readings([0, -2.5, -23, -20.5], [0, 1, 3.5, 2.5])
export const ALIGNED = readings([0, -3, -6, -3], [0, 0, 0, 0])

export const lockOut: readonly EntryBody[] = SAFETY_POINTS.map((point) => ({
  kind: 'safety-confirmed',
  payload: { point, permit: '' },
}))

/** Nothing rocks: every foot rises by a mil. */
/** Hubs near enough by straightedge and feeler. */
export const hubsClose: EntryBody = {
  kind: 'hubs-felt',
  payload: {
    units: 'inch',
    steps: [
      { clock: 0, value: -6 },
      { clock: 90, value: 4 },
    ],
    gaps: [],
    diameter: null,
    hubs: null,
    coupled: false,
    drag: null,
    pushed: null,
    remark: '',
  },
}

export const feetSit: EntryBody = {
  kind: 'rises-read',
  payload: {
    units: 'inch',
    rises: (['inboard', 'outboard'] as const).flatMap((pair) =>
      (['left', 'right'] as const).map((side) => ({ machine: 'movable' as const, pair, side, rise: 1 })),
    ),
    pipe: 'bolted',
    remark: '',
  },
}

export const remark = (text: string): EntryBody => ({ kind: 'remark', payload: { text } })
export const waived = (why: string): EntryBody => ({ kind: 'lockout-waived', payload: { why } })
export const setUp: EntryBody = { kind: 'set-up', payload: SET_UP }

/** The motor of LOW_MOTOR lifted and pushed to where it belongs. */
export const WHOLE_MOVE: EntryBody = {
  kind: 'move-made',
  payload: {
    units: 'inch',
    changes: (['left', 'right'] as const).flatMap((side) => [
      { machine: 'movable', pair: 'inboard', side, takenOut: [], putIn: [10, 5] },
      { machine: 'movable', pair: 'outboard', side, takenOut: [5], putIn: [20, 10] },
    ]),
    side: [
      { machine: 'movable', pair: 'inboard', moved: 11.5 },
      { machine: 'movable', pair: 'outboard', moved: 15.5 },
    ],
    remark: '',
  },
}

export const closing = (exception = ''): EntryBody => ({
  kind: 'job-closed',
  payload: { signedBy: 'Lead', remarks: '', exception, signed: null },
})

/** The same of a coupling or a machine of a line. */
export const about = (part: string, body: EntryBody): EntryBody => Object.assign({ part }, body)

/** A plan that only pushes: 6 and 10 mil toward 9. */
export const SIDE_PLAN: EntryBody = {
  kind: 'plan-chosen',
  payload: {
    units: 'inch',
    option: 'own',
    changes: [],
    side: [
      { machine: 'movable', pair: 'inboard', moved: -6 },
      { machine: 'movable', pair: 'outboard', moved: -10 },
    ],
    sets: null,
  },
}
