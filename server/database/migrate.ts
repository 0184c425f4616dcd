import type { Knex } from 'knex'
import * as logbook from './migrations/0001-logbook'
import * as comeBack from './migrations/0008-come-back'
import * as frame from './migrations/0002-frame'
import * as history from './migrations/0007-history'
import * as instruments from './migrations/0004-instruments'
import * as limits from './migrations/0006-limits'
import * as narrowJobs from './migrations/0005-narrow-jobs'
import * as stores from './migrations/0009-stores'
import * as sections from './migrations/0010-sections'
import * as beltLimits from './migrations/0011-belt-limits'
import * as spareBelts from './migrations/0012-spare-belts'
import * as beltForecasts from './migrations/0013-belt-forecasts'
import * as flangeLeaves from './migrations/0014-flange-leaves'
import * as trainParts from './migrations/0015-train-parts'
import * as practice from './migrations/0016-practice'
import * as instrumentLines from './migrations/0017-instrument-lines'
import * as jobSearch from './migrations/0018-job-search'
import * as people from './migrations/0019-people'
import * as searchWords from './migrations/0020-search-words'
import * as photographs from './migrations/0003-photographs'

/** Every migration in order; an explicit list, so that the built server carries them. */
const MIGRATIONS: readonly { readonly name: string; readonly migration: Knex.Migration }[] = [
  { name: '0001-logbook', migration: logbook },
  { name: '0002-frame', migration: frame },
  { name: '0003-photographs', migration: photographs },
  { name: '0004-instruments', migration: instruments },
  { name: '0005-narrow-jobs', migration: narrowJobs },
  { name: '0006-limits', migration: limits },
  { name: '0007-history', migration: history },
  { name: '0008-come-back', migration: comeBack },
  { name: '0009-stores', migration: stores },
  { name: '0010-sections', migration: sections },
  { name: '0011-belt-limits', migration: beltLimits },
  { name: '0012-spare-belts', migration: spareBelts },
  { name: '0013-belt-forecasts', migration: beltForecasts },
  { name: '0014-flange-leaves', migration: flangeLeaves },
  { name: '0015-train-parts', migration: trainParts },
  { name: '0016-practice', migration: practice },
  { name: '0017-instrument-lines', migration: instrumentLines },
  { name: '0018-job-search', migration: jobSearch },
  { name: '0019-people', migration: people },
  { name: '0020-search-words', migration: searchWords },
]

const sourceOf = (migrations: typeof MIGRATIONS): Knex.MigrationSource<(typeof MIGRATIONS)[number]> => ({
  getMigrations: () => Promise.resolve([...migrations]),
  getMigrationName: (m) => m.name,
  getMigration: (m) => Promise.resolve(m.migration),
})
const source = sourceOf(MIGRATIONS)

/** Brings the database to the newest migration; answers the names it ran. */
export const migrateUp = async (knex: Knex): Promise<readonly string[]> => {
  const [, ran] = (await knex.migrate.latest({ migrationSource: source })) as [number, string[]]
  return ran
}

/** Lays out an empty database as it was at an earlier migration; false when there is none of that name. */
export const migrateTo = async (knex: Knex, name: string): Promise<boolean> => {
  const last = MIGRATIONS.findIndex((m) => m.name === name)
  if (last < 0) return false
  await knex.migrate.latest({ migrationSource: sourceOf(MIGRATIONS.slice(0, last + 1)) })
  return true
}

/** Takes back every migration; answers the names. */
export const migrateDown = async (knex: Knex): Promise<readonly string[]> => {
  const [, ran] = (await knex.migrate.rollback({ migrationSource: source }, true)) as [number, string[]]
  return ran
}

/** The newest migration the database has, null when it has none. */
export const currentMigration = async (knex: Knex): Promise<string | null> => {
  const row = (await knex('knex_migrations').orderBy('id', 'desc').first('name')) as
    { name: string } | undefined
  return row?.name ?? null
}
