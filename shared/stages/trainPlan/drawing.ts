import { lineOfMoves } from '../../../core/coupling/feet'
import { ALIGNED, lineSum, PLANES, type Misalignment, type Plane } from '../../../core/frame/planes'
import { judge, type JudgedValue, type Judgement } from '../../../core/judge/judge'
import type { PartState, TrainState } from '../../../core/jobs/train'
import type { TrainInput } from '../../../core/stages/trainPlan/planning'
import { turnToTrain, type TrainCoupling } from '../../../core/train/train'
import { trainLines } from '../../../core/train/trainLines'
import type { TrainMove, TrainPlan } from '../../../core/train/trainPlan'
import { toCore, type Millimetres } from '../../../core/units/unitSystem'
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

/** The whole line as found and as left, each in the frame of the train; null while a coupling is unread. */
export const leftTrain = (state: TrainState): TrainDrawn | null => {
  const { machine } = state
  const far = (x: number) => toCore(x, 'distance', machine.units)
  const linesOf = (which: 'asFound' | 'asLeft') =>
    trainLines(
      state.couplings.map(({ part, state: own }, i) => ({
        x: far(machine.couplings[i]?.x ?? 0),
        line: lineInTrain({ part }, own[which]?.coupling ?? null),
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

/** Offsets and angles of every coupling, now and after a plan. */
export const trainFigures = (
  train: TrainInput['train'],
  plan: { readonly couplings: readonly Pick<TrainPlan['couplings'][number], 'id' | 'predicted'>[] } | null,
): readonly TrainFigure[] =>
  train.couplings.flatMap((c) => {
    const after = plan?.couplings.find((x) => x.id === c.id)?.predicted ?? c.coupling
    const [now, then] = [judge(c.coupling, c.tolerance, c.target), judge(after, c.tolerance, c.target)]
    const [found, ends] = [turnToTrain(c.coupling, c.stationary), turnToTrain(after, c.stationary)]
    return (['offset', 'slope'] as const).flatMap((kind) =>
      PLANES.map((plane): TrainFigure => {
        const [q, p] = [quantityOf(now, kind, plane), quantityOf(then, kind, plane)]
        return {
          coupling: c.id,
          plane,
          kind,
          now: found[kind][plane],
          after: ends[kind][plane],
          nowVerdict: q?.verdict ?? 'unknown',
          afterVerdict: p?.verdict ?? 'unknown',
          judged: p,
        }
      }),
    )
  })

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

/** What a coupling's line was before a plan and what it will be, in the frame of the train. */
export const lineInTrain = (
  { part }: Pick<PartState, 'part'>,
  line: Misalignment | null,
): Misalignment | null => line && turnToTrain(line, part.mirrored ? 'right' : 'left')

/** Half of a coupling's offset band in one plane; null where it has no single limit. */
export const halfGate = (drawn: TrainDrawn, id: string, plane: Plane): Millimetres | null => {
  const gate = drawn.couplings.find((c) => c.id === id)?.gate[plane]
  return gate ? (gate.high - gate.low) / 2 : null
}
