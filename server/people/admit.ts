import { getHeader, type H3Event } from 'h3'
import type { Knex } from 'knex'
import { ACCESS, type RouteName, type Signed } from '../../shared/api/access'
import { leaveTo, leaveToWrite } from '../../core/logbook/may'
import { isUuid } from '../../shared/text'
import { peopleWords } from '../../shared/wording/en'
import { answerWords } from '../../shared/wording/viewWords'
import { OWN_END } from '../../shared/wording/words'
import { database } from '../database/connection'
import { Refused } from '../http/refusal'
import { peopleById } from '../jobs/people'
import type { EntryDraft } from '../../shared/logbook/entry'
import type { Staff } from './people.repository'
import { useSecond, wasShown } from './seconds.repository'
import { sessionIn, signInFirst, type Session } from './session'

/** The header that names a second person's act, where a request needs one. */
export const SECOND_HEADER = 'x-second'

const rolesWords = peopleWords(OWN_END).roles

const notForRole = (person: Staff, what: RouteName | null = null): Refused =>
  what
    ? new Refused(403, 'needs-second', answerWords.people.needsSecond, { current: { what } })
    : new Refused(403, 'not-allowed', answerWords.people.notForRole(rolesWords[person.role]))

/**
 * Lets a request in, or says why not: nobody is signed in, their role may not, or a second person has to stand by it.
 * Answers the second person where one did.
 */
export const admit = async (
  event: H3Event,
  knex: () => Knex,
  name: RouteName,
  session: Session,
  people: ReadonlyMap<string, Staff>,
): Promise<Staff | null> => {
  const { asks, byItself } = ACCESS[name]
  if (asks === null) return null
  const { current } = session
  // Whoever has the device now, or nobody: it sends what its people wrote on it. Each is asked by their own role.
  if (byItself && session.known.some((p) => leaveTo(p.role, asks) === 'alone')) return null
  if (!current) throw signInFirst()
  const leave = leaveTo(current.role, asks)
  if (leave === 'alone') return null
  if (leave === 'no') throw notForRole(current)
  const act = getHeader(event, SECOND_HEADER) ?? ''
  const shown = isUuid(act) ? await useSecond(knex(), act.toLowerCase(), name) : null
  const second = shown === null ? undefined : people.get(shown)
  if (!second || second.id === current.id || leaveTo(second.role, asks) !== 'alone')
    throw notForRole(current, name)
  return second
}

const at = (value: unknown, path: string): unknown =>
  path
    .split('.')
    .reduce<unknown>(
      (within, key) =>
        typeof within === 'object' && within !== null ? (within as Record<string, unknown>)[key] : undefined,
      value,
    )

/** Whoever a request is signed by has shown their PIN on the device it comes from, and may do what it asks for; 401 or 403 where not. */
export const askSigner = async (
  event: H3Event,
  given: { readonly body: unknown; readonly query: unknown },
): Promise<void> => {
  const name = event.context.route as RouteName | undefined
  const { asks = null, signed } = name ? ACCESS[name] : {}
  if (!signed || asks === null) return
  const id = at(given, signed satisfies Signed)
  if (typeof id !== 'string') return
  const signer = sessionIn(event).known.find((p) => p.id === id)
  if (!signer) {
    const other = (await peopleById(database('read'))).get(id)
    if (!other) {
      const path = signed.split('.').slice(1).join('.')
      throw new Refused(422, 'bad-input', answerWords.nobody, {
        issues: [{ path, message: answerWords.nobody }],
      })
    }
    throw new Refused(401, 'sign-in-as', answerWords.people.signInAs(other.name))
  }
  if (leaveTo(signer.role, asks) === 'no') throw notForRole(signer)
  // What somebody else of this device keeps for themselves is theirs, or a lead's to see.
  const { current } = sessionIn(event)
  if (
    signed === 'query.person' &&
    current &&
    current.id !== signer.id &&
    leaveTo(current.role, 'people') === 'no'
  )
    throw new Refused(401, 'sign-in-as', answerWords.people.signInAs(signer.name))
}

/** What an entry's writer may not answer for alone needs somebody who stood by it with their PIN; 403 where nobody did. */
export const askSecond = async (
  knex: Knex,
  draft: EntryDraft,
  people: ReadonlyMap<string, Staff>,
): Promise<void> => {
  const writer = people.get(draft.author)
  if (!writer || draft.second === undefined) return
  const shown = await wasShown(knex, draft.id, draft.second)
  const second = people.get(draft.second)
  if (shown && second && second.id !== writer.id && leaveToWrite(second.role, draft.kind) === 'alone') return
  throw new Refused(403, 'needs-second', answerWords.people.secondNotShown)
}
