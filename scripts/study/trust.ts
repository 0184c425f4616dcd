/**
 * How often each known fault is caught, how often an honest job is called bad, and what would have
 * reached the feet: thousands of simulated jobs. `npm run study:trust -- [jobs] [--seed n] [--write]`.
 */
import { compareAchieved } from '../../core/coupling/achieved'
import { feetFor, lineOfMoves } from '../../core/coupling/feet'
import { softFoot, type FootRises } from '../../core/feet/softFoot'
import type { Misalignment } from '../../core/frame/planes'
import { normalFrom, seededRandom, type Random } from '../../core/random/random'
import { distanceSlip } from '../../core/setup/distanceSlip'
import { footRises } from '../../core/simulate/machineOnFeet'
import { drawJob, type SimulatedJob } from '../../core/simulate/jobPopulation'
import { ORDINARY_HANDS } from '../../core/uncertainty/ordinaryHands'
import { takeSet, trueLine, type SimulatedCouple } from '../../core/simulate/simulatedCouple'
import { couplingStrain } from '../../core/strain/couplingStrain'
import { arrangementModel } from '../../core/uncertainty/arrangementModel'
import { doubtOfCovariance } from '../../core/uncertainty/changeDoubt'
import { covarianceAfterMove, lineCovariance } from '../../core/uncertainty/linear'
import { doMove } from './doing'
import { FAULTS, type Fault } from './faults'
import { isSound, limitsOf, QUARTERS, readSet, repeatOf, TARGET, type ReadSet } from './measuring'
import { countOf, seedOf } from './arguments'
import { writeStudy } from './writeStudy'

const MIL = 0.0254
const jobs = countOf(16_000)
const seed = seedOf()

/** What the program can notice, in the order a job meets it. */
type Check = 'set-up' | 'soft foot' | 'strain' | 'one set' | 'repeat' | 'after the move'
const CHECKS: readonly Check[] = ['set-up', 'soft foot', 'strain', 'one set', 'repeat', 'after the move']

/** Errors from here on are worth catching at a foot. */
const WORTH_CATCHING = 3.5 * MIL

const footError = (job: SimulatedJob, couple: SimulatedCouple, found: Misalignment): number => {
  const truth = trueLine(couple)
  const [a, b] = job.register.feet
  const [toldA, toldB] = job.told.feet
  return Math.max(
    ...(['v', 'h'] as const).flatMap((p) =>
      (
        [
          [a, toldA],
          [b, toldB],
        ] as const
      ).map(([x, told]) =>
        Math.abs(
          (truth.offset[p] ?? 0) +
            (truth.slope[p] ?? 0) * x -
            (found.offset[p] ?? 0) -
            (found.slope[p] ?? 0) * told,
        ),
      ),
    ),
  )
}

/** Soft-foot step: rises read with a dial at each foot. */
const softFootFound = (couple: SimulatedCouple, normal: Random): boolean => {
  const [f1, f2, f3, f4] = footRises(couple.movable)
  const read = (rise: number) => Math.round((rise + 0.3 * MIL * normal()) / (0.5 * MIL)) * 0.5 * MIL
  const rises: FootRises = { f1: read(f1), f2: read(f2), f3: read(f3), f4: read(f4) }
  return softFoot({ rises, limit: 2 * MIL }).diagnosis !== 'ok'
}

const slipFound = (job: SimulatedJob): boolean =>
  [
    [job.told.rimPlane, job.register.rimPlane],
    [job.told.faceDiameter, job.register.faceDiameter],
    [job.told.feet[0], job.register.feet[0]],
    [job.told.feet[1], job.register.feet[1]],
  ].some(([typed, registered]) => distanceSlip(typed as number, registered as number) !== null)

interface Outcome {
  readonly caughtBy: Check | null
  readonly error: number
}

const runJob = (fault: Fault, seed: number): Outcome => {
  const random = seededRandom(seed)
  const normal = normalFrom(random)
  const honest = drawJob(random)
  const job = fault.job ? fault.job(honest, random) : honest
  const couple = job.couple
  const faultyReal = fault.real ? fault.real(job.real, random) : job.real
  const faultySet = fault.once && random() < 0.5 ? 2 : 1
  const take = (nth: number, from: SimulatedCouple, coupled = faultyReal.coupled): ReadSet | null => {
    const faulty = !fault.once || nth === faultySet
    const real = { ...(faulty ? faultyReal : job.real), coupled }
    const taken = takeSet(from, real, QUARTERS, normal)
    return readSet(job, faulty && fault.set ? fault.set(taken, random, nth) : taken)
  }
  const first = take(1, couple)
  const second = take(2, couple)
  if (!first || !second) return { caughtBy: 'one set', error: 0 }
  const faultyOne = fault.once && faultySet === 2 ? second : first
  const error = footError(job, couple, faultyOne.coupling)
  const by = (check: Check): Outcome => ({ caughtBy: check, error })

  if (job.told.rimSag === 0 || slipFound(job)) return by('set-up')
  if (softFootFound(couple, normal)) return by('soft foot')
  if (job.real.coupled) {
    // A made-up coupling is compared with one open reading before its plan is used.
    const open = take(1, couple, false)
    const strained =
      open &&
      couplingStrain({
        coupled: first.coupling,
        uncoupled: open.coupling,
        feet: [],
        tolerance: limitsOf(job),
        repeat: { offset: 0, slope: 0 },
      }).strained
    if (strained) return by('strain')
  }
  if (!isSound(first) || !isSound(second)) return by('one set')
  const repeat = repeatOf(job, first, second)
  if (!repeat.agrees) return by('repeat')

  const found = repeat.combined ?? second.coupling
  const feet = [
    { id: 'inboard', x: job.told.feet[0] },
    { id: 'outboard', x: job.told.feet[1] },
  ]
  const moves = feetFor(found, feet, TARGET).map((f) => ({
    id: f.id,
    x: f.x,
    v: f.move.v ?? 0,
    h: f.move.h ?? 0,
  }))
  const [inboard, outboard] = moves
  if (!inboard || !outboard) return { caughtBy: null, error }
  const moved = doMove(couple, { inboard, outboard }, ORDINARY_HANDS, normal, 'both')
  const after = take(3, moved)
  if (!after) return by('after the move')
  const model = arrangementModel(after.arrangement)
  if (!model) return by('after the move')
  const measured = doubtOfCovariance(lineCovariance(model, job.spread))
  const outer = [
    { id: 'inboard', x: inboard.x },
    { id: 'outboard', x: outboard.x },
  ] as const
  const planes = compareAchieved(found, after.coupling, lineOfMoves(moves), feet, {
    doubt: {
      ...measured,
      covariance: covarianceAfterMove(measured.covariance, outer, [inboard, outboard], ORDINARY_HANDS),
    },
  })
  return planes.some((p) => p.cause !== 'as-planned') ? by('after the move') : { caughtBy: null, error }
}

const quantile = (list: readonly number[], share: number): string => {
  if (list.length === 0) return '-'
  const sorted = [...list].sort((a, b) => a - b)
  return ((sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] as number) / MIL).toFixed(1)
}
const percent = (n: number, of: number) => `${((100 * n) / of).toFixed(1)} %`

const from = Date.now()
const each = Math.ceil(jobs / FAULTS.length)
const rows = FAULTS.map((fault, f) => {
  const outcomes = Array.from({ length: each }, (_, n) =>
    runJob(fault, seed * 100_000_000 + f * 1_000_000 + n + 1),
  )
  const count = (check: Check) => outcomes.filter((o) => o.caughtBy === check).length
  const before = outcomes.filter((o) => o.caughtBy !== null && o.caughtBy !== 'after the move').length
  const missed = outcomes.filter((o) => o.caughtBy === null)
  const material = outcomes.filter((o) => o.error > WORTH_CATCHING)
  const materialMissed = material.filter((o) => o.caughtBy === null)
  return {
    fault,
    cells: [
      `${fault.name}: ${fault.words}`,
      percent(before, outcomes.length),
      percent(before + count('after the move'), outcomes.length),
      material.length > 0 ? percent(material.length - materialMissed.length, material.length) : '-',
      quantile(
        outcomes.map((o) => o.error),
        0.5,
      ),
      quantile(
        outcomes.map((o) => o.error),
        0.95,
      ),
      quantile(
        missed.map((o) => o.error),
        0.95,
      ),
    ],
    checks: [
      fault.name,
      ...CHECKS.map((c) => percent(count(c), outcomes.length)),
      percent(missed.length, outcomes.length),
    ],
  }
})

writeStudy('trust', {
  title: 'What the checks catch',
  intro: [
    `${each * FAULTS.length} simulated jobs, ${each} of each kind, fixed seeds (number ${seed}). Machines, dials and hands as in the rounds study; every job takes two sets at 12, 3, 6 and 9, and one move with a measurement after it. Errors are at the worse foot pair and plane, in mil: what the faulty set would have done if it had been believed. The honest row is the false alarm: the share of honest jobs that some check calls bad.`,
  ],
  tables: [
    {
      head: [
        'Fault',
        'Caught before the move',
        'Caught by its end',
        'Caught, errors over 3.5 mil only',
        'Median error',
        '95 % error',
        '95 % error of those missed',
      ],
      rows: rows.map((r) => r.cells),
    },
    {
      caption: 'Which check caught it first:',
      head: ['Fault', ...CHECKS, 'Missed'],
      rows: rows.map((r) => r.checks),
    },
  ],
  notes: [
    'Swapped sides and a wrong sign are the same in every set, so no set can expose them; the first move does, since the machine then goes the other way. The push test at set-up is what prevents the second.',
    'A wrong sag that is not zero is the same in every set and goes straight into the height: neither the readings nor the move show it, since the next set errs alike; only the last job’s sag beside the new one does, which the set-up asks about. A second bar, or the pipe, is the cure. An oval hub is seen in the sum check where it lies across the four positions, and hides where it lies between them: turn both shafts.',
    'Axial float and backlash are rarely missed, but what is missed need not be small: its error at the feet is in the last column. Reading the same position from both turning directions shows backlash. Two opposite face dials, or the shafts pushed to one side, cure the first.',
  ],
  seconds: (Date.now() - from) / 1000,
})
