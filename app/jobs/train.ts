import { partsAt, TRAIN, type TrainStageId } from '~~/core/jobs/train'
import { trainFindings } from '~~/shared/wording/trainFindings'
import { loadedAhead } from '~/stages/ahead'
import { SHARED_VIEWS } from '~/stages/sharedViews'
import type { LoadedKind, Views } from './kinds'

/** What a person sees of each stage, loaded when it is first opened. One row a stage; those of a coupling show one part after the other. */
const VIEWS: Views<TrainStageId> = {
  ...SHARED_VIEWS,
  open: loadedAhead(() => import('~/stages/open/OpenStage.vue')),
  look: loadedAhead(() => import('~/stages/look/LookStage.vue')),
  feet: loadedAhead(() => import('~/stages/feet/FeetStage.vue')),
  level: loadedAhead(() => import('~/stages/level/LevelStage.vue')),
  'rough-in': loadedAhead(() => import('~/stages/roughIn/RoughInStage.vue')),
  'set-up': loadedAhead(() => import('~/stages/setUp/SetUpStage.vue')),
  'as-found': loadedAhead(() => import('~/stages/measure/AsFoundStage.vue')),
  growth: loadedAhead(() => import('~/stages/trainGrowth/TrainGrowthStage.vue')),
  'train-plan': loadedAhead(() => import('~/stages/trainPlan/TrainPlanStage.vue')),
  move: loadedAhead(() => import('~/stages/move/MoveStage.vue')),
  're-measure': loadedAhead(() => import('~/stages/measure/ReMeasureStage.vue')),
  prove: loadedAhead(() => import('~/stages/prove/ProveStage.vue')),
  'hot-check': loadedAhead(() => import('~/stages/hotCheck/HotCheckStage.vue')),
}

export const kind: LoadedKind = { ...TRAIN, findings: trainFindings, views: VIEWS, partsAt }
