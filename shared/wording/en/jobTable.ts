import type { JobTable } from '../../files/tableNames'
import { said } from '../words'

const plural = (n: number, one: string, more: string) => `${n} ${n === 1 ? one : more}`

/** Jobs, readings, moves and belts out of CSV. */
const jobTable = {
  tables: {
    jobs: 'Jobs',
    readings: 'Readings',
    moves: 'Moves',
    belts: 'Belts',
  } satisfies Record<JobTable, string>,
  /** Where a line stands in one of several files. */
  at: (table: JobTable, line: number) => `${table}, line ${line}`,
  column: (at: string, column: string) => `${at}, ${column}`,
  blank: 'Tables to fill in:',
  blankName: (table: JobTable) => `${table}-to-fill-in.csv`,
  what: 'What',
  job: 'Machine',
  made: 'Made',
  by: 'By',
  then: 'What it would do',
  counted: {
    jobs: () => 'Job',
    readings: (n: number) => plural(n, 'reading', 'readings'),
    moves: (n: number) => `Move of ${plural(n, 'place', 'places')}`,
    belts: (n: number) => `Tension of ${plural(n, 'belt', 'belts')}`,
  } satisfies Record<JobTable, (n: number) => string>,
  does: {
    opens: 'opens a job',
    new: 'is added to its job',
    before: (move: string) => `is added before the move of ${move}`,
    same: 'is here already',
    open: 'has a job in hand already: go on in that',
  },
  take: (n: number) => (n === 0 ? 'Nothing new to bring in' : `Bring ${n} in`),
  done: (n: number) => (n === 0 ? 'Nothing came in.' : `${n} came in, written by you.`),
  jobFor: (reason: string) => `Job, ${reason}`,
  whyCorrected: 'Read from a CSV file.',
  /** The remark that stands behind what came in: whoever reads it has to know. */
  remark: (things: readonly string[], more: number) =>
    `Out of a CSV file: ${things.join('; ')}${more > 0 ? `; and ${more} more` : ''}.`,
  remarked: {
    readings: 'readings',
    moves: 'a move',
    belts: 'belt tension',
  } satisfies Record<Exclude<JobTable, 'jobs'>, string>,
  remarkedAt: (what: string, at: string, by: string) =>
    [what, ...(at ? [`of ${at}`] : []), ...(by ? [`by ${by}`] : [])].join(' '),
  faults: {
    noTable:
      'The first line must name the columns of one of the tables: jobs, readings, moves or belts. Take an empty one from here.',
    tooManyThings: (most: number) =>
      `That is more than ${most} sets, moves and jobs. Bring them in in parts.`,
    otherwise: (column: string, line: number) =>
      `Line ${line} belongs to the same entry and says something else here. Give both the same ${column}, or another entry.`,
    clock: 'Give the place on the clock as 3:00, or in degrees from 12.',
    clockAndDegrees:
      'The clock and the degrees say different places. Empty one of them, or put the other right.',
    place:
      'Give the place as the machine and its pair, as in: movable inboard. At a flange: bolt 3, or flange for a push.',
    plane: 'Give the plane as vertical or horizontal.',
    side: 'Give the side as left or right, or how far the pair was moved sideways.',
    feetAndBolts: 'One move is of feet or of the bolts of a flange. Give them different entries.',
    belt: (next: number) => `Count the belts from 1 up, each once: this one is belt ${next}.`,
    when: 'Give the time as 2026-03-21T14:20Z, in UTC.',
    circles: (names: readonly string[]) => `Under circle they are called: ${names.join(', ')}.`,
    toCome: 'That time is still to come.',
    idOf: (column: string) =>
      `Under ${column} stands the id that a table taken out here gives it. Or leave it empty.`,
    sayWhich: 'Say which job: its id under job, or the machine’s tag.',
    noJob:
      'That job is not here. Bring in its own file first, or empty this cell: the tag finds the machine’s open job.',
    otherMachine: (tag: string) => `That job is on ${tag}. Put one of the two right.`,
    noMachine: (tag: string) => `There is no machine ${tag} in the register.`,
    noOpenJob: (tag: string) => `No job is open on ${tag}. Open one first.`,
    severalJobs: (tag: string) => `Several jobs are open on ${tag}. Say which, by its id under job.`,
    closedJob:
      'A closed job is a signed record and comes in whole, as its .job.json file. A line of a table can’t stand for it.',
    otherEntry:
      'This entry is here and says something else. Nothing is written over: empty the cell under entry to bring the line in as a new one.',
    otherJob: 'This entry is here, in another job. Empty the cell under entry.',
    laterStands: (what: string, at: string) =>
      `The job holds ${what} of ${at}, which came later. What came before can only come in with the whole job, as its file.`,
    stopped: (why: string) => `Not let in, nor what comes after it in this job. ${why}`,
  },
}

export const jobTableWords = said(jobTable)
