import { defineEventHandler, getQuery, getRouterParam, setResponseStatus, type H3Event } from 'h3'
import type { z } from 'zod'
import type { RouteContract } from '../../shared/api/routes'
import { issuesOf } from '../../shared/calculation/issues'
import { log } from '../log'
import { databaseDown } from './databaseDown'
import { readJson } from './readJson'
import { Refused } from './refusal'
import { en } from '../../shared/wording/en'

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
  throw new Refused(422, 'bad-input', issues[0]?.message ?? en.answers.doesNotFit, { issues })
}

const liftBody = (contract: RouteContract, raw: unknown): unknown =>
  contract.lift ? contract.lift(raw) : raw

/** Every failure as an answer: a refusal as it is, a lost database as 503, anything else as 500 and a log line. */
export const answerFailure = (event: H3Event, failure: unknown) => {
  const refusal = failure instanceof Refused ? failure : databaseDown(failure)
  if (refusal) {
    setResponseStatus(event, refusal.status)
    return refusal.answer()
  }
  log.error({ err: failure, path: event.path }, 'a route failed')
  setResponseStatus(event, 500)
  return {
    error: {
      code: 'defect',
      message: en.answers.mistake,
    },
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
      return await call({
        event,
        body: body as Parsed<C['body']>,
        query: query as Parsed<C['query']>,
        param: (name) => {
          const raw = getRouterParam(event, name) ?? ''
          try {
            return decodeURIComponent(raw)
          } catch {
            return raw
          }
        },
      })
    } catch (failure) {
      return answerFailure(event, failure)
    }
  })
