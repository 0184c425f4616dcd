import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { TestJob } from '../jobs/testJob'
import { foldJob } from '../jobs/jobs'
import { normalFrom, seededRandom } from '../random/random'
import { headsMethod } from '../methods/heads'
import { measureBy } from '../methods/method'
import { rimTravel } from '../simulate/bracketDial'
import { pairOnLine } from '../simulate/dialReadings'
import { readByMethod } from '../simulate/methodReadings'
import { fitHarmonic } from '../fit/harmonicFit'
import { watchPush } from '../stages/move/push'
import { lookArmed, UNREAD, type Armed } from './arm'
import { curveBand } from './curveBand'
import { liveToGo, withLive } from './livePush'
import { swing } from './nudge'
import { figureToCore, placeKey, placeOfKey, speakersFor, stepToCore, type Place } from './places'
import { hasSettled, perMinute } from './settling'
import { instrumentsSpoken, ranOut } from './spoken'
import { stillness, type Sample } from './steady'
import { arcForShare, headsApart, NO_SWEEP, sweepOn, sweptSoFar, thinned, timesAFullTurn } from './sweep'

const samples = (values: readonly (number | null)[], clock: number | null = null, every = 0.05): Sample[] =>
  values.map((value, i) => ({ at: 10 + i * every, value, clock }))

describe('a place', () => {
  const PLACES: readonly Place[] = [
    { at: 'circle', circle: 'rim' },
    { at: 'side', machine: 'movable', pair: 'inboard', from: '3' },
    { at: 'side', machine: 'stationary', pair: 'outboard', from: '9' },
    { at: 'warmth', machine: 'stationary', pair: 'foot 2' },
    { at: 'belt' },
    { at: 'level' },
    { at: 'foot' },
  ]
  it('is the same word there and back, and nothing else is a place', () => {
    for (const place of PLACES) expect(placeOfKey(placeKey(place))).toEqual(place)
    for (const word of [
      '',
      'rim',
      'circle:',
      'circle:rim:2',
      'side:motor:inboard',
      'side:movable:inboard:3',
      'belt:',
      'level:x',
      'foot:1',
      'warmth:movable:a:9',
      'circle:<b>',
    ])
      expect(placeOfKey(word), word).toBe(null)
  })
  it('takes what can stand there', () => {
    expect(PLACES.map((p) => speakersFor(p)[0])).toEqual([
      'dial',
      'dial',
      'dial',
      'thermometer',
      'belt-gauge',
      'level',
      'dial',
    ])
  })
  it('hears figures in core units, a step apart from where its scale begins', () => {
    expect(figureToCore(10, 'mil')).toBeCloseTo(0.254, 12)
    expect(figureToCore(212, 'degF')).toBeCloseTo(100, 12)
    expect(stepToCore(1.8, 'degF')).toBeCloseTo(1, 12)
    expect(figureToCore(1, 'mil/in')).toBeCloseTo(figureToCore(1, 'mm/m'), 12)
  })
})

describe('a needle that stands still', () => {
  it('needs time, every figure, and no more than its own unrest', () => {
    const still = Array.from({ length: 40 }, (_, i) => 0.1 + (i % 3) * 0.001)
    expect(stillness(samples(still), 0.001)).toMatchObject({ steady: true, clock: null })
    expect(stillness(samples(still), 0.001).value).toBeCloseTo(0.101, 12)
    // Not long enough; falling; a figure missing; a shaft that turns.
    expect(stillness(samples(still.slice(0, 12)), 0.001).steady).toBe(false)
    expect(stillness(samples(still.map((v, i) => v + i * 0.001)), 0.001).steady).toBe(false)
    expect(stillness(samples([...still.slice(0, 35), null, ...still.slice(0, 3)]), 0.001).steady).toBe(false)
    expect(stillness(samples([...still, null]), 0.001)).toMatchObject({ steady: false, value: null })
    const turning = samples(still).map((s, i) => ({ ...s, clock: 350 + i }))
    expect(stillness(turning, 0.001).steady).toBe(false)
    expect(stillness([], 0.001)).toEqual({ steady: false, value: null, clock: null })
  })
})

describe('reading by itself', () => {
  const look = (armed: Armed, value: number, clock: number | null, wanted: number | null, steady = true) =>
    lookArmed(armed, { steady, value, clock }, 0.01, wanted)
  it('never reads one place twice: the needle or the shaft must have gone on', () => {
    const first = look(UNREAD, 0, null, 0)
    expect(first.take).toEqual({ value: 0, clock: null })
    const again = look(first.armed, 0.005, null, 90)
    expect(again.take).toBe(null)
    const moving = look(again.armed, 0.2, null, 90, false)
    expect(moving).toMatchObject({ take: null, armed: { turned: true } })
    expect(look(moving.armed, 0.31, null, 90).take).toEqual({ value: 0.31, clock: null })
  })
  it('waits for the mark where the shaft tells its angle, even when the needle shows the same', () => {
    const first = look(UNREAD, 0, 0.4, 0)
    expect(first.take).not.toBe(null)
    const onTheWay = look(first.armed, 0, 60, 90)
    expect(onTheWay.take).toBe(null)
    expect(look(onTheWay.armed, 0.001, 89.6, 90).take).toEqual({ value: 0.001, clock: 89.6 })
  })
})

describe('a sweep', () => {
  const HEADS = { stationaryPlane: -120, movablePlane: 95 }
  const TRUTH = { offset: { v: 0.21, h: -0.14 }, slope: { v: 0.0004, h: 0.0007 } }
  const CIRCLES = ['stationary', 'movable'] as const
  const turn = (clocks: readonly number[], noise = 0, seed = 1) => {
    const normal = normalFrom(seededRandom(seed))
    const read = readByMethod({ method: 'heads', given: HEADS }, TRUTH, clocks)
    return clocks.reduce(
      (sweep, clock, i) =>
        CIRCLES.reduce(
          (s, circle) =>
            sweepOn(s, circle, {
              at: i * 0.05,
              value: (read[circle]?.[i]?.value ?? 0) + noise * normal(),
              clock,
            }),
          sweep,
        ),
      NO_SWEEP,
    )
  }
  const steps = (from: number, by: number, every = 0.7) =>
    Array.from(
      { length: Math.floor(Math.abs(by) / every) + 1 },
      (_, i) => (((from + Math.sign(by) * i * every) % 360) + 360) % 360,
    )
  const measured = (sweep: ReturnType<typeof turn>) =>
    measureBy(headsMethod, HEADS, Object.fromEntries(CIRCLES.map((c) => [c, thinned(sweep, c)])), {
      units: 'metric',
      graduation: 0.001,
      offsetLimit: null,
    })

  it('is thinned to one reading every five degrees, and tells where the shafts lie', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 359, noNaN: true }),
        fc.double({ min: 130, max: 356, noNaN: true }),
        fc.boolean(),
        (from, arc, clockwise) => {
          const sweep = turn(steps(from, clockwise ? arc : -arc))
          expect(sweep.way).toBe(clockwise ? 1 : -1)
          const so = sweptSoFar(sweep)
          expect(so.arc).toBeGreaterThan(arc - 1)
          expect(so.gaps).toEqual([])
          const kept = thinned(sweep, 'movable')
          expect(kept.length).toBeLessThanOrEqual(Math.ceil(arc / 5) + 1)
          const found = measured(sweep)
          if (!found.ok) throw new Error('refused')
          const { offset, slope } = found.value.coupling
          // The mean over five degrees of a cosine is a little short of it: less than a thousandth.
          for (const p of ['v', 'h'] as const) {
            expect(Math.abs((offset[p] ?? 9) - TRUTH.offset[p])).toBeLessThan(1e-3)
            expect(Math.abs((slope[p] ?? 9) - TRUTH.slope[p])).toBeLessThan(1e-5)
          }
        },
      ),
      { numRuns: 60 },
    )
  })

  it('leaves out what comes while it is turned back, and says so', () => {
    const on = steps(10, 100)
    const back = steps(110, -30)
    const sweep = turn([...on, ...back, ...steps(80, 80)])
    expect(sweep.wentBack).toBe(true)
    const straight = turn(steps(10, 150))
    expect(straight.wentBack).toBe(false)
    expect(sweptSoFar(sweep).arc).toBeCloseTo(150, 0)
    expect(sweep.tracks.movable?.samples).toBeLessThan(on.length + back.length + steps(80, 80).length - 60)
  })

  it('says where a head had no figure, and goes on by itself', () => {
    let sweep = NO_SWEEP
    for (const clock of steps(0, 120)) {
      sweep = sweepOn(sweep, 'stationary', { at: 0, value: 0.1, clock })
      sweep = sweepOn(sweep, 'movable', { at: 0, value: clock > 40 && clock < 56 ? null : 0.1, clock })
    }
    expect(sweptSoFar(sweep).gaps).toEqual([{ circle: 'movable', from: 40, to: 55 }])
    expect(headsApart(sweep)).toBe(0)
  })

  it('is whole after a turn and takes nothing more', () => {
    const sweep = turn(steps(20, 500))
    expect(sweep.whole).toBe(true)
    expect(sweptSoFar(sweep).arc).toBeGreaterThan(355)
    expect(thinned(sweep, 'movable').length).toBeLessThanOrEqual(72)
  })

  it('over a short arc errs as much more as the fit itself says, however many samples it has', () => {
    for (const arc of [70, 90, 140, 200, 300]) {
      const n = 400
      const clocks = Array.from({ length: n }, (_, i) => (arc * (i + 0.5)) / n)
      const fit = fitHarmonic(clocks.map((clock) => ({ clock, value: 0 })))
      if (!fit.ok) throw new Error('refused')
      expect(timesAFullTurn(arc) / (fit.value.amplification * Math.sqrt(n / 2))).toBeCloseTo(1, 3)
    }
    expect(timesAFullTurn(360)).toBeCloseTo(1, 6)
    expect(timesAFullTurn(arcForShare(140, 0.5))).toBeLessThanOrEqual(timesAFullTurn(140) / 2)
    expect(arcForShare(140, 0.01)).toBe(360)
  })

  it('holds the true curve within its band for nineteen sweeps of twenty', () => {
    const noise = 0.004
    let [inside, all] = [0, 0]
    for (let seed = 1; seed <= 120; seed++) {
      const normal = normalFrom(seededRandom(seed))
      const clocks = steps(30, 130, 5)
      const readings = clocks.map((clock) => ({
        clock,
        value: 0.2 * Math.cos((clock * Math.PI) / 180) + noise * normal(),
      }))
      const fit = fitHarmonic(readings)
      if (!fit.ok) throw new Error('refused')
      const band = curveBand(readings, noise)
      const { constants, cos, sin } = fit.value
      for (const at of [60, 250]) {
        const a = (at * Math.PI) / 180
        const curve = (constants[''] ?? 0) + (cos ?? 0) * Math.cos(a) + (sin ?? 0) * Math.sin(a)
        all += 1
        if (Math.abs(curve - 0.2 * Math.cos(a)) <= band(at)) inside += 1
      }
    }
    expect(inside / all).toBeGreaterThan(0.9)
    expect(inside / all).toBeLessThan(0.99)
    expect(curveBand([{ clock: 0, value: 0 }], 1)(0)).toBe(Infinity)
  })
})

describe('a push that instruments watch', () => {
  const FEET = {
    movable: [
      { id: 'inboard', x: 300 },
      { id: 'outboard', x: 900 },
    ],
    stationary: [],
  }
  const footwork = {
    moves: [
      { machine: 'movable', id: 'inboard', v: 0, h: 0.3 },
      { machine: 'movable', id: 'outboard', v: 0, h: -0.2 },
    ],
  } as never
  const push = watchPush(footwork, FEET, [])
  it('counts down by the dial beside each end, whichever side it stands at', () => {
    const shown = {
      'side:movable:inboard': { value: 0.12, clock: null },
      'side:movable:outboard:9': { value: 0.05, clock: null },
    }
    const toGo = liveToGo(push, shown, FEET.movable, null)
    expect(toGo['movable/inboard'] ?? toGo['inboard']).toBeCloseTo(0.18, 12)
    const ends = withLive(push, toGo).ends
    expect(ends[1]?.toGo).toBeCloseTo(-0.15, 12)
    expect(ends[1]?.before).toBeCloseTo(-0.2, 12)
    // An end that nothing watches stays as it was counted.
    const one = liveToGo(push, { 'side:movable:inboard': { value: 0.1, clock: null } }, FEET.movable, null)
    expect(withLive(push, one).ends[1]?.toGo).toBeCloseTo(-0.2, 12)
  })
  it('counts down by heads that stand at 3 or 9, as the exact machine has it, and nowhere else', () => {
    const heads = { stationaryPlane: -120, movablePlane: 95 }
    const pushed = { offset: { v: 0, h: 0.11 }, slope: { v: 0, h: 0.0003 } }
    for (const clock of [90, 270, 84]) {
      const felt = (line: typeof pushed) => {
        const pair = pairOnLine(line)
        const head = (carriedBy: 'movable' | 'stationary', plane: number) =>
          rimTravel(pair, { carriedBy, plane, sag: 0, bothTurn: true }, clock)
        return [head('movable', heads.stationaryPlane), head('stationary', heads.movablePlane)]
      }
      const [now, was] = [felt(pushed), felt({ offset: { v: 0, h: 0 }, slope: { v: 0, h: 0 } })]
      const shown = Object.fromEntries(
        ['stationary', 'movable'].map((c, i) => [
          `circle:${c}`,
          { value: (now[i] ?? 0) - (was[i] ?? 0), clock },
        ]),
      )
      const ends = withLive(push, liveToGo(push, shown, FEET.movable, heads)).ends
      expect(ends[0]?.toGo).toBeCloseTo(0.3 - (0.11 + 300 * 0.0003), 3)
      expect(ends[1]?.toGo).toBeCloseTo(-0.2 - (0.11 + 900 * 0.0003), 3)
    }
    const top = { 'circle:stationary': { value: 1, clock: 0 }, 'circle:movable': { value: 1, clock: 0 } }
    expect(liveToGo(push, top, FEET.movable, heads)).toEqual({})
  })
})

describe('what else instruments tell', () => {
  it('is a nudge by its largest swing', () => {
    expect(swing(samples([0.1, 0.14, 0.05, 0.11]))).toBeCloseTo(-0.05, 12)
    expect(swing(samples([null, 0.2, null]))).toBe(0)
    expect(swing([])).toBe(0)
  })
  it('is a temperature that stands once it changes by less than a third of a degree in a minute', () => {
    const going = (rate: number, seconds = 80) =>
      Array.from({ length: seconds }, (_, at) => ({ at, value: 30 + (rate * at) / 60 + (at % 2) * 0.05 }))
    expect(perMinute(going(2))).toBeCloseTo(2, 1)
    expect(hasSettled(perMinute(going(2)))).toBe(false)
    expect(hasSettled(perMinute(going(0.1)))).toBe(true)
    expect(perMinute(going(2, 20))).toBe(null)
    expect(hasSettled(null)).toBe(false)
  })
  it('is a calibration that holds through its last day', () => {
    expect(ranOut('2026-11-28', '2026-11-28T23:00:00Z')).toBe(false)
    expect(ranOut('2026-11-27', '2026-11-28T00:00:00Z')).toBe(true)
    expect(ranOut(null, '2026-11-28')).toBe(false)
  })
  it('is kept by the job as who spoke where, and changes nothing else', () => {
    const job = new TestJob().ready()
    const before = foldJob(job.machine, job.entries)
    job.add({
      kind: 'instrument-spoke',
      payload: { place: 'circle:rim', kind: 'dial', serial: 'D-1', calibrated: null },
    })
    const after = foldJob(job.machine, job.entries)
    expect(after.sheet).toEqual(before.sheet)
    expect(instrumentsSpoken(job.entries).map((e) => e.payload.serial)).toEqual(['D-1'])
  })
})
