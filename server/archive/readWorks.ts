import type { Readable } from 'node:stream'
import { createGunzip } from 'node:zlib'
import type { Knex } from 'knex'
import { extract } from 'tar-stream'
import { migrateTo, migrateUp } from '../database/migrate'
import { archiveManifest, type ArchiveManifest } from './manifest'
import { WORKS_TABLES } from './worksTables'

/** Why an archive can't be brought in, as a sentence that says what to do. */
export class WorksTrouble extends Error {}

/** The most bytes that a file of an archive has; what is larger was not made here. */
const LARGEST = 128 * 2 ** 20
const damaged = (what: string) =>
  new WorksTrouble(`The archive is damaged: ${what}. Nothing was brought in; take it out of its works again.`)

const contentOf = async (entry: AsyncIterable<unknown>, name: string): Promise<Buffer> => {
  const parts: Buffer[] = []
  let size = 0
  for await (const piece of entry) {
    const part = piece as Buffer
    size += part.length
    if (size > LARGEST) throw damaged(`${name} is larger than a file of an archive is`)
    parts.push(part)
  }
  return Buffer.concat(parts)
}

const jsonOf = (text: string, where: string): unknown => {
  try {
    return JSON.parse(text)
  } catch {
    throw damaged(`${where} is no JSON`)
  }
}

const readManifest = (text: string): ArchiveManifest => {
  const read = archiveManifest.safeParse(jsonOf(text, 'works.json'))
  if (!read.success)
    throw new WorksTrouble('This is no archive of a works: its works.json says something else.')
  return read.data
}

/** What the database has against a row, in its own words: its constraints are named by what they ask. */
const doesNotFit = (file: string, trouble: unknown): unknown => {
  const {
    code = '',
    constraint,
    message = '',
  } = trouble as { code?: string; constraint?: string; message?: string }
  if (!/^(22|23|42)/.test(code)) return trouble
  return damaged(`${file} does not fit the rest (${constraint ?? message.split(' - ').at(-1)})`)
}

/** Puts the lines of a file into its table, in their order. */
const insertLines = async (
  knex: Knex,
  { name, columns }: ArchiveManifest['tables'][number],
  file: string,
  text: string,
): Promise<number> => {
  const lines = text.split('\n').filter((line) => line !== '')
  for (const [i, line] of lines.entries()) jsonOf(line, `line ${i + 1} of ${file}`)
  const marks = columns.map(() => '??').join(', ')
  await knex
    .raw(`insert into ?? (${marks}) select ${marks} from json_populate_recordset(null::??, ?::json)`, [
      name,
      ...columns,
      ...columns,
      name,
      `[${lines.join(',')}]`,
    ])
    .catch((trouble: unknown) => {
      throw doesNotFit(file, trouble)
    })
  return lines.length
}

const insertPicture = async (knex: Knex, told: Readonly<Record<string, unknown>>, jpeg: Buffer) => {
  const columns = Object.keys(told)
  const marks = columns.map(() => '??').join(', ')
  await knex.raw(
    `insert into photographs (${marks}, jpeg)
     select ${marks}, ?::bytea from json_populate_record(null::photographs, ?::json)`,
    [...columns, ...columns, jpeg, JSON.stringify(told)] as Knex.RawBinding[],
  )
}

const bringInto = async (knex: Knex, files: Readable): Promise<ArchiveManifest> => {
  const archive = extract()
  const unpacked = createGunzip()
  files.on('error', (trouble) => unpacked.destroy(trouble))
  unpacked.on('error', (trouble) => archive.destroy(trouble))
  files.pipe(unpacked).pipe(archive)
  let manifest: ArchiveManifest | null = null
  let picture: Readonly<Record<string, unknown>> | null = null
  const rows = new Map<string, number>()
  const known = new Map(WORKS_TABLES.map((t) => [t.name, t.without ?? []]))
  let pictures = 0
  for await (const entry of archive) {
    const { name } = entry.header
    const content = await contentOf(entry, name)
    if (!manifest) {
      if (name !== 'works.json')
        throw new WorksTrouble('This is no archive of a works: works.json is not its first file.')
      manifest = readManifest(content.toString())
      if (!(await migrateTo(knex, manifest.migration)))
        throw new WorksTrouble(
          `The archive is of a newer version (${manifest.migration}) than this program. Bring the program up to it first.`,
        )
      await knex.raw(`set local time zone 'UTC'`)
      for (const t of manifest.tables) {
        const left = known.get(t.name)
        if (!left) throw damaged(`it has a table ${t.name}`)
        // A PIN that somebody wrote into an archive would open the works that it is brought into.
        const strange = t.columns.find((column) => left.includes(column))
        if (strange) throw damaged(`${t.name} has a column ${strange}`)
      }
      // A database that was just laid out has a works of no name.
      await knex.raw(
        `truncate ${manifest.tables.map(() => '??').join(', ')} cascade`,
        manifest.tables.map((t) => t.name),
      )
      continue
    }
    const [, table = ''] = /^tables\/([a-z_]+)\/\d+\.jsonl$/.exec(name) ?? []
    const told = manifest.tables.find((t) => t.name === table)
    if (told)
      rows.set(table, (rows.get(table) ?? 0) + (await insertLines(knex, told, name, content.toString())))
    else if (/^photographs\/[^/]+\.json$/.test(name))
      picture = jsonOf(content.toString(), name) as Readonly<Record<string, unknown>>
    else if (picture && name === `photographs/${String(picture.id)}.jpg`) {
      await insertPicture(knex, picture, content).catch((trouble: unknown) => {
        throw doesNotFit(name, trouble)
      })
      pictures += 1
    } else throw damaged(`nobody knows what ${name} is`)
  }
  if (!manifest) throw damaged('there is nothing in it')
  for (const t of manifest.tables)
    if ((rows.get(t.name) ?? 0) !== t.rows) throw damaged(`rows of ${t.name} are missing`)
  if (pictures !== manifest.photographs) throw damaged('photographs are missing')
  return manifest
}

/** What a database or a stream says of an archive that does not fit. */
const inWords = (trouble: unknown): unknown => {
  if (trouble instanceof WorksTrouble || !(trouble instanceof Error)) return trouble
  const { code = '' } = trouble as { code?: string }
  // What zlib and tar say of broken bytes.
  if (/^Z_|^ERR_/.test(code) || /tar|gzip|Unexpected end/i.test(trouble.message))
    return damaged('its bytes are broken')
  return trouble
}

/**
 * Brings a whole works from its archive into an empty database, and from the version it was taken by to today's. All of it or nothing.
 * @throws WorksTrouble, with what to do, when the database holds something or the archive is not whole; the database is empty again then.
 * @returns What it says of itself, and the migrations that were run after it.
 */
export const bringWorks = async (
  knex: Knex,
  files: Readable,
): Promise<{ readonly manifest: ArchiveManifest; readonly ran: readonly string[] }> => {
  const there = await knex('pg_tables').where({ schemaname: 'public' }).first('tablename')
  if (there)
    throw new WorksTrouble(
      'This database is not empty. Nothing was changed: give the address of a new, empty one.',
    )
  try {
    const manifest = await knex.transaction((all) => bringInto(all, files))
    return { manifest, ran: await migrateUp(knex) }
  } catch (trouble) {
    throw inWords(trouble)
  }
}
