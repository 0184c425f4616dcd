import { describe, expect, it } from 'vitest'
import type { EntryBody } from '../../core/logbook/entry'
import { TestJob } from '../../core/logbook/testJob'
import { issuesOf } from '../calculation/issues'
import { entryDraft } from './entry'

const ID = '11111111-1111-4111-8111-111111111111'
const envelope = { id: ID, author: ID, madeAt: '2026-11-23T08:00:00Z' }
const parse = (body: unknown) => entryDraft.safeParse({ ...envelope, ...(body as object) })
const paths = (body: unknown) => {
  const parsed = parse(body)
  return parsed.success ? [] : issuesOf(parsed.error).map((i) => i.path)
}

describe('what may be posted', () => {
  it('is every kind that core folds', () => {
    const job = new TestJob().ready()
    job.read({ offset: { v: 1, h: 1 }, slope: { v: 0, h: 0 } })
    const bodies: EntryBody[] = [
      ...job.entries.map((e) => ({ kind: e.kind, payload: e.payload }) as EntryBody),
      { kind: 'power-restored', payload: { why: 'bump test' } },
      { kind: 'set-used-anyway', payload: { set: ID, why: 'x' } },
      { kind: 'set-left-out', payload: { set: ID, why: 'x' } },
      {
        kind: 'plan-chosen',
        payload: { units: 'inch', option: 'own', changes: [], side: [{ pair: 'inboard', moved: -3 }] },
      },
      {
        kind: 'move-made',
        payload: {
          units: 'metric',
          changes: [{ pair: 'inboard', side: 'left', takenOut: [0.5], putIn: [] }],
          side: [],
          remark: '',
        },
      },
      { kind: 'stage-skipped', payload: { stage: 'plan', why: 'x' } },
      { kind: 'remark', payload: { text: 'tabs\tand\nlines are fine, so is ⌀ 40 × 2' } },
      { kind: 'job-closed', payload: { signedBy: 'Lead', remarks: '', exception: '' } },
    ]
    for (const body of bodies) expect(parse(body), body.kind).toMatchObject({ success: true })
    expect(new Set(bodies.map((b) => b.kind)).size).toBe(12)
  })

  it('stands alone unless it says what it corrects', () => {
    expect(parse({ kind: 'remark', payload: { text: 'x' } }).data).toMatchObject({ supersedes: null })
  })

  it.each([
    [{ kind: 'remark', payload: { text: '   ' } }, 'payload.text'],
    [{ kind: 'remark', payload: {} }, 'payload.text'],
    [{ kind: 'remark' }, 'payload'],
    [{ kind: 'safety-confirmed', payload: { point: 'hoped', permit: '' } }, 'payload.point'],
    [{ kind: 'safety-confirmed', payload: { point: 'tried', permit: 'x'.repeat(61) } }, 'payload.permit'],
    [{ kind: 'job-opened', payload: { reason: 'planned', rpm: 0, customer: '', note: '' } }, 'payload.rpm'],
    [
      { kind: 'job-opened', payload: { reason: 'planned', rpm: Infinity, customer: '', note: '' } },
      'payload.rpm',
    ],
    [
      {
        kind: 'move-made',
        payload: {
          units: 'inch',
          changes: [{ pair: 'a', side: 'top', takenOut: [], putIn: [] }],
          side: [],
          remark: '',
        },
      },
      'payload.changes.0.side',
    ],
    [
      {
        kind: 'move-made',
        payload: {
          units: 'inch',
          changes: [{ pair: 'a', side: 'left', takenOut: [-5], putIn: [] }],
          side: [],
          remark: '',
        },
      },
      'payload.changes.0.takenOut.0',
    ],
    [
      {
        kind: 'move-made',
        payload: {
          units: 'inch',
          changes: [{ pair: 'a', side: 'left', takenOut: [], putIn: Array(21).fill(1) }],
          side: [],
          remark: '',
        },
      },
      'payload.changes.0.putIn',
    ],
    [
      { kind: 'plan-chosen', payload: { units: 'inch', option: 'lucky', changes: [], side: [] } },
      'payload.option',
    ],
    [{ kind: 'set-left-out', payload: { set: ID, why: ' ' } }, 'payload.why'],
    [{ kind: 'job-closed', payload: { signedBy: '', remarks: '', exception: '' } }, 'payload.signedBy'],
    [{ kind: 'remark', payload: { text: 'x' }, madeAt: '2199-01-01T00:00:00Z' }, 'madeAt'],
    [{ kind: 'remark', payload: { text: 'bell \u0007' } }, 'payload.text'],
  ])('not: %j', (body, path) => {
    expect(paths(body)).toContain(path)
  })
})
