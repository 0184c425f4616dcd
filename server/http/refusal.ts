import type { ErrorAnswer } from '../../shared/api/answers'
import type { Issue } from '../../shared/calculation/operation'

export type RefusalStatus = 400 | 401 | 403 | 404 | 405 | 409 | 413 | 415 | 422 | 429 | 503

/** Thrown by any layer below a route to answer with a status and a plain sentence. */
export class Refused extends Error {
  constructor(
    readonly status: RefusalStatus,
    readonly code: string,
    message: string,
    readonly details: { readonly issues?: readonly Issue[]; readonly current?: unknown } = {},
  ) {
    super(message)
  }

  /** The body that leaves the server. */
  answer(): ErrorAnswer {
    return { error: { code: this.code, message: this.message, ...this.details } }
  }
}

/** What is wrong at one field. */
export const refusedAt = (status: 409 | 422, code: string, path: string, message: string): Refused =>
  new Refused(status, code, message, { issues: [{ path, message }] })

/** Nothing by that name or id. */
export const notFound = (what: string): Refused => new Refused(404, 'not-found', what)
