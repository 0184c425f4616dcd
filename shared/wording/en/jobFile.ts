import { said } from '../words'

const jobFile = {
  out: 'The whole job as a file',
  outNote: 'JSON: logbook, machine and photographs, to keep or to bring into another works.',
  open: 'Bring in',
  title: 'Bring in from files',
  hint: 'A .job.json file, as it is taken out at the end of a job. Or tables in CSV, several at once: jobs, readings, moves and belts. Nothing is written before you say so, and nothing that is here is written over.',
  choose: 'Choose files',
  mixed: 'A job’s own file comes in by itself. Choose it alone, or only tables.',
  line: (n: number) => `Line ${n}`,
  take: 'Bring it in',
  /** What would be done. */
  is: {
    new: (machine: string, entries: number) =>
      `A job on ${machine} with ${entries === 1 ? '1 entry' : `${entries} entries`}. It is not here yet.`,
    same: (machine: string) =>
      `This job on ${machine} is here already, entry for entry. There is nothing to do.`,
    more: (machine: string, entries: number) =>
      `This job on ${machine} is here already. ${entries === 1 ? '1 entry is' : `${entries} entries are`} new and would be added behind.`,
  },
  machine: {
    here: (tag: string) => `It goes to the machine ${tag} of this register, which stays as it is.`,
    new: (tag: string) => `The machine ${tag} is not in this register: it would be added as the job knew it.`,
  },
  people: (names: readonly string[]) => `Would be added to the people of this works: ${names.join(', ')}.`,
  photographs: (n: number) => (n === 1 ? '1 photograph comes with it.' : `${n} photographs come with it.`),
  otherwise: (n: number) =>
    `${n === 1 ? '1 entry would' : `${n} entries would`} not be let in by today’s rules. They are kept as they were written.`,
  done: 'It is in the logbook.',
  faults: {
    notJson: 'From here on this is not JSON: a quote, comma or bracket is missing, or the file was cut off.',
    damaged: 'This can’t be read. The file is damaged here.',
    twice: 'An entry with this id stands further up already.',
    correctsNothing: 'It corrects an entry that does not stand before it.',
    noOpening: 'A job begins with its opening entry.',
    opensAgain: 'The job was opened further up already.',
    nobody: 'Whoever wrote this is not among the people of the file.',
    received: 'It does not say when it was received.',
    tooLarge: 'That file is larger than a job can be. Choose the file of one job.',
    idTaken: 'This job’s id belongs to a job of another machine here. Nothing was brought in.',
    otherEntry: 'The entry by this id says something else here. Nothing was brought in.',
    stoppedAt: (n: number, why: string) =>
      `Entry ${n} of the file was not let in; what stands before it is in. ${why}`,
    entryElsewhere: 'An entry by this id belongs to another job here. Nothing was brought in.',
    tagTaken: (tag: string) =>
      `The register has another kind of drive by the tag ${tag}. Give one of them another tag first.`,
    photographTaken: 'A photograph by this id belongs to another job here. Nothing was brought in.',
  },
}

export const jobFileWords = said(jobFile)
