import { measuredBy, type BenchMethod } from '~~/core/practice/benchMethods'
import { drawnFaults } from '~~/core/practice/drawnFaults'
import type { FaultsHidden } from '~~/core/practice/faults'
import type { Hands } from '~~/core/practice/hands'
import { onBelts, type Lesson } from '~~/core/practice/lessons'
import { lessonMachine, type PractisedMachine } from '~~/shared/practice/stand'
import { keptWithJob } from '~~/shared/register/keptWithJob'
import type { MachineRecord } from '~~/shared/register/machine'
import type { Words } from '~~/shared/wording/words'
import { newId } from '~/device/newId'

/** Sets up the bench for a lesson, its machine drawn from this seed; answers the id of the try. */
export const beginLesson = (lesson: Lesson, seed: number, words: Words): Promise<string> => {
  const { id, hands, faults, from } = lesson
  return usePractice().start({
    lesson: id,
    machine: lessonMachine(lesson, words),
    seed,
    hands,
    faults,
    ...(onBelts(lesson) ? { belts: lesson.belts } : { lie: lesson.lie }),
    from,
  })
}

/** Sets up a machine of the register, measured by this method where it is coupled, with faults drawn by chance; answers the id of the try. */
export const beginFree = (
  record: MachineRecord,
  method: BenchMethod,
  hands: Hands,
  hidden: FaultsHidden,
): Promise<string> => {
  const kept = keptWithJob(record, useSession().works) as PractisedMachine
  const machine = kept.drive === 'coupled' ? measuredBy(kept, method) : kept
  const seed = parseInt(newId().slice(0, 7), 16)
  const faults = drawnFaults(seed, hidden, machine)
  return usePractice().start({
    lesson: null,
    machine,
    seed,
    hands,
    faults,
    ...(machine.drive === 'belt' ? { belts: 'run-in' as const } : { lie: 'roughed' as const }),
    from: 'make-safe',
  })
}
