import {
  defineEventHandler,
  getQuery,
  getRouterParam,
  setResponseHeader,
  setResponseStatus,
  type H3Event,
} from 'h3'
import type { z } from 'zod'
import type { RouteContract } from '../../shared/api/routes'
import { issuesOf } from '../../shared/calculation/issues'
import { log } from '../log'
import { askSigner } from '../people/admit'
import { noteDone } from '../people/noteDone'
import { busy, databaseFailure } from './databaseFailure'
import { readJson } from './readJson'
import { notFound, Refused } from './refusal'
import { answerWords } from '../../shared/wording/viewWords'

type Parsed<S> = S extends z.ZodType ? z.output<S> : undefined

interface RouteCall<C extends RouteContract> {
  readonly event: H3Event
  readonly body: Parsed<C['body']>
  readonly query: Parsed<C['query']>
  /** A path parameter; empty when the route has none by that name. */
  readonly param: (name: string) => string
}

const parseBy = (schema: z.ZodType | undefined, raw: unknown): unknown => {
  if (!schema) return undefined
  const parsed = schema.safeParse(raw)
  if (parsed.success) return parsed.data
  const issues = issuesOf(parsed.error)
  throw new Refused(422, 'bad-input', issues[0]?.message ?? answerWords.doesNotFit, { issues })
}

/** A part of a path as it was meant; what can't be anybody's name is nothing that is here. */
const pathPart = (raw: string): string => {
  let part = raw
  try {
    part = decodeURIComponent(raw)
  } catch {
    // A lone percent sign stands for itself.
  }
  // eslint-disable-next-line no-control-regex
  if (/[\u0000-\u001f]/.test(part) || !part.isWellFormed()) throw notFound(answerWords.nothingHere)
  return part
}

const liftBody = (contract: RouteContract, raw: unknown): unknown =>
  contract.lift ? contract.lift(raw) : raw

/** Every failure as an answer: a refusal as it is, a lost database as 503, anything else as 500 and a log line. */
export const answerFailure = (event: H3Event, failure: unknown) => {
  const refusal = failure instanceof Refused ? failure : databaseFailure(failure)
  if (refusal) {
    setResponseStatus(event, refusal.status)
    if (refusal.status === 503) setResponseHeader(event, 'retry-after', 1)
    return refusal.answer()
  }
  log.error({ err: failure, path: event.path }, 'a route failed')
  setResponseStatus(event, 500)
  return {
    error: {
      code: 'defect',
      message: answerWords.mistake,
    },
  }
}

/** Seconds in which a route answers; some say their own. */
const SECONDS = 4.8

/** A call that takes too long is answered without it: whoever asks tries again. */
const inTime = async (answer: unknown, seconds: number): Promise<unknown> => {
  if (!Number.isFinite(seconds)) return answer
  let late: NodeJS.Timeout | undefined
  const deadline = new Promise((_, reject) => {
    late = setTimeout(() => reject(busy()), seconds * 1000)
  })
  try {
    return await Promise.race([answer, deadline])
  } finally {
    clearTimeout(late)
  }
}

/** A thin route: parse by the contract, call one function, answer; failures leave as sentences. */
export const route = <C extends RouteContract>(contract: C, call: (c: RouteCall<C>) => unknown) =>
  defineEventHandler(async (event) => {
    try {
      const query = parseBy(contract.query, getQuery(event))
      const body = contract.body
        ? parseBy(contract.body, liftBody(contract, await readJson(event)))
        : undefined
      await askSigner(event, { body, query })
      const param = (name: string) => pathPart(getRouterParam(event, name) ?? '')
      const answer = await inTime(
        call({ event, body: body as Parsed<C['body']>, query: query as Parsed<C['query']>, param }),
        contract.seconds ?? SECONDS,
      )
      await noteDone(event, { body, param, answer })
      return answer
    } catch (failure) {
      return answerFailure(event, failure)
    }
  })
