import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { objectionTo } from '../../jobs/jobs'
import { inMil, lift, TEST_MACHINE, TestJob } from '../../jobs/testJob'
import type { EntryBody, LogEntry } from '../../logbook/entry'
import { partsOfCoupling } from '../../register/couplingParts'
import { feetBeforeLastMove } from '../plan/planning'
import { BASE_CORNERS } from './base'
import { BASE_EDGES, type BaseEdge, type Place } from './entries'
import { placesOf } from './looks'
import { samePack } from './shimsFound'

const MIL = 0.0254
const mil = (x: number | null | undefined) => (x == null ? x : Number((x / MIL).toFixed(6)))
const begun = () => new TestJob().open().lockOut()
const looked = (
  places: readonly Place[],
  found: 'fine' | 'put-right' | 'to-report' = 'fine',
  words = '',
): EntryBody => ({ kind: 'place-looked', payload: { places, found, words, photographs: [] } })
const found = (leaves: readonly number[], pair = 'outboard', side: 'left' | 'right' = 'left'): EntryBody => ({
  kind: 'shims-found',
  payload: {
    units: 'inch',
    feet: [{ machine: 'movable', pair, side, leaves: leaves.map((thickness) => ({ thickness, mark: 'A' })) }],
    words: '',
  },
})
const offered = (job: TestJob, body: EntryBody) => {
  const entry = { ...(job.entries[0] as LogEntry), ...body, id: 'offered', after: null } as LogEntry
  const objection = objectionTo(job.machine, [...job.entries], entry)
  return objection && [objection.code, objection.path.join('.')]
}
const packOf = (job: TestJob, pair: string, side: 'left' | 'right') =>
  job.state.packs.find((p) => p.machine === 'movable' && p.id === pair)?.packs[side].map(mil)

describe('looking', () => {
  it('has the turn after the lockout, until every place is looked at or somebody reads on', () => {
    const job = begun()
    expect(job.fold().sheet.current).toBe('look')
    job.add(looked(['feet', 'pads', 'bolts']))
    expect([job.fold().sheet.current, job.mark('look')?.mark]).toEqual(['look', 'todo'])
    job.add(looked(job.state.looks.unseen))
    expect([job.fold().sheet.current, job.mark('look')?.mark]).toEqual(['feet', 'done'])

    const hasty = begun()
    hasty.rises()
    expect([hasty.fold().sheet.current, hasty.mark('look')?.mark]).toEqual(['rough-in', 'todo'])
  })

  it('asks for the parts that a coupling of its kind has', () => {
    expect(placesOf({ ...TEST_MACHINE, couplingType: 'grid' })).toContain('grease')
    expect(placesOf({ ...TEST_MACHINE, couplingType: 'disc' })).not.toContain('grease')
    expect(placesOf(TEST_MACHINE).slice(-4)).toEqual(partsOfCoupling('other'))
    expect(offered(begun(), looked(['feet', 'chain']))).toEqual(['no-such-place', 'payload.places.1'])
    expect(offered(new TestJob().open(), looked(['feet']))?.[0]).toBe('not-safe')
  })

  it('counts what was found last at each place', () => {
    const job = begun()
    job.add(looked(['base'], 'to-report', 'cracked at the far left'))
    job.add(looked(['feet', 'pads']))
    job.add(looked(['base'], 'put-right', 'welded'))
    expect(job.state.looks.counts).toEqual({ fine: 2, 'put-right': 1, 'to-report': 0 })
  })

  it('knows that pins are out until they are written to be back', () => {
    const job = begun()
    expect(job.state.looks.pinsOut).toBe(false)
    job.add({ kind: 'pins-handled', payload: { did: 'pulled', words: '' } })
    expect(job.state.looks.pinsOut).toBe(true)
    job.add({ kind: 'pins-handled', payload: { did: 'reamed', words: 'to 10 mm' } })
    expect(job.state.looks.pinsOut).toBe(false)
  })

  it.each([
    [1, 0, null, 'in'],
    [-1.5, 1.2, null, 'edge'],
    [2, null, null, 'edge'],
    [null, -2.1, null, 'out'],
    [null, -2.1, 4, 'in'],
  ] as const)(
    'a pipe that lets go by %s and %s mil against %s is %s',
    (vertical, horizontal, limit, verdict) => {
      const job = begun()
      job.add({ kind: 'pipe-read', payload: { units: 'inch', vertical, horizontal, limit, words: '' } })
      expect(job.state.looks.pipe?.verdict).toBe(verdict)
      expect(job.mark('look')?.mark).toBe(verdict === 'out' ? 'out' : 'todo')
    },
  )
})

describe('shims found', () => {
  it('are what the job starts from, foot by foot; the register is asked about', () => {
    const job = begun()
    expect(packOf(job, 'outboard', 'left')).toEqual([25, 10])
    job.add(found([10, 25]))
    expect(job.state.looks.feet.filter((f) => f.found).map((f) => f.differs)).toEqual([false])
    job.add(found([20, 5, 2]))
    job.add(found([], 'inboard', 'right'))
    expect(packOf(job, 'outboard', 'left')).toEqual([20, 5, 2])
    expect(packOf(job, 'inboard', 'right')).toEqual([])
    expect(packOf(job, 'outboard', 'right')).toEqual([25, 10])
    expect(job.state.looks.feet.filter((f) => f.differs).map((f) => f.side)).toEqual(['right', 'left'])
  })

  it('may be written later too, as long as no leaf was touched since', () => {
    const job = new TestJob().ready()
    job.read(inMil(1, 1, 0, 0))
    expect(offered(job, found([20]))).toBeNull()
    job.add({
      kind: 'move-made',
      payload: { units: 'inch', changes: lift('outboard', [5]), side: [], remark: '' },
    })
    expect(offered(job, found([20]))?.[0]).toBe('shimmed-already')

    const filled = begun()
    filled.rises([9, 1, 1, 1])
    filled.fill(1, [5])
    expect(offered(filled, found([20]))?.[0]).toBe('shimmed-already')
  })

  it('are under the feet when the last move is taken back, with what was filled before it', () => {
    const job = new TestJob().ready()
    job.add(found([20, 5, 2]))
    job.fill(1, [3])
    job.read(inMil(1, 1, 0, 0))
    job.add({
      kind: 'move-made',
      payload: { units: 'inch', changes: lift('outboard', [5]), side: [], remark: '' },
    })
    const before = feetBeforeLastMove(job.state)
    expect(before.find((f) => f.id === 'outboard')?.existing.left.map(mil)).toEqual([20, 5, 2])
    expect(before.find((f) => f.id === 'inboard')?.existing.left.map(mil)).toEqual([25, 10, 3])
  })

  it('name feet that are there, each once', () => {
    expect(offered(begun(), found([5], 'middle'))).toEqual(['no-such-feet', 'payload.feet.0.pair'])
    const twice = found([5])
    if (twice.kind !== 'shims-found') throw new Error()
    const [foot] = twice.payload.feet
    expect(offered(begun(), { ...twice, payload: { ...twice.payload, feet: [foot!, foot!] } })).toEqual([
      'no-such-feet',
      'payload.feet.1.pair',
    ])
  })

  it('compare as leaves, not as piles', () => {
    expect(samePack([0.1, 0.2], [0.2, 0.1])).toBe(true)
    expect(samePack([0.3], [0.2, 0.1])).toBe(false)
    expect(samePack([25 * MIL], [0.635])).toBe(true)
  })
})

describe('the base', () => {
  const edgesOf = <T>(make: (edge: BaseEdge) => T) =>
    Object.fromEntries(BASE_EDGES.map((e) => [e, make(e)])) as Record<BaseEdge, T>
  const read = (
    slopes: Readonly<Record<BaseEdge, number>>,
    by: 'feeler' | 'divisions' = 'feeler',
  ): EntryBody => ({
    kind: 'base-read',
    payload: {
      units: 'inch',
      length: 40,
      width: 20,
      by:
        by === 'feeler'
          ? {
              by,
              supported: 10,
              edges: edgesOf((e) => ({ feeler: Math.abs(slopes[e]) * 10, farLow: slopes[e] < 0 })),
            }
          : {
              by,
              sensitivity: 0.5,
              edges: edgesOf((e) => ({ divisions: slopes[e] * 2 + 3, reversed: 3 - slopes[e] * 2 })),
            },
      words: '',
    },
  })
  /** Slopes in mil an inch. */
  const flat = (along: number, across: number) => ({
    left: along,
    right: along,
    coupling: across,
    far: across,
  })

  it('a flat base that slopes is brought level by the shims at its corners, however it was read', () => {
    const slope = fc.integer({ min: -30, max: 30 }).map((n) => n / 10)
    fc.assert(
      fc.property(
        slope,
        slope,
        fc.constantFrom('feeler' as const, 'divisions' as const),
        (along, across, by) => {
          const job = begun()
          job.add(read(flat(along, across), by))
          const base = job.state.looks.base
          const height = (corner: string) =>
            (corner.startsWith('far') ? 40 * along : 0) +
            (corner.endsWith('right') ? 20 * across : 0) +
            (mil(base?.shims[corner as (typeof BASE_CORNERS)[number]]) ?? NaN)
          for (const corner of BASE_CORNERS) expect(height(corner)).toBeCloseTo(height('coupling-left'), 6)
          expect(Math.min(...BASE_CORNERS.map((c) => base?.shims[c] ?? NaN))).toBeCloseTo(0, 9)
          expect(base?.twisted).toBe(false)
        },
      ),
    )
  })

  it.each([
    [flat(0.2, -0.3), 'in', 'todo'],
    [flat(0.45, 0), 'edge', 'todo'],
    [flat(0.5, 0.1), 'edge', 'todo'],
    [flat(0.1, -0.8), 'out', 'out'],
  ] as const)('%j is %s', (slopes, verdict, mark) => {
    const job = begun()
    job.add(read(slopes))
    expect([job.state.looks.base?.verdict, job.mark('look')?.mark]).toEqual([verdict, mark])
  })

  it('says when its two sides don’t slope alike: no corner shim cures a twist', () => {
    const job = begun()
    job.add(read({ left: 0.9, right: 0.1, coupling: 0, far: 0 }))
    expect(job.state.looks.base?.twisted).toBe(true)
    expect(job.state.looks.base?.twist).toBeCloseTo(-0.0008, 9)
  })
})
