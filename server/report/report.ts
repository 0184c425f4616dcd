import type { Knex } from 'knex'
import { foldJob } from '../../core/logbook/foldJob'
import type { UnitSystem } from '../../core/units/unitSystem'
import { readJob } from '../jobs/logbook'
import { findWorks, listPeople } from '../works/works.repository'
import { reportDocument } from './content'
import { printPdf } from './printer'

/** The report of a job as PDF, with a name for the file. */
export const reportFor = async (
  knex: Knex,
  jobId: string,
  wanted: { readonly paper: 'a4' | 'letter'; readonly units?: UnitSystem },
): Promise<{ readonly pdf: Buffer; readonly name: string }> => {
  const { id, machine, entries } = await readJob(knex, jobId)
  const [works, people] = await Promise.all([findWorks(knex), listPeople(knex)])
  const pdf = await printPdf(
    reportDocument({
      jobId: id,
      works: works.name,
      machine,
      state: foldJob(machine, entries),
      logbook: entries,
      personName: (person) => people.find((p) => p.id === person)?.name ?? 'Someone',
      units: wanted.units ?? machine.units,
      paper: wanted.paper === 'letter' ? 'LETTER' : 'A4',
    }),
  )
  return { pdf, name: `${machine.tag}-alignment.pdf` }
}
