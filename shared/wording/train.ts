import type { PartRow, TrainState } from '../../core/jobs/train'
import type { Mark } from '../../core/logbook/stage'
import { worstVerdict } from '../../core/judge/judge'
import { machinesMoved } from '../../core/stages/trainPlan/plans'
import { movedMachines, worstShare } from '../../core/stages/trainPlan/planning'
import type { TrainPlan } from '../../core/train/trainPlan'
import type { TrainFigure } from '../stages/trainPlan/drawing'
import { directionsWords, sheetWords, trainWords } from './en'
import { offsetWords } from './directions'
import { figure, pack } from './figures'
import { plainMeaning, type Meaning } from './meaning'
import { limitWords } from './quantities'
import { capital } from './capital'
import type { Telling } from './telling'

/** `the gear unit and the motor`, without the first article. */
export const machinesNamed = (ids: readonly string[], state: TrainState, { words }: Pick<Telling, 'words'>) =>
  ids
    .map((id) => (state.machine.machines.find((m) => m.id === id)?.name ?? id).toLowerCase())
    .join(trainWords(words).plan.and)

const nameOfCoupling = (state: TrainState, id: string): string =>
  state.machine.couplings.find((c) => c.id === id)?.name ?? id

/** Marks that say a part is dealt with, whatever it came to. */
const isDone = (mark: Mark): boolean => mark !== 'todo' && mark !== 'stale'

/** `1 of 2 couplings`, `All 2 couplings: out`: how far a stage has come along the line. */
export const partsFinding = (rows: readonly PartRow[], { words }: Pick<Telling, 'words'>): string => {
  const w = trainWords(words).finding
  const [first] = rows
  if (!first) return ''
  const done = rows.filter((r) => isDone(r.mark))
  const what = w.what[first.part.what]
  if (done.length === 0) return ''
  if (done.length < rows.length) return w.some(done.length, rows.length, what)
  const verdicts = rows.flatMap(({ mark }) =>
    mark === 'in' || mark === 'edge' || mark === 'out' ? [mark] : [],
  )
  const worst = verdicts.length > 0 ? worstVerdict(verdicts) : null
  return w.all(rows.length, what, worst && worst !== 'unknown' ? sheetWords(words).marks[worst] : '')
}

/** `Mill coupling, vertical`: one figure of the line by name. */
export const figureName = (f: TrainFigure, state: TrainState, { words }: Pick<Telling, 'words'>): string =>
  `${nameOfCoupling(state, f.coupling)}, ${directionsWords(words).planes[f.plane]}`

/** An offset of the line in words: `0.55 mm low`. */
export const figureWords = (f: TrainFigure, value: number | null, telling: Telling): string =>
  f.kind === 'offset'
    ? offsetWords(value, f.plane, telling)
    : figure(value, 'slope', telling.units, { unit: true, sign: true })

/** What a plan leaves out of band, in words. */
export const leftOut = (figures: readonly TrainFigure[], state: TrainState, telling: Telling): string =>
  figures
    .filter((f) => f.afterVerdict === 'out')
    .map((f) => `${figureName(f, state, telling)} ${figureWords(f, f.after, telling)}`)
    .join('; ')

/** The worst angle a plan leaves, against its limit. */
export const worstAngle = (figures: readonly TrainFigure[], state: TrainState, telling: Telling): string => {
  const share = (f: TrainFigure) =>
    f.after === null || !f.judged
      ? 0
      : Math.abs(f.after) / Math.abs(f.judged.high ?? f.judged.low ?? Infinity)
  const [worst] = figures
    .filter((f) => f.kind === 'slope' && f.judged?.name.startsWith('slope'))
    .sort((a, b) => share(b) - share(a))
  if (!worst?.judged) return ''
  const w = trainWords(telling.words).plan
  return w.angles(
    w.angle(
      nameOfCoupling(state, worst.coupling).toLowerCase(),
      directionsWords(telling.words).planes[worst.plane],
      figure(worst.after, 'slope', telling.units, { sign: true }),
      limitWords(worst.judged, telling),
    ),
  )
}

/** What the plan in hand means for the whole line. */
export const meaningOfTrainPlan = (
  state: TrainState,
  given: {
    /** The plan in hand; null while there is none. */
    readonly plan: TrainPlan | null
    readonly figures: readonly TrainFigure[]
    readonly searching: boolean
    readonly failed?: boolean
  },
  telling: Telling,
): Meaning => {
  const w = trainWords(telling.words).plan
  if (state.plan && !state.plan.stale && state.plan.moved.length > 0)
    return plainMeaning('todo', w.under(state.plan.left.length, machinesMoved(state.plan.entry).size))
  const unread = state.couplings.filter((c) => c.state.latest.coupling === null)
  if (unread.length > 0)
    return plainMeaning('todo', w.waits, w.unread(unread.map((c) => c.part.name.toLowerCase()).join(', ')))
  if (given.searching) return plainMeaning('todo', w.searching)
  if (given.failed) return plainMeaning('todo', w.failed)
  if (state.plan?.stale) return plainMeaning('stale', w.stale)
  const { plan, figures } = given
  const inBand = state.couplings.every((c) => c.state.latest.judgement?.verdict === 'in')
  const moved = plan ? movedMachines(plan) : []
  if (!plan || moved.length === 0)
    return inBand ? plainMeaning('in', w.noneNeeded) : plainMeaning('out', w.nothingHelps)
  const free = state.machines.filter((m) => !m.held.held && !moved.includes(m.part.id))
  const names = machinesNamed(moved, state, telling)
  const headline =
    free.length > 0
      ? w.headline(
          names,
          machinesNamed(
            free.map((m) => m.part.id),
            state,
            telling,
          ),
        )
      : w.headlineAll(names)
  const out = leftOut(figures, state, telling)
  if (out) return plainMeaning('out', headline, w.outAfter(out))
  const edge = figures.some((f) => f.afterVerdict === 'edge')
  return plainMeaning(edge ? 'edge' : 'in', headline, edge ? w.edgeAfter : '')
}

/** Why a machine that might be moved is left alone: how its couplings end without it. */
export const whyItStays = (
  state: TrainState,
  plan: TrainPlan,
  id: string,
  { words }: Pick<Telling, 'words'>,
): string => {
  const w = trainWords(words).plan
  const own = state.couplings.filter(({ part }) => Object.values(part.roles).includes(id))
  const parts = own.flatMap(({ part }) => {
    const found = plan.couplings.find((c) => c.id === part.id)
    return found
      ? [w.share(part.name.toLowerCase(), percentOfShare(Math.max(found.score.v, found.score.h)))]
      : []
  })
  return `${capital(w.leftAlone)}. ${w.stays(parts.join(', '))}`
}

/** A share of a limit in whole percent; what is not nothing is never told as nothing. */
export const percentOfShare = (share: number): number =>
  share <= 0 ? 0 : Math.max(1, Math.round(share * 100))

/** `32 % of limit`: how near a plan comes. */
export const shareWords = (plan: TrainPlan, { words }: Pick<Telling, 'words'>): string =>
  trainWords(words).plan.ofLimit(percentOfShare(worstShare(plan)))

/** What lies under the feet of these machines, a line each pair that has anything under it. */
export const packsTold = (machines: TrainState['machines'], telling: Telling): string[] =>
  machines.flatMap(({ part, state }) =>
    state.packs
      .filter((p) => p.machine === 'movable' && p.packs.left.length + p.packs.right.length > 0)
      .map((p) =>
        trainWords(telling.words).taken.packs(
          part.name,
          telling.of(part.machine).footNames(p.id),
          pack(p.packs.left, telling.units),
          pack(p.packs.right, telling.units),
        ),
      ),
  )

/** What is told of the growth of the line. */
export const meaningOfGrowth = ({ growth }: TrainState, { words }: Telling): Meaning => {
  const w = trainWords(words).growth
  if (!growth) return plainMeaning('todo', w.none)
  return plainMeaning('done', growth.from === 'job' ? w.job : w.register, growth.set.source)
}
