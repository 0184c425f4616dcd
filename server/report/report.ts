import type { Knex } from 'knex'
import type { UnitSystem } from '../../core/units/unitSystem'
import { inThread } from '../heavy/pool'
import type { MethodId } from '../../core/methods/methods'
import type { ViewFrom } from '../../shared/wording/otherEnd'
import { readJob } from '../jobs/logbook'
import { findWorks, listPeople } from '../works/works.repository'
import { printedPhotographs } from '../photographs/photographs'
import { reportFonts } from './fonts'
import { withNames, withoutNames } from './names'

/** How a report is wanted; a data sheet where it says which. */
export interface ReportWanted {
  readonly paper: 'a4' | 'letter'
  readonly units?: UnitSystem | undefined
  readonly view: ViewFrom
  /** Without them, people are called by what they are; true where nothing is said. */
  readonly names?: boolean
  readonly sheet?: {
    readonly method: MethodId | null
    readonly filled: boolean
    readonly part: string | null
  }
}

interface Printed {
  readonly pdf: Uint8Array
  readonly name: string
}

/** Reports that are being made, so that one asked for twice at once is made once. */
const making = new Map<string, Promise<Printed>>()

/** The report of a job, or a data sheet for it, as PDF, with a name for the file; made in a worker thread. */
export const reportFor = async (knex: Knex, jobId: string, wanted: ReportWanted): Promise<Printed> => {
  const { id, machine, entries } = await readJob(knex, jobId)
  const units = wanted.units ?? machine.units
  const { sheet } = wanted
  const key = [
    id,
    entries.length,
    wanted.paper,
    units,
    wanted.view,
    sheet?.method,
    sheet?.filled,
    sheet?.part,
    wanted.names,
  ].join()
  const known = making.get(key)
  if (known) return known
  const print = async (): Promise<Printed> => {
    const [works, people, fonts, photographs] = await Promise.all([
      findWorks(knex),
      listPeople(knex),
      reportFonts(),
      sheet ? {} : printedPhotographs(knex, id, entries),
    ])
    const printed = wanted.names === false ? withoutNames(entries, people) : withNames(entries, people)
    return inThread('report', {
      jobId: id,
      machine,
      entries: printed.entries,
      works: { name: works.name, footWords: works.footWords },
      people: printed.people,
      units,
      view: wanted.view,
      paper: wanted.paper === 'letter' ? 'LETTER' : 'A4',
      photographs,
      fonts,
      ...(sheet ? { sheet } : {}),
    })
  }
  const made = print().finally(() => making.delete(key))
  making.set(key, made)
  return made
}
