import { ahead, loadedAhead } from './ahead'

// Asked for by stages whose dialog stands in their own template.
ahead(() => import('element-plus/es/components/dialog/index'))

/** Stages that stand on the sheet of every kind of job. */
export const SHARED_VIEWS = {
  'make-safe': loadedAhead(() => import('~/stages/makeSafe/MakeSafeStage.vue')),
  close: loadedAhead(() => import('~/stages/close/CloseStage.vue')),
}
