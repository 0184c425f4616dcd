import { existsSync } from 'node:fs'
import { availableParallelism } from 'node:os'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import type { H3Event } from 'h3'
import { Piscina } from 'piscina'
import { en } from '../../shared/wording/en'
import { Refused } from '../http/refusal'
import type * as tasks from './tasks'

type Tasks = typeof tasks
type TaskName = 'calculate' | 'report'

/** Seconds after which a task is stopped and its thread ended. */
const DEADLINE: Readonly<Record<TaskName, number>> = { calculate: 10, report: 30 }
/** Tasks that wait at most; more are told to come again. */
const MOST_WAITING = 32
/** Memory of one thread; a task that wants more ends its thread, not the server. */
const MOST_MEGABYTES = 512

/** The bundle of tasks lies beside the server's entry, in the build and in development. */
const bundle = (): string => {
  const places = [dirname(process.argv[1] ?? ''), dirname(fileURLToPath(import.meta.url))]
  const found = places.map((place) => join(place, 'tasks.mjs')).find((file) => existsSync(file))
  if (!found) throw new Error('The bundle of heavy tasks, tasks.mjs, is not in the build.')
  return found
}

let pool: Piscina | undefined
const threads = (): Piscina =>
  (pool ??= new Piscina({
    filename: bundle(),
    minThreads: 1,
    maxThreads: Math.max(1, Math.min(4, availableParallelism() - 1)),
    maxQueue: MOST_WAITING,
    idleTimeout: 60_000,
    resourceLimits: { maxOldGenerationSizeMb: MOST_MEGABYTES },
  }))

/** Ends the threads, with whatever they are at. */
export const closePool = async (): Promise<void> => {
  await pool?.destroy()
}

/** True once the one who asks has gone: what is worked out then is for nobody. */
const leaving = (event: H3Event): AbortSignal => {
  const left = new AbortController()
  event.node.res.once('close', () => left.abort())
  return left.signal
}

/**
 * Runs a task in a worker thread, so that no other request waits for it. Past its deadline, out of memory,
 * or when the one who asks leaves, its thread is ended; the refusal says what to reduce.
 */
export const inThread = async <N extends TaskName>(
  name: N,
  task: Parameters<Tasks[N]>[0],
  event?: H3Event,
): Promise<Awaited<ReturnType<Tasks[N]>>> => {
  const late = AbortSignal.timeout(DEADLINE[name] * 1000)
  const signal = event ? AbortSignal.any([late, leaving(event)]) : late
  try {
    return (await threads().run(task, { name, signal })) as Awaited<ReturnType<Tasks[N]>>
  } catch (failure) {
    if (signal.aborted || isOutOfMemory(failure))
      throw new Refused(422, 'too-much', en.answers.tooMuch(DEADLINE[name]))
    if (failure instanceof Error && /task queue is at limit/i.test(failure.message))
      throw new Refused(503, 'busy', en.answers.busy)
    throw failure
  }
}

const isOutOfMemory = (failure: unknown): boolean =>
  failure instanceof Error && 'code' in failure && failure.code === 'ERR_WORKER_OUT_OF_MEMORY'
