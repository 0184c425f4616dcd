import { Refused } from './refusal'
import { answerWords } from '../../shared/wording/viewWords'

/** The database is away: nobody there, going down, coming up, or out of connections. */
const LOST = new Set(['ECONNREFUSED', 'ECONNRESET', 'EPIPE', 'ETIMEDOUT', 'ENOTFOUND', '53300'])
const LOST_CLASSES = new Set(['08', '57', '58'])
/** It answers, but somebody else was in the way: a lock, a deadlock, a statement that took too long. */
const BUSY = new Set(['55P03', '57014', '40001', '40P01', '25P03'])
/** It takes no such value, or no such row beside the others. */
const BAD_CLASSES = new Set(['22', '23'])

const codesOf = (failure: unknown): readonly string[] => {
  if (typeof failure !== 'object' || failure === null) return []
  const own = 'code' in failure && typeof failure.code === 'string' ? [failure.code] : []
  const inner = 'errors' in failure && Array.isArray(failure.errors) ? failure.errors.flatMap(codesOf) : []
  return [...own, ...inner]
}

/** A lost connection often has a sentence only, and no code. */
const LOST_WORDS =
  /Connection terminated|timeout expired|timeout exceeded|Connection ended|not queryable|connection error|Client has encountered|pool is destroyed/i

/**
 * What the database refused or could not do, as an answer with a sentence; null when the failure is
 * something else. A lost or busy database is 503, a value it can't take 422, a row that is there 409.
 */
export const databaseFailure = (failure: unknown): Refused | null => {
  const codes = codesOf(failure)
  const classes = codes.map((c) => c.slice(0, 2))
  const isSqlState = codes.some((c) => /^[0-9A-Z]{5}$/.test(c))
  if (codes.some((c) => BUSY.has(c)) || isPoolFull(failure)) return busy()
  if (codes.includes('23505')) return new Refused(409, 'taken', answerWords.takenMeanwhile)
  if (isSqlState && classes.some((c) => BAD_CLASSES.has(c)))
    return new Refused(422, 'bad-input', answerWords.databaseTakesNoSuch)
  const lost =
    codes.some((c) => LOST.has(c)) ||
    (isSqlState && classes.some((c) => LOST_CLASSES.has(c))) ||
    (failure instanceof Error && LOST_WORDS.test(failure.message))
  return lost ? databaseAway() : null
}

const isPoolFull = (failure: unknown): boolean =>
  failure instanceof Error && /Timeout acquiring a connection/i.test(failure.message)

/** Somebody else is in the way just now; trying again helps. */
export const busy = (): Refused => new Refused(503, 'busy', answerWords.busyTryingAgain)

/** The database can't be reached. */
export const databaseAway = (): Refused => new Refused(503, 'database-down', answerWords.databaseDown)
