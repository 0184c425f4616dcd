import { getCookie, getRequestProtocol, sealSession, setCookie, unsealSession, type H3Event } from 'h3'
import type { Knex } from 'knex'
import { answerWords } from '../../shared/wording/viewWords'
import { environment } from '../environment'
import { Refused } from '../http/refusal'
import { peopleById } from '../jobs/people'
import { keptKey, type Staff } from './people.repository'

/** What a device's cookie holds, sealed: everybody whose PIN was shown on it, and who is writing now. */
interface Held {
  /** By person, the epoch in which their PIN was shown. */
  readonly people: Readonly<Record<string, number>>
  readonly current: string | null
}

/** Who a request comes from. */
export interface Session {
  /** Who is writing; null where nobody is signed in, or the device is locked. */
  readonly current: Staff | null
  /** Everybody whose PIN was shown on the device it comes from. */
  readonly known: readonly Staff[]
}

export const NOBODY: Session = { current: null, known: [] }

const COOKIE = 'hc.session'
/** A device that nobody signed in on for so long forgets everybody. */
const LASTS_SECONDS = 30 * 86_400
/** People that one device remembers. */
const MOST_KNOWN = 40
/** Cookies whose seal was checked, so that it is not opened anew at each request. */
const MOST_OPENED = 1000
const opened = new Map<string, { readonly held: Held; readonly until: number }>()

let key: Promise<string> | null = null

/** The key that cookies are sealed with: the setting, else the one the works keeps. */
const sessionKey = (knex: Knex): Promise<string> => {
  const set = environment().HC_SESSION_SECRET
  if (set !== '') return Promise.resolve(set)
  key ??= keptKey(knex, 'session').then((kept) => {
    if (kept === null) throw new Error('The database keeps no key for sessions. Run npm run migrate.')
    return kept
  })
  return key.catch((failure: unknown) => {
    key = null
    throw failure
  })
}

const settings = (password: string) => ({ password, name: COOKIE, maxAge: LASTS_SECONDS })

const isHeld = (data: unknown): data is Held =>
  typeof data === 'object' && data !== null && 'people' in data && 'current' in data

const open = async (event: H3Event, knex: Knex, sealed: string): Promise<Held | null> => {
  const known = opened.get(sealed)
  if (known && known.until > Date.now()) return known.held
  const session = await unsealSession(event, settings(await sessionKey(knex)), sealed).catch(() => null)
  if (!session || !isHeld(session.data)) return null
  const made = session.createdAt ?? Date.now()
  const until = made + LASTS_SECONDS * 1000
  if (until <= Date.now()) return null
  if (opened.size >= MOST_OPENED) opened.delete(opened.keys().next().value ?? '')
  opened.set(sealed, { held: session.data, until })
  return session.data
}

const settled = (held: Held, people: ReadonlyMap<string, Staff>): Session => {
  const known = Object.entries(held.people).flatMap(([id, epoch]) => {
    const person = people.get(id)
    return person && !person.retired && person.epoch === epoch ? [person] : []
  })
  return { current: known.find((p) => p.id === held.current) ?? null, known }
}

/** Who a request comes from, by its cookie and by what people may today. */
export const sessionOf = async (event: H3Event, knex: Knex): Promise<Session> => {
  const sealed = getCookie(event, COOKIE)
  if (!sealed) return NOBODY
  const held = await open(event, knex, sealed)
  return held ? settled(held, await peopleById(knex)) : NOBODY
}

/** The session that a request was let in with. */
export const sessionIn = (event: H3Event): Session => (event.context.session as Session | undefined) ?? NOBODY

/** Who writes, as a route that is let in by a right knows them. */
export const currentIn = (event: H3Event): Staff => {
  const { current } = sessionIn(event)
  if (!current) throw signInFirst()
  return current
}

/** Nobody is signed in, or the device is locked. */
export const signInFirst = (): Refused => new Refused(401, 'sign-in', answerWords.people.signIn)

/**
 * Writes who is known on the device and who is writing into its cookie: for this program alone, out of reach of
 * scripts, and kept to https where it came by that.
 */
export const keepSession = async (event: H3Event, knex: Knex, session: Session): Promise<void> => {
  const known = session.known.slice(-MOST_KNOWN)
  const data: Held = {
    people: Object.fromEntries(known.map((p) => [p.id, p.epoch])),
    current: session.current?.id ?? null,
  }
  // Sealed anew each time: what was sealed before says nothing of now.
  event.context.sessions = {
    [COOKIE]: { id: crypto.randomUUID(), createdAt: Date.now(), data },
  }
  const sealed = await sealSession(event, settings(await sessionKey(knex)))
  setCookie(event, COOKIE, sealed, {
    httpOnly: true,
    sameSite: 'lax',
    path: '/',
    maxAge: LASTS_SECONDS,
    secure: getRequestProtocol(event, { xForwardedProto: true }) === 'https',
  })
  event.context.session = session
}
