import type { Lesson } from '../../core/practice/lessons'
import { STANDS, type StandId } from '../../core/practice/stands'
import type { MachineSnapshot } from '../register/machine'
import { practiceWords } from '../wording/en/practice'
import type { Words } from '../wording/words'

/** A machine of the practice room as a job keeps one. */
export const standSnapshot = (stand: StandId, words: Words): MachineSnapshot => {
  const w = practiceWords(words).stands
  return {
    ...STANDS[stand],
    id: `stand-${stand}`,
    version: 1,
    tag: w.tag,
    name: w.names[stand],
    area: w.area,
    movableName: w.motor,
    stationaryName: w.pump,
    couplingKind: w.couplings[stand],
    powerKw: 30,
  } as unknown as MachineSnapshot
}

/** The machine of a lesson. */
export const lessonMachine = (lesson: Pick<Lesson, 'stand'>, words: Words): MachineSnapshot =>
  standSnapshot(lesson.stand, words)
