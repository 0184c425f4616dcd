import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Outcome } from '../outcome'
import { edgeReads } from '../simulate/sheavePair'
import {
  beltTensionNow,
  driveNow,
  fittedBelt,
  turnScrews,
  waitDays,
  type SimulatedBelt,
} from '../simulate/simulatedBelt'
import { judgeBeltSet } from './beltSet'
import { fourContact } from './fourContact'
import { beltDrive, centreForLength, driveAtCentre, pitchLengthAt } from './geometry'
import { judgeReplacement, largeForSpeed } from './replacement'
import { forecastRunIn } from './runIn'
import {
  fleetAngles,
  judgeSheaves,
  sheaveCorrections,
  sheaveErrors,
  sheaveLimits,
  type MotorBase,
} from './sheaveLine'
import { squareness } from './squareness'
import { centreChange, learnTurns, toEighths } from './takeUp'
import {
  deflectionForce,
  designTension,
  inchesOfSpan,
  shaftLoad,
  spanFrequency,
  tensionFromForce,
  tensionFromFrequency,
} from './tension'
import { judgeTension, tensionBand } from './tensionBand'
import { variableSheave } from './variableSheave'

const value = <T>(outcome: Outcome<T>): T => {
  if (!outcome.ok) throw new Error(outcome.refusals[0]?.code)
  return outcome.value
}
const number = (min: number, max: number) => fc.double({ min, max, noNaN: true })
const DRIVE = value(driveAtCentre(140, 400, 760))
const LOAD = { power: 22_000, rpm: 1470, serviceFactor: 1.3, belts: 5, mass: 0.19, ratioAt180: 5 }
const SPRING = { stiffness: 30_000, sheaves: 'free' as const }

describe('geometry', () => {
  it('length and centre distance undo one another', () => {
    fc.assert(
      fc.property(number(50, 300), number(0, 500), number(1.02, 6), (d, more, times) => {
        const D = d + more
        const C = ((d + D) / 2) * times
        expect(value(centreForLength(d, D, pitchLengthAt(d, D, C)))).toBeCloseTo(C, 7)
      }),
    )
  })

  it('a drive with equal sheaves is two spans and a circle', () => {
    const drive = value(beltDrive({ d: 100, D: 100, C: 400 }))
    expect(drive).toMatchObject({ span: 400, strandAngle: 0 })
    expect(drive.pitchLength).toBeCloseTo(800 + Math.PI * 100, 9)
    expect(drive.wrapSmall + drive.wrapLarge).toBeCloseTo(2 * Math.PI, 12)
  })

  it('refuses sheaves that touch and belts that are too short', () => {
    expect(driveAtCentre(100, 300, 200)).toMatchObject({ ok: false, refusals: [{ path: ['C'] }] })
    expect(beltDrive({ d: 100, D: 300, L: 500 })).toMatchObject({ ok: false, refusals: [{ path: ['L'] }] })
  })
})

it('a gauge marked in inches of span goes down a sixty-fourth of its ring', () => {
  expect(inchesOfSpan(25.4 / 2)).toBe(32)
  expect(inchesOfSpan(12.5)).toBe(31.5)
})

describe('another belt on the same sheaves', () => {
  it('of the same length stays where it is; longer by twice the slope goes out by one', () => {
    fc.assert(
      fc.property(number(-60, 200), (by) => {
        const { pitchLength, centre } = DRIVE
        const found = value(judgeReplacement(DRIVE, pitchLength + by, null))
        expect(pitchLengthAt(DRIVE.small, DRIVE.large, found.centre)).toBeCloseTo(pitchLength + by, 7)
        expect(found.change).toBeCloseTo(found.centre - centre, 12)
        expect(found.inward).toBeGreaterThan(-found.change)
        expect(found.outward).toBeGreaterThan(found.change)
        expect(found.fits).toBe('unknown')
      }),
    )
  })

  it('is near enough by what the base still has', () => {
    const by = (travel: number) => value(judgeReplacement(DRIVE, DRIVE.pitchLength + 20, travel)).fits
    expect([5, 20, 60].map(by)).toEqual(['runs-out', 'little-room', 'fits'])
    expect(judgeReplacement(DRIVE, 500, 10)).toMatchObject({ ok: false })
    expect(largeForSpeed(140, 1470, 480)).toBeCloseTo(428.75, 9)
  })
})

describe('tension', () => {
  it('is the same by force and by frequency, whichever way it was made', () => {
    fc.assert(
      fc.property(number(50, 2000), number(2, 25), fc.constantFrom('free', 'held'), (tension, q, sheaves) => {
        const spring = { stiffness: 30_000, sheaves } as const
        const force = deflectionForce(DRIVE, spring, tension, q)
        expect(value(tensionFromForce(DRIVE, spring, force, q))).toBeCloseTo(tension, 6)
        const f = spanFrequency(DRIVE, tension, 0.19)
        expect(value(tensionFromFrequency(DRIVE, f, 0.19, 0))).toBeCloseTo(tension, 6)
      }),
    )
  })

  it('balances the strands: their ratio, less centrifugal, is what grip allows', () => {
    const design = designTension(DRIVE, LOAD)
    const half = design.effective / LOAD.belts / 2
    const tight = design.staticTension + half - design.centrifugal
    const slack = design.staticTension - half - design.centrifugal
    expect(tight / slack).toBeCloseTo(design.ratio, 9)
  })

  it('held sheaves make a push stiffer, bending makes a span ring higher', () => {
    expect(deflectionForce(DRIVE, { ...SPRING, sheaves: 'held' }, 300, 12)).toBeGreaterThan(
      deflectionForce(DRIVE, SPRING, 300, 12),
    )
    const f = spanFrequency(DRIVE, 300, 0.19)
    expect(value(tensionFromFrequency(DRIVE, f, 0.19, 2e5))).toBeLessThan(300)
    expect(tensionFromForce(DRIVE, SPRING, 0.01, 20).ok).toBe(false)
  })

  it('pulls the shaft with both strands; the nearer bearing carries more', () => {
    const design = designTension(DRIVE, LOAD)
    const load = shaftLoad(DRIVE, 5, design, { overhang: 60, span: 300 })
    expect(load.nearerBearing).toBeCloseTo(load.atRest * 1.2, 9)
    const equal = value(driveAtCentre(200, 200, 500))
    const still = shaftLoad(equal, 1, { effective: 0, ratio: 5, staticTension: 400, centrifugal: 0 })
    expect(still.atRest).toBeCloseTo(800, 9)
    expect(still.running).toBeCloseTo(800, 9)
  })
})

describe('bands', () => {
  const rows = [
    {
      section: 'B',
      smallSheave: [120, 160] as const,
      force: { 'run-in': [20, 26] as const, new: [28, 34] as const },
    },
  ]
  it('come from what is given, the sticker, the chart, then power and speed', () => {
    const chart = { rows, section: 'B', deflection: 11 }
    const sticker = { force: [25, 30] as const, deflection: 11 }
    const source = (given: Parameters<typeof tensionBand>[3]) =>
      value(tensionBand(DRIVE, SPRING, 'new', given))?.source
    expect(source({ tension: [1, 2], sticker, chart, load: LOAD })).toBe('given')
    expect(source({ sticker, chart, load: LOAD })).toBe('sticker')
    expect(source({ chart, load: LOAD })).toBe('chart')
    expect(source({ chart: { ...chart, section: 'C' }, load: LOAD })).toBe('power')
    expect(source({ chart: { ...chart, section: 'C' } })).toBeUndefined()
  })

  it('say which way the motor goes, and keep an unmatched set from being pulled up', () => {
    expect(judgeTension(90, [100, 120])).toEqual({ verdict: 'slack', off: -10, motor: 'away' })
    expect(judgeTension(130, [100, 120])).toMatchObject({ verdict: 'tight', motor: 'toward' })
    const set = (...tensions: number[]) =>
      judgeBeltSet(
        tensions.map((tension, i) => ({ id: String(i), tension })),
        [100, 120],
        0.1,
      )
    expect(set(92, 94, 95).advice).toBe('tighten')
    expect(set(105, 110).advice).toBe('leave')
    expect(set(80, 118)).toMatchObject({ unmatched: true, advice: 'replace-set' })
  })
})

describe('take-up on a simulated base', () => {
  const belt: SimulatedBelt = {
    small: 140,
    large: 400,
    slackLength: 2400,
    stiffness: 30_000,
    belts: 5,
    screwPitch: 2.5,
    friction: 600,
    bedding: { share: 0.004, tau: 3 },
  }

  it('the exact change of centre gives the wanted tension', () => {
    const start = turnScrews(belt, fittedBelt(belt), 2)
    const now = beltTensionNow(belt, start)
    const change = value(centreChange(driveNow(belt, start), belt.stiffness, now, now + 150))
    const after = { ...start, centre: start.centre + change.exact }
    expect(beltTensionNow(belt, after)).toBeCloseTo(now + 150, 6)
    expect(change.display).toBeCloseTo(change.exact, 1)
  })

  it('turns learned from the last turns bring the force', () => {
    const q = 11.6
    const forceAt = (turns: number) => {
      const state = turnScrews(belt, fittedBelt(belt), turns)
      return deflectionForce(driveNow(belt, state), SPRING, beltTensionNow(belt, state), q)
    }
    const history = [1, 1.5, 2].map((turns) => ({ turns, force: forceAt(turns) }))
    const target = forceAt(3.25)
    const learned = value(learnTurns(history, target))
    expect(toEighths(learned.turns)).toBeCloseTo(1.25, 9)
    expect(learned.interval?.[0]).toBeLessThan(1.25)
    expect(learned.interval?.[1]).toBeGreaterThan(1.25)
    expect(value(learnTurns(history.slice(0, 2), target)).interval).toBeNull()
  })

  it('a base sticks when it is backed off', () => {
    const rusty = { ...belt, friction: 1600 }
    const back = turnScrews(rusty, turnScrews(rusty, fittedBelt(rusty), 3), -1)
    const same = turnScrews(rusty, fittedBelt(rusty), 2)
    expect(beltTensionNow(rusty, back)).toBeGreaterThan(beltTensionNow(rusty, same))
  })

  it('bedding-in is forecast from its first days', () => {
    const start = turnScrews(belt, fittedBelt(belt), 3)
    const at = (days: number) => ({ days, tension: beltTensionNow(belt, waitDays(start, days)) })
    const points = [0, 1, 2, 4].map(at)
    const limit = at(6).tension
    const forecast = value(forecastRunIn(points, limit))
    expect(forecast.model.kind).toBe('decay')
    expect(Math.abs((forecast.leavesAt ?? NaN) - 6)).toBeLessThan(0.3)
    expect(value(forecastRunIn(points, at(100).tension * 0.9)).leavesAt).toBeNull()
  })
})

describe('run-in', () => {
  it('fits a decay exactly, and gives no interval from three points', () => {
    const tension = (days: number) => 300 + 120 * Math.exp(-days / 4)
    const points = [0, 1, 3].map((days) => ({ days, tension: tension(days) }))
    const found = value(forecastRunIn(points, tension(8)))
    if (found.model.kind !== 'decay') throw new Error('a line')
    expect(found.model.tau).toBeCloseTo(4, 3)
    expect(found.model.settles).toBeCloseTo(300, 1)
    expect(found.leavesAt).toBeCloseTo(8, 2)
    expect(found.interval).toBeNull()
  })

  it('keeps the falling curve through one noisy reading, and a line where it is contradicted', () => {
    const tension = (days: number) => 300 + 120 * Math.exp(-days / 4)
    const points = [0, 1, 3, 8, 16].map((days) => ({ days, tension: tension(days) }))
    const bumped = points.map((p) => (p.days === 8 ? { ...p, tension: 1.07 * p.tension } : p))
    // Taken as exact, one reading that rises makes it a line; by a gauge good to 3 % it doesn't.
    expect(value(forecastRunIn(bumped, 290)).model.kind).toBe('line')
    expect(value(forecastRunIn(bumped, 290, 0.03))).toMatchObject({ model: { kind: 'decay' }, known: true })
    const pulledUp = points.map((p) => (p.days === 16 ? { ...p, tension: 420 } : p))
    expect(value(forecastRunIn(pulledUp, 290, 0.03)).model.kind).toBe('line')
  })

  it('says not yet known where the repeat alone makes the fall, and known where it does not', () => {
    const two = (second: number) => [
      { days: 0, tension: 400 },
      { days: 7, tension: second },
    ]
    expect(value(forecastRunIn(two(392), 380, 0.03)).known).toBe(false)
    expect(value(forecastRunIn(two(330), 320, 0.03)).known).toBe(true)
    const flat = [400, 396, 399, 394].map((tension, i) => ({ days: i * 5, tension }))
    expect(value(forecastRunIn(flat, 380, 0.03)).known).toBe(false)
    // Of flat readings with noise, as good as all stay unknown.
    const share = fc.sample(
      fc.array(fc.double({ min: -1, max: 1, noNaN: true }), { minLength: 5, maxLength: 5 }),
      {
        numRuns: 400,
        seed: 7,
      },
    )
    const known = share.filter(
      (noise) =>
        value(
          forecastRunIn(
            noise.map((x, i) => ({ days: i, tension: 400 * (1 + 0.03 * Math.sqrt(3) * x) })),
            390,
            0.03,
          ),
        ).known,
    )
    expect(known.length / share.length).toBeLessThan(0.12)
  })

  it('draws a line through the last two where tension falls faster and faster, or is read twice only', () => {
    const found = value(
      forecastRunIn(
        [0, 2, 4].map((days) => ({ days, tension: 400 - days * days * 5 })),
        290,
      ),
    )
    expect(found.model.kind).toBe('line')
    expect(found.leavesAt).toBeCloseTo(5, 9)
    expect(
      value(
        forecastRunIn(
          [
            { days: 0, tension: 300 },
            { days: 2, tension: 310 },
          ],
          290,
        ),
      ).leavesAt,
    ).toBeNull()
    expect(
      forecastRunIn(
        [
          { days: 2, tension: 300 },
          { days: 2, tension: 290 },
        ],
        200,
      ).ok,
    ).toBe(false)
  })
})

describe('sheave lines', () => {
  const pairs = fc.record({
    centre: number(400, 1200),
    offset: number(-8, 8),
    turn: number(-0.012, 0.012),
    tilt: number(-0.012, 0.012),
    referenceDepth: number(5, 25),
    otherDepth: number(5, 25),
  })

  it('are read off an edge across simulated sheaves', () => {
    fc.assert(
      fc.property(pairs, (pair) => {
        const gaps = edgeReads(pair, 120, 100, 40)
        const lifted = { ...gaps, r1: 40, r2: 40, wR: 200 }
        const found = sheaveErrors(
          {
            ...lifted,
            w: 120,
            tilt: { g12: gaps.g12, g6: gaps.g6, h: 100 },
            eR: pair.referenceDepth,
            eA: pair.otherDepth,
          },
          pair.centre,
        )
        expect(found.turn).toBeCloseTo(pair.turn, 5)
        expect(found.tilt).toBeCloseTo(pair.tilt, 4)
        expect(Math.abs(found.offset - pair.offset)).toBeLessThan(0.01)
      }),
    )
  })

  const base: MotorBase = {
    footSpacing: 220,
    sheaveToFeet: 90,
    shaftHeight: 160,
    screwPitch: 2,
    hubToShaftEnd: 12,
    lineAngle: 0,
    side: 1,
    motorSign: 1,
  }
  it('are cured in order, and the last step leaves nothing', () => {
    const cure = sheaveCorrections({ offset: 3, turn: 0.004, tilt: -0.002 }, 700, base)
    expect(cure.after.map((a) => a.step)).toEqual(['tilt', 'turn', 'offset'])
    expect(cure.after[2]).toMatchObject({ offset: 0, turn: 0, tilt: 0 })
    expect(cure.tilt.farFeetShim).toBeCloseTo(-0.44, 9)
    expect(cure.turn.screwTurns).toBeCloseTo(0.44, 9)
    expect(cure.offset.sheaveSlide).toBeCloseTo(-(3 + 0.002 * 160), 9)
  })

  it('a motor that hangs: what is shimmed when the pull is level is slid', () => {
    const hanging = sheaveCorrections({ offset: 0, turn: 0.004, tilt: 0 }, 700, {
      ...base,
      lineAngle: Math.PI / 2,
    })
    expect(hanging.turn.farEndSlide).toBeCloseTo(0, 12)
    expect(hanging.tilt.farFeetShim).toBeCloseTo(0.88, 9)
  })

  it('a turn of the motor that carries the reference changes the offset too', () => {
    const cure = sheaveCorrections({ offset: 0, turn: 0.004, tilt: 0 }, 700, { ...base, motorSign: -1 })
    expect(cure.turn.offsetChange).toBeCloseTo(-2.8, 9)
  })

  it('are judged by fleet angle, tilt and offset, the machine’s own limit first', () => {
    const errors = { offset: 2, turn: 0.002, tilt: null }
    const fleet = fleetAngles(errors, 600)
    expect(fleet.other).toBeCloseTo(fleet.reference - 0.002, 12)
    const limits = sheaveLimits('v', 600, {})
    expect(limits.offset).toBeCloseTo(5, 9)
    expect(judgeSheaves(errors, fleet, limits).verdict).toBe('in')
    expect(judgeSheaves(errors, fleet, sheaveLimits('v', 600, { offset: 1 }))).toMatchObject({
      verdict: 'out',
    })
    expect(sheaveLimits('toothed', 600, {}).offset).toBeNull()
  })

  it('four contacts name the fault', () => {
    const with4 = (far: boolean, near: boolean, otherNear: boolean, otherFar: boolean) =>
      fourContact({ reference: { far, near }, other: { near: otherNear, far: otherFar } })
    expect(with4(true, true, true, true)).toBe('in-line')
    expect(with4(true, true, false, false)).toBe('offset')
    expect(with4(true, true, true, false)).toBe('turned')
    expect(with4(true, false, true, true)).toBe('reference-unsure')
  })
})

describe('base and setting', () => {
  it('squareness tells the far-end screw', () => {
    expect(squareness(200, 201, 250, 2)).toMatchObject({ difference: 1, farEndMove: -1, screwTurns: -0.5 })
    expect(squareness(200, 200, 250, null)).toMatchObject({ farEndMove: 0, screwTurns: null })
  })

  it('a variable sheave keeps the belt’s length when the motor follows', () => {
    const drive = value(driveAtCentre(120, 260, 520))
    const turned = value(
      variableSheave({
        grooveAngle: 36,
        threadPitch: 1.5,
        turns: 1,
        pitchDiameter: 120,
        rpm: 1450,
        otherDiameter: 260,
        flanges: 'one',
        drive,
        isSmall: true,
      }),
    )
    const after = pitchLengthAt(turned.pitchDiameter, 260, 520 + (turned.centreChange ?? 0))
    expect(Math.abs(after - drive.pitchLength)).toBeLessThan(0.05)
    expect(turned.powerRatio).toBeCloseTo((turned.pitchDiameter / 120) ** 3, 9)
    const both = value(
      variableSheave({
        grooveAngle: 36,
        threadPitch: 1.5,
        turns: 1,
        pitchDiameter: 120,
        rpm: 1450,
        otherDiameter: 260,
        flanges: 'both',
      }),
    )
    expect(both).toMatchObject({ centreShift: 0, centreChange: null })
  })
})
