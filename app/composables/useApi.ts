import type { ErrorAnswer } from '~~/shared/api/answers'
import { copyOf, keepCopy } from '~/device/copies'
import { newId } from '~/device/newId'
import { heard, reachable } from '~/device/reach'
import { shownCopies } from '~/device/shownCopies'
import { askSecond, untilSignedIn } from '~/people/gate'
import { door } from '~~/shared/wording/en'

/** A request that failed: the server's sentence, or that it could not be reached. */
export class ApiFailure extends Error {
  constructor(
    /** 0 when nothing answered. */
    readonly status: number,
    readonly answer: ErrorAnswer['error'],
  ) {
    super(answer.message)
  }

  /** True when trying again later may help: no answer, or the database is away. */
  get passing(): boolean {
    return this.status === 0 || this.status >= 500
  }
}

const OUT_OF_REACH = {
  code: 'offline',
  message: door.outOfReach,
}

/** Nothing answered: trying again may help. */
export const outOfReach = (): ApiFailure => new ApiFailure(0, OUT_OF_REACH)

interface Asking {
  readonly method?: 'GET' | 'POST' | 'PUT'
  readonly body?: unknown
  readonly file?: Blob
  readonly seconds?: number
  /** The act that a second person showed their PIN for. */
  readonly second?: string
}

/** Asks the server; failures come as ApiFailure with a sentence to show. */
export const askServer = async <T>(path: string, options: Asking = {}): Promise<T> => {
  let response: Response
  try {
    response = await fetch(path, {
      method: options.method ?? 'GET',
      ...(options.seconds ? { signal: AbortSignal.timeout(options.seconds * 1000) } : {}),
      headers: {
        ...(options.file ? { 'content-type': options.file.type } : {}),
        ...(options.body === undefined ? {} : { 'content-type': 'application/json' }),
        ...(options.second === undefined ? {} : { 'x-second': options.second }),
      },
      ...(options.file ? { body: options.file } : {}),
      ...(options.body === undefined ? {} : { body: JSON.stringify(options.body) }),
    })
  } catch {
    heard(0)
    throw outOfReach()
  }
  heard(response.status)
  const answer: unknown = await response.json().catch(() => null)
  if (response.ok) return answer as T
  const error = (answer as ErrorAnswer | null)?.error
  return afterNo(path, options, new ApiFailure(response.status, error ?? OUT_OF_REACH))
}

/** Nobody is signed in: what was asked is asked again once somebody is. A second person is wanted: they are asked. Anything else stays a no. */
const afterNo = async <T>(path: string, options: Asking, failure: ApiFailure): Promise<T> => {
  const { code, current } = failure.answer
  if (code === 'sign-in') {
    const signedIn = untilSignedIn()
    if ((options.method ?? 'GET') !== 'GET') throw failure
    await signedIn
    return askServer<T>(path, options)
  }
  if (code === 'needs-second' && current !== undefined && options.second === undefined) {
    const act = newId()
    const { what } = current as { readonly what: string }
    if ((await askSecond({ act, what, about: failure.message })) !== null)
      return askServer<T>(path, { ...options, second: act })
  }
  throw failure
}

/** What was asked for, and of when it is where the device's copy had to serve. */
interface Kept<T> {
  readonly answer: T
  /** Milliseconds; null for what the server has just said. */
  readonly at: number | null
}

const askOrCopy = async <T>(path: string): Promise<Kept<T>> => {
  try {
    const answer = await askServer<T>(path)
    await keepCopy(path, answer)
    return { answer, at: null }
  } catch (failure) {
    if (!(failure instanceof ApiFailure) || !failure.passing) throw failure
    const kept = await copyOf(path)
    if (!kept) throw failure
    return { answer: kept.answer as T, at: kept.at }
  }
}

/** As askServer, but an answer is kept on the device and serves while the server is away. */
export const askKeeping = async <T>(path: string): Promise<T> => (await askOrCopy<T>(path)).answer

/**
 * Something the server is asked for when a view opens, with its waiting, failing and asking again. Out of reach the device's
 * copy serves, the head of the view says of when it is, and it is asked for anew once the server is back.
 */
export const useAnswer = <T>(path: () => string) => {
  const data = shallowRef<T | null>(null)
  const failure = shallowRef<ApiFailure | null>(null)
  const shown = Symbol()
  const load = async () => {
    failure.value = null
    try {
      const { answer, at } = await askOrCopy<T>(path())
      data.value = answer
      if (at === null) shownCopies.delete(shown)
      else shownCopies.set(shown, at)
    } catch (error) {
      failure.value = error instanceof ApiFailure ? error : new ApiFailure(0, OUT_OF_REACH)
    }
  }
  watch(path, load, { immediate: true })
  watch(reachable, (now) => {
    if (now && (failure.value?.passing || shownCopies.has(shown))) void load()
  })
  onScopeDispose(() => shownCopies.delete(shown))
  return { data, failure, load }
}
