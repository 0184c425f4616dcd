import { BELT } from '~~/core/jobs/belt'
import { beltFindings } from '~~/shared/wording/beltFindings'
import type { LoadedKind } from './kinds'

export const kind: LoadedKind = { ...BELT, findings: beltFindings }
