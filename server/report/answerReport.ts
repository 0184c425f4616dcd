import { setResponseHeaders, type H3Event } from 'h3'
import type { Knex } from 'knex'
import { reportFor, type ReportWanted } from './report'

/** Answers the report of a job, or a data sheet for it, as a PDF to look at. */
export const answerReport = async (
  event: H3Event,
  knex: Knex,
  job: string,
  wanted: ReportWanted,
): Promise<Buffer> => {
  const { pdf, name } = await reportFor(knex, job, wanted)
  setResponseHeaders(event, {
    'content-type': 'application/pdf',
    'content-disposition': `inline; filename="${name}"`,
    'cache-control': 'no-store',
  })
  return Buffer.from(pdf)
}
