import type { Component } from 'vue'
import type { StageId } from '~~/core/jobs/jobs'
import { ahead, loadedAhead } from './ahead'

// Asked for by stages whose dialog stands in their own template.
ahead(() => import('element-plus/es/components/dialog/index'))

/** What a person sees of each stage, loaded when it is first opened. One row a stage. */
export const VIEWS: Readonly<Record<StageId, Component>> = {
  'make-safe': loadedAhead(() => import('./makeSafe/MakeSafeStage.vue')),
  open: loadedAhead(() => import('./open/OpenStage.vue')),
  look: loadedAhead(() => import('./look/LookStage.vue')),
  feet: loadedAhead(() => import('./feet/FeetStage.vue')),
  level: loadedAhead(() => import('./level/LevelStage.vue')),
  'rough-in': loadedAhead(() => import('./roughIn/RoughInStage.vue')),
  'set-up': loadedAhead(() => import('./setUp/SetUpStage.vue')),
  'as-found': loadedAhead(() => import('./measure/AsFoundStage.vue')),
  target: loadedAhead(() => import('./target/TargetStage.vue')),
  plan: loadedAhead(() => import('./plan/PlanStage.vue')),
  move: loadedAhead(() => import('./move/MoveStage.vue')),
  're-measure': loadedAhead(() => import('./measure/ReMeasureStage.vue')),
  prove: loadedAhead(() => import('./prove/ProveStage.vue')),
  'hot-check': loadedAhead(() => import('./hotCheck/HotCheckStage.vue')),
  'slack-off': loadedAhead(() => import('./slackOff/SlackOffStage.vue')),
  inspect: loadedAhead(() => import('./inspect/InspectStage.vue')),
  square: loadedAhead(() => import('./square/SquareStage.vue')),
  fit: loadedAhead(() => import('./fit/FitStage.vue')),
  tension: loadedAhead(() => import('./tension/TensionStage.vue')),
  tighten: loadedAhead(() => import('./tighten/TightenStage.vue')),
  run: loadedAhead(() => import('./run/RunStage.vue')),
  'line-up': loadedAhead(() => import('./lineUp/LineUpStage.vue')),
  close: loadedAhead(() => import('./close/CloseStage.vue')),
}
