import { dayOf, daysBetween, type Day } from '../../comeBack/days'
import type { BeltMachine } from '../../register/beltMachine'
import type { Fitted } from '../fit/stage'
import type { RunFacts } from '../run/running'
import type { TensionRead } from '../tension/tension'
import type { Recheck } from '../tighten/stage'
import type { dueOfBelts } from './due'

interface Sees {
  readonly machine: BeltMachine
  readonly fitted: Fitted
  readonly ran: RunFacts
  readonly tensionLeft: TensionRead | null
  readonly recheck: Pick<Recheck, 'loosened'>
}

/** How old the belts of a job are on a day, and whether new ones were read again after they had run. */
export const beltsToday = (
  { machine, fitted, ran, tensionLeft, recheck }: Sees,
  today: Day,
): Parameters<typeof dueOfBelts>[0] => {
  const run = ran.find((r) => r.payload.point === 'ran')
  const read = tensionLeft?.entry.madeAt
  const { fittedOn } = machine.belts
  return {
    newHere: fitted.newHere,
    moved: recheck.loosened,
    readAfterRun: run !== undefined && read !== undefined && read > run.madeAt,
    age:
      fitted.newHere && fitted.entry
        ? daysBetween(dayOf(new Date(fitted.entry.madeAt)), today)
        : fittedOn === undefined
          ? null
          : daysBetween(fittedOn, today),
  }
}
