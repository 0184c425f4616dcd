import type { EntryBody } from '../../core/logbook/entry'
import { TestBelt } from '../../core/jobs/testBelt'
import { TestDrum } from '../../core/jobs/testDrum'
import { TestFlange } from '../../core/jobs/testFlange'
import { TestGear } from '../../core/jobs/testGear'
import { REVERSE_SET_UP, TestJob } from '../../core/jobs/testJob'

const ID = '11111111-1111-4111-8111-111111111111'

/** Entries as they may be posted, at least one of every kind that core folds. */
export const everyKind = (): readonly EntryBody[] => {
  const job = new TestJob().ready()
  job.read({ offset: { v: 1, h: 1 }, slope: { v: 0, h: 0 } })
  const belt = new TestBelt().ready()
  belt.opened()
  belt.add({
    kind: 'instrument-spoke',
    payload: { place: 'belt', kind: 'belt-gauge', serial: 'B-1', calibrated: '2027-01-31' },
  })
  belt.contacts(true, false)
  belt.gaps(0, 0.63)
  belt.push([31, 31, 31, 31, 31])
  belt.turn(0.5)
  belt.tighten()
  belt.run()
  const flange = new TestFlange()
  flange.add({
    kind: 'bolt-shims-found',
    payload: { units: 'inch', bolts: [{ bolt: '8', leaves: [{ thickness: 5, mark: 'A' }] }], words: '' },
  })
  flange.add({ kind: 'spigot-felt', payload: { units: 'inch', fit: 'loose', play: 12, words: '' } })
  flange.add({
    kind: 'bolt-shims-cut',
    payload: {
      units: 'inch',
      bolt: '3',
      count: 2,
      thickness: 7,
      outline: { length: 4, width: 3, slot: 0.8125, toBolt: 2.25 },
      words: '',
    },
  })
  flange.add({
    kind: 'flange-plan-chosen',
    payload: { units: 'inch', does: 'push', changes: [], push: { v: 1, h: -2 }, why: '', sets: [ID] },
  })
  const drum = new TestDrum().ready()
  drum.turnDrum(2, 0)
  drum.tap(0)
  flange.add({
    kind: 'flange-counts-read',
    payload: { units: 'inch', when: 'pushing', toGo: { v: 0.5, h: 0 } },
  })
  flange.add({
    kind: 'flange-moved',
    payload: {
      units: 'inch',
      changes: [{ bolt: '2', takenOut: [], putIn: [5, 2] }],
      pushed: null,
      remark: '',
    },
  })
  const gear = new TestGear().ready().paint([15, 51], [10, 44]).shift('blocks', 6).play(18).layers(-3, -3)
  gear.tighten()
  return [
    { kind: 'machine-freed', payload: { machine: 'm1', may: true, why: 'new grout' } },
    {
      kind: 'growth-set',
      payload: {
        units: 'metric',
        machines: [
          {
            machine: 'm2',
            feet: ['first', 'second'].map((pair) => ({ pair, heat: null, rise: 0.2, side: 0 })),
          },
        ],
        source: '',
      },
    },
    {
      kind: 'train-plan-chosen',
      payload: {
        units: 'metric',
        option: 'least-work',
        changes: [{ machine: 'm2', pair: 'first', side: 'left', takenOut: [], putIn: [0.2] }],
        side: [{ machine: 'm2', pair: 'first', moved: -0.1 }],
        sets: { c1: ['11111111-1111-4111-8111-111111111111'] },
      },
    },
    ...gear.entries.map((e) => ({ kind: e.kind, payload: e.payload }) as EntryBody),
    {
      kind: 'layers-marked',
      payload: {
        units: 'inch',
        layer: 2,
        under: [10, 9],
        pins: 'marked',
        marks: 'A, B',
        photographs: [],
        words: '',
      },
    },
    ...job.entries.map((e) => ({ kind: e.kind, payload: e.payload }) as EntryBody),
    ...drum.entries.map((e) => ({ kind: e.kind, payload: e.payload }) as EntryBody),
    ...flange.entries.map((e) => ({ kind: e.kind, payload: e.payload }) as EntryBody),
    { kind: 'power-restored', payload: { why: 'bump test' } },
    {
      kind: 'place-looked',
      payload: {
        places: ['base', 'spider'],
        found: 'to-report',
        words: '',
        photographs: ['11111111-1111-4111-8111-111111111111'],
      },
    },
    {
      kind: 'tools-taken',
      payload: {
        tools: ['feelers', 'dials'],
        instruments: [{ id: '11111111-1111-4111-8111-111111111111', name: 'Dial 1', due: '2026-11-30' }],
        words: '',
      },
    },
    {
      kind: 'vibration-noted',
      payload: {
        units: 'metric',
        moment: 'before',
        points: [{ at: 'movable-far', way: 'horizontal', value: 7.1 }],
        words: 'loaded',
      },
    },
    {
      kind: 'target-set',
      payload: {
        units: 'metric',
        given: {
          way: 'growth',
          machines: [
            {
              machine: 'stationary',
              feet: [
                {
                  pair: 'inboard',
                  x: -250,
                  heat: { material: 'cast-iron', alpha: null, height: 400, cold: 20, running: 60 },
                  rise: null,
                  side: 0,
                },
                { pair: 'outboard', x: -700, heat: null, rise: 0.11, side: 0.01 },
              ],
            },
          ],
        },
        source: 'survey of the running mill',
        learned: null,
      },
    },
    {
      kind: 'counts-read',
      payload: {
        units: 'inch',
        when: 'pushing',
        counts: [{ machine: 'movable', pair: 'outboard', toGo: -6.5 }],
      },
    },
    {
      kind: 'bolts-named',
      payload: { units: 'inch', size: '3/4', boltClass: 'grade-5', lubrication: 'dry', makerTorque: null },
    },
    { kind: 'bump-begun', payload: { by: 'the electrician' } },
    { kind: 'rotation-seen', payload: { seen: 'right', words: '' } },
    { kind: 'coupling-made-up', payload: { units: 'inch', gap: 0.125 } },
    { kind: 'coupling-opened', payload: { why: 'The grid binds.' } },
    { kind: 'proof-confirmed', payload: { point: 'guard-on', how: 'done', words: '' } },
    {
      kind: 'hot-run-begun',
      payload: {
        at: '2026-03-02T06:10:00.000Z',
        left: {
          units: 'metric',
          line: { offset: { v: -0.15, h: 0 }, slope: { v: 0.01, h: 0 } },
          job: 'b1f7c1f4-3f0b-4c1c-9a52-0f6a1f1b7f10',
          on: '2026-02-20T15:00:00.000Z',
        },
      },
    },
    {
      kind: 'temperatures-read',
      payload: {
        units: 'metric',
        at: '2026-03-02T08:10:00.000Z',
        feet: [{ machine: 'stationary', pair: 'inboard', value: 62.5 }],
      },
    },
    { kind: 'hot-run-ended', payload: { at: '2026-03-02T09:10:00.000Z' } },
    {
      kind: 'hot-answered',
      payload: {
        take: 'old',
        target: {
          units: 'metric',
          given: { way: 'none' },
          source: '',
          learned: { job: 'b1f7c1f4-3f0b-4c1c-9a52-0f6a1f1b7f10', on: '2026-03-02T10:00:00.000Z' },
        },
        why: 'Stands until the next stop.',
      },
    },
    { kind: 'setting-read', payload: { place: 'motor', turns: 2.5, words: '' } },
    {
      kind: 'belts-fitted',
      payload: { belts: 'new', units: 'metric', length: 2478, matched: true, words: 'batch 12' },
    },
    { kind: 'pins-handled', payload: { did: 'reamed', words: 'to 10 mm' } },
    {
      kind: 'pipe-read',
      payload: { units: 'inch', vertical: -3, horizontal: null, limit: null, words: '' },
    },
    {
      kind: 'shims-found',
      payload: {
        units: 'inch',
        feet: [{ machine: 'movable', pair: 'inboard', side: 'left', leaves: [{ thickness: 25, mark: 'A' }] }],
        words: '',
      },
    },
    {
      kind: 'base-read',
      payload: {
        units: 'inch',
        length: 40,
        width: 20,
        by: {
          by: 'divisions',
          sensitivity: 0.5,
          edges: {
            left: { divisions: 1, reversed: -1 },
            right: { divisions: 1, reversed: null },
            coupling: { divisions: 0, reversed: null },
            far: { divisions: 0, reversed: 0 },
          },
        },
        words: '',
      },
    },
    {
      kind: 'sheet-shims-cut',
      payload: {
        units: 'metric',
        machine: 'movable',
        pair: 'inboard',
        side: 'left',
        thickness: 0.5,
        count: 2,
        outline: { length: 100, width: 80, slot: 20, toBolt: 60 },
        words: '',
      },
    },
    {
      kind: 'gaps-felt',
      payload: {
        units: 'inch',
        gaps: [
          {
            machine: 'movable',
            pair: 'inboard',
            side: 'right',
            corners: { outboardOuter: 10, outboardInner: 10, inboardOuter: 11, inboardInner: 10 },
            size: { along: 3, across: 4.5 },
          },
        ],
      },
    },
    {
      kind: 'rises-read',
      payload: {
        units: 'inch',
        rises: [{ machine: 'movable', pair: 'inboard', side: 'right', rise: 12 }],
        pipe: 'bolted',
        remark: '',
      },
    },
    {
      kind: 'foot-filled',
      payload: {
        units: 'inch',
        change: { machine: 'movable', pair: 'inboard', side: 'right', putIn: [10], takenOut: [] },
        why: '',
      },
    },
    {
      kind: 'hubs-felt',
      payload: {
        units: 'inch',
        steps: [
          { clock: 0, value: -38 },
          { clock: 90, passes: -12 },
        ],
        gaps: [{ clock: 0, stops: 10 }],
        diameter: 8,
        hubs: { stationary: 8, movable: 8.1 },
        coupled: true,
        drag: 'front',
        pushed: false,
        remark: '',
      },
    },
    {
      kind: 'hubs-roughed',
      payload: {
        units: 'inch',
        changes: [{ machine: 'movable', pair: 'inboard', side: 'left', takenOut: [], putIn: [25, 10] }],
        side: [],
        remark: '',
      },
    },
    {
      kind: 'level-read',
      payload: {
        units: 'inch',
        machine: 'movable',
        reading: { by: 'divisions', divisions: -2.5, reversed: null, sensitivity: 0.4 },
        remark: '',
      },
    },
    {
      kind: 'machine-levelled',
      payload: {
        units: 'inch',
        changes: [{ machine: 'movable', pair: 'inboard', side: 'left', takenOut: [], putIn: [25] }],
        remark: '',
      },
    },
    {
      kind: 'runout-read',
      payload: {
        units: 'inch',
        machine: 'stationary',
        surface: 'face',
        diameter: 8,
        readings: [0, 120, 240].map((clock) => ({ clock, value: -1 })),
        limit: null,
        remark: '',
      },
    },
    { kind: 'lockout-waived', payload: { why: 'not wired yet' } },
    { kind: 'set-up', payload: REVERSE_SET_UP },
    ...belt.entries.map((e) => ({ kind: e.kind, payload: e.payload }) as EntryBody),
    { kind: 'line-corrected', payload: { steps: ['turn'], remark: '' } },
    { kind: 'set-used-anyway', payload: { set: ID, why: 'x' } },
    { kind: 'set-left-out', payload: { set: ID, why: 'x' } },
    {
      kind: 'plan-chosen',
      payload: {
        units: 'inch',
        option: 'own',
        changes: [],
        side: [{ machine: 'movable', pair: 'inboard', moved: -3 }],
        sets: [ID],
      },
    },
    {
      kind: 'move-made',
      payload: {
        units: 'metric',
        changes: [{ machine: 'movable', pair: 'inboard', side: 'left', takenOut: [0.5], putIn: [] }],
        side: [],
        remark: '',
      },
    },
    { kind: 'stage-skipped', payload: { stage: 'plan', why: 'x' } },
    { kind: 'remark', payload: { text: 'tabs\tand\nlines are fine, so is ⌀ 40 × 2' } },
    {
      kind: 'job-closed',
      payload: { signedBy: 'Lead', remarks: '', exception: '', signed: { verdict: 'in', foldVersion: 3 } },
    },
  ]
}
