import type { MachineSnapshot } from '../register/machine'
import { drivesWords } from './en'
import { joinedWords } from './joined'
import type { Words } from './words'

const lower = (text: string) => text.charAt(0).toLowerCase() + text.slice(1)

/** A machine in one line, as it stands in the head of a view: power, what drives what, how they are joined, speed. */
export const machineInLine = (m: MachineSnapshot, rpm: number, words: Words): string => {
  const { between, inJob } = drivesWords(words)
  return inJob(
    m.powerKw,
    between(m.movableName.toLowerCase(), m.stationaryName.toLowerCase()),
    lower(joinedWords(m, words)),
    Math.round(rpm),
  )
}
