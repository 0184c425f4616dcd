import { z } from 'zod'
import { jobFile } from '../files/jobFile'
import { issue } from '../issue'
import { searchQuery } from '../search/search'
import { uuid } from '../text'

const bringQuery = z.object({
  write: z.enum(['yes', 'no'], { error: issue('yes-or-no') }).default('no'),
})

/** The routes that take records out as files, and bring them in. */
export const FILE_ROUTES = {
  jobFile: {
    method: 'get',
    path: '/api/jobs/{id}/job.json',
    summary: 'A whole job as a file: machine, logbook, who wrote, photographs.',
    answers: 'application/json',
    file: jobFile,
    seconds: 45,
  },
  bringJob: {
    method: 'post',
    path: '/api/files/job',
    summary:
      'Brings in a job from its file, or says what that would do. Nothing that is here is written over; the same file again does nothing.',
    query: bringQuery,
    takes: ['application/json'],
    file: jobFile,
    seconds: 45,
  },
  bringTables: {
    method: 'post',
    path: '/api/files/tables',
    summary:
      'Brings in jobs, readings, moves and belts from CSV, or says what that would do: entries of open jobs, by their own set-up. Nothing that is here is written over; the same file again does nothing.',
    query: bringQuery,
    body: z.object({
      person: uuid('who-is-writing'),
      tables: z
        .array(z.string({ error: issue('tables-as-texts') }), { error: issue('tables-as-texts') })
        .min(1, { error: issue('tables-as-texts') })
        .max(8, { error: issue('tables-as-texts') }),
    }),
    seconds: 45,
  },
  jobTable: {
    method: 'get',
    path: '/api/files/tables/{table}',
    summary:
      'What a search of the logbook finds as CSV: jobs, readings, moves or belts, one row each, at most 2000 jobs.',
    query: searchQuery,
    answers: 'text/csv',
    seconds: 45,
  },
  worksArchive: {
    method: 'get',
    path: '/api/files/works.tar.gz',
    summary:
      'The whole works as one archive: JSON Lines a table, a JPEG a photograph. The same works gives the same bytes; no secret is in it.',
    answers: 'application/gzip',
    seconds: Number.POSITIVE_INFINITY,
  },
} as const
