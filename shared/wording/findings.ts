import type { Job } from '../../core/jobs/jobs'
import { beltFindings } from './beltFindings'
import type { Findings } from './commonFindings'
import { coupledFindings } from './coupledFindings'
import type { Telling } from './telling'

/** One line of what each stage found, for the run sheet of any kind of job. */
export const findingsOf = (job: Job, telling: Telling): Findings =>
  job.kind === 'coupled' ? coupledFindings(job, telling) : beltFindings(job, telling)
