import { createHash, randomBytes } from 'node:crypto'
import type { Knex } from 'knex'
import type { FeedAnswer, NewFeedAnswer } from '../../shared/api/answers'
import { comeBack, pages } from '../../shared/wording/en'
import { answerWords } from '../../shared/wording/viewWords'
import { notFound, Refused } from '../http/refusal'
import { leaveTo } from '../../core/logbook/may'
import type { Staff } from '../people/people.repository'
import { peopleById } from '../jobs/people'
import { personOf } from '../jobs/append'
import { calendar } from './calendar'
import { findFeedBySecret, insertFeed, listFeeds, revokeFeed, type FeedRow } from './feeds.repository'
import { calendarText } from './ics'

const hashOf = (secret: string): Buffer => createHash('sha256').update(secret).digest()

const told = async (knex: Knex, feed: FeedRow): Promise<FeedAnswer> => ({
  ...feed,
  personName: feed.person ? ((await peopleById(knex)).get(feed.person)?.name ?? pages.machine.someone) : null,
})

/** Every calendar that was made, without its address. */
export const feeds = async (knex: Knex): Promise<readonly FeedAnswer[]> =>
  Promise.all((await listFeeds(knex)).map((f) => told(knex, f)))

/** One's own calendar is everybody's; that of the works, or of somebody else, takes who plans. */
const askOwn = (by: Staff, person: string | null): void => {
  if (person !== by.id && leaveTo(by.role, 'schedule') !== 'alone')
    throw new Refused(403, 'not-allowed', answerWords.people.ownFeed)
}

/** Makes a calendar; its address is in this answer and nowhere else. 409 when its id is taken. */
export const makeFeed = async (
  knex: Knex,
  given: { readonly id: string; readonly person: string | null },
  by: Staff,
): Promise<NewFeedAnswer> => {
  askOwn(by, given.person)
  if (given.person !== null) personOf(await peopleById(knex), given.person, 'person')
  const secret = randomBytes(24).toString('base64url')
  const feed = await insertFeed(knex, { ...given, secretHash: hashOf(secret) })
  if (!feed)
    throw new Refused(409, 'id-taken', answerWords.feedIdTaken, {
      issues: [{ path: 'id', message: answerWords.feedIdTaken }],
    })
  return { ...(await told(knex, feed)), address: `/api/feeds/${secret}/calendar.ics` }
}

/** Ends a calendar: its address answers nothing any more. */
export const endFeed = async (knex: Knex, id: string, by: Staff): Promise<FeedAnswer> => {
  const known = (await listFeeds(knex)).find((f) => f.id === id)
  if (!known) throw notFound(answerWords.noFeed)
  askOwn(by, known.person)
  const feed = await revokeFeed(knex, id)
  if (!feed) throw notFound(answerWords.noFeed)
  return told(knex, feed)
}

/** What a calendar program is answered at a secret address; 404 for an unknown or a revoked one. */
export const readFeed = async (knex: Knex, secret: string, now = new Date()): Promise<string> => {
  const feed = await findFeedBySecret(knex, hashOf(secret))
  if (!feed) throw notFound(answerWords.noFeed)
  const { visits, standstills } = await calendar(knex, now)
  const person = feed.person ? ((await peopleById(knex)).get(feed.person) ?? null) : null
  return calendarText(
    feed.person === null
      ? { name: comeBack.feeds.ofWorks, visits, standstills }
      : {
          name: comeBack.feeds.of(person?.name ?? pages.machine.someone),
          visits: visits.filter((v) => v.job.lastAuthorId === feed.person),
          standstills: [],
        },
  )
}
