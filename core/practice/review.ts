import { besideOf } from '../jobs/measured'
import { standingEntries } from '../logbook/standing'
import type { LogEntry } from '../logbook/entry'
import type { Misalignment } from '../frame/planes'
import type { Verdict } from '../judge/judge'
import { judge } from '../judge/judge'
import { drawBench, type Bench } from './bench'
import { freshBench, lineOnBench, type BenchState } from './benchState'
import { afterAct } from './doAct'
import { doubtsOf, faultBehind, stateOf, type Doubt } from './doubts'
import type { CoupledState } from '../jobs/coupled'
import type { BenchFault } from './faults'
import type { HabitSeen } from './habits'
import { fewestMoves, truthInput, type Fewest } from './fewest'
import { movesMade } from './movesMade'
import { copiedFrom, NOTHING_SHOWN, seenStop } from './shown'
import { hintsOf, type HintStep, type PracticeStep } from './steps'

/** What was there to be seen in a try, from where on, and what became of it. */
export interface Moment {
  readonly doubt: Doubt
  readonly fault: BenchFault | null
  /** Step after which it could be seen. */
  readonly from: number
  /** Step by which something was done about it; null when a move, or the end, came first. */
  readonly seenBy: number | null
  /** The move or the end that went past it; null where none did. */
  readonly passedAt: number | null
  /** How the shafts really lay when it could first be seen, and what the readings in use said then. */
  readonly truth: Misalignment
  readonly told: Misalignment | null
}

/** A try as it is looked back on. */
export interface Review {
  readonly moments: readonly Moment[]
  readonly habits: readonly HabitSeen[]
  readonly moves: number
  readonly fewest: number
  readonly best: Fewest
  /** How the shafts really lie at the end, judged. */
  readonly truth: Misalignment
  readonly verdict: Verdict
  readonly hints: readonly HintStep[]
  readonly minutes: number
  /** Faults that were hidden, and whether each was cured or taken into account. */
  readonly faults: readonly { readonly fault: BenchFault; readonly cured: boolean }[]
}

const DECIDES: readonly LogEntry['kind'][] = ['move-made', 'job-closed']

const sameDoubt = (a: Doubt, b: Doubt) => a.code === b.code && a.about === b.about
const isVerdict = (v: string): v is Verdict => v === 'in' || v === 'edge' || v === 'out'

/** Whether a fault was cured, or found in time to be taken into account: by what stands at the end of a try. */
const isCured = (
  fault: BenchFault,
  now: BenchState,
  { setUp, feetCheck, looks, runouts, latest, moves }: CoupledState,
  doubts: readonly Doubt[],
): boolean => {
  const tells = (...codes: readonly Doubt['code'][]) => doubts.some((d) => codes.includes(d.code))
  const repeats = latest.used.length > 1 && !tells('unsound-set', 'sets-differ')
  switch (fault) {
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
export const reviewOf = (bench: Bench, steps: readonly PracticeStep[], opened: number): Review => {
  const { machine } = bench.setting
  let now = freshBench(bench)
  let shown = NOTHING_SHOWN
  const entries: LogEntry[] = []
  const moments: { -readonly [K in keyof Moment]: Moment[K] }[] = []
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
      now = afterAct(bench, now, step.act)
      if (step.act.act === 'zero' || step.act.act === 'mount') shown = NOTHING_SHOWN
      shown = seenStop(bench, now, shown)
      return
    }
    if (!('entry' in step)) return
    const { entry } = step
    const past = i >= opened ? inForce() : null
    if (past && DECIDES.includes(entry.kind)) {
      // Whatever is in force as a move is logged was gone past, but for leaves laid and about to be logged.
      for (const m of moments)
        if (m.seenBy === null && m.passedAt === null && past.doubts.some((d) => sameDoubt(d, m.doubt)))
          m.passedAt = i
      if (entry.kind === 'move-made') habits.push(...habitsAtMove(past.state, past.doubts))
    }
    entries.push(entry)
    if (i < opened) return
    const { state, doubts } = inForce()
    if (entry.kind === 'readings-taken') {
      const copied = copyDoubt(bench, state, entry, shown)
      const madeUp = now.made && besideOf(state) !== 'prove'
      const told = copied ?? (madeUp ? madeUpDoubt(entry.id) : null)
      if (told) aside.set(entry.id, told)
      habits.push({ habit: 'three-and-nine', well: copied?.code !== 'sides-swapped' })
      habits.push({ habit: 'reads-uncoupled', well: !madeUp })
    }
    const current = entry.kind === 'readings-taken' ? inForce().doubts : doubts
    for (const m of moments)
      if (m.seenBy === null && m.passedAt === null && !current.some((d) => sameDoubt(d, m.doubt)))
        m.seenBy = i
    for (const d of current) {
      // Leaves are laid before they are logged: only what the log itself leaves different counts.
      if (d.code === 'laid-differs' && entry.kind !== 'move-made' && entry.kind !== 'foot-filled') continue
      if (moments.some((m) => sameDoubt(m.doubt, d) && m.seenBy === null)) continue
      moments.push({
        doubt: d,
        fault: faultBehind(bench, d),
        from: i,
        seenBy: null,
        passedAt: null,
        truth: lineOnBench(bench, now),
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
  for (const m of moments) if (m.seenBy === null && m.passedAt === null) m.passedAt = steps.length

  const { state, doubts } = inForce()
  const truth = lineOnBench(bench, now)
  const judged = judge(truth, state.tolerance, state.target).verdict
  const best = fewestOf(bench, state)
  const first = steps[Math.min(opened, steps.length - 1)]
  const last = steps[steps.length - 1]
  const own = steps.slice(opened)
  return {
    moments,
    habits,
    moves: movesMade(standing().slice(countEntries(steps.slice(0, opened)))),
    fewest: best.moves.length + (bench.faults.has('soft-foot') ? 1 : 0),
    best,
    truth,
    verdict: isVerdict(judged) ? judged : 'out',
    hints: hintsOf(own),
    minutes: first && last ? Math.max(0, (Date.parse(last.at) - Date.parse(first.at)) / 60_000) : 0,
    faults: bench.setting.faults.map((fault) => ({ fault, cured: isCured(fault, now, state, doubts) })),
  }
}

const countEntries = (steps: readonly PracticeStep[]) => steps.filter((s) => 'entry' in s).length

const madeUpDoubt = (set: string): Doubt => ({ code: 'read-made-up', about: set, flags: [], causes: [] })

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
