import type { Component } from 'vue'
import type { StageId } from '~~/core/jobs/jobs'

const view = (load: () => Promise<{ default: Component }>) => defineAsyncComponent(load)

/** What a person sees of each stage, loaded when it is first opened. One row a stage. */
export const VIEWS: Readonly<Record<StageId, Component>> = {
  'make-safe': view(() => import('./makeSafe/MakeSafeStage.vue')),
  'set-up': view(() => import('./setUp/SetUpStage.vue')),
  'as-found': view(() => import('./measure/AsFoundStage.vue')),
  plan: view(() => import('./plan/PlanStage.vue')),
  move: view(() => import('./move/MoveStage.vue')),
  're-measure': view(() => import('./measure/ReMeasureStage.vue')),
  'line-up': view(() => import('./lineUp/LineUpStage.vue')),
  close: view(() => import('./close/CloseStage.vue')),
}
