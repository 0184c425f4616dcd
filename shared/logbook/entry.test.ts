import { describe, expect, it } from 'vitest'
import { TestJob } from '../../core/jobs/testJob'
import { foldJob } from '../../core/jobs/jobs'
import { issuesOf } from '../calculation/issues'
import { asDraft, entryDraft, liftDraft, readEntry } from './entry'
import { KINDS, readBody } from './kinds'
import { fromWire, liftPayload, toWire, versionOf } from './lifts'
import { everyKind } from './testEveryKind'
import { FIRST_VERSION } from './testFirstVersion'

const ID = '11111111-1111-4111-8111-111111111111'
const envelope = { id: ID, author: ID, madeAt: '2026-11-23T08:00:00Z' }
const parse = (body: unknown) => entryDraft.safeParse({ ...envelope, ...(body as object) })
const closedFor = (name: string, strokes: unknown) => ({
  kind: 'job-closed',
  payload: { signedBy: 'Lead', remarks: '', exception: '', customer: { name, strokes }, signed: null },
})
const paths = (body: unknown) => {
  const parsed = parse(body)
  return parsed.success ? [] : issuesOf(parsed.error).map((i) => i.path)
}

describe('what may be posted', () => {
  it('is every kind that core folds', () => {
    const bodies = everyKind()
    for (const body of bodies) expect(parse(body), body.kind).toMatchObject({ success: true })
    expect(new Set(bodies.map((b) => b.kind))).toEqual(new Set(Object.keys(KINDS)))
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
          changes: [{ machine: 'movable', pair: 'a', side: 'top', takenOut: [], putIn: [] }],
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
          changes: [{ machine: 'movable', pair: 'a', side: 'left', takenOut: [-5], putIn: [] }],
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
          changes: [{ machine: 'movable', pair: 'a', side: 'left', takenOut: [], putIn: Array(21).fill(1) }],
          side: [],
          remark: '',
        },
      },
      'payload.changes.0.putIn',
    ],
    [
      { kind: 'plan-chosen', payload: { units: 'inch', option: 'lucky', changes: [], side: [], sets: null } },
      'payload.option',
    ],
    [{ kind: 'set-left-out', payload: { set: ID, why: ' ' } }, 'payload.why'],
    [{ kind: 'job-closed', payload: { signedBy: '', remarks: '', exception: '' } }, 'payload.signedBy'],
    [closedFor('', [[1, 2]]), 'payload.customer.name'],
    [closedFor('A. Vale', [[1]]), 'payload.customer.strokes.0'],
    [closedFor('A. Vale', [[1, 2, 3]]), 'payload.customer.strokes.0'],
    [closedFor('A. Vale', [[1, 301]]), 'payload.customer.strokes.0'],
    [closedFor('A. Vale', [[1.5, 3]]), 'payload.customer.strokes.0.0'],
    [closedFor('A. Vale', Array(81).fill([1, 2])), 'payload.customer.strokes'],
    [closedFor('A. Vale', Array(3).fill(Array(1400).fill(1))), 'payload.customer.strokes'],
    [{ kind: 'remark', payload: { text: 'x' }, madeAt: '2199-01-01T00:00:00Z' }, 'madeAt'],
    [{ kind: 'remark', payload: { text: 'bell \u0007' } }, 'payload.text'],
  ])('not: %j', (body, path) => {
    expect(paths(body)).toContain(path)
  })
})

describe('entries of the first version, at today’s door', () => {
  it('are lifted to what core folds today', () => {
    const setUp = readBody('set-up', 1, FIRST_VERSION.setUp)
    expect(setUp).toMatchObject({
      payload: {
        how: {
          method: 'rim-face',
          given: { rim: { plane: -1.5, turning: 'both' }, faces: [{ diameter: 8 }] },
        },
        told: { sag: 'hang', circle: 'radius' },
        feet: [{ machine: 'movable', pair: 'inboard', x: 12 }, {}],
        graduation: { rim: 0.5, face: 0.5 },
        why: '',
      },
    })
    expect(readBody('readings-taken', 1, FIRST_VERSION.readings)).toMatchObject({
      payload: { circles: { rim: [{}, {}, {}, {}], face: [{}, {}, {}, {}] }, returned: { rim: 0, face: 0 } },
    })
    expect(readBody('move-made', 1, FIRST_VERSION.move)).toMatchObject({
      payload: { changes: [{ machine: 'movable', pair: 'inboard' }], side: [{ machine: 'movable' }] },
    })
    expect(readBody('plan-chosen', 1, { ...FIRST_VERSION.move, option: 'closest' })).toMatchObject({
      payload: { sets: null },
    })
    expect(readBody('job-closed', 1, FIRST_VERSION.closed)).toMatchObject({ payload: { signed: null } })
  })

  it('fold to the same misalignment that the first version found', () => {
    const job = new TestJob().open().lockOut()
    const kept = (kind: string, payload: unknown) => {
      const [last] = job.entries.slice(-1)
      const raw = { ...last, id: ID, author: ID, after: null, kind, version: 1, payload }
      // The client lifts; a file is judged as well. Both must come to the same entry.
      expect(fromWire(raw)).toEqual(readEntry(raw))
      return fromWire(raw)
    }
    const entries = [
      ...job.entries,
      kept('set-up', FIRST_VERSION.setUp),
      { ...kept('readings-taken', FIRST_VERSION.readings), id: '22222222-2222-4222-8222-222222222222' },
    ].map((e, i) => ({ ...e, id: e.id === ID ? e.id : `${i}` }))
    const { state } = foldJob(job.machine, entries)
    if (!('latest' in state)) throw new Error('not coupled')
    expect((state.latest.coupling?.offset.v ?? NaN) / 0.0254).toBeCloseTo(-9.156, 2)
  })

  it('posted late by an old device they are taken like today’s', () => {
    const raw = { ...envelope, kind: 'readings-taken', version: 1, payload: FIRST_VERSION.readings }
    const parsed = entryDraft.safeParse(liftDraft(raw))
    expect(parsed.success).toBe(true)
    if (parsed.success) expect(asDraft(parsed.data)).not.toHaveProperty('version')
  })

  it('a lift that meets something else leaves it, so that the schema says what is wrong', () => {
    expect(liftPayload('readings-taken', 1, { rim: 'none' })).toEqual({ rim: 'none' })
    expect(
      parse(liftDraft({ ...envelope, kind: 'readings-taken', version: 1, payload: { rim: 1 } })).success,
    ).toBe(false)
    for (const odd of [null, 7, 'x', {}, { kind: 'remark' }, { kind: 'remark', version: 'one', payload: {} }])
      expect(liftDraft(odd)).toEqual(odd)
  })

  it('an entry from a newer program is refused with a sentence', () => {
    expect(paths({ kind: 'remark', payload: { text: 'x' }, version: 9 })).toContain('version')
  })
})

describe('an entry on the wire', () => {
  it('carries the version of its payload and comes back as it was', () => {
    const job = new TestJob().ready()
    job.read({ offset: { v: 1, h: 1 }, slope: { v: 0, h: 0 } })
    for (const entry of job.entries) {
      const told = toWire({ ...entry, id: ID, author: ID, after: null })
      expect(told.version).toBe(versionOf(entry.kind))
      const { version: _, ...rest } = told
      const arrived: unknown = JSON.parse(JSON.stringify(told))
      expect(fromWire(arrived)).toEqual(rest)
      expect(readEntry(arrived)).toEqual(rest)
    }
  })

  it('of no known kind is damage', () => {
    expect(() => readBody('weather', 1, {})).toThrow('no kind of entry')
  })
})
