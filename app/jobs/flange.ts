import { FLANGE, type FlangeStageId } from '~~/core/jobs/flange'
import { flangeFindings } from '~~/shared/wording/flangeFindings'
import { loadedAhead } from '~/stages/ahead'
import { SHARED_VIEWS } from '~/stages/sharedViews'
import type { LoadedKind, Views } from './kinds'

/** What a person sees of each stage, loaded when it is first opened. One row a stage. */
const VIEWS: Views<FlangeStageId> = {
  ...SHARED_VIEWS,
  open: loadedAhead(() => import('~/stages/open/OpenStage.vue')),
  look: loadedAhead(() => import('~/stages/flangeLook/FlangeLookStage.vue')),
  'set-up': loadedAhead(() => import('~/stages/setUp/SetUpStage.vue')),
  'as-found': loadedAhead(() => import('~/stages/measure/AsFoundStage.vue')),
  plan: loadedAhead(() => import('~/stages/flangePlan/FlangePlanStage.vue')),
  move: loadedAhead(() => import('~/stages/flangeMove/FlangeMoveStage.vue')),
  're-measure': loadedAhead(() => import('~/stages/measure/ReMeasureStage.vue')),
  prove: loadedAhead(() => import('~/stages/prove/ProveStage.vue')),
}

export const kind: LoadedKind = { ...FLANGE, findings: flangeFindings, views: VIEWS }
