import type { Plane } from '../../../core/frame/planes'
import type { JudgedValue } from '../../../core/judge/judge'
import type { Millimetres } from '../../../core/units/unitSystem'
import type { TrainDrawn } from '../../drawing/trainView'
import { directionsWords } from '../../wording/en'
import { figure } from '../../wording/figures'
import type { Telling } from '../../wording/telling'
import type { PairMove, TrainFigure } from './drawing'

/** What stands at a machine of a drawn line. */
export interface MachineTold {
  readonly id: string
  readonly name: string
  readonly note: string
  readonly held: boolean
  readonly moves: boolean
  /** What is done at each pair, by pair; empty where nothing is. */
  readonly done: Readonly<Record<string, { readonly figure: string; readonly words: string }>>
}

/** What stands at a coupling of a drawn line. */
export interface CouplingTold {
  readonly id: string
  readonly now: string
  readonly after: string
  readonly nowVerdict: JudgedValue['verdict']
  readonly afterVerdict: JudgedValue['verdict']
  readonly limit: string
}

/** Half of a coupling's offset band in one plane; null where it has no single limit. */
export const halfGate = (drawn: TrainDrawn, id: string, plane: Plane): Millimetres | null => {
  const gate = drawn.couplings.find((c) => c.id === id)?.gate[plane]
  return gate ? (gate.high - gate.low) / 2 : null
}

/** The offsets of one view at their couplings, each with its limit. */
export const couplingsTold = (
  figures: readonly TrainFigure[],
  drawn: TrainDrawn,
  plane: Plane,
  { units }: Pick<Telling, 'units'>,
): readonly CouplingTold[] =>
  figures
    .filter((f) => f.kind === 'offset' && f.plane === plane)
    .map((f) => {
      const half = halfGate(drawn, f.coupling, plane)
      return {
        id: f.coupling,
        now: figure(f.now, 'displacement', units, { sign: true }),
        after: figure(f.after, 'displacement', units, { sign: true }),
        nowVerdict: f.nowVerdict,
        afterVerdict: f.afterVerdict,
        limit: half === null ? '' : `±${figure(half, 'displacement', units)}`,
      }
    })

/** What is done at each pair of a machine in one view, as short as it can stand under a foot; `leaves` says which leaves. */
export const doneTold = (
  moves: readonly PairMove[],
  machine: string,
  plane: Plane,
  { words, units }: Pick<Telling, 'words' | 'units'>,
  leaves: (pair: string) => string = () => '',
): MachineTold['done'] =>
  Object.fromEntries(
    moves
      .filter((m) => m.machine === machine && Math.abs(m[plane]) > 1e-9)
      .map((m) => [
        m.id,
        plane === 'v'
          ? { figure: figure(m.v, 'displacement', units, { sign: true }), words: leaves(m.id) }
          : {
              figure: figure(Math.abs(m.h), 'displacement', units),
              words: directionsWords(words).toward(m.h > 0 ? '3' : '9'),
            },
      ]),
  )
