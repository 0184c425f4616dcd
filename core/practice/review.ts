import { besideOf } from '../jobs/measured'
import { standingEntries } from '../logbook/standing'
import type { LogEntry } from '../logbook/entry'
import type { Misalignment } from '../frame/planes'
import type { Verdict } from '../judge/judge'
import { judge } from '../judge/judge'
import type { SettledTolerance } from '../judge/tolerance'
import { limitsOf } from '../register/measuredMachine'
import { drawBench, type Bench } from './bench'
import { freshBench, lineOnBench, type BenchState } from './benchState'
import { afterAct } from './doAct'
import { doubtsOf, faultBehind, type Doubt, type DoubtCode } from './doubts'
import { stateOf } from './stateOf'
import type { CoupledState } from '../jobs/coupled'
import type { BenchAct } from './acts'
import { COUPLED_FAULTS, type CoupledFault } from './faults'
import type { HabitSeen } from './habits'
import { fewestMoves, truthInput, type Fewest } from './fewest'
import { movesMade } from './movesMade'
import { copiedFrom, NOTHING_SHOWN, seenStop } from './shown'
import { minutesOf, MomentKeeper, type Looked, type MomentOf } from './looked'
import { hintsOf, type PracticeStep } from './steps'

export type Moment = MomentOf<Doubt, Misalignment, Misalignment>

/** A try on a coupled machine as it is looked back on. */
export interface CoupledReview extends Looked {
  readonly kind: 'coupled'
  readonly moments: readonly Moment[]
  readonly best: Fewest
  /** How the shafts really lie at the end. */
  readonly truth: Misalignment
}

/** Share of the way to warm below which a machine counts as cold. */
const STILL_WARM = 0.1
/** How the shafts lie once it has cooled down: what a job aims at. */
const lineCold = (bench: Bench, now: BenchState) => lineOnBench(bench, { ...now, warm: 0 })

const DECIDES: readonly LogEntry['kind'][] = ['move-made', 'job-closed']

const isCoupledFault = (fault: string): fault is CoupledFault => COUPLED_FAULTS.some((f) => f === fault)
const isVerdict = (v: string): v is Verdict => v === 'in' || v === 'edge' || v === 'out'

/** Whether a fault was cured, or found in time to be taken into account: by what stands at the end of a try. */
const isCured = (
  fault: CoupledFault,
  now: BenchState,
  { setUp, feetCheck, looks, runouts, latest, moves }: CoupledState,
  doubts: readonly Doubt[],
): boolean => {
  const tells = (...codes: readonly Doubt['code'][]) => doubts.some((d) => codes.includes(d.code))
  const repeats = latest.used.length > 1 && !tells('unsound-set', 'sets-differ')
  switch (fault) {
    case 'wrong-nameplate':
      return !tells('plate-differs')
    case 'slipping-bracket':
      return now.clamped
    case 'hanging-bar':
      return setUp !== null && !tells('sag-untold')
    case 'counts-other-way':
      return setUp !== null && !tells('sign-untold')
    case 'soft-foot':
    case 'bent-foot':
      return feetCheck.latest?.verdict === 'in' || feetCheck.latest?.verdict === 'edge'
    case 'pipe-strain':
      return now.pipeSlack || looks.pipe !== null
    case 'strained-coupling':
      return latest.sets.length > 0 && !tells('read-made-up')
    case 'still-warm':
      return latest.sets.length > 0 && !tells('read-warm')
    case 'swapped-marks':
      return latest.sets.length > 0 && !tells('sides-swapped')
    case 'false-shim':
      return moves.length > 0 && !tells('move-missed')
    case 'run-out':
    case 'oval-hub':
      return runouts.verdict !== null || repeats
    case 'sticking-needle':
    case 'backlash':
    case 'float':
      return repeats
  }
}

const copyDoubt = (
  bench: Bench,
  state: ReturnType<typeof stateOf>,
  e: LogEntry<'readings-taken'>,
  shown: typeof NOTHING_SHOWN,
): Doubt | null => {
  const { misread, mirrored } = copiedFrom(shown, e, state.setUp?.coarsest ?? 0.01)
  if (misread.length === 0) return null
  return {
    code: mirrored ? 'sides-swapped' : 'misread',
    about: e.id,
    flags: [],
    causes: [],
    places: misread,
  }
}

/**
 * Looks back on a try: what could be seen when, and whether it was, before the next move or the end. `opened` is how
 * many steps were there before the hands came in.
 */
export const reviewOf = (bench: Bench, steps: readonly PracticeStep[], opened: number): CoupledReview => {
  const { machine } = bench.setting
  let now = freshBench(bench)
  let shown = NOTHING_SHOWN
  const entries: LogEntry[] = []
  const keeper = new MomentKeeper<Doubt, Misalignment, Misalignment>()
  const habits: HabitSeen[] = []
  const standing = () => standingEntries(entries)
  /** Sets that were copied wrongly or taken with the coupling made up: told by the bench, not by the logbook. */
  const aside = new Map<string, Doubt>()

  const inForce = () => {
    const state = stateOf(machine, [...entries])
    const used = new Set(state.latest.used)
    return {
      state,
      doubts: [
        ...doubtsOf(bench, state, now),
        ...[...aside.entries()].flatMap(([set, d]) => (used.has(set) ? [d] : [])),
      ],
    }
  }

  steps.forEach((step, i) => {
    if ('act' in step) {
      now = afterAct(bench, now, step.act as BenchAct)
      if (step.act.act === 'zero' || step.act.act === 'mount') shown = NOTHING_SHOWN
      shown = seenStop(bench, now, shown)
      return
    }
    if (!('entry' in step)) return
    const { entry } = step
    const past = i >= opened ? inForce() : null
    if (past && DECIDES.includes(entry.kind)) {
      // Whatever is in force as a move is logged was gone past, but for leaves laid and about to be logged.
      keeper.passed(past.doubts, i)
      if (entry.kind === 'move-made') habits.push(...habitsAtMove(past.state, past.doubts))
    }
    entries.push(entry)
    if (i < opened) return
    const { state, doubts } = inForce()
    if (entry.kind === 'readings-taken') {
      const copied = copyDoubt(bench, state, entry, shown)
      const madeUp = now.made && besideOf(state) !== 'prove'
      // The hot check wants it warm; every other set is read cold, and aims at where it lies cold.
      const warm = now.warm > STILL_WARM && besideOf(state) !== 'hot-check'
      const told =
        copied ?? (madeUp ? asideOf('read-made-up', entry.id) : warm ? asideOf('read-warm', entry.id) : null)
      if (told) aside.set(entry.id, told)
      habits.push({ habit: 'three-and-nine', well: copied?.code !== 'sides-swapped' })
      habits.push({ habit: 'reads-uncoupled', well: !madeUp })
    }
    const current = entry.kind === 'readings-taken' ? inForce().doubts : doubts
    keeper.now(current, i)
    for (const d of current) {
      // Leaves are laid before they are logged: only what the log itself leaves different counts.
      if (d.code === 'laid-differs' && entry.kind !== 'move-made' && entry.kind !== 'foot-filled') continue
      keeper.begin(d, {
        fault: faultBehind(bench, d),
        from: i,
        truth: lineCold(bench, now),
        told: state.latest.coupling,
      })
    }
    if (entry.kind === 'set-up') {
      habits.push({ habit: 'tells-the-sag', well: !doubts.some((d) => d.code === 'sag-untold') })
      habits.push({ habit: 'presses-the-plunger', well: !doubts.some((d) => d.code === 'sign-untold') })
    }
    if (entry.kind === 'foot-filled')
      habits.push({ habit: 'cures-one-foot', well: !doubts.some((d) => d.code === 'both-filled') })
    if (entry.kind === 'move-made')
      habits.push({ habit: 'lays-what-is-logged', well: !doubts.some((d) => d.code === 'laid-differs') })
  })
  const { state, doubts } = inForce()
  const truth = lineCold(bench, now)
  const tolerance = limitsByPlate(bench, state)
  const judged = judge(truth, tolerance, state.target).verdict
  const best = fewestOf(bench, { target: state.target, tolerance })
  const own = steps.slice(opened)
  return {
    kind: 'coupled',
    moments: keeper.ended(steps.length),
    habits,
    moves: movesMade(standing().slice(countEntries(steps.slice(0, opened)))),
    fewest: best.moves.length + (bench.faults.has('soft-foot') ? 1 : 0),
    best,
    truth,
    verdict: isVerdict(judged) ? judged : 'out',
    hints: hintsOf(own),
    minutes: minutesOf(steps, opened),
    faults: bench.setting.faults.flatMap((fault) =>
      isCoupledFault(fault) ? [{ fault, cured: isCured(fault, now, state, doubts) }] : [],
    ),
  }
}

/** The limits at the speed it really runs at, whatever the opening says. */
export const limitsByPlate = (bench: Bench, { opening, tolerance }: CoupledState): SettledTolerance =>
  opening
    ? limitsOf(bench.setting.machine, { ...opening, payload: { ...opening.payload, rpm: bench.plate } })
    : tolerance

const countEntries = (steps: readonly PracticeStep[]) => steps.filter((s) => 'entry' in s).length

const asideOf = (code: DoubtCode, set: string): Doubt => ({ code, about: set, flags: [], causes: [] })

const habitsAtMove = (
  { latest }: ReturnType<typeof stateOf>,
  doubts: readonly Doubt[],
): readonly HabitSeen[] => {
  if (latest.sets.length === 0) return []
  return [
    {
      habit: 'repeats-before-moving',
      well: latest.used.length > 1 && !doubts.some((d) => d.code === 'sets-differ'),
    },
    {
      habit: 'watches-the-return',
      well: !doubts.some((d) => d.code === 'unsound-set' && d.flags.includes('return-to-zero')),
    },
  ]
}

/** The fewest moves from how the machine was found, its feet sound: a soft foot is cured by one of its own. */
export const fewestOf = (
  bench: Bench,
  { tolerance, target }: Pick<ReturnType<typeof stateOf>, 'tolerance' | 'target'>,
): Fewest => {
  const sound = bench.faults.has('soft-foot')
    ? drawBench({ ...bench.setting, faults: bench.setting.faults.filter((f) => f !== 'soft-foot') })
    : bench
  return fewestMoves(truthInput(sound, freshBench(sound), { tolerance, target }))
}
