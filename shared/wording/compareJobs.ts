import { targetSource } from './aims'
import { clockFace } from './clockFace'
import { feetWords, flangeWords, reasonsWords, verdictsWords } from './en'
import type { FlangeState } from '../../core/jobs/flange'
import { backlashFigure } from './backlash'
import { contactQuantityName, percentFigure } from './gearContact'
import { layerFigure, underBoth } from './gearPrepare'
import { historyWords } from './viewWords'
import type { FootedState } from '../../core/jobs/footed'
import type { MeasuredState } from '../../core/jobs/measured'
import type { TrainState } from '../../core/jobs/train'
import type { Job } from '../../core/jobs/jobs'
import { SIDES } from '../../core/plan/pairNames'
import { figure, pack } from './figures'
import { lineFigure, lineLimit } from './lines'
import { limitWords, quantityName } from './quantities'
import { capital } from './capital'
import { pairName, type Telling } from './telling'
import { limitSource } from './tolerances'

/** One thing of two jobs beside each other, in words. */
export interface ComparedRow {
  readonly name: string
  readonly first: string
  readonly second: string
  readonly differs: boolean
}

type Told = readonly (readonly [name: string, text: string])[]

const judged = (state: MeasuredState, moment: 'found' | 'left', telling: Telling): Told => {
  const w = historyWords.compare
  const m = moment === 'found' ? state.asFound : state.asLeft
  return (m?.judgement?.quantities ?? []).map((q) => {
    const value = q.value === null || q.aim === null || !/\.[vh]$/.test(q.name) ? q.value : q.value + q.aim
    const shown = figure(value, q.kind, telling.units, { sign: q.low !== 0, unit: true })
    return [w[moment](quantityName(q.name, telling)), `${verdictsWords(telling.words)[q.verdict]}, ${shown}`]
  })
}

const limits = (state: MeasuredState, telling: Telling): Told => [
  [historyWords.compare.limits, limitSource(state, telling)],
  ...(state.asLeft?.judgement?.quantities ?? []).map((q): Told[number] => [
    `${historyWords.compare.limits}: ${quantityName(q.name, telling).toLowerCase()}`,
    limitWords(q, telling),
  ]),
]

const packs = (state: FootedState, telling: Telling): Told =>
  state.packs
    .filter((p) => p.machine === 'movable' || p.packs.left.length + p.packs.right.length > 0)
    .flatMap((p) =>
      SIDES.map((side): Told[number] => [
        historyWords.compare.pack(`${pairName(telling, p)} ${feetWords(telling.words).sides[side]}`),
        pack(p.packs[side], telling.units),
      ]),
    )

const leaves = (state: FlangeState, telling: Telling): Told =>
  state.shape.bolts.map((b, i) => [
    historyWords.compare.pack(flangeWords(telling.words).bolt(clockFace(b.clock))),
    pack(state.leaves[i] ?? [], telling.units),
  ])

/** Everything of one job that is worth holding against another, in the order it is read. */
const told = (job: Job, telling: Telling): Told => {
  const { words } = telling
  const w = historyWords.compare
  const { opening, closing, outcome, rpm } = job.state
  const head: Told = [
    [w.why, opening ? reasonsWords(words)[opening.payload.reason] : ''],
    [w.verdict, verdictsWords(words)[closing?.payload.signed?.verdict ?? outcome.verdict]],
    [w.signedBy, closing?.payload.signedBy ?? ''],
    [w.speed, `${String(rpm)} rpm`],
  ]
  if (job.kind === 'belt') {
    const line = (moment: 'found' | 'left'): Told =>
      ((moment === 'found' ? job.state.asFound : job.state.asLeft)?.quantities ?? []).map((q) => [
        w[moment](quantityName(`sheaves.${q.name}`, telling)),
        [lineFigure(q, telling), lineLimit(q, telling)].filter((s) => s !== '').join(' · '),
      ])
    return [...head, ...line('found'), ...line('left')]
  }
  if (job.kind === 'gear') {
    const { contact, backlash, layers, machine } = job.state
    const paint = (moment: 'found' | 'left'): Told =>
      ((moment === 'found' ? contact.asFound : contact.left)?.figures?.quantities ?? []).map((q) => [
        w[moment](contactQuantityName(q, telling)),
        `${verdictsWords(words)[q.verdict]}, ${percentFigure(q.value, q.quantity === 'off')} %`,
      ])
    return [
      ...head,
      [w.rounds, String(job.state.rounds.length - 1)],
      ...paint('found'),
      ...paint('left'),
      ...(backlash.left
        ? [
            [
              w.left(quantityName('gear.backlash', telling)),
              `${verdictsWords(words)[backlash.left.verdict]}, ${backlashFigure(backlash.left.worst, machine, telling)}`,
            ] as const,
          ]
        : []),
      [w.layers, `${underBoth(layers.now)} × ${layerFigure(layers.thickness, telling)}`],
    ]
  }
  if (job.kind === 'train') {
    const of = (part: TrainState['couplings'][number], rows: Told): Told =>
      rows.map(([name, text]) => [`${part.part.name}: ${name}`, text])
    return [
      ...head,
      [w.rounds, String(job.state.rounds)],
      ...job.state.couplings.flatMap((c) => {
        const own = telling.of(c.part.machine)
        return of(c, [
          [w.target, targetSource(c.state.coldTarget, own)],
          ...judged(c.state, 'found', own),
          ...judged(c.state, 'left', own),
          ...limits(c.state, own),
        ])
      }),
      ...job.state.machines.flatMap((m) => of(m, packs(m.state, telling.of(m.part.machine)))),
    ]
  }
  const { state } = job
  return [
    ...head,
    [w.rounds, String(state.moves.length)],
    ...('coldTarget' in state ? [[w.target, targetSource(state.coldTarget, telling)] as const] : []),
    ...judged(state, 'found', telling),
    ...judged(state, 'left', telling),
    ...limits(state, telling),
    ...('packs' in state ? packs(state, telling) : leaves(state, telling)),
  ]
}

/** Two jobs row by row; what only one of them has stays empty in the other. */
export const compareJobs = (first: Job, second: Job, telling: Telling): readonly ComparedRow[] => {
  const [a, b] = [told(first, telling), told(second, telling)]
  const names = [...new Set([...a, ...b].map(([name]) => name))]
  const textOf = (rows: Told, name: string) => rows.find(([n]) => n === name)?.[1] ?? ''
  return names.map((name) => {
    const [x, y] = [textOf(a, name), textOf(b, name)]
    return { name: capital(name), first: x, second: y, differs: x !== y }
  })
}
