import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { edgeReads } from '../../simulate/sheavePair'
import { edgeOn } from '../../simulate/edgeOnSheaves'
import { vector } from '../../simulate/vector'
import { readLine } from '../../stages/lineUp/line'
import type { BeltMachine } from '../../register/beltMachine'
import { DRIVE_STANDS } from '../stands'
import { drawDrive, seenFrom, type DriveBench, type DriveSetting } from './driveBench'
import { afterDriveAct, driveAfter, driveRefusal, standsOff } from './doDrive'
import { fewestOnLine } from './driveFewest'
import { DrivePlayer } from './drivePlayer'
import { edgeNow, gaugeNow, ringsMost, ringsNow } from './driveSeen'
import { ageNow, centreNow, freshDrive, lineNow, tensionsNow, type DriveState } from './driveState'
import { judgeLine, truthNow } from './driveTruth'

const DEGREE = Math.PI / 180
const setting = (more: Partial<DriveSetting> = {}): DriveSetting => ({
  machine: DRIVE_STANDS.belts,
  seed: 5,
  hands: 'steady',
  faults: [],
  belts: 'off',
  ...more,
})
const BAD = ['turned-motor', 'tilted-motor', 'unequal-rims'] as const
const seeds = fc.integer({ min: 0, max: 5000 })

describe('an edge laid on two sheaves', () => {
  it('shows the gaps of the exact pair where it lies flat', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.8, max: 4, noNaN: true }),
        fc.double({ min: -0.005, max: 0.005, noNaN: true }),
        fc.double({ min: -0.01, max: 0.01, noNaN: true }),
        (offset, turn, tilt) => {
          const pair = { centre: 700, offset, turn, tilt, referenceDepth: 0, otherDepth: 0 }
          const exact = edgeReads(pair, 180, 100, 0)
          const normal = vector(
            Math.cos(turn) * Math.cos(tilt),
            Math.sin(tilt),
            Math.sin(turn) * Math.cos(tilt),
          )
          const driven = { hub: vector(0, 0, 0), normal: vector(1, 0, 0), radius: 160 }
          const motor = { hub: vector(-offset, 0, 700), normal, radius: 90 }
          const shows = edgeOn(driven, motor, 1)
          expect(shows.rocks).toBe(false)
          expect(shows.other.near).toBeCloseTo(exact.p1, 9)
          expect(shows.other.far).toBeCloseTo(exact.p2, 9)
          expect(edgeOn(driven, motor, 1, 50).middle).toBeCloseTo(exact.g12, 9)
          expect(edgeOn(driven, motor, 1, -50).middle).toBeCloseTo(exact.g6, 9)
        },
      ),
    )
  })

  it('rocks where the other sheave stands proud, touches one rim of each, and every gap stays open', () => {
    const driven = { hub: vector(0, 0, 0), normal: vector(1, 0, 0), radius: 160 }
    const motor = { hub: vector(2, 0, 700), normal: vector(1, 0, 0), radius: 90 }
    const shows = edgeOn(driven, motor, 1)
    expect(shows.rocks).toBe(true)
    expect(shows.other.near).toBeCloseTo(0, 12)
    expect(shows.other.far).toBeGreaterThan(0.4)
    expect(shows.reference.far).toBeCloseTo(0, 12)
    expect(shows.reference.near).toBeGreaterThan(0)
    // Laid on the one that stands proud it lies flat.
    expect(edgeOn(motor, driven, 1).rocks).toBe(false)
  })
})

describe('a belt drive on the bench', () => {
  it('stands as it was drawn, whatever is hidden in it', () => {
    fc.assert(
      fc.property(seeds, (seed) => {
        const bench = drawDrive(setting({ seed, faults: BAD }))
        const line = lineNow(bench, freshDrive(bench))
        expect(line.offset).toBeCloseTo(bench.found.offset, 9)
        expect(line.turn).toBeCloseTo(bench.found.turn, 9)
        expect(line.tilt).toBeCloseTo(bench.found.tilt, 9)
        expect(Math.abs(line.turn)).toBeGreaterThan(0.6 * DEGREE)
      }),
    )
  })

  it('is told by a job as it lies, wherever the edge is laid, rocking or flat', () => {
    fc.assert(
      fc.property(
        seeds,
        fc.constantFrom('motor', 'driven'),
        fc.constantFrom('outer', 'inner'),
        (seed, on, side) => {
          const player = new DrivePlayer(drawDrive(setting({ seed, faults: BAD })), 'line-up')
          const { bench } = player
          const entry = player.readLine({ edgeOn: on, edgeSide: side })
          if (entry.kind !== 'sheaves-read') throw new Error('not read')
          const told = readLine(entry, bench.setting.machine)
          const truth = lineNow(bench, player.now)
          const seen = told && seenFrom(told.errors, on, side, centreNow(bench, player.now))
          // Blades go by hundredths and a face wobbles a little: over a small sheave that is much at the other one.
          expect(Math.abs((seen?.turn ?? NaN) - truth.turn)).toBeLessThan(1.2e-3)
          expect(Math.abs((seen?.offset ?? NaN) - truth.offset)).toBeLessThan(on === 'motor' ? 0.6 : 0.15)
          const flat = (['level', 'up', 'down'] as const).every(
            (s) => !edgeNow(bench, player.now, { edgeOn: on, edgeSide: side }, s).rocks,
          )
          if (flat) expect(Math.abs((seen?.tilt ?? NaN) - truth.tilt)).toBeLessThan(1.2e-3)
        },
      ),
      { numRuns: 200 },
    )
  })

  it('comes in band by the corrections that a job asks for', () => {
    for (let seed = 0; seed < 40; seed++) {
      const player = new DrivePlayer(drawDrive(setting({ seed, faults: BAD })), 'line-up')
      player.readLine(player.flat())
      player.correct()
      const truth = truthNow(player.bench, player.now)
      expect(truth.lineVerdict, `seed ${String(seed)}: ${JSON.stringify(truth.line)}`).not.toBe('out')
      player.readLine(player.flat())
      expect(player.state.asLeft?.verdict).not.toBe('out')
    }
  })

  it('wobbles by its sheave, and half a turn takes that out', () => {
    const player = new DrivePlayer(drawDrive(setting({ seed: 3, faults: ['wobbling-sheave'] })), 'line-up')
    const truth = lineNow(player.bench, player.now)
    const off = () => Math.abs((player.state.lines[0]?.errors.turn ?? NaN) - truth.turn)
    player.readLine()
    const once = off()
    player.readLine(undefined, { half: true })
    expect(off()).toBeLessThan(once / 4)
    expect(player.state.lines[0]?.wobble).toBeGreaterThan(0.1)
  })

  it('has a base that follows its screws both ways, or sticks until it is bumped', () => {
    const free = drawDrive(setting())
    const stuck = drawDrive(setting({ faults: ['sticking-base'] }))
    const back = [
      { act: 'base', tight: false },
      { act: 'screw', end: 'farEnd', turns: -1 },
    ] as const
    expect(driveAfter(free, back).ends.farEnd).toBeCloseTo(-2.5, 9)
    const held = driveAfter(stuck, back)
    expect(held.ends.farEnd).toBe(0)
    expect(standsOff(held)).toEqual(['farEnd'])
    expect(afterDriveAct(stuck, held, { act: 'bump' }).ends.farEnd).toBeCloseTo(-2.5, 9)
  })

  it('turns a hand down where it would hurt or can’t be done, and changes nothing', () => {
    const bench = drawDrive(setting({ belts: 'run-in' }))
    const found = freshDrive(bench)
    const refused = (state: DriveState, act: Parameters<typeof driveRefusal>[2]) => {
      expect(afterDriveAct(bench, state, act)).toBe(state)
      return driveRefusal(bench, state, act)
    }
    expect(refused(found, { act: 'run', minutes: 30 })).toBe('locked-out')
    expect(refused(found, { act: 'belts', on: false })).toBe('belts-tight')
    expect(refused(found, { act: 'screw', end: 'farEnd', turns: 1 })).toBe('base-tight')
    expect(refused(found, { act: 'new-set' })).toBe('belts-on')
    expect(refused(found, { act: 'set-sheave', turns: 1 })).toBe('no-such-setting')
    const live = { ...found, locked: false }
    expect(refused(live, { act: 'push-belt', belt: 0 })).toBe('power-on')
    expect(refused(live, { act: 'run', minutes: 30 })).toBe('guard-off')
    expect(refused({ ...live, guarded: true, tight: false }, { act: 'run', minutes: 30 })).toBe('base-loose')
    const slack = driveAfter(bench, [
      { act: 'base', tight: false },
      { act: 'screw', end: 'farEnd', turns: -4 },
      { act: 'screw', end: 'sheaveEnd', turns: -4 },
    ])
    expect(driveRefusal(bench, slack, { act: 'belts', on: false })).toBeNull()
    expect(refused(slack, { act: 'screw', end: 'farEnd', turns: -40 })).toBe('no-way-on')
  })

  it('pulls its belts by how far they are drawn, one of another set less, and a turned motor unevenly', () => {
    const at = (bench: DriveBench) => tensionsNow(bench, freshDrive(bench))
    const even = at(drawDrive(setting({ belts: 'run-in' })))
    const odd = at(drawDrive(setting({ belts: 'run-in', faults: ['mismatched-belt'] })))
    const spread = (list: readonly number[]) =>
      (Math.max(...list) - Math.min(...list)) / (list.reduce((s, t) => s + t, 0) / list.length)
    expect(spread(even)).toBeLessThan(0.08)
    expect(spread(odd)).toBeGreaterThan(0.2)
    const bench = drawDrive(setting({ belts: 'run-in' }))
    const drawn = driveAfter(bench, [
      { act: 'base', tight: false },
      { act: 'screw', end: 'farEnd', turns: 1 },
    ])
    // The far end further out draws the side away from it in: belts there hang slacker.
    const turned = tensionsNow(bench, drawn)
    const before = tensionsNow(bench, freshDrive(bench))
    const gained = turned.map((t, i) => t - (before[i] ?? 0))
    expect(gained[0]).toBeGreaterThan(gained[3] ?? NaN)
  })

  it('beds new belts in: within their band by the age they come to, or out of it where they bed in too far', () => {
    for (let seed = 0; seed < 30; seed++) {
      const after = (faults: DriveSetting['faults']) => {
        const player = new DrivePlayer(drawDrive(setting({ seed, belts: 'new', faults })), 'tension')
        expect(ageNow(player.bench, player.now)).toBe('new')
        player.ageTold = 'new'
        player.tighten().do({ act: 'base', tight: true })
        expect(truthNow(player.bench, player.now).tensionVerdict).not.toBe('out')
        player.do({ act: 'guard', on: true }, { act: 'lock', on: false }, { act: 'run', minutes: 24 * 60 })
        expect(ageNow(player.bench, player.now)).toBe('run-in')
        return truthNow(player.bench, player.now).tensionVerdict
      }
      expect(after(['bedding-belts'])).toBe('out')
    }
  })

  it('shows at the gauge what a job makes a tension of', () => {
    const player = new DrivePlayer(drawDrive(setting({ belts: 'run-in', seed: 9 })), 'tension')
    player.do({ act: 'screw', end: 'farEnd', turns: 4 }, { act: 'screw', end: 'sheaveEnd', turns: 4 })
    player.readTension()
    const truth = tensionsNow(player.bench, player.now)
    const told = player.state.tensions[0]?.belts.map((b) => b.tension ?? 0) ?? []
    told.forEach((t, i) => expect(Math.abs(t / (truth[i] ?? 1) - 1)).toBeLessThan(0.06))
    expect(gaugeNow(player.bench, player.now, 0)).toBeGreaterThan(0)
    // Tapped they tell the same, as long as somebody knows what they weigh.
    player.tapTension()
    const rung = player.state.tensions.at(-1)?.belts.map((b) => b.tension ?? 0) ?? []
    expect(rung).toHaveLength(truth.length)
    rung.forEach((t, i) => expect(Math.abs(t / (truth[i] ?? 1) - 1)).toBeLessThan(0.06))
    const { machine } = player.bench.setting
    const unweighed = drawDrive(
      setting({ machine: { ...machine, belts: { ...machine.belts, section: 'own', mass: undefined } } }),
    )
    expect(ringsNow(unweighed, freshDrive(unweighed), 0)).toBe(null)
    expect(ringsMost(unweighed)).toBe(null)
  })

  it('shows nothing but what is there: every gap of every edge is open', () => {
    fc.assert(
      fc.property(seeds, fc.constantFrom('outer', 'inner'), (seed, edgeSide) => {
        const bench = drawDrive(setting({ seed, faults: [...BAD, 'wobbling-sheave'] }))
        for (const on of ['motor', 'driven'] as const)
          for (const shift of ['level', 'up', 'down'] as const) {
            const { reference, other } = edgeNow(bench, freshDrive(bench), { edgeOn: on, edgeSide }, shift)
            const gaps = [reference.far, reference.near, other.near, other.far]
            expect(Math.min(...gaps)).toBeGreaterThanOrEqual(0)
            // It rests on two rims at least.
            expect(gaps.filter((g) => g < 1e-6).length).toBeGreaterThanOrEqual(2)
          }
      }),
      { numRuns: 60 },
    )
  })
})

describe('the fewest moves of a line', () => {
  /** Far feet, far end and sheave moved by so much, as hands would; nothing is solved here. */
  const moved = (bench: DriveBench, shim: number, slide: number, along: number): DriveState =>
    driveAfter(bench, [
      { act: 'base', tight: false },
      { act: 'far-feet', by: shim },
      { act: 'screw', end: 'farEnd', turns: slide / bench.geometry.screwPitch },
      { act: 'slide-sheave', by: along },
    ])

  it('is what every combination of shims, screws and slides on the exact drive comes to', () => {
    const RANK = { out: 0, edge: 1, in: 2 } as const
    const steps = (most: number, by: number) =>
      Array.from({ length: 2 * Math.round(most / by) + 1 }, (_, i) => -most + i * by)
    const sets = [
      [],
      ['turned-motor'],
      ['tilted-motor'],
      ['unequal-rims'],
      ['unequal-rims', 'turned-motor'],
      ['tilted-motor', 'unequal-rims'],
    ] as const
    sets.forEach((faults, i) => {
      for (let seed = 20 * i; seed < 20 * i + 4; seed++) {
        const bench = drawDrive(setting({ seed, faults }))
        const { moves, verdict } = fewestOnLine(bench, freshDrive(bench))
        // Shims go no further than leaves do here.
        let best = { verdict: 'out' as keyof typeof RANK, moves: Infinity }
        for (const shim of steps(4.8, 0.4))
          for (const slide of steps(5.2, 0.4))
            for (const along of steps(4.5, 0.5)) {
              const count = [shim, slide, along].filter((x) => Math.abs(x) > 1e-9).length
              const state = moved(bench, shim, slide, along)
              if (Math.abs(state.farFeet - shim) > 1e-9) continue
              const v = judgeLine(bench, state, lineNow(bench, state))
              if (RANK[v] > RANK[best.verdict] || (RANK[v] === RANK[best.verdict] && count < best.moves))
                best = { verdict: v, moves: count }
            }
        expect({ verdict, moves: moves.length }, `seed ${String(seed)} ${faults.join()}`).toEqual(best)
      }
    })
  })

  it('predicts what each correction does on the exact drive', () => {
    const bench = drawDrive(setting({ seed: 7, faults: BAD }))
    const found = lineNow(bench, freshDrive(bench))
    const { footSpacing } = bench.geometry
    const tilted = moved(bench, footSpacing * Math.sin(found.tilt), 0, 0)
    expect(lineNow(bench, tilted).tilt).toBeCloseTo(0, 6)
    const { shaftHeight } = bench.geometry
    expect(lineNow(bench, tilted).offset).toBeCloseTo(found.offset - found.tilt * shaftHeight, 1)
  })
})

describe('a registered drive', () => {
  it('stands on the bench in inches as in millimetres', () => {
    const machine: BeltMachine = {
      ...DRIVE_STANDS.belts,
      units: 'inch',
      sheaves: {
        motor: {
          pitchDiameter: 7,
          faceWidth: 3,
          grooves: 3,
          groovePitch: 0.75,
          depthOuter: 0.4,
          depthInner: 0.4,
        },
        driven: {
          pitchDiameter: 13,
          faceWidth: 3,
          grooves: 3,
          groovePitch: 0.75,
          depthOuter: 0.5,
          depthInner: 0.5,
        },
      },
      centreDistance: 30,
      belts: { kind: 'v', section: 'B', count: 3 },
      base: {
        ...DRIVE_STANDS.belts.base,
        footSpacing: 10,
        sheaveToFeet: 4.5,
        shaftHeight: 6.25,
        screwPitch: 0.1,
        hubToShaftEnd: 0.6,
      },
      stock: [],
      limits: { angle: null, tilt: null, offset: null, source: '' },
    }
    const player = new DrivePlayer(
      drawDrive(setting({ machine, faults: ['unequal-rims', 'turned-motor'] })),
      'line-up',
    )
    expect(Math.abs(lineNow(player.bench, player.now).offset)).toBeGreaterThan(0.5)
    player.readLine()
    player.correct()
    expect(truthNow(player.bench, player.now).lineVerdict).not.toBe('out')
  })
})
