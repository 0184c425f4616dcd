import { describe, expect, it } from 'vitest'
import { fromCore } from '../units/unitSystem'
import { windowsAsRead } from '../stages/tram/windows'
import { objectionTo } from './jobs'
import { DRUM_SET_UP, TEST_DRUM, TestDrum, UNTAPED_DRUM } from './testDrum'
import { inMil, lift, SET_UP } from './testJob'

const both = (putIn: readonly number[]) => [...lift('inboard', putIn), ...lift('outboard', putIn)]
const mil = (mm: number | null | undefined) => fromCore(mm ?? NaN, 'displacement', 'inch')
const refused = (job: TestDrum, add: () => unknown) => {
  const before = [...job.entries]
  add()
  const entry = job.entries[job.entries.length - 1]!
  job.entries.length = before.length
  return objectionTo(job.machine, before, entry)?.code ?? null
}
const steps = (job: TestDrum) => job.state.tram.rows.map((r) => r.stands)

describe('brake and load', () => {
  it('are made safe before anyone reaches in', () => {
    const job = new TestDrum().open(960)
    for (const point of ['isolated', 'locked-tagged', 'energy-released', 'tried', 'guard-off'] as const)
      job.add({ kind: 'safety-confirmed', payload: { point, permit: '' } })
    expect(job.state.safety.missing).toEqual(['load-blocked', 'brake-safe'])
    expect(refused(job, () => job.add({ kind: 'set-up', payload: DRUM_SET_UP }))).toBe('not-safe')
    job.lockOut()
    expect(refused(job, () => job.add({ kind: 'set-up', payload: DRUM_SET_UP }))).toBeNull()
    job.add({ kind: 'power-restored', payload: { why: 'someone else' } })
    expect(job.state.safety.missing).toContain('load-blocked')
  })
})

describe('rods from the motor', () => {
  it('are a rim and a face read while the drum stands still, from where the rim dial runs', () => {
    const job = new TestDrum().open(960).lockOut()
    const set = (payload: typeof SET_UP) => refused(job, () => job.add({ kind: 'set-up', payload }))
    expect(set(SET_UP)).toBe('not-a-tram')
    const { how } = DRUM_SET_UP
    if (how.method !== 'rim-face') throw new Error(how.method)
    const turned = (rim: object) =>
      set({ ...DRUM_SET_UP, how: { ...how, given: { ...how.given, rim: { ...how.given.rim, ...rim } } } })
    expect(turned({ turning: 'both' })).toBe('not-a-tram')
    expect(turned({ carriedBy: 'stationary' })).toBe('not-a-tram')
    expect(turned({ plane: -1 })).toBe('not-a-tram')
    expect(turned({})).toBeNull()
  })

  it('may be set up without a tape, but not with half of one', () => {
    const job = new TestDrum().open(960).lockOut()
    const taped = (feet: typeof DRUM_SET_UP.feet) =>
      refused(job, () => job.add({ kind: 'set-up', payload: { ...DRUM_SET_UP, feet } }))
    expect(taped([])).toBeNull()
    expect(taped(DRUM_SET_UP.feet.slice(0, 1))).toBe('feet-missing')
  })
})

describe('side, height, side again, drum', () => {
  it('are taken one after the other', () => {
    const job = new TestDrum().ready()
    expect(job.state.tram.turn).toBe('side')
    expect(steps(job)).toEqual(['waits', 'waits', 'waits', 'waits'])
    job.readTwice(inMil(-3, 4, 0, 0))
    expect(job.state.tram.turn).toBe('side')
    expect(steps(job)).toEqual(['out', 'out', 'waits', 'waits'])
    job.move(
      [],
      [
        { machine: 'movable', pair: 'inboard', moved: -4 },
        { machine: 'movable', pair: 'outboard', moved: -4 },
      ],
    )
    job.readTwice(inMil(-3, 0, 0, 0))
    expect(job.state.tram.turn).toBe('height')
    expect(steps(job)).toEqual(['in', 'out', 'waits', 'waits'])
    job.move(both([2, 2]))
    // Before it is read again nobody knows whether the shims shifted it.
    expect(job.state.tram.turn).toBe('side-again')
    job.readTwice(inMil(1.5, 1.6, 0, 0))
    expect(job.state.tram.turn).toBe('side-again')
    expect(steps(job)).toEqual(['in', 'in', 'out', 'waits'])
    job.move(
      [],
      [
        { machine: 'movable', pair: 'inboard', moved: -1.5 },
        { machine: 'movable', pair: 'outboard', moved: -1.5 },
      ],
    )
    job.readTwice(inMil(1.5, 0.1, 0, 0))
    expect(job.state.tram.turn).toBe('drum-runout')
    expect(job.fold().sheet.current).toBe('drum-runout')
    job.turnDrum(1, 90)
    expect(steps(job)).toEqual(['in', 'in', 'in', 'in'])
    expect(job.fold().sheet.current).toBe('prove')
  })

  it('never low: on the bound is the edge, beyond it is out', () => {
    const low = (v: number) => new TestDrum().ready().readTwice(inMil(v, 0, 0, 0)).state.latest.judgement!
    expect([low(0.02), low(-0.4), low(1.5)].map((j) => j.verdict)).toEqual(['edge', 'out', 'in'])
  })

  it('a side that no shim shifted is not read a third time', () => {
    const job = new TestDrum().ready().readTwice(inMil(1.5, 0, 0, 0))
    expect(steps(job)).toEqual(['in', 'in', 'not-needed', 'waits'])
  })
})

describe('windows on the readings as they are', () => {
  const card = {
    ...TEST_DRUM,
    drum: {
      ...TEST_DRUM.drum,
      windows: {
        rim: { side: [-2, 2], top: [-3, 0] },
        face: { side: [-2, 2], top: [null, 1] },
      },
    },
  } as const

  it('are the same limit told otherwise, with no sag', () => {
    const job = new TestDrum(card).ready()
    const { tolerance, asRead } = job.state
    if (tolerance.form !== 'window') throw new Error(tolerance.form)
    expect(asRead).toBe(true)
    // A motor that lies low presses the dial at the top: what must not go up must not come down.
    expect(tolerance.offset.v.map(mil)).toEqual([expect.closeTo(0, 6), expect.closeTo(3, 6)])
    expect(tolerance.offset.h.map(mil)).toEqual([expect.closeTo(-1, 6), expect.closeTo(1, 6)])
    expect(tolerance.slope.h.map((x) => (x ?? NaN) * 1000)).toEqual([
      expect.closeTo(-2 / 16, 6),
      expect.closeTo(2 / 16, 6),
    ])
  })

  it('count the sag that is in the readings', () => {
    const { how } = DRUM_SET_UP
    if (how.method !== 'rim-face') throw new Error(how.method)
    const given = {
      rim: { ...how.given.rim, sag: 0.0254 },
      faces: [{ plunger: 'away', diameter: 406.4, sag: 0, readingSign: 1 }],
    } as const
    const job = new TestDrum(card).ready({
      ...DRUM_SET_UP,
      how: { ...how, given: { ...how.given, rim: { ...how.given.rim, sag: 1 } } },
    })
    const tolerance = windowsAsRead(card, given, job.state.tolerance)
    // Whatever is read, its raw value and its offset lie the same way in their windows.
    for (const v of [-2, -1, 0, 0.5, 2, 3.5]) {
      const read = job.readingsOf(inMil(v, 0, 0, 0)).circles.rim!
      const at = (clock: number) => read.find((r) => r.clock === clock)!.value
      const top = at(0) - (at(90) + at(270)) / 2
      const inRaw = top >= -3 - 1e-9 && top <= 1e-9
      if (tolerance.form !== 'window') throw new Error(tolerance.form)
      const [low, high] = tolerance.offset.v.map(mil) as [number, number]
      expect(v >= low - 1e-6 && v <= high + 1e-6).toBe(inRaw)
    }
  })

  it('leave a side open that the card leaves open', () => {
    const { tolerance } = new TestDrum(card).ready().state
    if (tolerance.form !== 'window') throw new Error(tolerance.form)
    expect(tolerance.slope.v.filter((x) => x === null)).toHaveLength(1)
  })
})

describe('without a tape', () => {
  it('all feet alike need no distance; what hangs on one is not foretold', () => {
    const job = new TestDrum(UNTAPED_DRUM).ready().readTwice(inMil(-3, 0, 0, 0))
    expect(job.state.levers.from).toBe('unknown')
    job.move(both([2, 2]))
    expect(mil(job.state.moves[0]!.predicted?.offset.v)).toBeCloseTo(1, 2)
    job.readTwice(inMil(1, 0, 0, 0))
    job.move(lift('outboard', [3]))
    expect(job.state.moves[1]!.predicted).toBeNull()
  })

  it('one shim at the far feet tells how far off both pairs stand', () => {
    const job = new TestDrum(UNTAPED_DRUM).ready().readTwice(inMil(-3, 0, 0.4, 0))
    // Feet at 10 and 24 in, told nobody: 5 mil under the far pair.
    job.move(lift('outboard', [5]))
    const slope = 0.4 + 5 / 14
    job.readTwice(inMil(-3 - (10 * 5) / 14, 0, slope, 0))
    const { levers, feet } = job.state
    expect(levers.from).toBe('learned')
    expect(feet.movable.map((f) => fromCore(f.x, 'distance', 'inch'))).toEqual([
      expect.closeTo(10, 1),
      expect.closeTo(24, 1),
    ])
    // What the trial did is no longer foretold by nobody.
    expect(job.state.moves[0]!.predicted?.slope.v).toBeCloseTo(slope / 1000, 6)
  })

  it('a change no shim can make, or hardly any, tells nothing', () => {
    const told = (offset: number, slope: number) => {
      const job = new TestDrum(UNTAPED_DRUM).ready().readTwice(inMil(0, 0, 0, 0))
      job.move(lift('outboard', [5]))
      return job.readTwice(inMil(offset, 0, slope, 0)).state.levers.from
    }
    expect([told(-3.57, 0.357), told(0, 0.02), told(3.57, -0.357), told(2, 4)]).toEqual([
      'learned',
      'unknown',
      'unknown',
      'unknown',
    ])
  })
})

describe('the drum by itself', () => {
  const trammed = () => new TestDrum().ready().readTwice(inMil(1.5, 0, 0, 0))
  const rim = (job: TestDrum) => job.state.drum.surfaces[0]!

  it('is struck where it stands high, and read again behind each blow', () => {
    const job = trammed()
    expect(rim(job).advice).toEqual({ what: 'read' })
    job.turnDrum(4, 45)
    expect(rim(job).advice).toEqual({ what: 'tap', mark: expect.closeTo(45, 6), how: 'light' })
    expect(job.mark('drum-runout')?.mark).toBe('out')
    job.tap(45)
    expect(rim(job).advice).toEqual({ what: 'read-again' })
    expect(job.mark('drum-runout')?.mark).toBe('stale')
    job.turnDrum(2.6, 45)
    expect(rim(job).latest?.effect).toBe('better')
    job.tap(45)
    job.turnDrum(2.5, 225)
    expect(rim(job).latest?.effect).toBe('past')
    expect(rim(job).advice).toMatchObject({ what: 'tap', how: 'half' })
    job.tap(225)
    job.turnDrum(1, 225)
    expect(rim(job).advice).toEqual({ what: 'leave' })
    expect(job.state.drum.verdict).toBe('in')
  })

  it('blows in vain mean its seat; an oval is past any blow', () => {
    const job = trammed()
    job.turnDrum(4, 45)
    for (let i = 0; i < 2; i++) {
      job.tap(45)
      job.turnDrum(4, 45)
    }
    expect(rim(job).advice).toEqual({ what: 'seat' })
    const oval = trammed()
    oval.turnDrum(0.5, 0, 'rim', 4)
    expect(rim(oval).advice).toEqual({ what: 'oval' })
  })

  it('a face that runs out speaks for the drum as well as its rim', () => {
    const job = trammed()
    job.turnDrum(1, 0)
    job.turnDrum(5, 90, 'face')
    expect(job.state.drum.verdict).toBe('out')
    expect(job.state.outcome.exceptions).toContain('drum-out')
  })

  it('is not struck before it was turned, nor turned by its shaft', () => {
    const job = trammed()
    expect(refused(job, () => job.tap(0))).toBe('drum-unread')
    expect(
      refused(job, () =>
        job.add({
          kind: 'runout-read',
          payload: {
            units: 'inch',
            machine: 'movable',
            surface: 'rim',
            diameter: null,
            readings: [0, 90, 180].map((clock) => ({ clock, value: 0 })),
            limit: null,
            remark: '',
          },
        }),
      ),
    ).toBe('no-such-place')
  })

  it('what was read of it goes when the motor is moved again, and needs a word when nobody read it', () => {
    const job = trammed()
    expect(job.state.outcome.exceptions).toEqual(['drum-unread'])
    job.turnDrum(1, 0)
    expect(job.state.outcome.exceptions).toEqual([])
    job.move(both([1]))
    job.readTwice(inMil(2, 0, 0, 0))
    expect(job.state.drum.verdict).toBeNull()
    job.add({ kind: 'stage-skipped', payload: { stage: 'drum-runout', why: 'turned at the maker’s' } })
    expect(job.state.outcome.exceptions).toEqual([])
  })
})

describe('a whole job', () => {
  it('closes in band', () => {
    const job = new TestDrum().ready().readTwice(inMil(1.5, 0, 0, 0))
    job.turnDrum(1, 0)
    job.prove()
    expect(job.fold().sheet.current).toBe('close')
    expect(job.state.outcome).toEqual({ verdict: 'in', exceptions: [] })
  })
})
