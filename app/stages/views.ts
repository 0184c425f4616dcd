import type { Component } from 'vue'
import type { StageId } from '~~/core/jobs/jobs'

type Load = () => Promise<{ default: Component }>
const loads: Load[] = []
const view = (load: Load) => {
  loads.push(load)
  return defineAsyncComponent(load)
}

/** What a person sees of each stage, loaded when it is first opened. One row a stage. */
export const VIEWS: Readonly<Record<StageId, Component>> = {
  'make-safe': view(() => import('./makeSafe/MakeSafeStage.vue')),
  open: view(() => import('./open/OpenStage.vue')),
  look: view(() => import('./look/LookStage.vue')),
  feet: view(() => import('./feet/FeetStage.vue')),
  level: view(() => import('./level/LevelStage.vue')),
  'rough-in': view(() => import('./roughIn/RoughInStage.vue')),
  'set-up': view(() => import('./setUp/SetUpStage.vue')),
  'as-found': view(() => import('./measure/AsFoundStage.vue')),
  target: view(() => import('./target/TargetStage.vue')),
  plan: view(() => import('./plan/PlanStage.vue')),
  move: view(() => import('./move/MoveStage.vue')),
  're-measure': view(() => import('./measure/ReMeasureStage.vue')),
  prove: view(() => import('./prove/ProveStage.vue')),
  'hot-check': view(() => import('./hotCheck/HotCheckStage.vue')),
  'line-up': view(() => import('./lineUp/LineUpStage.vue')),
  close: view(() => import('./close/CloseStage.vue')),
}

/** Fetches every stage while the network is there, so that none is missing when it has gone. */
export const fetchStagesAhead = (): void => {
  for (const load of loads) void load().catch(() => null)
}
