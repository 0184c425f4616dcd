/**
 * Speed of core, measured in one run: the live path (one digit changed), the bare solve against the
 * same through a general linear-algebra package, Monte Carlo, the fold of a long job, a plan.
 * `npm run bench`.
 */
import { spawnSync } from 'node:child_process'
import { join } from 'node:path'
import { EVD, inverse, Matrix } from 'ml-matrix'
import { measureArrangement } from '../../core/coupling/dialCircle'
import { feetFor } from '../../core/coupling/feet'
import { PreparedSolve } from '../../core/coupling/preparedSolve'
import { arrangeTaken, measureTaken, rimFaceDials } from '../../core/methods/dials'
import { ALIGNED } from '../../core/frame/planes'
import { judge } from '../../core/judge/judge'
import { settleTolerance } from '../../core/judge/tolerance'
import { coupledJob } from '../../core/jobs/coupled'
import { inMil, lift, TestJob } from '../../core/jobs/testJob'
import { planMoves, planPrepared, prepareFeet, type PlanFoot } from '../../core/plan/movePlan'
import { seededRandom } from '../../core/random/random'
import { simulateFace, simulateRim } from '../../core/simulate/dialReadings'
import { ORDINARY_HANDS } from '../../core/uncertainty/ordinaryHands'
import { arrangementModel } from '../../core/uncertainty/arrangementModel'
import { dialLine } from '../../core/uncertainty/dialLine'
import { chanceInBand } from '../../core/uncertainty/chance'
import { covarianceAfterMove, footMoveSd, lineCovariance } from '../../core/uncertainty/linear'
import { planTrain } from '../../core/train/trainPlan'
import { monteCarlo } from '../../core/uncertainty/monteCarlo'
import { highsWithin } from '../../shared/solver/highs'
import { DENSE_SHELVES, OPPOSITE_FEET, ROOMY_FEET, TRAIN_OF_EIGHT } from './denseShelves'

const MIL = 0.0254
const CLOCKS = [0, 90, 180, 270]
const LINE = { offset: { v: -8.4 * MIL, h: 5.1 * MIL }, slope: { v: -0.00036, h: 0.00022 } }
const FEET = [
  { id: 'inboard', x: 304.8 },
  { id: 'outboard', x: 876.3 },
] as const
const TOLERANCE = settleTolerance({ form: 'speed-rule', mode: 'plane', grade: 'standard' }, 1480)
const LIMITS = { units: 'inch', graduation: 0.5 * MIL, offsetLimit: 3.6 * MIL } as const

const input: Parameters<typeof rimFaceDials>[0] = {
  rim: {
    carriedBy: 'movable',
    plane: -38.1,
    sag: 3 * MIL,
    readings: simulateRim(LINE, { carriedBy: 'movable', plane: -38.1, sag: 3 * MIL }, CLOCKS),
  },
  faces: [
    {
      plunger: 'away',
      diameter: 203.2,
      readings: simulateFace(LINE, { plunger: 'away', diameter: 203.2, sag: 0 }, CLOCKS),
    },
  ],
}
const planFeet = FEET.map((f): PlanFoot => ({
  ...f,
  existing: { left: [25 * MIL, 10 * MIL], right: [25 * MIL, 10 * MIL] },
  maxPack: 125 * MIL,
  sidePlus: 60 * MIL,
  sideMinus: 60 * MIL,
}))
const stock = [1, 2, 3, 5, 10, 20, 25, 50].map((t) => ({ thickness: t * MIL, count: 40 }))
const prepared = prepareFeet(planFeet, stock, 4)

/** The set with its last rim digit changed by a step of a tenth of a mil. */
const typed = (step: number): Parameters<typeof rimFaceDials>[0] => ({
  ...input,
  rim: {
    ...input.rim,
    readings: input.rim.readings.map((r, i) =>
      i === 3 ? { ...r, value: r.value + (step % 20) * 0.1 * MIL } : r,
    ),
  },
})

const times = (runs: number, warm: number, work: (i: number) => void): Float64Array => {
  for (let i = 0; i < warm; i++) work(i)
  const out = new Float64Array(runs)
  for (let i = 0; i < runs; i++) {
    const from = performance.now()
    work(i)
    out[i] = performance.now() - from
  }
  return out.sort()
}
const at = (sorted: Float64Array, share: number) => sorted[Math.floor(share * (sorted.length - 1))] as number
const ms = (x: number) => (x < 0.1 ? `${(x * 1000).toFixed(2)} us` : `${x.toFixed(3)} ms`)
const report = (what: string, sorted: Float64Array, more = '') =>
  process.stdout.write(
    `${what.padEnd(58)} median ${ms(at(sorted, 0.5)).padStart(10)}   99 % ${ms(at(sorted, 0.99)).padStart(10)}   ${more}\n`,
  )

/** A figure with its bar. */
const within = (what: string, sorted: Float64Array, most: number) =>
  report(what, sorted, `at most ${most} ms: ${at(sorted, 0.5) <= most ? 'holds' : 'BROKEN'}`)

let sink = 0
const live = (i: number) => {
  const set = typed(i)
  const measured = measureTaken(rimFaceDials(set), LIMITS)
  if (!measured.ok) throw new Error('bench set refused')
  const { coupling } = measured.value
  const feet = feetFor(coupling, FEET)
  const plan = planPrepared(
    { coupling, target: ALIGNED, tolerance: TOLERANCE, sideStep: 0.5 * MIL },
    prepared,
    undefined,
    ['closest'],
  ).plans[0]
  const arranged = arrangeTaken(rimFaceDials(set))
  const model = arranged.ok ? arrangementModel(arranged.value.arrangement) : null
  if (!plan || !model) throw new Error('bench set has no plan')
  const covariance = lineCovariance(model, ORDINARY_HANDS)
  const [a, b] = plan.moves
  if (!a || !b) throw new Error('two pairs')
  const after = covarianceAfterMove(covariance, [FEET[0], FEET[1]], [a, b], ORDINARY_HANDS)
  sink +=
    feet.length +
    chanceInBand(plan.predicted, after, TOLERANCE, ALIGNED) +
    footMoveSd(covariance, coupling, ALIGNED, FEET, ORDINARY_HANDS).length +
    judge(coupling, TOLERANCE).quantities.length
}
const liveTimes = times(2000, 500, live)
within('live path: fit, trust, feet, closest plan, uncertainty, verdict', liveTimes, 0.5)

const arranged = arrangeTaken(rimFaceDials(input))
if (!arranged.ok) throw new Error('bench set refused')
const { arrangement } = arranged.value
const ready = new PreparedSolve(arrangement, FEET)
const bareBatch = 1000
const bare = times(300, 100, (i) => {
  for (let n = 0; n < bareBatch; n++) {
    ready.first.readings[3] = 0.01 * ((i + n) % 20)
    ready.solve()
    sink += ready.moves[0] as number
  }
}).map((t) => t / bareBatch)
report('bare solve, prepared: fit, residuals, line, moves', bare)

/** The same solve, written with a general matrix package: design matrix, normal equations, eigenvalues. */
const generalSolve = (i: number) => {
  const design = new Matrix(
    CLOCKS.map((c) => [1, Math.cos((c * Math.PI) / 180), Math.sin((c * Math.PI) / 180)]),
  )
  const fit = (values: readonly number[]) => {
    const r = Matrix.columnVector([...values])
    const normal = inverse(design.transpose().mmul(design))
    const x = normal.mmul(design.transpose()).mmul(r)
    const left = Matrix.sub(r, design.mmul(x))
    return { x, rms: Math.sqrt(left.dot(left) / values.length), normal }
  }
  const rim = fit(input.rim.readings.map((r, n) => (n === 3 ? 0.01 * (i % 20) : r.value)))
  const face = fit((input.faces[0].readings ?? []).map((r) => r.value))
  const slope = [face.x.get(1, 0) / 101.6, face.x.get(2, 0) / 101.6]
  const position = [-(rim.x.get(1, 0) - 3 * MIL), -rim.x.get(2, 0)]
  const line = new Matrix([
    [position[0] as number, slope[0] as number],
    [position[1] as number, slope[1] as number],
  ])
  const toFeet = new Matrix(FEET.map((f) => [1, f.x + 38.1]))
  sink += toFeet.mmul(line.transpose()).get(0, 0) + rim.rms + face.rms
}
const general = times(3000, 500, generalSolve)
report(
  'the same solve through a general matrix package',
  general,
  `ratio ${(at(general, 0.5) / at(bare, 0.5)).toFixed(0)} x`,
)

const withTrust = times(3000, 500, (i) => {
  const set = arrangeTaken(rimFaceDials(typed(i)))
  if (set.ok) sink += measureArrangement(set.value.arrangement, LIMITS).ok ? 1 : 0
})
report('solve with its whole trust report', withTrust)
const generalWithTrust = times(3000, 500, (i) => {
  // Whole set, then every set with one reading left out: what naming a bad reading takes.
  generalSolve(i)
  for (let leave = 0; leave < 4; leave++) {
    const kept = CLOCKS.filter((_, n) => n !== leave)
    const design = new Matrix(
      kept.map((c) => [1, Math.cos((c * Math.PI) / 180), Math.sin((c * Math.PI) / 180)]),
    )
    sink += new EVD(inverse(design.transpose().mmul(design)).subMatrix(1, 2, 1, 2)).realEigenvalues[0] ?? 0
  }
})
report(
  'solve with trust through a general matrix package',
  generalWithTrust,
  `ratio ${(at(generalWithTrust, 0.5) / at(withTrust, 0.5)).toFixed(1)} x`,
)

const collect = (globalThis as { gc?: () => void }).gc
if (collect) {
  collect()
  const before = process.memoryUsage().heapUsed
  for (let n = 0; n < 100_000; n++) {
    ready.first.readings[3] = 0.01 * (n % 20)
    ready.solve()
  }
  const bytes = Math.max(0, process.memoryUsage().heapUsed - before) / 100_000
  process.stdout.write(`${'bytes allocated by one bare solve'.padEnd(58)} ${bytes.toFixed(2)}\n`)
}

const model = arrangementModel(arrangement)
if (!model) throw new Error('bench set has no model')
const draws = times(6, 3, (i) => {
  sink +=
    monteCarlo({
      model: dialLine(model),
      feet: FEET,
      tolerance: TOLERANCE,
      sd: { ...ORDINARY_HANDS, clock: i % 2 === 0 ? 0 : 0.5 },
      draws: 200_000,
      random: seededRandom(i + 1),
    }).chanceInBand ?? 0
})
report('200 000 Monte Carlo draws', draws)
// The same in vectorised numpy, where there is one: the yardstick of the draws.
const numpy = spawnSync('python3', [join(process.cwd(), 'scripts', 'bench', 'draws.py')], {
  encoding: 'utf8',
})
if (numpy.status === 0) {
  const [, ...warm] = numpy.stdout.trim().split(' ').map(Number)
  const theirs = Float64Array.from(warm).sort()
  report(
    'the same draws in vectorised numpy',
    theirs,
    `ratio ${(at(theirs, 0.5) / at(draws, 0.5)).toFixed(2)} x, at least 1`,
  )
}

// A long job: sixty rounds of sets, a plan and a move each, and one digit changed in the set under way.
const job = new TestJob().ready()
for (let round = 0; round < 60; round++) {
  for (let n = 0; n < 5; n++) job.read(inMil(-8.4 + (n % 3) * 0.01, 5.1, -0.36, 0.22))
  if (round % 2 === 0) job.add({ kind: 'remark', payload: { text: `round ${round}` } })
  const sets = [...job.state.latest.used]
  job.add({
    kind: 'plan-chosen',
    payload: { units: 'inch', option: 'own', changes: lift('inboard', [1]), side: [], sets },
  })
  if (round < 59)
    job.add({
      kind: 'move-made',
      payload: { units: 'inch', changes: lift('inboard', [1]), side: [], remark: '' },
    })
}
// Each digit is a new entry object, as the form makes it.
const drafts = Array.from({ length: 240 }, (_, i) => {
  const draft = job.read(inMil(-8.4 + i * 0.001, 5.1, -0.36, 0.22))
  job.entries.pop()
  return draft
})
let digit = 0
const folded = times(200, 40, () => {
  const draft = drafts[digit++]
  if (draft) sink += coupledJob(job.machine, [...job.entries, draft]).state.measurements.length
})
within(`one digit into a job of ${job.entries.length} entries, 60 rounds`, folded, 2)
const cold = times(5, 1, () => {
  sink += coupledJob(structuredClone(job.machine), structuredClone(job.entries)).state.measurements.length
})
report('the same job folded cold, nothing remembered', cold)

const both = [
  ...planFeet.map((f) => ({ ...f, machine: 'movable' as const })),
  ...planFeet.map((f) => ({ ...f, machine: 'stationary' as const, x: -f.x, id: `s-${f.id}` })),
]
const bothPrepared = prepareFeet(both, stock, 4)
report(
  'whole-shim plans for both machines at once, prepared',
  times(5, 1, () => {
    sink += planPrepared({ coupling: LINE, target: ALIGNED, tolerance: TOLERANCE, sideStep: 0 }, bothPrepared)
      .plans.length
  }),
)
report(
  'every lift of two foot pairs, once a job',
  times(20, 3, () => {
    sink += prepareFeet(planFeet, stock, 4).pairs.length
  }),
)
for (const { name, stock: shelf } of DENSE_SHELVES) {
  const given = {
    coupling: LINE,
    target: ALIGNED,
    tolerance: TOLERANCE,
    stock: shelf,
    packLimit: 6,
    sideStep: 0.5 * MIL,
  }
  within(
    `all four plans from nothing, ${name}`,
    times(7, 2, () => (sink += planMoves({ ...given, feet: ROOMY_FEET }).plans.length)),
    250,
  )
  within(
    `both machines, ${name}`,
    times(
      5,
      1,
      () => (sink += planMoves({ ...given, feet: [...ROOMY_FEET, ...OPPOSITE_FEET] }).plans.length),
    ),
    1000,
  )
}
for (const { name, stock: shelf } of DENSE_SHELVES) {
  const trains: number[] = []
  for (let i = 0; i < 3; i++) {
    const from = performance.now()
    const solver = highsWithin()
    sink += (await planTrain(TRAIN_OF_EIGHT, shelf, 6, solver.solve)).length
    trains.push(performance.now() - from)
  }
  within(`a train of eight machines, ${name}`, Float64Array.from(trains).sort(), 5000)
}
if (sink === Infinity) process.stdout.write('\n')
