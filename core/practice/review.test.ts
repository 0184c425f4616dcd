import { describe, expect, it } from 'vitest'
import { drawBench, type Bench } from './bench'
import {
  LESSONS,
  lessonOf,
  onBelts,
  seedAfter,
  seedOfTry,
  type CoupledLesson,
  type LessonId,
} from './lessons'
import { BenchPlayer } from './player'
import { reviewOf } from './review'
import { STANDS } from './stands'

const coupled = (id: LessonId): CoupledLesson => {
  const lesson = lessonOf(id)
  if (!lesson || onBelts(lesson)) throw new Error(`${id} is no lesson on a coupling`)
  return lesson
}
const lessonBench = (id: LessonId): { bench: Bench; player: BenchPlayer } => {
  const lesson = coupled(id)
  const { seed, hands, faults, lie, stand, from } = lesson
  const bench = drawBench({ machine: STANDS[stand], seed, hands, faults, lie })
  return { bench, player: new BenchPlayer(bench, from) }
}
const codes = (player: BenchPlayer) =>
  reviewOf(player.bench, player.steps, player.opened).moments.map((m) => [m.doubt.code, m.seenBy !== null])

describe('a review', () => {
  it('says of a slipping bracket that the needle told it at the first set, when nobody looked', () => {
    const { bench, player } = lessonBench('bracket-that-slips')
    player.read()
    const first = player.steps.length - 1
    player.read()
    player.move()
    player.read()
    const review = reviewOf(bench, player.steps, player.opened)
    const slip = review.moments.find((m) => m.doubt.code === 'unsound-set')!
    expect(slip).toMatchObject({ fault: 'slipping-bracket', seenBy: null })
    expect(slip.doubt.flags).toContain('return-to-zero')
    expect(slip.from).toBeLessThanOrEqual(first)
    expect(slip.passedAt).not.toBeNull()
    expect(review.faults).toEqual([{ fault: 'slipping-bracket', cured: false }])
    expect(review.habits).toContainEqual({ habit: 'watches-the-return', well: false })
    // What the readings said then is not how the machine lay.
    expect(
      Math.abs((slip.told?.offset.h ?? 0) - (slip.truth.offset.h ?? 0)) +
        Math.abs((slip.told?.offset.v ?? 0) - (slip.truth.offset.v ?? 0)),
    ).toBeGreaterThan(0.01)
  })

  it('says that it was seen, when the clamp is tightened and the set left out before anything moves', () => {
    const { bench, player } = lessonBench('bracket-that-slips')
    const bad = player.read()
    player.do({ act: 'clamp' })
    player.write({ kind: 'set-left-out', payload: { set: bad.id, why: 'The bracket slipped.' } })
    player.read()
    player.read()
    player.move()
    player.read()
    player.read()
    const review = reviewOf(bench, player.steps, player.opened)
    const slip = review.moments.find((m) => m.doubt.code === 'unsound-set')!
    expect(slip.seenBy).not.toBeNull()
    expect(slip.passedAt).toBeNull()
    expect(review).toMatchObject({ verdict: 'in', faults: [{ cured: true }] })
    expect(review.moves).toBe(review.fewest)
    expect(review.habits).toContainEqual({ habit: 'repeats-before-moving', well: true })
  })

  it('names a sag that nobody told, and a dial that counts the other way, as soon as the set-up stands', () => {
    const hanging = lessonBench('bar-hangs').player
    hanging.write({
      kind: 'set-up',
      payload: { ...lastSetUp(lessonBench('no-room-in-the-hole').player), ...reverse(0) },
    })
    hanging.mount()
    hanging.read()
    expect(codes(hanging)).toContainEqual(['sag-untold', false])
    const told = lessonBench('bar-hangs')
    told.player.write({
      kind: 'set-up',
      payload: { ...lastSetUp(lessonBench('no-room-in-the-hole').player), ...reverse(told.bench.hang.rim) },
    })
    expect(codes(told.player)).not.toContainEqual(['sag-untold', false])
    const counting = lessonBench('which-way-it-counts').player
    counting.write({ kind: 'set-up', payload: lastSetUp(lessonBench('no-room-in-the-hole').player) })
    expect(codes(counting)).toContainEqual(['sign-untold', false])
  })

  it('tells a needle that was read wrong, and 3 and 9 that changed places', () => {
    const misread = lessonBench('no-room-in-the-hole').player
    misread.read((v, circle, clock) => (circle === 'face' && clock === 180 ? v + 0.06 : v))
    expect(codes(misread)).toContainEqual(['misread', false])
    const swapped = lessonBench('no-room-in-the-hole').player
    const set: Record<string, number> = {}
    swapped.read((v, circle, clock) => {
      set[`${circle} ${clock}`] = v
      return v
    })
    const mirrored = lessonBench('no-room-in-the-hole').player
    mirrored.read((v, circle, clock) => (clock === 180 ? v : (set[`${circle} ${360 - clock}`] ?? v)))
    expect(codes(mirrored)).toContainEqual(['sides-swapped', false])
  })

  it('does not call a leaf that lies found while the move it was laid for is still off', () => {
    const lesson = coupled('leaf-that-lies')
    for (const nth of [0, 1, 2, 3, 4, 5, 6, 7]) {
      const seed = seedOfTry(lesson, nth)
      const bench = drawBench({ ...lesson, machine: STANDS[lesson.stand], seed })
      const player = new BenchPlayer(bench, lesson.from)
      const found = () => reviewOf(bench, player.steps, player.opened).faults
      expect(found()).toEqual([{ fault: 'false-shim', cured: false }])
      player.read()
      player.read()
      player.move(['v'])
      player.read()
      player.read()
      // On every machine of this lesson the plan lays it, and what the move did tells.
      const leaves = Object.values(player.now.packs).flat()
      expect(
        leaves.some((leaf) => leaf.marked !== leaf.real),
        `machine ${seed}`,
      ).toBe(true)
      expect(
        codes(player).map(([code]) => code),
        `machine ${seed}`,
      ).toContain('move-missed')
      expect(found()).toEqual([{ fault: 'false-shim', cured: false }])
    }
    expect(seedOfTry({ seed: 5 }, 3)).toBe(8)
    expect(seedAfter({ seed: 5 }, 8)).toBe(9)
    expect(seedAfter(lesson, 1254)).toBe(1203)
    expect(seedAfter(lesson, 4711)).toBe(1203)
  })

  it('a lesson shows what it hides to whoever looks: a careless hand goes past it', () => {
    const careless = (id: LessonId, seeds: number) =>
      Array.from({ length: seeds }, (_, nth) => {
        const lesson = coupled(id)
        const bench = drawBench({ ...lesson, machine: STANDS[lesson.stand], seed: seedOfTry(lesson, nth) })
        const player = new BenchPlayer(bench, lesson.from)
        if (!player.state.setUp)
          player.write({ kind: 'set-up', payload: lastSetUp(lessonBench('no-room-in-the-hole').player) })
        player.read()
        player.read()
        player.move()
        player.read()
        return reviewOf(bench, player.steps, player.opened).moments.filter((m) => m.passedAt !== null)
      })
    for (const moments of careless('bracket-that-slips', 6))
      expect(moments.map((m) => m.fault)).toContain('slipping-bracket')
    for (const moments of careless('coupled-uncoupled', 6))
      expect(moments.map((m) => m.doubt.code)).toContain('read-made-up')
    for (const moments of careless('cold-but-aimed-hot', 6))
      expect(moments.map((m) => m.fault)).toContain('still-warm')
    for (const moments of careless('which-way-it-counts', 6))
      expect(moments.map((m) => m.fault)).toContain('counts-other-way')
    const stuck = careless('one-that-wont-repeat', 6)
    expect(stuck.map((moments) => moments.some((m) => m.fault === 'sticking-needle'))).toEqual(
      stuck.map(() => true),
    )
  })

  it('calls a machine that ran a moment ago found once it was waited for, and judges it by how it lies cold', () => {
    for (let nth = 0; nth < 6; nth++) {
      const lesson = coupled('cold-but-aimed-hot')
      const bench = drawBench({ ...lesson, machine: STANDS[lesson.stand], seed: seedOfTry(lesson, nth) })
      const warm = new BenchPlayer(bench, lesson.from)
      expect(warm.now.warm).toBeGreaterThan(0.9)
      warm.read()
      warm.read()
      warm.move()
      expect(reviewOf(bench, warm.steps, warm.opened)).toMatchObject({ faults: [{ cured: false }] })
      const cold = new BenchPlayer(bench, lesson.from)
      for (let i = 0; i < 4; i++) cold.do({ act: 'wait', minutes: 120 })
      cold.read()
      cold.read()
      cold.move()
      cold.read()
      cold.read()
      const left = reviewOf(bench, cold.steps, cold.opened)
      expect(left, `try ${String(nth)}`).toMatchObject({ verdict: 'in', faults: [{ cured: true }] })
      expect(left.moments.map((m) => m.doubt.code)).not.toContain('read-warm')
    }
  })

  it('holds a machine to the speed on its plate: what passes at the registered one is out, until the opening is put right', () => {
    for (let nth = 0; nth < 6; nth++) {
      const lesson = coupled('plate-tells-otherwise')
      const bench = drawBench({ ...lesson, machine: STANDS[lesson.stand], seed: seedOfTry(lesson, nth) })
      expect(bench.plate).toBeGreaterThan(1.5 * bench.setting.machine.rpm)
      const player = new BenchPlayer(bench, lesson.from)
      player.read()
      player.read()
      expect(player.state.latest.judgement?.verdict, `try ${String(nth)}`).toBe('in')
      const careless = reviewOf(bench, player.steps, player.opened)
      expect(careless).toMatchObject({ verdict: 'out', faults: [{ cured: false }] })
      expect(careless.fewest).toBeGreaterThan(0)
      expect(careless.moments.filter((m) => m.passedAt !== null).map((m) => m.fault)).toEqual([
        'wrong-nameplate',
      ])
      const [opening] = player.entries
      if (opening?.kind !== 'job-opened') throw new Error('not opened')
      player.write(
        { kind: 'job-opened', payload: { ...opening.payload, rpm: bench.plate } },
        { entry: opening.id, reason: 'read off the plate' },
      )
      player.move(careless.best.moves.map((m) => m.plane))
      player.read()
      player.read()
      const careful = reviewOf(bench, player.steps, player.opened)
      expect(careful, `try ${String(nth)}`).toMatchObject({ verdict: 'in', faults: [{ cured: true }] })
      expect(careful.moments.filter((m) => m.passedAt !== null)).toEqual([])
      expect(careful.moves).toBe(careful.fewest)
    }
  })

  it('calls a needle that sticks found only once two sets repeat', () => {
    const { bench, player } = lessonBench('one-that-wont-repeat')
    expect(reviewOf(bench, player.steps, player.opened).faults[0]?.cured).toBe(false)
    player.read()
    expect(reviewOf(bench, player.steps, player.opened).faults[0]?.cured).toBe(false)
  })

  it('notices leaves that were laid otherwise than they were logged', () => {
    const { player } = lessonBench('foot-that-rocks')
    player.do(
      { act: 'bolts', tight: false },
      { act: 'leaves', foot: 1, out: [], in: [0.2] },
      { act: 'bolts', tight: true },
    )
    player.write({
      kind: 'foot-filled',
      payload: {
        units: 'metric',
        change: { machine: 'movable', pair: 'inboard', side: 'left', takenOut: [], putIn: [0.25] },
        why: '',
      },
    })
    expect(codes(player)).toContainEqual(['laid-differs', false])
  })

  it('every lesson can be done: a careful hand ends in band, in the fewest moves it is told', () => {
    for (const { id } of LESSONS.filter((l) => l.from === 'as-found' && l.faults.length === 0)) {
      const { bench, player } = lessonBench(id)
      const { best, fewest } = reviewOf(bench, player.steps, player.opened)
      expect(best.verdict, id).toBe('in')
      expect(fewest, id).toBeGreaterThan(0)
      expect(fewest, id).toBeLessThanOrEqual(2)
      if (id === 'no-room-in-the-hole') {
        expect(best.moves).toContainEqual({ machine: 'stationary', plane: 'h' })
        continue
      }
      player.read()
      player.read()
      player.move(best.moves.map((m) => m.plane))
      const after = reviewOf(bench, player.steps, player.opened)
      expect(after.verdict, id).toBe('in')
      expect(after.moves, id).toBe(fewest)
      expect(
        after.moments.filter((m) => m.passedAt !== null),
        id,
      ).toEqual([])
    }
  })
})

const lastSetUp = (player: BenchPlayer) => {
  const entry = [...player.entries].reverse().find((e) => e.kind === 'set-up')
  if (entry?.kind !== 'set-up') throw new Error('not set up')
  return entry.payload
}
const reverse = (sag: number) => ({
  how: {
    method: 'reverse-rim' as const,
    given: {
      onStationary: {
        carriedBy: 'movable' as const,
        plane: -210,
        sag,
        turning: 'both' as const,
        readingSign: 1 as const,
      },
      onMovable: {
        carriedBy: 'stationary' as const,
        plane: 210,
        sag,
        turning: 'both' as const,
        readingSign: 1 as const,
      },
    },
  },
  graduation: { onStationary: 0.01, onMovable: 0.01 },
  returned: { onStationary: 0, onMovable: 0 },
})
