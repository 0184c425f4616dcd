import type { Knex } from 'knex'

interface Row {
  readonly id: string
  readonly person: string | null
  readonly made_at: Date
  readonly read_at: Date | null
  readonly revoked_at: Date | null
}

/** A calendar somebody may subscribe to; its address is known to whoever made it alone. */
export interface FeedRow {
  readonly id: string
  readonly person: string | null
  readonly madeAt: string
  readonly readAt: string | null
  readonly revokedAt: string | null
}

const COLUMNS = ['id', 'person', 'made_at', 'read_at', 'revoked_at']
const toFeed = (row: Row): FeedRow => ({
  id: row.id,
  person: row.person,
  madeAt: row.made_at.toISOString(),
  readAt: row.read_at?.toISOString() ?? null,
  revokedAt: row.revoked_at?.toISOString() ?? null,
})

/** All calendars, newest first. */
export const listFeeds = async (knex: Knex): Promise<readonly FeedRow[]> =>
  ((await knex('feeds').select(COLUMNS).orderBy('made_at', 'desc').limit(500)) as Row[]).map(toFeed)

/** Adds a calendar; null when its id is taken. */
export const insertFeed = async (
  knex: Knex,
  feed: { readonly id: string; readonly person: string | null; readonly secretHash: Buffer },
): Promise<FeedRow | null> => {
  const [row] = (await knex('feeds')
    .insert({ id: feed.id, person: feed.person, secret_sha256: feed.secretHash })
    .onConflict('id')
    .ignore()
    .returning(COLUMNS)) as Row[]
  return row ? toFeed(row) : null
}

/** Ends a calendar for good; null for an unknown one. Ending it twice changes nothing. */
export const revokeFeed = async (knex: Knex, id: string): Promise<FeedRow | null> => {
  const [row] = (await knex('feeds')
    .where({ id })
    .update({ revoked_at: knex.raw('coalesce(revoked_at, now())') })
    .returning(COLUMNS)) as Row[]
  return row ? toFeed(row) : null
}

/** The calendar of a secret that is not revoked; notes, once an hour, that it was read. */
export const findFeedBySecret = async (knex: Knex, secretHash: Buffer): Promise<FeedRow | null> => {
  const row = (await knex('feeds')
    .where({ secret_sha256: secretHash })
    .whereNull('revoked_at')
    .first(COLUMNS)) as Row | undefined
  if (!row) return null
  await knex('feeds')
    .where({ id: row.id })
    .where((q) => q.whereNull('read_at').orWhereRaw(`read_at < now() - interval '1 hour'`))
    .update({ read_at: knex.fn.now() })
  return toFeed(row)
}
