import { existsSync } from 'node:fs'
import { availableParallelism } from 'node:os'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import type { H3Event } from 'h3'
import { Piscina } from 'piscina'
import { answerWords } from '../../shared/wording/viewWords'
import { Refused } from '../http/refusal'
import type * as tasks from './tasks'

type Tasks = typeof tasks
type TaskName = 'calculate' | 'report' | 'outline' | 'readJob' | 'readTables'
type PoolName = 'sums' | 'paper'

const POOL_OF: Readonly<Record<TaskName, PoolName>> = {
  calculate: 'sums',
  report: 'paper',
  outline: 'paper',
  readJob: 'paper',
  readTables: 'paper',
}

/** Seconds after its start in which a task must end; else it is stopped and its thread ended. */
const DEADLINE: Readonly<Record<TaskName, number>> = {
  calculate: 10,
  report: 30,
  outline: 10,
  readJob: 20,
  readTables: 20,
}
/** Tasks that wait at most; more are told to come again. */
const MOST_WAITING = 32
/** Seconds for which a task waits for its turn. */
const PATIENCE = 12
/** Memory of one thread; a task that wants more ends its thread, not the server. */
const MOST_MEGABYTES = 512

/** The bundle of tasks lies beside the server's entry, in the build and in development. */
const bundle = (): string => {
  const places = [dirname(process.argv[1] ?? ''), dirname(fileURLToPath(import.meta.url))]
  const found = places.map((place) => join(place, 'tasks.mjs')).find((file) => existsSync(file))
  if (!found) throw new Error('The bundle of heavy tasks, tasks.mjs, is not in the build.')
  return found
}

/** Sums and paper have threads of their own: a report doesn't wait behind what others search or draw. */
const MOST_THREADS: Readonly<Record<PoolName, number>> = {
  sums: Math.max(1, Math.min(4, availableParallelism() - 1)),
  paper: 1,
}

const pools = new Map<PoolName, Piscina>()
const threads = (name: PoolName): Piscina => {
  const pool =
    pools.get(name) ??
    new Piscina({
      filename: bundle(),
      minThreads: 1,
      maxThreads: MOST_THREADS[name],
      maxQueue: MOST_WAITING,
      idleTimeout: 60_000,
      resourceLimits: { maxOldGenerationSizeMb: MOST_MEGABYTES },
    })
  pools.set(name, pool)
  return pool
}

/** Starts a thread of each kind before anybody needs it: starting one would hold up whoever asks meanwhile. */
export const startPools = (): void => {
  for (const name of Object.keys(MOST_THREADS) as PoolName[]) threads(name)
}

/** Ends the threads, with whatever they are at. */
export const closePools = async (): Promise<void> => {
  await Promise.all([...pools.values()].map((pool) => pool.destroy()))
}

/** True once the one who asks has gone: what is worked out then is for nobody. */
const leaving = (event: H3Event): AbortSignal => {
  const left = new AbortController()
  event.node.res.once('close', () => left.abort())
  return left.signal
}

/**
 * Runs a task in a worker thread, so that no other request waits for it. Past its deadline, out of memory,
 * or when the one who asks leaves, its thread is ended; the refusal says what to reduce. One whose turn
 * doesn't come in time is told to come again.
 */
export const inThread = async <N extends TaskName>(
  name: N,
  task: Parameters<Tasks[N]>[0]['task'],
  event?: H3Event,
): Promise<Awaited<ReturnType<Tasks[N]>>> => {
  const stop = new AbortController()
  const signal = event ? AbortSignal.any([stop.signal, leaving(event)]) : stop.signal
  const begun = new Int32Array(new SharedArrayBuffer(4))
  const watch = deadlineFrom(begun, DEADLINE[name], () => stop.abort())
  try {
    return (await threads(POOL_OF[name]).run({ task, begun }, { name, signal })) as Awaited<
      ReturnType<Tasks[N]>
    >
  } catch (failure) {
    if (isQueueFull(failure) || (signal.aborted && Atomics.load(begun, 0) === 0))
      throw new Refused(503, 'busy', answerWords.busy)
    if (signal.aborted || isOutOfMemory(failure))
      throw new Refused(422, 'too-much', answerWords.tooMuch(DEADLINE[name]))
    throw failure
  } finally {
    watch.end()
  }
}

/** Calls `late` when a task has not begun within everybody's patience, or not ended `seconds` after it began. */
const deadlineFrom = (begun: Int32Array<SharedArrayBuffer>, seconds: number, late: () => void) => {
  let timer: NodeJS.Timeout | undefined
  let ended = false
  const begins = Atomics.waitAsync(begun, 0, 0, PATIENCE * 1000)
  void Promise.resolve(begins.value).then((how) => {
    if (ended) return
    if (how === 'timed-out') late()
    else timer = setTimeout(late, seconds * 1000)
  })
  return {
    end: () => {
      ended = true
      clearTimeout(timer)
      // Whoever still waits for its beginning needn't.
      Atomics.notify(begun, 0)
    },
  }
}

const isQueueFull = (failure: unknown): boolean =>
  failure instanceof Error && /task queue is at limit/i.test(failure.message)

const isOutOfMemory = (failure: unknown): boolean =>
  failure instanceof Error && 'code' in failure && failure.code === 'ERR_WORKER_OUT_OF_MEMORY'
