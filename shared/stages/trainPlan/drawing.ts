import { lineOfMoves } from '../../../core/coupling/feet'
import { ALIGNED, lineSum, PLANES, type Misalignment, type Plane } from '../../../core/frame/planes'
import { judge, type JudgedValue, type Judgement } from '../../../core/judge/judge'
import type { TrainState } from '../../../core/jobs/train'
import type { TrainInput } from '../../../core/stages/trainPlan/planning'
import { turnToTrain, type TrainCoupling } from '../../../core/train/train'
import type { TrainPart } from '../../../core/train/parts'
import { trainLines } from '../../../core/train/trainLines'
import type { TrainMove } from '../../../core/train/trainPlan'
import { toCore } from '../../../core/units/unitSystem'
import { gateOf } from '../../drawing/shaftLines'
import type { TrainDrawn } from '../../drawing/trainView'

/** A move of one pair, however it was planned. */
export type PairMove = Pick<TrainMove, 'machine' | 'id' | 'x' | 'v' | 'h'>

/** Which machine is drawn level: the first one that stays, else the first. */
export const stillOf = (machines: readonly { readonly held: boolean }[]): number =>
  Math.max(
    0,
    machines.findIndex((m) => m.held),
  )

/** A gate in the frame of the train: what is up for one reader is down for who looks the other way. */
const gateIn = (coupling: Pick<TrainCoupling, 'tolerance' | 'target' | 'stationary'>, plane: Plane) => {
  const gate = gateOf(coupling.tolerance, plane, coupling.target)
  if (!gate) return null
  const flips = coupling.stationary === 'right' && plane === 'v'
  return flips ? { low: -gate[1], high: -gate[0] } : { low: gate[0], high: gate[1] }
}

/** What a plan makes of a train, to be drawn; without moves the train as it stands. */
export const drawnTrain = (
  { train }: Pick<TrainInput, 'train'>,
  moves: readonly PairMove[],
  still: number,
): TrainDrawn => {
  const lines = trainLines(
    train.couplings.map((c) => ({ x: c.x, line: turnToTrain(c.coupling, c.stationary) })),
    still,
  )
  return {
    machines: train.machines.map((m, i) => {
      const now = lines[i] ?? ALIGNED
      const own = moves.filter((move) => move.machine === m.id)
      return {
        id: m.id,
        feet: [...m.feet].sort((a, b) => a.x - b.x).map(({ id, x }) => ({ id, x })),
        now,
        after: own.length > 1 ? lineSum(now, lineOfMoves(own)) : now,
      }
    }),
    couplings: train.couplings.map((c) => ({
      id: c.id,
      x: c.x,
      gate: { v: gateIn(c, 'v'), h: gateIn(c, 'h') },
    })),
  }
}

/** A line as its reader sees it, in the frame of the train. */
const inTrain = ({ mirrored }: TrainPart, line: Misalignment | null): Misalignment | null =>
  line && turnToTrain(line, mirrored ? 'right' : 'left')

/** The whole line as found and as left, each in the frame of the train; null while a coupling is unread. */
export const leftTrain = (state: TrainState): TrainDrawn | null => {
  const { machine } = state
  const far = (x: number) => toCore(x, 'distance', machine.units)
  const linesOf = (which: 'asFound' | 'asLeft') =>
    trainLines(
      state.couplings.map(({ part, state: own }, i) => ({
        x: far(machine.couplings[i]?.x ?? 0),
        line: inTrain(part, own[which]?.coupling ?? null),
      })),
      stillOf(state.machines.map((m) => m.held)),
    )
  const [found, left] = [linesOf('asFound'), linesOf('asLeft')]
  if (left.some((l) => l === null)) return null
  return {
    machines: machine.machines.map((m, i) => ({
      id: m.id,
      feet: m.feet.map((f) => ({ id: f.id, x: far(f.x) })),
      now: found[i] ?? left[i] ?? ALIGNED,
      after: left[i] ?? ALIGNED,
    })),
    couplings: state.couplings.map(({ part, state: own }, i) => {
      const gate = (plane: Plane) => gateIn({ ...own, stationary: part.mirrored ? 'right' : 'left' }, plane)
      return { id: part.id, x: far(machine.couplings[i]?.x ?? 0), gate: { v: gate('v'), h: gate('h') } }
    }),
  }
}

/** One figure of one coupling before and after a plan, in the frame of the train. */
export interface TrainFigure {
  readonly coupling: string
  readonly plane: Plane
  readonly kind: 'offset' | 'slope'
  readonly now: number | null
  readonly after: number | null
  readonly nowVerdict: JudgedValue['verdict']
  readonly afterVerdict: JudgedValue['verdict']
  /** Its band as judged, from the target; by its own reader's signs. */
  readonly judged: Pick<JudgedValue, 'low' | 'high' | 'kind' | 'name'> | null
}

const quantityOf = (judgement: Judgement, kind: 'offset' | 'slope', plane: Plane) =>
  judgement.quantities.find((q) => q.name === `${kind}.${plane}`) ??
  // Where flexing planes or a size are judged, the worst of those speaks for offset and angle alike.
  judgement.quantities.find((q) => q.name === judgement.worst) ??
  null

/** Offsets and angles of one coupling from one line to another, in the frame of the train. */
const figuresAt = (
  { id, tolerance, target, stationary }: Pick<TrainCoupling, 'id' | 'tolerance' | 'target' | 'stationary'>,
  now: Misalignment | null,
  after: Misalignment | null,
): readonly TrainFigure[] => {
  const of = (line: Misalignment | null) => ({
    judged: line && judge(line, tolerance, target),
    line: line && turnToTrain(line, stationary),
  })
  const [found, ends] = [of(now), of(after)]
  return (['offset', 'slope'] as const).flatMap((kind) =>
    PLANES.map((plane): TrainFigure => {
      const q = found.judged && quantityOf(found.judged, kind, plane)
      const p = ends.judged && quantityOf(ends.judged, kind, plane)
      return {
        coupling: id,
        plane,
        kind,
        now: found.line?.[kind][plane] ?? null,
        after: ends.line?.[kind][plane] ?? null,
        nowVerdict: q?.verdict ?? 'unknown',
        afterVerdict: p?.verdict ?? 'unknown',
        judged: p,
      }
    }),
  )
}

/** Offsets and angles of every coupling, now and after a plan. */
export const trainFigures = (
  train: TrainInput['train'],
  plan: {
    readonly couplings: readonly { readonly id: string; readonly predicted: Misalignment | null }[]
  } | null,
): readonly TrainFigure[] =>
  train.couplings.flatMap((c) =>
    figuresAt(c, c.coupling, plan?.couplings.find((x) => x.id === c.id)?.predicted ?? c.coupling),
  )

/** Offsets and angles of every coupling as found and as left. */
export const leftFigures = ({ couplings }: Pick<TrainState, 'couplings'>): readonly TrainFigure[] =>
  couplings.flatMap(({ part, state }) =>
    figuresAt(
      { id: part.id, ...state, stationary: part.mirrored ? 'right' : 'left' },
      state.asFound?.coupling ?? null,
      state.asLeft?.coupling ?? null,
    ),
  )

/** The moves of the plan that was taken, by machine and pair along the train. */
export const takenMoves = (state: TrainState, input: TrainInput): readonly PairMove[] => {
  const { plan } = state
  if (!plan) return []
  return state.machines.flatMap(({ part, state: own }) => {
    const work = own.plan?.footwork
    if (!work) return []
    const feet = input.train.machines.find((m) => m.id === part.id)?.feet ?? []
    return work.moves
      .filter((m) => m.machine === 'movable')
      .map((m) => ({
        machine: part.id,
        id: m.id,
        x: feet.find((f) => f.id === m.id)?.x ?? m.x,
        v: m.v,
        h: m.h,
      }))
  })
}
