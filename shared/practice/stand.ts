import type { Lesson } from '../../core/practice/lessons'
import { STANDS, type StandId } from '../../core/practice/stands'
import type { CoupledMachine } from '../../core/register/coupledMachine'
import type { MachineSnapshot } from '../register/machine'
import { practiceWords } from '../wording/en/practice'
import type { Words } from '../wording/words'

/** A machine that can stand on the bench, as a job keeps it. */
export type PractisedMachine = MachineSnapshot & CoupledMachine

/** A machine of the practice room as a job keeps one. */
export const standSnapshot = (stand: StandId, words: Words): PractisedMachine => {
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
  } as unknown as PractisedMachine
}

/** The machine of a lesson. */
export const lessonMachine = (lesson: Pick<Lesson, 'stand'>, words: Words): PractisedMachine =>
  standSnapshot(lesson.stand, words)
