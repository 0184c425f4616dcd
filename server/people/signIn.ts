import type { Knex } from 'knex'
import type { SessionAnswer, SignInNote, Somebody } from '../../shared/people/answers'
import type { SecondShown, SignIn } from '../../shared/people/person'
import { secretFault } from '../../shared/people/secret'
import { issue } from '../../shared/issue'
import { kinds, people } from '../../shared/wording/en'
import { answerWords } from '../../shared/wording/viewWords'
import { wordIssue } from '../../shared/wording/wordIssue'
import { Refused, refusedAt } from '../http/refusal'
import { peopleById, peopleChanged } from '../jobs/people'
import { leaveTo, leaveToWrite, RIGHTS } from '../../core/logbook/may'
import { isEntryKind } from '../../shared/logbook/kinds'
import { ACCESS, type RouteName } from '../../shared/api/access'
import { insertDeed } from './deeds.repository'
import {
  findGuarded,
  forgetDevices,
  guardedByName,
  insertStaff,
  oneAtATime,
  leadThere,
  signInNote,
  writeSecret,
  type Guarded,
  type Staff,
} from './people.repository'
import { insertSecond } from './seconds.repository'
import { guessAtNobody, hashOf, isSecretOf } from './secrets'
import type { Session } from './session'

const w = answerWords.people

const wrong = (): Refused =>
  new Refused(401, 'wrong', w.wrong, { issues: [{ path: 'secret', message: w.wrong }] })

/** A PIN or password that somebody chose will do; 422 at `path` where not. */
const askChosen = (chosen: string, person: Pick<Staff, 'role'>, path: string): void => {
  const code = secretFault(chosen, person.role)
  if (code) throw refusedAt(422, 'bad-input', path, wordIssue(issue(code)))
}

/** Who of that name this is the PIN of; 401 where nobody's, in the same words and time whether the name is known or not. */
const guarded = async (knex: Knex, name: string, secret: string): Promise<Guarded> => {
  const called = await guardedByName(knex, name)
  if (called.length === 0) await guessAtNobody(secret)
  for (const person of called) if (await isSecretOf(knex, person, secret)) return person
  const [first] = called
  await insertDeed(knex, {
    person: first?.id ?? null,
    name: first?.name ?? '',
    deed: 'signInWrong',
    about: '',
  })
  throw wrong()
}

/** Chosen for the first time, it takes the place of what a lead gave. */
const chooseOwn = async (knex: Knex, person: Guarded, given: SignIn): Promise<Staff> => {
  if (given.chosen === undefined) throw refusedAt(422, 'choose-own', 'chosen', w.chooseOwn)
  askChosen(given.chosen, person, 'chosen')
  if (given.chosen === given.secret) throw refusedAt(422, 'bad-input', 'chosen', w.anotherThanGiven)
  await writeSecret(knex, person.id, await hashOf(given.chosen), { once: false, anew: true })
  await peopleChanged()
  return { ...person, epoch: person.epoch + 1 }
}

/** This person on the device, as who is writing. */
const withCurrent = (session: Session, person: Staff): Session => ({
  current: person,
  known: [...session.known.filter((p) => p.id !== person.id), person],
})

/** Signs somebody in on a device. 401 for a wrong PIN, 429 after too many, 422 `choose-own` where theirs lets in once. */
export const signIn = async (knex: Knex, session: Session, given: SignIn): Promise<Session> => {
  const person = await guarded(knex, given.name, given.secret)
  const signed = person.signsIn === 'once' ? await chooseOwn(knex, person, given) : person
  // The list may be older than somebody who was added just now.
  if ((await peopleById(knex)).get(person.id)?.epoch !== signed.epoch) await peopleChanged()
  await insertDeed(knex, { person: person.id, name: person.name, deed: 'signIn', about: '' })
  return withCurrent(session, signed)
}

/** Signs out who is writing: of this device, or of all of them. */
export const signOut = async (knex: Knex, session: Session, everywhere: boolean): Promise<Session> => {
  const { current } = session
  if (everywhere && current) {
    await forgetDevices(knex, current.id)
    await peopleChanged()
    await insertDeed(knex, { person: current.id, name: current.name, deed: 'signOutEverywhere', about: '' })
  }
  return { current: null, known: session.known.filter((p) => p.id !== current?.id) }
}

/** Changes somebody's own PIN or password; this device keeps them, every other asks anew. */
export const changeSecret = async (
  knex: Knex,
  session: Session,
  current: Staff,
  given: { readonly secret: string; readonly chosen: string },
): Promise<Session> => {
  const person = await findGuarded(knex, current.id)
  if (!person || !(await isSecretOf(knex, person, given.secret))) throw wrong()
  askChosen(given.chosen, person, 'chosen')
  await writeSecret(knex, person.id, await hashOf(given.chosen), { once: false, anew: true })
  await peopleChanged()
  await insertDeed(knex, { person: person.id, name: person.name, deed: 'changeSecret', about: '' })
  return withCurrent(session, { ...person, epoch: person.epoch + 1 })
}

/** Makes the first lead: somebody new, or a lead of an older register who had no PIN. 409 once there is one. */
export const makeFirstLead = async (
  knex: Knex,
  session: Session,
  given: { readonly id: string; readonly name: string; readonly secret: string },
): Promise<Session> => {
  askChosen(given.secret, { role: 'lead' }, 'secret')
  const secret = await hashOf(given.secret)
  const id = await knex.transaction(async (trx) => {
    await oneAtATime(trx)
    if (await leadThere(trx)) throw new Refused(409, 'lead-there', w.leadThere)
    const known = (await guardedByName(trx, given.name)).find((p) => p.role === 'lead')
    const lead = known?.id ?? given.id
    if (!known && !(await insertStaff(trx, { id: lead, name: given.name, role: 'lead', customer: null })))
      throw new Refused(409, 'id-taken', w.idTaken)
    await writeSecret(trx, lead, secret, { once: false, anew: false })
    await insertDeed(trx, { person: lead, name: given.name, deed: 'firstLead', about: '' })
    return lead
  })
  await peopleChanged()
  const lead = await findGuarded(knex, id)
  if (!lead) throw wrong()
  return withCurrent(session, lead)
}

/** Whether somebody may stand by what is to be done: an entry's kind, or a route. */
const mayStandBy = ({ role }: Staff, what: string): boolean => {
  if (isEntryKind(what)) return leaveToWrite(role, what) === 'alone'
  const asks = Object.hasOwn(ACCESS, what) ? ACCESS[what as RouteName].asks : null
  return asks !== null && RIGHTS.includes(asks) && leaveTo(role, asks) === 'alone'
}

/** What somebody stood by, in words. */
const actWords = (what: string): string => {
  if (isEntryKind(what)) return kinds[what].toLowerCase()
  const names: Readonly<Record<string, string>> = people.deeds.names
  return names[what] ?? what
}

/** A second person shows their PIN for one act. 401 for a wrong PIN, 403 where they may not do it themselves. */
export const showSecond = async (knex: Knex, current: Staff, given: SecondShown): Promise<Somebody> => {
  const person = await guarded(knex, given.name, given.secret)
  if (person.id === current.id) throw refusedAt(422, 'bad-input', 'name', w.secondIsSomebodyElse)
  if (person.signsIn === 'once') throw refusedAt(422, 'bad-input', 'name', w.secondNeedsOwn)
  if (!mayStandBy(person, given.what)) throw new Refused(403, 'not-allowed', w.secondMayNot(person.name))
  await insertSecond(knex, given.act, person.id, given.what)
  await insertDeed(knex, {
    person: person.id,
    name: person.name,
    deed: 'second',
    about: `${current.name}: ${actWords(given.what)}`,
  })
  return { id: person.id, name: person.name, role: person.role }
}

const somebody = ({ id, name, role }: Staff): Somebody => ({ id, name, role })

/** A lead who can sign in was seen: there will always be one. */
let leadSeen = false

/** Who a device knows, and who is writing on it. */
export const answerSession = async (knex: Knex, { current, known }: Session): Promise<SessionAnswer> => {
  leadSeen ||= current !== null || (await leadThere(knex))
  return {
    current: current && somebody(current),
    known: known.map(somebody),
    first: !leadSeen,
    note: current ? null : ((await signInNote(knex)) as SignInNote | null),
  }
}
