import { describe, expect, it } from 'vitest'
import { normalFrom, seededRandom, type Random } from '../random/random'
import type { DrumMachine } from '../register/machine'
import { faceTravel, rimTravel } from '../simulate/bracketDial'
import { dialShows, type DialNature } from '../simulate/dialGauge'
import { trueHub } from '../simulate/hub'
import { axisOfLine, REFERENCE_AXIS } from '../simulate/shaftAxis'
import { lineOfMoves } from '../coupling/feet'
import { lineSum, type Misalignment } from '../frame/planes'
import { fromCore } from '../units/unitSystem'
import { plansFor, planChanges, worthwhilePlan } from '../stages/plan/planning'
import { moveByHand } from '../stages/tram/byHand'
import { packsForLifts, footChangesOf } from '../shims/packsForLifts'
import { TEST_DRUM, TestDrum, UNTAPED_DRUM } from './testDrum'

const MIL = 0.0254
const INCH = 25.4
const CLOCKS = [90, 0, 270]
const HANDS: DialNature = { graduation: 0.5 * MIL, noise: 0.1 * MIL, backlash: 0, slip: null, sign: 1 }
const EXACT: DialNature = { ...HANDS, graduation: 0, noise: 0 }

/** What two rods on the motor read in space off a drum that stands still, mil. */
const readOff = (line: Misalignment, dial: DialNature, normal: Random) => {
  const pair = {
    stationary: REFERENCE_AXIS,
    movable: axisOfLine(line),
    stationaryHub: trueHub(9 * INCH),
    movableHub: trueHub(60),
  }
  const setting = { carriedBy: 'movable' as const, sag: 0, bothTurn: false }
  const shown = (travel: (clock: number) => number) =>
    dialShows(
      CLOCKS.map((clock) => ({ clock, plunger: travel(clock) })),
      dial,
      normal,
    ).map((r) => ({ clock: r.clock, value: fromCore(r.value, 'displacement', 'inch') }))
  return {
    rim: shown((clock) => rimTravel(pair, { ...setting, plane: 0 }, clock)),
    face: shown((clock) =>
      faceTravel(pair, { ...setting, plunger: 'away', diameter: 16 * INCH, faceX: 0, float: 0 }, clock),
    ),
  }
}

const measure = (job: TestDrum, line: Misalignment, dial: DialNature, normal: Random) => {
  for (let i = 0; i < 4; i++) {
    const circles = readOff(line, dial, normal)
    job.add({ kind: 'readings-taken', payload: { units: 'inch', circles, returned: { rim: 0, face: 0 } } })
    if (job.state.latest.trust === 'agreed') return
  }
}

const FEET = [
  { id: 'inboard', x: 10 * INCH },
  { id: 'outboard', x: 24 * INCH },
]
const small = (t: number) => fromCore(t, 'displacement', 'inch')

/** One move in the plane whose turn it is, as the program asks for it. */
const moveOnce = (job: TestDrum, machine: DrumMachine) => {
  const { tram, levers, latest, tolerance, packs } = job.state
  const plane = tram.turn === 'height' ? 'v' : 'h'
  if (levers.from === 'unknown') {
    const asked = moveByHand(plane, latest.coupling!, tolerance, ['inboard', 'outboard'])!
    if (plane === 'h')
      job.move(
        [],
        asked.moves.map((m) => ({ machine: 'movable' as const, pair: m.pair, moved: small(m.by) })),
      )
    else
      job.move(
        footChangesOf(
          'movable',
          packsForLifts(
            machine,
            packs,
            asked.moves.map((m) => ({ pair: m.pair, wanted: m.by })),
          ),
          small,
        ),
      )
    return
  }
  const plan = worthwhilePlan(plansFor(job.state)!.plans)!
  const { changes, side } = planChanges(plan, 'inch')
  job.move(plane === 'v' ? changes : [], plane === 'h' ? side : [])
}

/** Works until the drum is to be turned; how many moves it took, six at most. */
const work = (machine: DrumMachine, found: Misalignment, dial: DialNature, normal: Random) => {
  const job = new TestDrum(machine).ready()
  let line = found
  measure(job, line, dial, normal)
  let moves = 0
  while (job.state.tram.turn !== 'drum-runout' && moves < 6) {
    moveOnce(job, machine)
    const { footwork } = job.state.moves[job.state.moves.length - 1]!
    line = lineSum(
      line,
      lineOfMoves(
        footwork.moves.map((m, i) => ({
          ...FEET[i]!,
          v: m.v,
          // Shims shift it a little sideways, as they do.
          h: m.h + (footwork.planes.v ? 0.3 * MIL * normal() : 0),
        })),
      ),
    )
    measure(job, line, dial, normal)
    moves++
  }
  return { job, line, moves }
}

const found = (random: Random): Misalignment => {
  const within = (most: number) => (2 * random() - 1) * most
  return {
    offset: { v: within(12 * MIL), h: within(12 * MIL) },
    slope: { v: within(0.0005), h: within(0.0005) },
  }
}

describe('rods in space', () => {
  it('tell where the motor stands within a hundredth of a mil', () => {
    const random = seededRandom(30)
    for (let i = 0; i < 40; i++) {
      const line = found(random)
      const job = new TestDrum().ready()
      measure(job, line, EXACT, normalFrom(random))
      const { coupling } = job.state.latest
      for (const plane of ['v', 'h'] as const) {
        expect(Math.abs(coupling!.offset[plane]! - line.offset[plane]!)).toBeLessThan(0.01 * MIL)
        expect(Math.abs(coupling!.slope[plane]! - line.slope[plane]!)).toBeLessThan(2e-6)
      }
    }
  })

  it.each([
    ['with a tape', TEST_DRUM, 5],
    ['without one', UNTAPED_DRUM, 6],
  ] as const)('bring it in, %s', (_, machine, most) => {
    const random = seededRandom(31)
    const normal = normalFrom(random)
    const runs = Array.from({ length: 30 }, () => work(machine, found(random), HANDS, normal))
    const arrived = runs.filter((r) => r.job.state.tram.turn === 'drum-runout')
    expect(arrived.length).toBeGreaterThanOrEqual(27)
    const inTurn = runs.map((r) => r.moves).sort((a, b) => a - b)
    expect(inTurn[24]).toBeLessThanOrEqual(most)
    // What is called in band lies in band but for what the dials leave open.
    for (const { line } of arrived) expect(line.offset.v!).toBeGreaterThan(-0.6 * MIL)
  })
})
