/** What jobs are taken out as, one row a thing, for a spreadsheet. */
export const JOB_TABLES = ['jobs', 'readings', 'moves', 'belts'] as const
export type JobTable = (typeof JOB_TABLES)[number]
