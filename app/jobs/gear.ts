import { GEAR, type GearStageId } from '~~/core/jobs/gear'
import { gearFindings } from '~~/shared/wording/gearFindings'
import { loadedAhead } from '~/stages/ahead'
import { SHARED_VIEWS } from '~/stages/sharedViews'
import type { LoadedKind, Views } from './kinds'

/** What a person sees of each stage, loaded when it is first opened. One row a stage. */
const VIEWS: Views<GearStageId> = {
  ...SHARED_VIEWS,
  look: loadedAhead(() => import('~/stages/gearLook/GearLookStage.vue')),
  pattern: loadedAhead(() => import('~/stages/pattern/PatternStage.vue')),
  refit: loadedAhead(() => import('~/stages/refit/RefitStage.vue')),
  contact: loadedAhead(() => import('~/stages/contact/ContactStage.vue')),
  backlash: loadedAhead(() => import('~/stages/backlash/BacklashStage.vue')),
  tighten: loadedAhead(() => import('~/stages/gearTighten/GearTightenStage.vue')),
  run: loadedAhead(() => import('~/stages/run/RunStage.vue')),
}

export const kind: LoadedKind = { ...GEAR, findings: gearFindings, views: VIEWS }
