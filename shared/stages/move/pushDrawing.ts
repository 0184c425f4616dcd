import { ARRIVED, type PushWatch } from '../../../core/stages/move/push'
import { keyOfPair, pairKey, type MachineRole } from '../../../core/plan/pairNames'
import type { PlanFoot } from '../../../core/plan/movePlan'
import { fromCore, type Millimetres, type UnitSystem } from '../../../core/units/unitSystem'
import { boltRoom } from '../plan/room'
import { wayOf } from './pushForm'

/** Ruler, from its left end to its right, in drawing units. */
export const RULER = 320

export interface DrawnEnd {
  readonly machine: MachineRole
  readonly id: string
  /** Its key among the boxes. */
  readonly key: string
  /** 1: it is to go toward 3. */
  readonly way: 1 | -1
  readonly there: boolean
  /** Still to go in the way it is to go; below zero it went past. */
  readonly left: Millimetres
  /** Places on the ruler, 9 to 3 as it is stored. */
  readonly zero: number
  readonly mark: number
  readonly from: number
  readonly ticks: readonly { readonly at: number; readonly label: string }[]
  /** Left of the room in the bolt holes, in the way it goes. */
  readonly room: Millimetres
  /** Where its bolts stand in their holes now, and where they are to end: 0 toward 9, 1 toward 3. */
  readonly bolt: number
  readonly boltEnds: number
  /** The turn of this end now. */
  readonly turn: boolean
}

const STEPS = [1, 2, 5, 10, 20, 50, 100, 200, 500]

/**
 * The ends of a push, drawn: a ruler each from 9 to 3, so that its mark slides as the machine does, zero
 * where the machine is to stand, all to one scale.
 */
export const drawPush = (
  watched: PushWatch,
  feet: readonly PlanFoot[],
  units: UnitSystem,
): readonly DrawnEnd[] => {
  const { next } = watched
  const own = (x: Millimetres) => fromCore(x, 'displacement', units)
  const small = units === 'inch' ? 1 : 0.01
  const reach = Math.max(
    ...watched.ends.flatMap((e) => [e.wanted, e.toGo, e.before ?? 0].map((x) => Math.abs(own(x)))),
    5 * small,
  )
  const step = small * (STEPS.find((s) => reach / (s * small) <= 4) ?? 1000)
  const whole = Math.ceil(reach / step) * step
  // A fifth of the ruler lies behind zero: an end may go past.
  const scale = (RULER * 0.8) / whole
  const now = boltRoom(
    { feet },
    watched.ends.map((e) => ({ ...e, h: e.wanted - e.toGo })),
  )
  const whenThere = boltRoom(
    { feet },
    watched.ends.map((e) => ({ ...e, h: e.wanted })),
  )
  return watched.ends.map((e) => {
    const way = wayOf(e)
    const at = (toGo: number) => {
      const zero = way < 0 ? 0.15 * RULER : 0.85 * RULER
      return Math.max(0, Math.min(RULER, zero - toGo * scale))
    }
    const [bolt, ends] = [now, whenThere].map((rooms) => rooms.find((r) => keyOfPair(r) === keyOfPair(e)))
    return {
      machine: e.machine,
      id: e.id,
      key: keyOfPair(e),
      way,
      there: Math.abs(e.toGo) <= ARRIVED,
      left: way * e.toGo,
      zero: at(0),
      mark: at(own(e.toGo)),
      from: at(own(e.before ?? e.wanted)),
      ticks: Array.from({ length: Math.round(whole / step) + 1 }, (_, i) => ({
        at: at(way * i * step),
        label: String(Number((i * step).toPrecision(6))),
      })),
      room: (way > 0 ? bolt?.toward3 : bolt?.toward9) ?? 0,
      bolt: bolt?.to ?? 0.5,
      boltEnds: ends?.to ?? 0.5,
      turn: next !== null && pairKey(next.pair, next.machine) === keyOfPair(e),
    }
  })
}
