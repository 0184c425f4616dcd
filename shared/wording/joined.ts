import { drivesWords } from './en'
import { capital } from './capital'
import type { MachineFields } from '../register/machine'
import type { Words } from './words'

/** What joins a motor to its machine: `Grid coupling`, `Jaw coupling, upright on a flange`, `5 V-belts`. One case a kind. */
export const joinedWords = (machine: MachineFields, words: Words): string => {
  switch (machine.drive) {
    case 'coupled':
      return machine.couplingKind
    case 'train':
      return drivesWords(words).onOneLine(machine.machines.length)
    case 'flange':
      return drivesWords(words).upright(machine.couplingKind)
    case 'drum':
      return drivesWords(words).trammed(machine.couplingKind, drivesWords(words).drums[machine.drum.kind])
    case 'gear': {
      const w = drivesWords(words)
      return capital(w.geared(w.gears[machine.gear.kind], String(machine.gear.ratio)))
    }
    case 'belt': {
      const w = drivesWords(words)
      return w.belts(machine.belts.count, w.beltKinds[machine.belts.kind])
    }
  }
}
