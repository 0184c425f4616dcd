import type { Knex } from 'knex'
import { foldJob } from '../../core/jobs/jobs'
import type { UnitSystem } from '../../core/units/unitSystem'
import { tellingOf } from '../../shared/wording/telling'
import { readJob } from '../jobs/logbook'
import { findWorks, listPeople } from '../works/works.repository'
import { reportDocument } from './document'
import { printPdf } from './printer'

/** The report of a job as PDF, with a name for the file. */
export const reportFor = async (
  knex: Knex,
  jobId: string,
  wanted: { readonly paper: 'a4' | 'letter'; readonly units?: UnitSystem },
): Promise<{ readonly pdf: Buffer; readonly name: string }> => {
  const { id, machine, entries } = await readJob(knex, jobId)
  const [works, people] = await Promise.all([findWorks(knex), listPeople(knex)])
  const job = foldJob(machine, entries)
  const telling = tellingOf(wanted.units ?? machine.units, machine, works.footWords)
  const pdf = await printPdf(
    reportDocument(job, {
      jobId: id,
      works: works.name,
      machine,
      logbook: entries,
      personName: (person) => people.find((p) => p.id === person)?.name ?? telling.words.report.someone,
      telling,
      paper: wanted.paper === 'letter' ? 'LETTER' : 'A4',
    }),
  )
  return { pdf, name: `${machine.tag}-${telling.words.report.fileNames[job.kind]}.pdf` }
}
