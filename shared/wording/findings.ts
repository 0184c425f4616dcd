import type { Job } from '../../core/jobs/jobs'
import { beltFindings } from './beltFindings'
import type { Findings } from './commonFindings'
import { coupledFindings } from './coupledFindings'
import { drumFindings } from './drumFindings'
import { flangeFindings } from './flangeFindings'
import { gearFindings } from './gearFindings'
import { trainFindings } from './trainFindings'
import type { Telling } from './telling'

const FINDINGS: Readonly<Record<Job['kind'], (job: Job, telling: Telling) => Findings>> = {
  coupled: coupledFindings,
  train: trainFindings,
  flange: flangeFindings,
  drum: drumFindings,
  gear: gearFindings,
  belt: beltFindings,
}

/** One line of what each stage found, for the run sheet of any kind of job. */
export const findingsOf = (job: Job, telling: Telling): Findings => FINDINGS[job.kind](job, telling)
