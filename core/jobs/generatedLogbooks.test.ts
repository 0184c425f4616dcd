import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { EntryBody, LogEntry } from '../logbook/entry'
import { PROOF_POINTS } from '../stages/prove/entries'
import { SAFETY_POINTS } from '../stages/makeSafe/entries'
import { foldJob } from './jobs'
import { inMil, lift, REVERSE_SET_UP, SET_UP, TEST_MACHINE, TestJob } from './testJob'
import { BELT_MACHINE } from './testBelt'

/** One thing somebody might do next, however senseless at that point. */
type Act = (job: TestJob, n: number) => void

const add =
  (body: EntryBody): Act =>
  (job) =>
    void job.add(body)
const ofKind = (job: TestJob, kind: LogEntry['kind']) => job.entries.filter((e) => e.kind === kind)
const pick = <T>(list: readonly T[], n: number): T | undefined => list[n % Math.max(1, list.length)]
/** A set that was read, or none. */
const someSet = (job: TestJob, n: number) => pick(ofKind(job, 'readings-taken'), n)?.id ?? 'no-such-set'

const ACTS: readonly Act[] = [
  add({ kind: 'job-opened', payload: { reason: 'wear', rpm: 1480, customer: '', note: '' } }),
  (job, n) => job.add({ kind: 'safety-confirmed', payload: { point: pick(SAFETY_POINTS, n)!, permit: '' } }),
  (job) => job.lockOut('W-7'),
  add({ kind: 'power-restored', payload: { why: 'bump test' } }),
  add({ kind: 'lockout-waived', payload: { why: 'belts off, rotor out' } }),
  add({ kind: 'set-up', payload: SET_UP }),
  add({ kind: 'set-up', payload: REVERSE_SET_UP }),
  add({ kind: 'set-up', payload: { ...SET_UP, returned: { rim: 3, face: 0 }, why: 'one slack bracket' } }),
  (job, n) => {
    const old = pick(ofKind(job, 'set-up'), n)
    if (old?.kind !== 'set-up') return
    job.add(
      { kind: 'set-up', payload: { ...old.payload, told: { ...old.payload.told, circle: 'radius' } } },
      { supersedes: { entry: old.id, reason: 'taped again' } },
    )
  },
  ...Array.from({ length: 4 }, (): Act => (job, n) => {
    if (ofKind(job, 'set-up').length > 0) job.read(inMil((n % 9) - 4, 3, ((n % 5) - 2) / 5, 0.2))
  }),
  (job, n) => {
    if (ofKind(job, 'set-up').length > 0) job.read(inMil(-8, 5, -0.3, 0.2), { clock: 90, by: n % 7 })
  },
  (job, n) => {
    const old = pick(ofKind(job, 'readings-taken'), n)
    if (old) job.read(inMil(1, 1, 0, 0), undefined, { entry: old.id, reason: 'misread' })
  },
  (job, n) => {
    if (n % 3 === 0) job.look()
    job.add({
      kind: 'shims-found',
      payload: {
        units: 'inch',
        feet: [{ ...job.outerFeet()[n % 4]!, leaves: [{ thickness: 1 + (n % 30), mark: '' }] }],
        words: '',
      },
    })
  },
  (job, n) => job.add({ kind: 'set-used-anyway', payload: { set: someSet(job, n), why: 'no time' } }),
  (job, n) => job.add({ kind: 'set-left-out', payload: { set: someSet(job, n), why: 'slipped' } }),
  (job, n) =>
    job.add({
      kind: 'plan-chosen',
      payload: {
        units: 'inch',
        option: 'own',
        changes: lift('inboard', [n % 2 === 0 ? 5 : 10]),
        side: [{ machine: 'movable', pair: 'outboard', moved: n % 4 }],
        sets: n % 3 === 0 ? null : [...job.state.latest.used],
      },
    }),
  (job, n) =>
    job.add({
      kind: 'move-made',
      payload: {
        units: n % 2 === 0 ? 'inch' : 'metric',
        changes: lift(n % 5 === 0 ? 'nowhere' : 'outboard', [n % 2 === 0 ? 2 : 0.1], [10]),
        side: [],
        remark: '',
      },
    }),
  (job, n) => {
    const move = pick(ofKind(job, 'move-made'), n)
    if (!move || ofKind(job, 'set-up').length === 0) return
    job.add({ kind: 'readings-taken', payload: job.readingsOf(inMil(2, 0, 0, 0)) }, { before: move.id })
  },
  (job, n) =>
    job.add({
      kind: 'stage-skipped',
      payload: { stage: pick(['plan', 're-measure', 'move'], n)!, why: 'x' },
    }),
  add({ kind: 'bump-begun', payload: { by: '' } }),
  (job, n) =>
    job.add({
      kind: 'rotation-seen',
      payload: { seen: pick(['right', 'wrong', 'not-needed'] as const, n)!, words: '' },
    }),
  (job, n) =>
    job.add({ kind: 'coupling-made-up', payload: { units: 'inch', gap: n % 3 === 0 ? null : n / 1000 } }),
  add({ kind: 'coupling-opened', payload: { why: 'it binds' } }),
  (job, n) =>
    job.add({
      kind: 'proof-confirmed',
      payload: { point: pick(PROOF_POINTS, n)!, how: n % 4 === 0 ? 'not-here' : 'done', words: '' },
    }),
  (job, n) =>
    job.add({
      kind: 'counts-read',
      payload: {
        units: n % 2 === 0 ? 'inch' : 'metric',
        when: n % 3 === 0 ? 'tightened' : 'pushing',
        counts: [{ machine: n % 5 === 0 ? 'stationary' : 'movable', pair: 'outboard', toGo: (n % 9) - 4 }],
      },
    }),
  add({ kind: 'remark', payload: { text: 'oil on the floor' } }),
  add({
    kind: 'job-closed',
    payload: { signedBy: 'lead', remarks: '', exception: 'late', signed: { verdict: 'out', foldVersion: 3 } },
  }),
]

const logbooks = fc
  .array(fc.tuple(fc.nat({ max: ACTS.length - 1 }), fc.nat({ max: 1000 })), { minLength: 1, maxLength: 32 })
  .map((choices) => {
    const job = new TestJob()
    for (const [which, n] of choices) ACTS[which]?.(job, n)
    return job.entries
  })

describe('the same logbook folds to the same job', () => {
  it('at every prefix, whether everything before was folded already or nothing was', () => {
    fc.assert(
      fc.property(logbooks, (entries) => {
        for (let n = 0; n <= entries.length; n++) {
          const warm = foldJob(TEST_MACHINE, entries.slice(0, n))
          const cold = foldJob(structuredClone(TEST_MACHINE), structuredClone(entries.slice(0, n)))
          expect(warm).toEqual(cold)
        }
      }),
      { numRuns: 60 },
    )
  })

  it('whatever was folded in between: another draft, another machine, a shorter logbook', () => {
    fc.assert(
      fc.property(logbooks, logbooks, (entries, others) => {
        const cold = foldJob(structuredClone(TEST_MACHINE), structuredClone(entries))
        foldJob(TEST_MACHINE, [...entries, ...others.slice(-1)])
        foldJob({ ...TEST_MACHINE, rpm: 1480 }, entries)
        foldJob(TEST_MACHINE, entries.slice(0, -1))
        foldJob(BELT_MACHINE, entries)
        expect(foldJob(TEST_MACHINE, entries)).toEqual(cold)
      }),
      { numRuns: 40 },
    )
  })

  it('and never throws or answers with something that is not a number, whatever was logged', () => {
    const finite = (value: unknown): boolean =>
      typeof value === 'number'
        ? Number.isFinite(value)
        : typeof value !== 'object' || value === null || Object.values(value).every(finite)
    fc.assert(
      fc.property(logbooks, (entries) => {
        const { state, sheet } = foldJob(TEST_MACHINE, entries)
        expect(finite(state)).toBe(true)
        expect(sheet.rows.some((r) => r.id === sheet.current)).toBe(true)
      }),
      { numRuns: 60 },
    )
  })
})
