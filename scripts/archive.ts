import { spawn } from 'node:child_process'
import { existsSync, readdirSync, renameSync, rmSync } from 'node:fs'
import { delimiter, join } from 'node:path'
import type { Knex } from 'knex'
import { migrateUp } from '../server/database/migrate'

/** Why a works could not be saved or brought back, as a sentence that says what to do. */
export class ArchiveTrouble extends Error {}

const DEBIAN = '/usr/lib/postgresql'

/** A tool of PostgreSQL's: on the path, else the newest that Debian's packages brought. */
const toolAt = (name: string): string => {
  const debian = existsSync(DEBIAN)
    ? readdirSync(DEBIAN)
        .sort((a, b) => Number(b) - Number(a))
        .map((version) => join(DEBIAN, version, 'bin'))
    : []
  const places = [...(process.env.PATH ?? '').split(delimiter), ...debian]
  const found = places.map((place) => join(place, name)).find((file) => existsSync(file))
  if (!found)
    throw new ArchiveTrouble(
      `${name} is not here. It comes with PostgreSQL’s client: on Debian, the package postgresql-client.`,
    )
  return found
}

/** How the tools reach a database: by their environment, where no list of processes shows a password. */
const reach = (address: string): Record<string, string> => {
  const url = new URL(address)
  const said = {
    PGHOST: url.hostname.replace(/^\[(.*)\]$/, '$1'),
    PGPORT: url.port,
    PGUSER: decodeURIComponent(url.username),
    PGPASSWORD: decodeURIComponent(url.password),
    PGDATABASE: decodeURIComponent(url.pathname.slice(1)),
    PGSSLMODE: url.searchParams.get('sslmode') ?? '',
  }
  return Object.fromEntries(Object.entries(said).filter(([, value]) => value !== ''))
}

const toolDone = (name: string, args: readonly string[], address: string): Promise<void> =>
  new Promise((resolve, reject) => {
    const child = spawn(toolAt(name), args, {
      stdio: ['ignore', 'ignore', 'pipe'],
      env: { ...process.env, ...reach(address) },
    })
    let said = ''
    child.stderr.on('data', (chunk: Buffer) => (said = (said + chunk.toString()).slice(-2000)))
    child.on('error', reject)
    child.on('close', (code) =>
      code === 0 ? resolve() : reject(new ArchiveTrouble(`${name} could not do it:\n${said.trim()}`)),
    )
  })

/**
 * Saves a whole works in one file while it goes on working: everything as it stood at one moment. Never writes over a
 * file, and leaves none behind that is not whole.
 */
export const backUp = async (address: string, file: string): Promise<void> => {
  if (existsSync(file)) throw new ArchiveTrouble(`${file} is there already. Give another name.`)
  const part = `${file}.part`
  try {
    await toolDone('pg_dump', ['--format=custom', '--no-owner', '--no-privileges', `--file=${part}`], address)
    renameSync(part, file)
  } finally {
    rmSync(part, { force: true })
  }
}

/** What a works holds, to be held against what was saved. */
export interface Holds {
  readonly machines: number
  readonly jobs: number
  readonly entries: number
  readonly photographs: number
}

/** Counts what lies in a database. */
export const holdsOf = async (knex: Knex): Promise<Holds> => {
  const count = async (table: string) => Number((await knex(table).count({ n: '*' }))[0]?.n ?? 0)
  const [machines, jobs, entries, photographs] = await Promise.all(
    ['machines', 'jobs', 'entries', 'photographs'].map(count),
  )
  return {
    machines: machines ?? 0,
    jobs: jobs ?? 0,
    entries: entries ?? 0,
    photographs: photographs ?? 0,
  }
}

/**
 * Brings a works back from a file into an empty database, and from the version it was saved by to today’s. All of it or
 * nothing; a database that holds something is left alone. Answers the migrations that were run.
 */
export const restore = async (knex: Knex, address: string, file: string): Promise<readonly string[]> => {
  if (!existsSync(file)) throw new ArchiveTrouble(`There is no file ${file}.`)
  const there = await knex('pg_tables').where({ schemaname: 'public' }).first('tablename')
  if (there)
    throw new ArchiveTrouble(
      'This database is not empty. Nothing was changed: give the address of a new, empty one.',
    )
  const options = ['--no-owner', '--no-privileges', '--exit-on-error', '--single-transaction']
  const { PGDATABASE = '' } = reach(address)
  await toolDone('pg_restore', [...options, `--dbname=${PGDATABASE}`, file], address)
  return migrateUp(knex)
}
