import { answerWords } from '../../shared/wording/viewWords'
import { takenAt } from './contractRoutes'
import { Refused } from './refusal'

/** What of a request tells where it comes from. */
export interface Asked {
  readonly method: string
  readonly path: string
  readonly host: string | undefined
  readonly origin: string | undefined
  /** Sec-Fetch-Site, which browsers set and pages can't. */
  readonly fetchSite: string | undefined
  readonly contentType: string | undefined
}

const READS = new Set(['GET', 'HEAD'])
const WRITES = new Set(['POST', 'PUT', 'PATCH', 'DELETE'])

/** The name in a Host header, without its port. */
const nameOf = (host: string): string => {
  const bracketed = /^\[([0-9a-f:.]+)\](:\d+)?$/i.exec(host)
  return (bracketed?.[1] ?? host.replace(/:\d*$/, '')).toLowerCase()
}

const isLoopback = (name: string): boolean =>
  name === 'localhost' || name === '::1' || /^127(\.\d{1,3}){3}$/.test(name)

/**
 * Why a request is not answered: it came under a name that is not this program's (a page that points its own
 * name here could read and write), from a page of another origin, or writes something that is neither JSON nor a
 * file the route takes, which any page could send unasked. Null when it may go on. `names` are those the program is reached by
 * besides loopback.
 */
export const strangerAt = (asked: Asked, names: readonly string[]): Refused | null => {
  if (!asked.path.startsWith('/api/')) return null
  const { method, host = '' } = asked
  if (!READS.has(method) && !WRITES.has(method))
    return new Refused(405, 'method-not-allowed', answerWords.noSuchMethod)
  const name = nameOf(host)
  if (!isLoopback(name) && !names.includes(name))
    return new Refused(403, 'wrong-host', answerWords.wrongHost(name))
  if (READS.has(method)) return null
  if (asked.origin !== undefined && originHost(asked.origin) !== host.toLowerCase())
    return new Refused(403, 'wrong-origin', answerWords.wrongOrigin)
  // A browser that hides the origin still says whose page it was.
  if (asked.fetchSite !== undefined && asked.fetchSite !== 'same-origin' && asked.fetchSite !== 'none')
    return new Refused(403, 'wrong-origin', answerWords.wrongOrigin)
  const [type = ''] = (asked.contentType ?? '').toLowerCase().split(';')
  if (type.trim() !== 'application/json' && !takenAt(method, asked.path).includes(type.trim()))
    return new Refused(415, 'not-json', answerWords.sendJson)
  return null
}

const originHost = (origin: string): string | null => {
  try {
    return new URL(origin).host.toLowerCase()
  } catch {
    return null
  }
}
