import { shallowReactive } from 'vue'

/** Which of what is in view is this device's own copy, and of when each is, in milliseconds. */
export const shownCopies = shallowReactive(new Map<symbol, number>())

/** Of when the oldest of them is; null where all of it is what the server has just said. */
export const asOf = (): number | null => (shownCopies.size === 0 ? null : Math.min(...shownCopies.values()))
