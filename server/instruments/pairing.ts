import { createHash, randomBytes, randomInt, randomUUID } from 'node:crypto'
import type { Knex } from 'knex'
import { placeOfKey, speakersFor, stepToCore } from '../../core/instruments/places'
import type { SpokenFor } from '../../shared/instruments/link'
import {
  CODE_LENGTH,
  CODE_LETTERS,
  CODE_MINUTES,
  type Command,
  type Hello,
  type Refusal,
} from '../../shared/instruments/protocol'
import { answerWords } from '../../shared/wording/viewWords'
import { notFound, Refused } from '../http/refusal'
import { peopleById } from '../jobs/people'
import { instrumentsChanged, linksOf, tellInstrument } from './hub'
import {
  awaitAt,
  bind,
  describe,
  findByCode,
  findByKey,
  isJobOpen,
  release,
  releaseAll,
  swap,
  type LinkRow,
} from './links.repository'

/** Most instruments at one job. */
const MOST_A_JOB = 24

const newCode = () =>
  Array.from({ length: CODE_LENGTH }, () => CODE_LETTERS[randomInt(CODE_LETTERS.length)]).join('')
const hashOf = (key: string) => createHash('sha256').update(key).digest('hex')
/** As it is typed: small letters and what stands between them do no harm. */
const codeOf = (typed: string) => typed.toUpperCase().replace(/[^A-Z0-9]/g, '')

const openJob = async (knex: Knex, id: string) => {
  const open = await isJobOpen(knex, id)
  if (open === null) throw notFound(answerWords.noJob)
  if (!open) throw new Refused(409, 'job-closed', answerWords.instruments.jobClosed)
}

/** Awaits an instrument at a place of an open job; the code to type at it is answered. */
export const awaitInstrument = async (
  knex: Knex,
  jobId: string,
  { place, author }: { readonly place: string; readonly author: string },
) => {
  await openJob(knex, jobId)
  if (!(await peopleById(knex)).has(author)) throw new Refused(422, 'nobody', answerWords.nobody)
  const known = await linksOf(knex, jobId)
  if (known.length >= MOST_A_JOB && !known.some((l) => l.place === place))
    throw new Refused(409, 'too-many', answerWords.instruments.tooManyAtJob(MOST_A_JOB))
  const wanted = {
    id: randomUUID(),
    jobId,
    place,
    author,
    code: newCode(),
    until: new Date(Date.now() + CODE_MINUTES * 60_000),
  }
  await awaitAt(knex, wanted)
  await instrumentsChanged(jobId)
  return { id: wanted.id, place, code: wanted.code, codeUntil: wanted.until.toISOString() }
}

/** The instruments of a job as they stand. */
export const instrumentsOf = async (knex: Knex, jobId: string) => {
  if ((await isJobOpen(knex, jobId)) === null) throw notFound(answerWords.noJob)
  return { instruments: await linksOf(knex, jobId) }
}

/** Takes an instrument off its place. */
export const releaseInstrument = async (knex: Knex, jobId: string, id: string) => {
  if (!(await release(knex, jobId, id))) throw notFound(answerWords.instruments.notThere)
  await instrumentsChanged(jobId)
  return { released: true }
}

/** A job is closed: nothing speaks into it any more. */
export const releaseJob = async (knex: Knex, jobId: string): Promise<void> => {
  if ((await releaseAll(knex, jobId)) > 0) await instrumentsChanged(jobId)
}

/** Two instruments of a job change places. */
export const swapInstruments = async (knex: Knex, jobId: string, places: readonly [string, string]) => {
  await openJob(knex, jobId)
  const [a, b] = places.map(placeOfKey)
  const kinds = (await linksOf(knex, jobId)).filter((l) => places.includes(l.place))
  const fits = kinds.every(
    ({ instrument }) => instrument && [a, b].every((p) => p && speakersFor(p).includes(instrument.kind)),
  )
  if (!fits || kinds.length < 2 || !(await swap(knex, jobId, places)))
    throw new Refused(409, 'no-swap', answerWords.instruments.noSwap)
  await instrumentsChanged(jobId)
  return { swapped: true }
}

/** Says a word to an instrument; the answer is that it was passed on. */
export const commandInstrument = async (knex: Knex, jobId: string, id: string, command: Command) => {
  const link = (await linksOf(knex, jobId)).find((l) => l.id === id)
  if (!link?.instrument) throw notFound(answerWords.instruments.notThere)
  tellInstrument(jobId, id, command)
  return { passedOn: true }
}

/** What a hello came to: the place it is bound to, with its key; or why it is sent away. */
export type Welcome =
  | {
      readonly link: LinkRow
      readonly key: string
      readonly instrument: SpokenFor
      /** Jobs whose place this instrument left. */
      readonly left: readonly string[]
    }
  | { readonly refused: Refusal }

const spokenFor = ({ kind, serial, unit, graduation, calibrated }: Hello): SpokenFor => ({
  kind,
  serial,
  unit,
  graduation: stepToCore(graduation, unit),
  calibrated,
})

const takes = (link: LinkRow, { kind }: Hello) => {
  const place = placeOfKey(link.place)
  return place !== null && speakersFor(place).includes(kind)
}

/** Receives an instrument: by a code it is bound, by its key it comes back. */
export const receive = async (knex: Knex, hello: Hello): Promise<Welcome> => {
  const instrument = spokenFor(hello)
  if (hello.key !== undefined) {
    const link = await findByKey(knex, hashOf(hello.key))
    const same = link?.instrument?.serial === hello.serial && link.instrument.kind === hello.kind
    if (!link || !same) return { refused: 'unknown-key' }
    if (JSON.stringify(link.instrument) !== JSON.stringify(instrument))
      await describe(knex, link.id, instrument)
    return { link, key: hello.key, instrument, left: [] }
  }
  const link = await findByCode(knex, codeOf(hello.code ?? ''))
  if (!link) return { refused: 'unknown-code' }
  if (!takes(link, hello)) return { refused: 'wrong-kind' }
  const key = randomBytes(24).toString('base64url')
  const { bound, left } = await bind(knex, link, hashOf(key), instrument)
  return bound ? { link, key, instrument, left } : { refused: 'unknown-code' }
}
