import type { Component } from 'vue'
import { savesData } from '~/device/savesData'

const loads: (() => Promise<unknown>)[] = []
let begun = false
const fetchOne = (load: () => Promise<unknown>) => void load().catch(() => null)

/** What a job's view loads when it is first wanted, or ahead of that with all else. */
export const ahead = <T>(load: () => Promise<T>): (() => Promise<T>) => {
  loads.push(load)
  if (begun) fetchOne(load)
  return load
}

/** A part of a job's view that is loaded so. */
export const loadedAhead = <C extends Component>(load: () => Promise<{ default: C }>): C =>
  defineAsyncComponent(ahead(load))

/**
 * Fetches all of it while the network is there, and parts of parts as they come, so that none is missing when it has
 * gone; unless whoever looks saves data.
 */
export const fetchAhead = (): void => {
  if (savesData()) return
  begun = true
  for (const load of loads) fetchOne(load)
}
