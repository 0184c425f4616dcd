import { describe, expect, it } from 'vitest'
import fc from 'fast-check'
import type { EntryBody } from '../logbook/entry'
import { shakesLess } from '../stages/open/vibration'
import { GEAR } from './gear'
import { figuresOf, summaryOf } from './summary'
import { TEST_GEAR, TestGear } from './testGear'

const MIL = 0.0254
const refused = (job: TestGear, body: EntryBody) => {
  const entry = new TestGear(job.machine)
  entry.entries.push(...job.entries)
  const last = entry.add(body)
  return GEAR.objection(GEAR.fold(job.machine, [...job.entries]), [...job.entries], last)?.code ?? null
}
const painting = (
  moment: 'as-found' | 'fit',
  forward: readonly [number, number] | null,
  back: readonly [number, number] | null,
): EntryBody => ({ kind: 'contact-painted', payload: { moment, forward, back, photographs: [], words: '' } })
const turn = (job: TestGear) => job.job.sheet.current

describe('the job of a gearset', () => {
  it('goes from lockout to the look, the pattern, the refit, the paint', () => {
    const job = new TestGear().open()
    expect(turn(job)).toBe('make-safe')
    expect(turn(job.lockOut())).toBe('look')
    expect(turn(job.found())).toBe('refit')
    expect(turn(job.refit())).toBe('contact')
  })

  it('a planned visit is not taken apart: what lies as it was found is judged', () => {
    const job = new TestGear({
      ...TEST_GEAR,
      gear: { ...TEST_GEAR.gear, wanted: { forward: [40, 76], back: [30, 66] } },
    })
    job.add({ kind: 'job-opened', payload: { reason: 'planned', rpm: 1440, customer: '', note: '' } })
    job.lockOut().found()
    expect(job.state.contact.now?.figures?.verdict).toBe('in')
    expect(turn(job)).toBe('backlash')
    expect(turn(job.play(12, 13))).toBe('run')
    job.run()
    expect(job.state.outcome).toEqual({ verdict: 'in', exceptions: [] })
  })

  it('what was found is what is wanted, where the register has no zone of its own', () => {
    const job = new TestGear().ready().paint([15, 51], [10, 44])
    expect(job.state.contact.wanted?.from).toBe('as-found')
    expect(job.state.contact.now?.figures).toMatchObject({ together: -22, apart: -1, verdict: 'out' })
    const known = new TestGear({
      ...TEST_GEAR,
      gear: { ...TEST_GEAR.gear, wanted: { forward: [15, 51], back: [10, 44] } },
    })
    known.ready().paint([15, 51], [10, 44])
    expect(known.state.contact.wanted?.from).toBe('register')
    expect(known.state.contact.now?.figures?.verdict).toBe('in')
  })

  it('nobody knows what is wanted: nothing is judged, and closing wants a word', () => {
    const job = new TestGear().open().lockOut().refit().clear().paint([15, 51], [10, 44])
    expect(job.state.contact.wanted).toBeNull()
    expect(job.state.contact.now?.figures).toBeNull()
    expect(job.state.outcome.exceptions).toContain('unknown')
    const before = new TestGear({
      ...TEST_GEAR,
      gear: { ...TEST_GEAR.gear, leftAs: { forward: [15, 51], back: [10, 44] } },
    })
    before.open().lockOut().refit().clear().paint([15, 51], [10, 44])
    expect(before.state.contact.wanted?.from).toBe('left-before')
    expect(before.state.contact.now?.figures?.verdict).toBe('in')
  })

  it('first a test, then as far as the test told: six mil moved 12 %, eleven are left', () => {
    const job = new TestGear().ready().paint([3, 39], [-0 + 0, 32])
    expect(job.state.contact.next).toMatchObject({ lever: 'blocks', from: 'test' })
    job.shift('blocks', 6).paint([15, 51], [10, 44])
    expect(job.state.contact.shifts[0]).toMatchObject({ round: 1, told: 'as-the-rule' })
    const { next } = job.state.contact
    if (!next || typeof next === 'string') throw new Error('no shift asked')
    expect(next.from).toBe('job')
    job.shift('blocks', 11).paint([37, 73], [31, 66])
    expect(job.state.contact.now?.figures?.verdict).toBe('in')
    expect(job.state.contact.next).toBeNull()
    expect(turn(job)).toBe('backlash')
  })

  it('backlash too wide asks for layers out; they end a round, and what they do to the paint is kept', () => {
    const job = new TestGear().ready().paint([37, 73], [31, 66]).play(18, 17.5)
    expect(job.state.backlash.cure).toMatchObject({ layers: -3, verdict: 'in' })
    expect(turn(job)).toBe('backlash')
    job.layers(-3, -3)
    expect(job.state.layers.now).toEqual([7, 7])
    expect(turn(job)).toBe('contact')
    job.paint([39, 75], [33, 68]).play(13.6)
    expect(job.state.contact.layersSeen).toEqual([
      { round: 1, layers: [-3, -3], went: { together: 2, apart: 0 } },
    ])
    expect(turn(job)).toBe('tighten')
  })

  it('drawn down, both are read again, and the pins come back; shifted far, the holes are reamed', () => {
    const job = new TestGear()
      .ready()
      .paint([32, 68], [24, 60])
      .shift('blocks', 3)
      .paint([38, 74], [30, 66])
      .play(13)
    expect(job.state.mustReam).toBe(true)
    job.tighten()
    expect(job.state.gearRecheck.missing).toEqual(['contact', 'backlash'])
    expect(turn(job)).toBe('tighten')
    job.paint([38, 74], [30, 66]).play(13)
    expect(job.state.gearRecheck).toMatchObject({ missing: [], verdict: 'in' })
    expect(job.state.outcome.exceptions).toEqual(['pins-out'])
    expect(turn(job)).toBe('tighten')
    job.pins('reamed')
    expect(job.state.outcome).toEqual({ verdict: 'in', exceptions: [] })
    expect(turn(job)).toBe('run')
    expect(turn(job.run())).toBe('close')
  })

  it('a shift after tightening undoes it, and closing without reading again wants a word', () => {
    const job = new TestGear()
      .ready()
      .paint([38, 74], [30, 66])
      .play(13)
      .tighten()
      .paint([38, 74], [30, 66])
      .play(13)
    job.shift('blocks', 2)
    expect(job.state.gearRecheck.entry).toBeNull()
    expect(job.state.outcome.exceptions).toEqual(['corrected-since', 'gear-untightened', 'pins-out'])
  })

  it('small shifts leave the old holes good', () => {
    const job = new TestGear().ready().paint([26, 62], [18, 54]).shift('blocks', 2)
    expect(job.state.mustReam).toBe(false)
    expect(job.paint([30, 66], [22, 58]).shift('blocks', 2).state.mustReam).toBe(true)
  })

  it('room is counted from where it was pinned', () => {
    const job = new TestGear().ready().paint([3, 39], [0, 32]).shift('blocks', 28).paint([5, 41], [2, 34])
    expect(job.state.contact.next).toMatchObject({ from: 'test', by: expect.closeTo(2 * MIL) as number })
    const moved = new TestGear().ready().paint([3, 39], [0, 32]).shift('blocks', 20).paint([15, 51], [10, 44])
    const { next } = moved.state.contact
    if (!next || typeof next === 'string') throw new Error('no shift asked')
    expect(next.by / MIL).toBeCloseTo(10)
    expect(next.wanted / MIL).toBeGreaterThan(30)
  })

  it('layers that were marked otherwise than registered are what is counted from', () => {
    const job = new TestGear().open().lockOut()
    job.add({
      kind: 'layers-marked',
      payload: {
        units: 'inch',
        layer: 2,
        under: [8, 9],
        pins: 'marked',
        marks: 'A, B',
        photographs: [],
        words: '',
      },
    })
    expect(job.state.layers).toMatchObject({
      registered: [10, 10],
      found: [8, 9],
      now: [8, 9],
      differs: true,
    })
  })

  it.each<[string, TestGear, EntryBody]>([
    ['not-safe', new TestGear().open(), painting('as-found', [38, 74], null)],
    ['paint-a-run', new TestGear().open().lockOut(), painting('as-found', null, null)],
    ['disturbed-already', new TestGear().open().lockOut().refit(), painting('as-found', [38, 74], null)],
    ['not-refitted', new TestGear().open().lockOut().found().clear(), painting('fit', [38, 74], [30, 66])],
    [
      'mesh-not-cleared',
      new TestGear().open().lockOut().found().refit(),
      painting('fit', [38, 74], [30, 66]),
    ],
    ['both-runs', new TestGear().ready(), painting('fit', [38, 74], null)],
    [
      'contact-unread',
      new TestGear().ready(),
      { kind: 'gear-shifted', payload: { units: 'inch', lever: 'blocks', by: 6, words: '' } },
    ],
    [
      'nothing-shifted',
      new TestGear().ready().paint([15, 51], [10, 44]),
      { kind: 'gear-shifted', payload: { units: 'inch', lever: 'blocks', by: 0, words: '' } },
    ],
    [
      'pins-hold',
      new TestGear().ready().paint([15, 51], [10, 44]).pins('refitted'),
      { kind: 'gear-shifted', payload: { units: 'inch', lever: 'blocks', by: 6, words: '' } },
    ],
    ['both-blocks', new TestGear().ready(), { kind: 'layers-changed', payload: { layers: [1], words: '' } }],
    [
      'nothing-shifted',
      new TestGear().ready(),
      { kind: 'layers-changed', payload: { layers: [0, 0], words: '' } },
    ],
    [
      'no-such-layers',
      new TestGear().ready(),
      { kind: 'layers-changed', payload: { layers: [-11, 0], words: '' } },
    ],
    ['contact-unread', new TestGear().ready(), { kind: 'gear-tightened', payload: { words: '' } }],
    [
      'backlash-unread',
      new TestGear().ready().paint([38, 74], [30, 66]),
      { kind: 'gear-tightened', payload: { words: '' } },
    ],
    [
      'shimmed-already',
      new TestGear().ready(),
      {
        kind: 'layers-marked',
        payload: {
          units: 'inch',
          layer: 2,
          under: [8, 9],
          pins: 'none',
          marks: '',
          photographs: [],
          words: '',
        },
      },
    ],
    [
      'no-such-place',
      new TestGear().open().lockOut(),
      { kind: 'place-looked', payload: { places: ['brake'], found: 'fine', words: '', photographs: [] } },
    ],
    ['not-this-job', new TestGear().ready(), { kind: 'base-tightened', payload: { words: '' } }],
  ])('refuses: %s', (code, job, body) => {
    expect(refused(job, body)).toBe(code)
  })

  it('power that came back asks for the mesh to be cleared again', () => {
    const job = new TestGear().ready()
    job.add({ kind: 'power-restored', payload: { why: 'bump' } })
    job.lockOut()
    expect(refused(job, painting('fit', [38, 74], [30, 66]))).toBe('mesh-not-cleared')
  })

  it('vibration is noted before the lockout and after, by any kind of job', () => {
    const job = new TestGear().open()
    const noted = (moment: 'before' | 'after', value: number): EntryBody => ({
      kind: 'vibration-noted',
      payload: {
        units: 'metric',
        moment,
        points: [{ at: 'movable-near', way: 'vertical', value }],
        words: '',
      },
    })
    expect(refused(job, noted('before', 7))).toBeNull()
    job.add(noted('before', 7))
    job.add(noted('after', 2))
    expect(shakesLess(job.state.vibration)).toBeCloseTo(2 / 7)
  })

  it('lists and trends show both figures and the backlash', () => {
    const job = new TestGear().ready().paint([37, 73], [31, 67]).play(13)
    expect(summaryOf(job.job)).toMatchObject({
      kind: 'gear',
      rounds: 0,
      asFound: { together: 0, apart: 0, verdict: 'in' },
      asLeft: { together: 0, apart: -1, verdict: 'in' },
      backlash: { verdict: 'in' },
    })
    expect(figuresOf(job.job).at(-1)?.aim).toBeCloseTo(13 * MIL)
    expect(figuresOf(job.job).map((f) => `${f.moment} ${f.name}`)).toEqual([
      'as-found contact.together',
      'as-found contact.apart',
      'as-left contact.together',
      'as-left contact.apart',
      'as-left gear.backlash',
    ])
  })

  it('the same logbook folds to the same job, at every prefix, warm or cold, and nothing is no number', () => {
    const acts: readonly ((job: TestGear, n: number) => TestGear)[] = [
      (job) => job.lockOut(),
      (job, n) => job.found([n % 60, (n % 60) + 30], n % 3 === 0 ? null : [20, 50]),
      (job, n) => job.refit(n % 2 === 0 ? 'left-out' : 'fitted'),
      (job) => job.clear(),
      (job, n) => job.paint([n % 50, (n % 50) + 40], [n % 30, (n % 30) + 20]),
      (job, n) => job.shift(n % 2 === 0 ? 'blocks' : 'gear', (n % 13) - 6),
      (job, n) => job.play(n % 30, (n % 7) + 8),
      (job, n) => job.layers((n % 5) - 2, (n % 5) - 2),
      (job) => job.tighten(),
      (job, n) => job.pins(n % 2 === 0 ? 'pulled' : 'reamed'),
      (job) => job.run(),
    ]
    const finite = (value: unknown): boolean =>
      typeof value === 'number'
        ? Number.isFinite(value)
        : typeof value !== 'object' || value === null || Object.values(value).every(finite)
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.nat({ max: acts.length - 1 }), fc.nat({ max: 1000 })), {
          minLength: 1,
          maxLength: 24,
        }),
        (choices) => {
          const job = new TestGear().open()
          for (const [which, n] of choices) acts[which]?.(job, n)
          for (let n = 0; n <= job.entries.length; n++) {
            const warm = GEAR.fold(TEST_GEAR, job.entries.slice(0, n))
            const cold = GEAR.fold(structuredClone(TEST_GEAR), structuredClone(job.entries.slice(0, n)))
            expect(warm).toEqual(cold)
            expect(finite(warm.state)).toBe(true)
          }
        },
      ),
      { numRuns: 40 },
    )
  })
})
