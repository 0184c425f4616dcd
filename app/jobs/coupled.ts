import { COUPLED } from '~~/core/jobs/coupled'
import { coupledFindings } from '~~/shared/wording/coupledFindings'
import type { LoadedKind } from './kinds'

export const kind: LoadedKind = { ...COUPLED, findings: coupledFindings }
