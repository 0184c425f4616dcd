import type { InjectionKey } from 'vue'

/** Leaves the stage in view for the one whose turn it is. */
export const goOnKey: InjectionKey<() => void> = Symbol('go on')
