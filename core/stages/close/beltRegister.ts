import { dayOf, type Day } from '../../comeBack/days'
import type { BeltMachine, BeltSetKind, SheavePlace } from '../../register/beltMachine'
import { toCore, type Millimetres } from '../../units/unitSystem'
import type { Fitted } from '../fit/stage'
import type { Inspection } from '../inspect/inspection'
import type { TensionRounds } from '../tension/rounds'
import { turnsGiven } from '../tension/turns'

/** What a closing writes into the register of a belt drive that was otherwise when the job was opened. */
export type BeltRegisterChange =
  | {
      readonly what: 'setting'
      readonly place: SheavePlace
      /** Turns open. */
      readonly was: number
      readonly now: number
    }
  /** A new set: the day it went on, its length where it was read, and whether it is matched where that was said. */
  | {
      readonly what: 'belts'
      readonly on: Day
      readonly length: Millimetres | null
      readonly set: BeltSetKind | null
    }
  | { readonly what: 'travel'; readonly was: Millimetres; readonly now: Millimetres }

interface Sees {
  readonly machine: BeltMachine
  readonly inspection: Inspection
  readonly fitted: Fitted
  readonly rounds: TensionRounds
}

/** What the register takes over from a belt job, in working order. */
export const beltRegisterChanges = ({
  machine,
  inspection,
  fitted,
  rounds,
}: Sees): readonly BeltRegisterChange[] => {
  const own = (x: number) => toCore(x, 'distance', machine.units)
  const settings = inspection.settings.flatMap((s): BeltRegisterChange[] =>
    s.entry && s.opened
      ? [{ what: 'setting', place: s.place, was: s.registered, now: s.entry.payload.turns }]
      : [],
  )
  const { entry } = fitted
  const belts: readonly BeltRegisterChange[] =
    entry?.payload.belts === 'new'
      ? [
          {
            what: 'belts',
            on: dayOf(new Date(entry.madeAt)),
            set: entry.payload.matched === null ? null : entry.payload.matched ? 'matched' : 'not-matched',
            length:
              entry.payload.length === null
                ? null
                : toCore(entry.payload.length, 'distance', entry.payload.units),
          },
        ]
      : []
  const { travelLeft, screwPitch } = machine.base
  const turned = turnsGiven(rounds)
  const travel: readonly BeltRegisterChange[] =
    travelLeft === undefined || screwPitch === null || turned === 0
      ? []
      : [
          {
            what: 'travel',
            was: own(travelLeft),
            now: Math.max(0, own(travelLeft) - turned * own(screwPitch)),
          },
        ]
  return [...settings, ...belts, ...travel]
}
