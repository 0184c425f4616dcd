import type { ErrorAnswer } from '~~/shared/api/answers'
import { deviceStore } from '~/device/database'
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

/** Asks the server; failures come as ApiFailure with a sentence to show. */
export const askServer = async <T>(
  path: string,
  options: { method?: 'GET' | 'POST' | 'PUT'; body?: unknown; file?: Blob; seconds?: number } = {},
): Promise<T> => {
  let response: Response
  try {
    response = await fetch(path, {
      method: options.method ?? 'GET',
      ...(options.seconds ? { signal: AbortSignal.timeout(options.seconds * 1000) } : {}),
      ...(options.file ? { body: options.file, headers: { 'content-type': options.file.type } } : {}),
      ...(options.body === undefined
        ? {}
        : { body: JSON.stringify(options.body), headers: { 'content-type': 'application/json' } }),
    })
  } catch {
    throw outOfReach()
  }
  const answer: unknown = await response.json().catch(() => null)
  if (response.ok) return answer as T
  const error = (answer as ErrorAnswer | null)?.error
  throw new ApiFailure(response.status, error ?? OUT_OF_REACH)
}

/** As askServer, but an answer is kept on the device and serves while the server is away. */
export const askKeeping = async <T>(path: string): Promise<T> => {
  try {
    const answer = await askServer<T>(path)
    await deviceStore()
      .then((db) => db.put('answers', answer, path))
      .catch(() => null)
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
