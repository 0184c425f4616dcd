import { DRUM, type DrumStageId } from '~~/core/jobs/drum'
import { drumFindings } from '~~/shared/wording/drumFindings'
import { loadedAhead } from '~/stages/ahead'
import { SHARED_VIEWS } from '~/stages/sharedViews'
import type { LoadedKind, Views } from './kinds'

/** What a person sees of each stage, loaded when it is first opened. One row a stage. */
const VIEWS: Views<DrumStageId> = {
  ...SHARED_VIEWS,
  open: loadedAhead(() => import('~/stages/open/OpenStage.vue')),
  look: loadedAhead(() => import('~/stages/look/LookStage.vue')),
  feet: loadedAhead(() => import('~/stages/feet/FeetStage.vue')),
  'set-up': loadedAhead(() => import('~/stages/setUp/SetUpStage.vue')),
  'as-found': loadedAhead(() => import('~/stages/measure/AsFoundStage.vue')),
  plan: loadedAhead(() => import('~/stages/tram/TramStage.vue')),
  move: loadedAhead(() => import('~/stages/move/MoveStage.vue')),
  're-measure': loadedAhead(() => import('~/stages/measure/ReMeasureStage.vue')),
  'drum-runout': loadedAhead(() => import('~/stages/drumTrue/DrumTrueStage.vue')),
  prove: loadedAhead(() => import('~/stages/prove/ProveStage.vue')),
}

export const kind: LoadedKind = { ...DRUM, findings: drumFindings, views: VIEWS }
