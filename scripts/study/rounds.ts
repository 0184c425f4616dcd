/**
 * How many moves a job takes, and whether "90 % likely" means it: thousands of simulated jobs from
 * as found to in band, by the program and by hand. `npm run study:rounds -- [jobs] [--write]`.
 */
import { feetFor } from '../../core/coupling/feet'
import { judge } from '../../core/judge/judge'
import { normalFrom, seededRandom, type Random } from '../../core/random/random'
import { drawJob, type SimulatedJob } from '../../core/simulate/jobPopulation'
import { ORDINARY_HANDS } from '../../core/uncertainty/ordinaryHands'
import { takeSet, trueLine, type SimulatedCouple } from '../../core/simulate/simulatedCouple'
import { arrangementModel } from '../../core/uncertainty/arrangementModel'
import { chanceInBand } from '../../core/uncertainty/chance'
import { covarianceAfterMove, lineCovariance } from '../../core/uncertainty/linear'
import type { Spread } from '../../core/uncertainty/spread'
import { doMove } from './doing'
import { handLine, toMil } from './handMethod'
import { limitsOf, QUARTERS, TARGET } from './measuring'
import { askedOf, StudyJob } from './studyJob'
import { countOf, seedOf } from './arguments'
import { writeStudy } from './writeStudy'

const MIL = 0.0254
const jobs = countOf(10_000)
const seed = seedOf()
const MOST_ROUNDS = 5
const isIn = (job: SimulatedJob, couple: SimulatedCouple): boolean =>
  judge(trueLine(couple), limitsOf(job), TARGET).quantities.every((q) => (q.margin ?? -1) >= 0)

/** In band after each round, by the program: checked sets, the plan it suggests, height before side. */
const byProgram = (job: SimulatedJob, normal: Random): readonly boolean[] => {
  const log = new StudyJob(job)
  let couple = job.couple
  const after: boolean[] = []
  log.measure(couple, normal)
  for (let round = 0; round < MOST_ROUNDS; round++) {
    for (const plane of ['v', 'h'] as const) {
      const plan = log.carryOut(plane)
      if (!plan) continue
      couple = doMove(couple, askedOf(plan), ORDINARY_HANDS, normal, plane)
      log.measure(couple, normal)
    }
    after.push(isIn(job, couple))
    // Another move is worth it as long as the proof is not clear of every limit.
    if (log.clear) break
  }
  return after
}

/** The same by hand: one set, halved and rounded, both feet always, whole mils. */
const byHand = (job: SimulatedJob, normal: Random): readonly boolean[] => {
  let couple = job.couple
  const after: boolean[] = []
  const feet = [
    { id: 'inboard', x: job.told.feet[0] },
    { id: 'outboard', x: job.told.feet[1] },
  ]
  const sheet = () => handLine(job, takeSet(couple, job.real, QUARTERS, normal))
  for (let round = 0; round < MOST_ROUNDS; round++) {
    for (const plane of ['v', 'h'] as const) {
      const [inboard, outboard] = feetFor(sheet(), feet, TARGET)
      const asked = (f: typeof inboard) => ({ v: toMil(f?.move.v ?? 0), h: toMil(f?.move.h ?? 0) })
      couple = doMove(
        couple,
        { inboard: asked(inboard), outboard: asked(outboard) },
        ORDINARY_HANDS,
        normal,
        plane,
      )
    }
    after.push(isIn(job, couple))
    if (judge(sheet(), limitsOf(job), TARGET).verdict !== 'out') break
  }
  return after
}

const percent = (part: number, whole: number) => `${((100 * part) / whole).toFixed(2)} %`
const within = (runs: readonly (readonly boolean[])[], rounds: number) =>
  runs.filter((r) => r[Math.min(rounds, r.length) - 1]).length

/** Plans whose chance is held against what came of it, a job of the study. */
const CALIBRATED = 12
/** A class of chances is off when it came true this much more or less often than said, beyond twice its own error. */
const OFF = 0.03
/** Plans a class must have before it is judged: below, its own error hides everything. */
const ENOUGH = 200

/** Chance said against what came of it, over hands from careful to careless. */
const calibration = (count: number) => {
  const edges = [0, 0.1, 0.3, 0.5, 0.7, 0.8, 0.85, 0.9, 0.95, 0.98, 0.995, 1.0000001]
  const bins = edges.slice(1).map((to, i) => ({ from: edges[i] as number, to, said: 0, came: 0, n: 0 }))
  for (let n = 0; n < count; n++) {
    const random = seededRandom(0x10000000 + seed * 10_000_000 + n)
    const normal = normalFrom(random)
    const careless = Math.exp(random() * Math.log(6)) / 1.5
    const hands = Object.fromEntries(
      Object.entries(ORDINARY_HANDS).map(([k, v]) => [k, (v as number) * careless]),
    ) as unknown as Spread
    const job = drawJob(random, hands)
    const log = new StudyJob(job)
    log.readSet(job.couple, normal)
    const plan = log.suggested()
    const arranged = log.state.latest.sets[0]?.set.arranged
    const model = arranged && arrangementModel(arranged.arrangement)
    if (!plan || !model) continue
    const [a, b] = [
      { id: 'inboard', x: job.told.feet[0] },
      { id: 'outboard', x: job.told.feet[1] },
    ]
    const asked = askedOf(plan)
    const covariance = covarianceAfterMove(
      lineCovariance(model, job.spread),
      [a, b],
      [asked.inboard, asked.outboard],
      job.spread,
    )
    const chance = chanceInBand(plan.predicted, covariance, limitsOf(job), TARGET)
    const came = isIn(job, doMove(job.couple, asked, hands, normal, 'both'))
    const bin = bins.find((x) => chance >= x.from && chance < x.to)
    if (!bin) continue
    bin.n++
    bin.said += chance
    if (came) bin.came++
  }
  return bins.filter((b) => b.n > 0)
}

const from = Date.now()
const program: (readonly boolean[])[] = []
const hand: (readonly boolean[])[] = []
for (let n = 0; n < jobs; n++) {
  const job = drawJob(seededRandom(seed * 10_000_000 + n + 1))
  program.push(byProgram(job, normalFrom(seededRandom(7_000_000 + seed * 20_000_000 + n))))
  hand.push(byHand(job, normalFrom(seededRandom(7_000_000 + seed * 20_000_000 + n))))
}
const rows = [1, 2, 3, 5].map((r) => [
  `${r} (${r} vertical, ${r} side)`,
  percent(within(program, r), jobs),
  percent(within(hand, r), jobs),
])
const moves = (runs: readonly (readonly boolean[])[]) =>
  (runs.reduce((s, r) => s + r.length, 0) / runs.length).toFixed(2)
const bins = calibration((jobs >= 10_000 ? CALIBRATED : 1) * jobs)

writeStudy('rounds', {
  title: 'How many moves a job takes',
  intro: [
    `${jobs} simulated jobs, seeds 1 to ${jobs} of number ${seed}: offsets up to 0.4 mm (16 mil, what rough-in leaves), slopes up to 1.5 mm/m, 990 to 2960 rpm, starter limits of standard grade. Machines are rigid bodies in space on springy feet; hands err by ${ORDINARY_HANDS.reading / MIL} mil a reading, ${ORDINARY_HANDS.clock} degrees of clock, ${ORDINARY_HANDS.distance} mm of tape, ${ORDINARY_HANDS.sag / MIL} mil of sag, ${ORDINARY_HANDS.shim / MIL} mil of shim and ${ORDINARY_HANDS.settling / MIL} mil of settling a foot pair, ${ORDINARY_HANDS.side / MIL} mil a side move, on top of dials rounded to half a mil or 0.01 mm. A round is one vertical move and one side move with a measurement before each. In band means the true axes are, not what is read.`,
    'By hand: one set, opposite readings halved and rounded to whole mils, sag as told, both feet always, shims to the whole mil. The program: two sound sets that repeat, least squares, the plan that the view suggests (jobs are logbooks, folded and planned by the code of the view) from 1, 2, 3, 4, 5, 10, 20, 25 and 50 mil shims, at most four to a pack; another round as long as the proof is not clear of every limit.',
  ],
  tables: [
    { head: ['Rounds', 'In band, program', 'In band, by hand'], rows },
    { head: ['Rounds taken on average', 'Program', 'By hand'], rows: [['', moves(program), moves(hand)]] },
    {
      caption:
        'Calibration: of plans with the chance said, how many ended in band. One set that the program does not doubt, vertical and side move together, hands from two thirds to four times ordinary errors.',
      head: ['Chance said', 'Plans', 'Said on average', 'Came true', 'Standard error'],
      rows: bins.map((b) => {
        const came = b.came / b.n
        return [
          `${(100 * b.from).toFixed(1)} to ${(100 * Math.min(1, b.to)).toFixed(1)} %`,
          String(b.n),
          percent(b.said, b.n),
          percent(b.came, b.n),
          `${(100 * Math.sqrt((came * (1 - came)) / b.n)).toFixed(1)} %`,
        ]
      }),
    },
  ],
  seconds: (Date.now() - from) / 1000,
})

const off = bins.filter((b) => {
  const came = b.came / b.n
  const own = Math.sqrt((came * (1 - came)) / b.n)
  return b.n >= ENOUGH && Math.abs(came - b.said / b.n) > OFF && Math.abs(came - b.said / b.n) > 2 * own
})
process.stdout.write(
  off.length === 0
    ? 'Chances: every class within 3 points of what came true: holds\n'
    : `Chances: BROKEN in ${off.map((b) => `${b.from} to ${b.to}`).join(', ')}\n`,
)
// A handful of jobs proves nothing either way.
if (jobs >= 10_000) process.exitCode = off.length === 0 ? 0 : 1
