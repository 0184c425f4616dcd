import { describe, expect, it } from 'vitest'
import { deflectionForce, spanFrequency } from '../../belt/tension'
import { toEighths } from '../../belt/takeUp'
import { BELT_MACHINE, TestBelt } from '../../jobs/testBelt'
import type { BeltMachine } from '../../register/beltMachine'
import {
  beltTensionNow,
  driveNow,
  fittedBelt,
  turnScrews,
  waitDays,
  type SimulatedBelt,
} from '../../simulate/simulatedBelt'
import { pitchLengthAt } from '../../belt/geometry'
import { driveOf } from '../lineUp/line'
import type { TensionReadBy } from './entries'
import { readTension } from './tension'
import { turnsToGive } from './turns'

const STIFFNESS = 60_000
const machine: BeltMachine = {
  ...BELT_MACHINE,
  belts: { ...BELT_MACHINE.belts, stiffness: STIFFNESS },
  base: { ...BELT_MACHINE.base, travelLeft: 20 },
  tension: { shaftLoadMost: 8000 },
}
const drive = driveOf(machine)!
const spring = { stiffness: STIFFNESS, sheaves: 'free' } as const

const readBy = (read: TensionReadBy, on: BeltMachine = machine, age: 'new' | 'run-in' = 'new') => {
  const belt = new TestBelt(on).ready()
  const entry = belt.add({
    kind: 'tension-read',
    payload: { units: 'metric', age, sheaves: 'free', read, words: '' },
  })
  if (entry.kind !== 'tension-read') throw new Error('another kind')
  return readTension(entry, on)!
}
const five = (x: number) => [x, x, x, x, x]

describe('a set of belts', () => {
  it('says one tension by every school', () => {
    const tension = 510
    const force = deflectionForce(drive, spring, tension, 12.5)
    const schools: readonly TensionReadBy[] = [
      { by: 'force', deflection: 12.5, forces: five(force) },
      { by: 'deflection', force, deflections: five(12.5) },
      { by: 'frequency', hertz: five(spanFrequency(drive, tension, 0.2)) },
      { by: 'marks', slack: 500, apart: five(500 * (1 + tension / STIFFNESS)) },
    ]
    for (const read of schools) {
      const { mean, belts, verdict, same } = readBy(read)
      expect(mean).toBeCloseTo(tension, 6)
      expect(belts.map((b) => b.verdict)).toEqual(five(0).map(() => 'in'))
      expect(verdict).toBe('in')
      expect(same?.frequency).toBeCloseTo(spanFrequency(drive, tension, 0.2), 6)
      expect(same?.strain).toBeCloseTo(tension / STIFFNESS, 9)
    }
  })

  it('judges by the sticker before power and speed, and run-in belts lower than new ones', () => {
    const read: TensionReadBy = { by: 'force', deflection: 12.5, forces: five(31) }
    const soft: BeltMachine = {
      ...BELT_MACHINE,
      tension: { stickerLow: 20, stickerHigh: 25, stickerDeflection: 12.5 },
    }
    expect(readBy(read, BELT_MACHINE)).toMatchObject({ band: { source: 'power' }, leans: 'in' })
    expect(readBy(read, BELT_MACHINE, 'run-in')).toMatchObject({ leans: 'tight', advice: 'slacken' })
    expect(readBy(read, soft)).toMatchObject({ band: { source: 'sticker' }, leans: 'tight', verdict: 'out' })
    const unknown: BeltMachine = { ...BELT_MACHINE, belts: { kind: 'v', section: 'B', count: 5 } }
    expect(readBy(read, unknown)).toMatchObject({ band: null, leans: null, verdict: 'unknown', advice: null })
  })

  it('a joined band is pushed as one: its force is shared by its belts', () => {
    const band: BeltMachine = { ...BELT_MACHINE, belts: { ...BELT_MACHINE.belts, kind: 'joined' } }
    const read = readBy({ by: 'force', deflection: 12.5, forces: [5 * 31] }, band)
    const single = readBy({ by: 'force', deflection: 12.5, forces: five(31) }, BELT_MACHINE)
    expect(read.mean).toBeCloseTo(single.mean ?? NaN, 9)
    expect(read.pull?.atRest).toBeCloseTo(single.pull?.atRest ?? NaN, 9)
    expect(read.leans).toBe('in')
    expect(read.same?.force).toBeCloseTo(5 * (single.same?.force ?? NaN), 9)
    const sticker = { stickerLow: 150, stickerHigh: 170, stickerDeflection: 12.5 }
    expect(
      readBy({ by: 'force', deflection: 12.5, forces: [160] }, { ...band, tension: sticker }),
    ).toMatchObject({
      band: { source: 'sticker' },
      leans: 'in',
    })
  })

  it('finds the set unmatched, and then asks for no turns', () => {
    const read = readBy({ by: 'force', deflection: 12.5, forces: [31, 31, 31, 24, 31] })
    expect(read).toMatchObject({ unmatched: true, advice: 'replace-set', verdict: 'out' })
    const belt = new TestBelt(machine).ready()
    belt.push([31, 31, 31, 24, 31])
    const { rounds, tensions } = belt.fold().state
    expect(turnsToGive(rounds, tensions, machine)).toBeNull()
  })

  it('felt by hand it is a screening; by its maker’s window it is judged', () => {
    const deflections = [12, 12, 13, 12, 12]
    expect(readBy({ by: 'hand', deflections, window: null })).toMatchObject({
      mean: null,
      why: 'screening',
      verdict: 'unknown',
    })
    expect(readBy({ by: 'hand', deflections, window: [8, 16] })).toMatchObject({ leans: 'in', verdict: 'in' })
    // More give is slack.
    expect(readBy({ by: 'hand', deflections, window: [4, 9] }).leans).toBe('slack')
  })

  it('without mass or stiffness it says why there is no tension', () => {
    const bare: BeltMachine = { ...BELT_MACHINE, belts: { kind: 'v', section: 'B', count: 5 } }
    expect(readBy({ by: 'frequency', hertz: five(30) }, bare).why).toBe('no-mass')
    expect(readBy({ by: 'marks', slack: 500, apart: five(503) }, bare).why).toBe('no-stiffness')
    expect(readBy({ by: 'force', deflection: 60, forces: five(1) }).why).toBe('stiffness-alone')
  })

  it('sets the pull on the shaft against what it may take', () => {
    expect(readBy({ by: 'force', deflection: 12.5, forces: five(33) }).pull).toMatchObject({ limit: 8000 })
    const hard = readBy({ by: 'frequency', hertz: five(40) })
    expect(hard.pull?.verdict).toBe('out')
  })
})

describe('turning the screws', () => {
  /** Five belts on a base that sticks, read by a gauge that a hand holds to two percent. */
  const simulated: SimulatedBelt = {
    small: 180,
    large: 348,
    slackLength: pitchLengthAt(180, 348, 818.5),
    stiffness: STIFFNESS,
    belts: 5,
    screwPitch: 2.5,
    friction: 900,
    bedding: { share: 0.0035, tau: 4 },
  }
  const gauge = (tension: number, i: number) =>
    deflectionForce(drive, spring, tension, 12.5) * (1 + 0.02 * Math.sin(7 * i))
  // What the register knows of the base and the belts, less the stiffness: it is to be learned.
  const { stiffness: _, ...plain } = machine.belts
  const unknown: BeltMachine = { ...machine, belts: plain }

  it('learns how much a turn adds and comes into the band in few turns, from slack and again after bedding in', () => {
    const belt = new TestBelt(unknown).ready()
    let state = fittedBelt(simulated)
    let step = 0
    const read = (age: 'new' | 'run-in') =>
      belt.push(
        [0, 1, 2, 3, 4].map((i) => gauge(beltTensionNow(simulated, state), step + i)),
        age,
      )
    const settle = (age: 'new' | 'run-in') => {
      let rounds = 0
      for (; rounds < 8; rounds++, step += 5) {
        read(age)
        const { tensions, rounds: told } = belt.fold().state
        const now = tensions[tensions.length - 1]
        if (now?.leans === 'in') break
        const give = turnsToGive(told, tensions, unknown)
        if (!give) throw new Error('nothing to turn')
        expect(give.turns).toBe(toEighths(give.turns))
        belt.turn(give.turns)
        state = turnScrews(simulated, state, give.turns)
      }
      return rounds
    }
    state = turnScrews(simulated, state, 0.25)
    expect(settle('new')).toBeLessThanOrEqual(4)
    const fresh = beltTensionNow(simulated, state)
    state = waitDays(state, 7)
    expect(beltTensionNow(simulated, state)).toBeLessThan(0.8 * fresh)
    expect(settle('run-in')).toBeLessThanOrEqual(4)
    expect(driveNow(simulated, state).centre).toBeGreaterThan(818.5)
  })

  it('from the stiffness at once, and the travel left after it', () => {
    const belt = new TestBelt(machine).ready()
    belt.push(five(18))
    const { rounds, tensions } = belt.fold().state
    const give = turnsToGive(rounds, tensions, machine)
    expect(give).toMatchObject({ from: 'stiffness' })
    expect(give!.turns).toBeGreaterThan(0)
    expect(give!.travelLeft).toBeCloseTo(20 - give!.turns * 2.5, 9)
    const first = turnsToGive(rounds, tensions, { ...machine, belts: plain })
    expect(first).toMatchObject({ from: 'first-bite', turns: 0.25, perTurn: null })
  })

  it('forgets what it learned once the motor was moved otherwise, and gives an interval from three readings', () => {
    const belt = new TestBelt(unknown).ready()
    belt.push(five(15))
    belt.turn(0.5)
    belt.push(five(19.2))
    const two = belt.fold().state
    expect(turnsToGive(two.rounds, two.tensions, unknown)).toMatchObject({ from: 'learned', interval: null })
    belt.turn(0.5)
    belt.push(five(23.1))
    const three = belt.fold().state
    const give = turnsToGive(three.rounds, three.tensions, unknown)!
    expect(give.interval![0]).toBeLessThan(give.interval![1])
    belt.add({ kind: 'line-corrected', payload: { steps: ['turn'], remark: '' } })
    belt.push(five(20))
    const anew = belt.fold().state
    expect(turnsToGive(anew.rounds, anew.tensions, unknown)).toMatchObject({ from: 'first-bite' })
  })
})
