import type { ErrorAnswer } from '~~/shared/api/answers'
import { deviceStore } from '~/device/database'
import { newId } from '~/device/newId'
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
    throw outOfReach()
  }
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

/** Keeps an answer on the device; a full store costs only that. */
export const keepAnswer = async (path: string, answer: unknown): Promise<void> => {
  await deviceStore()
    .then((db) => db.put('answers', answer, path))
    .catch(() => null)
}

/** As askServer, but an answer is kept on the device and serves while the server is away. */
export const askKeeping = async <T>(path: string): Promise<T> => {
  try {
    const answer = await askServer<T>(path)
    await keepAnswer(path, answer)
    return answer
  } catch (failure) {
    if (!(failure instanceof ApiFailure) || !failure.passing) throw failure
    const kept = await deviceStore()
      .then((db) => db.get('answers', path))
      .catch(() => undefined)
    if (kept === undefined) throw failure
    return kept as T
  }
}

/** Something the server is asked for when a view opens, with its waiting, failing and asking again. */
export const useAnswer = <T>(path: () => string) => {
  const data = shallowRef<T | null>(null)
  const failure = shallowRef<ApiFailure | null>(null)
  const load = async () => {
    failure.value = null
    try {
      data.value = await askKeeping<T>(path())
    } catch (error) {
      failure.value = error instanceof ApiFailure ? error : new ApiFailure(0, OUT_OF_REACH)
    }
  }
  watch(path, load, { immediate: true })
  return { data, failure, load }
}
