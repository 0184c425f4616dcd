import type { H3Event } from 'h3'
import { ACCESS, type RouteName } from '../../shared/api/access'
import type { Deed } from '../../shared/people/deeds'
import { database } from '../database/connection'
import { insertDeed } from './deeds.repository'
import type { Staff } from './people.repository'
import { sessionIn } from './session'

const text = (value: unknown): string =>
  typeof value === 'string' || typeof value === 'number' ? String(value) : ''

/** What a request was about, as people call it: a machine by its tag, else what has a name. */
const aboutOf = (given: {
  readonly body: unknown
  readonly param: (name: string) => string
  readonly answer: unknown
}): string => {
  const told = [given.body, given.answer].filter((x) => typeof x === 'object' && x !== null) as Record<
    string,
    unknown
  >[]
  for (const key of ['tag', 'machine', 'name', 'title', 'area'])
    for (const from of told) if (text(from[key]) !== '') return text(from[key])
  return given.param('tag') || given.param('id')
}

/** Nothing was done yet: what would be was told. */
const wasOnlyLooked = (answer: unknown): boolean =>
  typeof answer === 'object' && answer !== null && 'done' in answer && answer.done === false

/** Leaves a line of who did what, where a route says that it is worth one. */
export const noteDone = async (
  event: H3Event,
  given: { readonly body: unknown; readonly param: (name: string) => string; readonly answer: unknown },
): Promise<void> => {
  const name = event.context.route as RouteName | undefined
  if (!name || ACCESS[name].unlogged || wasOnlyLooked(given.answer)) return
  const { current } = sessionIn(event)
  const second = event.context.second as Staff | null | undefined
  await insertDeed(database('write'), {
    person: current?.id ?? null,
    name: current?.name ?? '',
    second: second?.id ?? null,
    deed: name as Deed,
    about: aboutOf(given),
  })
}
