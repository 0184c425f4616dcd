import type { Knex } from 'knex'
import type { DeedLine } from '../../shared/people/answers'
import type { Deed, DeedsQuery } from '../../shared/people/deeds'
import { readCursor } from '../http/cursor'

/** A line of who did what, before it is written. */
export interface Done {
  readonly person: string | null
  readonly name: string
  readonly second?: string | null
  readonly deed: Deed
  /** What or whom it was done to, as people call it. */
  readonly about: string
}

/** Writes a line; the database lets none be changed or deleted. */
export const insertDeed = async (knex: Knex, { second = null, ...done }: Done): Promise<void> => {
  await knex('deeds').insert({ ...done, second, about: done.about.slice(0, 200) })
}

interface Row {
  readonly id: string
  readonly at: Date
  readonly person: string | null
  readonly name: string
  readonly second_name: string | null
  readonly deed: Deed
  readonly about: string
}

/** A page of who did what, newest first, and one more row where there are more. */
export const findDeeds = async (knex: Knex, query: DeedsQuery): Promise<readonly DeedLine[]> => {
  const found = knex('deeds')
    .leftJoin('people as s', 's.id', 'deeds.second')
    .select('deeds.id', 'deeds.at', 'person', 'deeds.name', 's.name as second_name', 'deed', 'about')
    .orderBy([
      { column: 'deeds.at', order: 'desc' },
      { column: 'deeds.id', order: 'desc' },
    ])
    .limit(query.most + 1)
  for (const word of query.words.split(/\s+/).filter(Boolean).slice(0, 12)) {
    const prefix = word.replace(/[^\p{L}\p{N}]+/gu, ' ').trim()
    if (prefix === '') continue
    const sought = prefix
      .split(' ')
      .map((w) => `${w}:*`)
      .join(' & ')
    void found.whereRaw(`deeds.words @@ to_tsquery('simple', ?)`, [sought])
  }
  if (query.person) void found.where({ person: query.person })
  if (query.deed) void found.where({ deed: query.deed })
  if (query.from) void found.where('deeds.at', '>=', query.from)
  if (query.to) void found.whereRaw(`deeds.at < ?::date + 1`, [query.to])
  if (query.after) {
    const { at, id } = readCursor(query.after)
    void found.whereRaw('(deeds.at, deeds.id) < (?::timestamptz, ?::uuid)', [at, id])
  }
  return ((await found) as Row[]).map((row) => ({
    id: row.id,
    at: row.at.toISOString(),
    person: row.person,
    name: row.name,
    second: row.second_name,
    deed: row.deed,
    about: row.about,
  }))
}
