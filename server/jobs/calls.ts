import type { Call } from '../../shared/secondScreen/call'

type Listener = (said: Call) => void

interface Line {
  readonly listeners: Set<Listener>
  /** What the board wants now: told to whoever comes later. */
  wants: Call | null
}

const lines = new Map<string, Line>()

/** Tells everyone who looks at this job here. */
export const tellCall = (jobId: string, said: Call): void => {
  const line = lines.get(jobId)
  if (!line) return
  if (said.says === 'wants' || said.says === 'presses') line.wants = said
  for (const listener of line.listeners) listener(said)
}

/** Hears the calls of a job, beginning with what the board wants now; the answer hangs up. */
export const listenToCalls = (jobId: string, listener: Listener): (() => void) => {
  const line = lines.get(jobId) ?? { listeners: new Set<Listener>(), wants: null }
  line.listeners.add(listener)
  lines.set(jobId, line)
  if (line.wants) listener(line.wants)
  return () => {
    line.listeners.delete(listener)
    if (line.listeners.size === 0) lines.delete(jobId)
  }
}
