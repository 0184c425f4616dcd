import type { Component } from 'vue'

type Load = () => Promise<{ default: Component }>
const loads: Load[] = []
let ahead = false
const fetchOne = (load: Load) => void load().catch(() => null)

/** A part of a job's view that is loaded when it is first drawn, or ahead of that with all others. */
export const loadedAhead = (load: Load): Component => {
  loads.push(load)
  if (ahead) fetchOne(load)
  return defineAsyncComponent(load)
}

/** Fetches every part while the network is there, and parts of parts as they come, so that none is missing when it has gone. */
export const fetchAhead = (): void => {
  ahead = true
  for (const load of loads) fetchOne(load)
}
