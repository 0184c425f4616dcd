import { describe, expect, it } from 'vitest'
import { drawBench } from '../../core/practice/bench'
import { BENCH_FAULTS } from '../../core/practice/faults'
import { drawDrive } from '../../core/practice/drive/driveBench'
import { LESSONS, lessonOf, onBelts } from '../../core/practice/lessons'
import { BenchPlayer } from '../../core/practice/player'
import { reviewOf } from '../../core/practice/review'
import { DRIVE_STANDS, STAND_IDS, STANDS } from '../../core/practice/stands'
import { machineFields, type MachineFields } from '../register/machine'
import { practiceWords } from '../wording/en/practice'
import { practiceBenchWords } from '../wording/en/practiceBench'
import { practiceReviewWords } from '../wording/en/practiceReview'
import { OWN_END } from '../wording/words'
import { bestOf } from './best'
import { resultsAsCsv } from './csv'
import { resultOf } from './handIn'
import { practiceResult, type PracticeResult } from './result'
import { habitsSeen } from './seen'
import { canPractise } from './canPractise'
import { standSnapshot } from './stand'

const w = { ...practiceWords(OWN_END), ...practiceReviewWords(OWN_END), ...practiceBenchWords(OWN_END) }
const one = (more: Partial<PracticeResult> = {}): PracticeResult => ({
  id: '11111111-1111-4111-8111-111111111111',
  person: '22222222-2222-4222-8222-222222222222',
  lesson: 'bar-hangs',
  machine: 'BENCH Long spacer',
  seed: 401,
  hands: 'steady',
  faults: [{ fault: 'hanging-bar', cured: true }],
  verdict: 'in',
  moves: 2,
  fewest: 1,
  asked: 0,
  helped: false,
  minutes: 12.25,
  habits: [],
  passed: 0,
  finishedAt: '2026-11-27T08:00:00.000Z',
  ...more,
})

describe('the machines of the practice room', () => {
  it('are machines that the register would take, and fit the bench', () => {
    for (const stand of STAND_IDS) {
      const snapshot = standSnapshot(stand, OWN_END)
      const fields = machineFields.safeParse(snapshot)
      expect(fields.success, stand).toBe(true)
      expect(canPractise(snapshot as MachineFields), stand).toBe(true)
    }
    const { base } = DRIVE_STANDS.belts
    const hung = { ...DRIVE_STANDS.belts, base: { ...base, kind: 'hanging-rods' } }
    expect(canPractise(hung)).toBe(false)
    expect(canPractise({ drive: 'train' })).toBe(false)
    expect(canPractise({ ...STANDS.short, usual: { method: 'heads' } } as never)).toBe(true)
    const { inboard, ...three } = { ...STANDS.short, inboard: STANDS.short.feet.movable[0] }
    expect(
      canPractise({ ...three, feet: { ...three.feet, movable: [inboard, ...three.feet.movable] } } as never),
    ).toBe(false)
  })

  it('stand under every lesson, which hides what it says', () => {
    for (const lesson of LESSONS) {
      const { seed, hands, faults } = lesson
      const bench = onBelts(lesson)
        ? drawDrive({ machine: DRIVE_STANDS[lesson.stand], seed, hands, faults, belts: lesson.belts })
        : drawBench({ machine: STANDS[lesson.stand], seed, hands, faults, lie: lesson.lie })
      expect([...bench.faults]).toEqual(faults)
    }
  })
})

describe('a result', () => {
  it('is what a review came to, and passes the door of the server', () => {
    const lesson = lessonOf('bracket-that-slips')
    if (!lesson || onBelts(lesson)) throw new Error('no such lesson')
    const bench = drawBench({ ...lesson, machine: STANDS.short })
    const player = new BenchPlayer(bench, lesson.from)
    player.read()
    player.move()
    const { id, person, machine, finishedAt } = one()
    const result = resultOf(reviewOf(bench, player.steps, player.opened), {
      id,
      person,
      lesson: lesson.id,
      machine,
      seed: 503,
      hands: 'ordinary',
      finishedAt,
    })
    expect(practiceResult.parse(result)).toEqual(result)
    expect(result).toMatchObject({
      faults: [{ fault: 'slipping-bracket', cured: false }],
      moves: 2,
      fewest: 2,
      asked: 0,
      helped: false,
    })
    expect(result.passed).toBeGreaterThan(0)
  })

  it('is best by its verdict, then without being told, then by moves too many', () => {
    const list = [
      one({ verdict: 'edge', moves: 1 }),
      one({ moves: 4 }),
      one({ moves: 1, helped: true }),
      one({ moves: 3 }),
      one({ lesson: null, moves: 1 }),
    ]
    expect(bestOf(list)['bar-hangs']).toMatchObject({ verdict: 'in', moves: 3, helped: false })
    expect(Object.keys(bestOf(list))).toEqual(['bar-hangs'])
  })

  it('goes into a file with names for ids and nothing that a spreadsheet would run', () => {
    const file = resultsAsCsv(
      [one({ machine: '=cmd' }), one({ lesson: null })],
      new Map([[one().person, 'Apprentice']]),
    )
    const [head = '', first = '', second = ''] = file.split('\r\n')
    expect(head.split(',')).toHaveLength(15)
    expect(first).toContain('Apprentice,bar-hangs,')
    expect(first).toContain("'=cmd")
    expect(second).toContain(
      'Apprentice,,BENCH Long spacer,401,steady,hanging-bar,hanging-bar,in,2,1,0,no,12.3,0',
    )
  })
})

describe('what the bench has seen somebody do', () => {
  it('is counted over the last times it came up, the latest last, the worst first', () => {
    const told = habitsSeen([
      { habits: [{ habit: 'tells-the-sag', well: true }] },
      {
        habits: [
          { habit: 'tells-the-sag', well: false },
          { habit: 'three-and-nine', well: true },
        ],
      },
      { habits: [{ habit: 'tells-the-sag', well: false }] },
    ])
    expect(told).toEqual([
      { habit: 'tells-the-sag', times: [false, false, true], well: 1 },
      { habit: 'three-and-nine', times: [true], well: 1 },
    ])
    const many = habitsSeen([
      { habits: Array.from({ length: 30 }, () => ({ habit: 'tells-the-sag', well: true })) },
    ])
    expect(many[0]?.times).toHaveLength(9)
    expect(habitsSeen([])).toEqual([])
  })
})

describe('the words of the practice room', () => {
  it('say each fault, each lesson and each step of help in a sentence of its own', () => {
    for (const fault of BENCH_FAULTS) {
      expect(w.faults[fault], fault).toMatch(/^[A-Z3].*[.]$/)
      expect(w.looksByFault[fault], fault).toMatch(/^[A-Z].*[.?]$/)
    }
    for (const text of Object.values(w.looks)) expect(text).toMatch(/^[A-Z].*[.?]$/)
    for (const text of Object.values(w.bench.refused)) expect(text).toMatch(/^[A-Z].*[.]$/)
    expect(new Set(Object.values(w.lessonNames)).size).toBe(LESSONS.length)
    expect(w.set.left(-2)).toBe('2 days late')
    expect(w.set.left(-1)).toBe('one day late')
    expect(w.set.left(0)).toBe('today')
    expect(w.set.left(5)).toBe('5 days left')
    expect(w.hints.asked(0)).toBe('nothing asked')
    expect(w.hints.asked(2)).toBe('asked 2 times')
    expect(w.bench.turns(0)).toBe('')
    expect(w.bench.turns(1)).toBe(', one turn done')
    expect(w.habits.of(3, 5)).toBe('3 of the last 5')
    expect(w.lessons.best(2, 1)).toBe('best 2 · fewest 1')
  })
})
