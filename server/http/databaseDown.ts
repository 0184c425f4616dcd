import { Refused } from './refusal'
import { en } from '../../shared/wording/en'

const LOST = new Set([
  'ECONNREFUSED',
  'ECONNRESET',
  'EPIPE',
  'ETIMEDOUT',
  'ENOTFOUND',
  '57P01',
  '57P02',
  '57P03',
  '08006',
  '08001',
  '53300',
])

const codesOf = (failure: unknown): readonly string[] => {
  if (typeof failure !== 'object' || failure === null) return []
  const own = 'code' in failure && typeof failure.code === 'string' ? [failure.code] : []
  const inner = 'errors' in failure && Array.isArray(failure.errors) ? failure.errors.flatMap(codesOf) : []
  return [...own, ...inner]
}

/** A lost or unready database as a plain 503; null when the failure is something else. */
export const databaseDown = (failure: unknown): Refused | null => {
  const lost =
    codesOf(failure).some((c) => LOST.has(c)) ||
    (failure instanceof Error &&
      /Connection terminated|timeout expired|Timeout acquiring a connection|Connection ended/i.test(
        failure.message,
      ))
  return lost ? new Refused(503, 'database-down', en.answers.databaseDown) : null
}
