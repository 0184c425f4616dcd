import type { InjectionKey } from 'vue'
import type { StageId } from '~~/core/jobs/jobs'

/** Leaves the stage in view for the one whose turn it is. */
export const goOnKey: InjectionKey<() => void> = Symbol('go on')

/** Opens a stage by its name. */
export const openStageKey: InjectionKey<(stage: StageId) => void> = Symbol('open a stage')
