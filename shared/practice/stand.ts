import type { Lesson } from '../../core/practice/lessons'
import { BELT_STANDS, DRIVE_STANDS, STANDS, type BeltStandId, type StandId } from '../../core/practice/stands'
import type { BeltMachine } from '../../core/register/beltMachine'
import type { CoupledMachine } from '../../core/register/coupledMachine'
import type { MachineSnapshot } from '../register/machine'
import { practiceWords } from '../wording/en/practice'
import type { Words } from '../wording/words'

/** A machine that can stand on the bench, as a job keeps it. */
export type PractisedMachine = MachineSnapshot & (CoupledMachine | BeltMachine)

const isBelts = (stand: StandId): stand is BeltStandId => BELT_STANDS.some((s) => s === stand)

/** A machine of the practice room as a job keeps one. */
export const standSnapshot = (stand: StandId, words: Words): PractisedMachine => {
  const w = practiceWords(words).stands
  const common = {
    id: `stand-${stand}`,
    version: 1,
    tag: w.tag,
    name: w.names[stand],
    area: w.area,
    movableName: w.motor,
  }
  return (isBelts(stand)
    ? { ...DRIVE_STANDS[stand], ...common, stationaryName: w.fan }
    : {
        ...STANDS[stand],
        ...common,
        stationaryName: w.pump,
        couplingKind: w.couplings[stand],
        powerKw: 30,
      }) as unknown as PractisedMachine
}

/** The machine of a lesson. */
export const lessonMachine = (lesson: Pick<Lesson, 'stand'>, words: Words): PractisedMachine =>
  standSnapshot(lesson.stand, words)
