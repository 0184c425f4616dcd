import { PassThrough, type Readable } from 'node:stream'
import { createGzip } from 'node:zlib'
import type { Knex } from 'knex'
import { pack, type Pack } from 'tar-stream'
import { currentMigration } from '../database/migrate'
import type { ArchiveManifest } from './manifest'
import { WORKS_TABLES, type ArchivedTable } from './worksTables'

/** Rows of a file of the archive; as many are held at a time. */
const ROWS = 5000
const PICTURES = 20

/** Puts a file into the archive; waits while whoever reads it is slower. Nothing of it tells of when it was made. */
const put = (archive: Pack, name: string, text: string | Buffer): Promise<void> =>
  new Promise((taken, broken) => {
    const content = Buffer.from(text)
    const header = { name, size: content.length, mtime: new Date(0), mode: 0o644 }
    archive.entry(header, (trouble) => (trouble ? broken(trouble as Error) : taken())).end(content)
  })

const columnsOf = async (knex: Knex, { name, without = [] }: ArchivedTable): Promise<readonly string[]> => {
  const { rows } = (await knex.raw(
    `select column_name from information_schema.columns
     where table_schema = 'public' and table_name = ? order by ordinal_position`,
    [name],
  )) as { rows: { column_name: string }[] }
  return rows.map((r) => r.column_name).filter((c) => !without.includes(c))
}

/** Walks through what a query finds, a part at a time. */
const inParts = async function* <T>(
  knex: Knex,
  query: Knex.QueryBuilder,
  size: number,
): AsyncGenerator<readonly T[]> {
  const { sql, bindings } = query.toSQL().toNative()
  await knex.raw(`declare part no scroll cursor for ${sql}`, bindings as Knex.RawBinding[])
  for (;;) {
    const { rows } = (await knex.raw(`fetch ${size} from part`)) as { rows: T[] }
    if (rows.length === 0) break
    yield rows
  }
  await knex.raw('close part')
}

const countOf = async (knex: Knex, table: string): Promise<number> =>
  Number((await knex(table).count({ n: '*' }))[0]?.n ?? 0)

const writeAll = async (knex: Knex, archive: Pack): Promise<void> => {
  // A moment told in the zone of whoever asks would not be the same text everywhere.
  await knex.raw(`set local time zone 'UTC'`)
  const tables = []
  for (const table of WORKS_TABLES)
    tables.push({
      name: table.name,
      columns: await columnsOf(knex, table),
      rows: await countOf(knex, table.name),
    })
  const works = (await knex('works').first('name')) as { name: string } | undefined
  const manifest = {
    format: 'hushed-caliper-works',
    version: 1,
    works: works?.name ?? '',
    migration: (await currentMigration(knex)) ?? '',
    tables: tables.map((t) => ({ ...t, columns: [...t.columns] })),
    photographs: await countOf(knex, 'photographs'),
  } satisfies ArchiveManifest
  await put(archive, 'works.json', `${JSON.stringify(manifest, null, 2)}\n`)
  for (const [i, { name, by }] of WORKS_TABLES.entries()) {
    const columns = tables[i]?.columns ?? []
    const rows = knex(name)
      .select(columns as string[])
      .orderBy(by.map((column) => ({ column })))
      .as('row')
    const lines = knex.select(knex.raw('row_to_json("row")::text as line')).from(rows)
    let n = 0
    for await (const part of inParts<{ line: string }>(knex, lines, ROWS)) {
      n += 1
      const file = `tables/${name}/${String(n).padStart(5, '0')}.jsonl`
      await put(archive, file, part.map(({ line }) => `${line}\n`).join(''))
    }
  }
  const told = await columnsOf(knex, { name: 'photographs', by: ['id'], without: ['jpeg'] })
  const pictures = knex('photographs')
    .select('id', 'jpeg')
    .select(
      knex.raw(
        `(select row_to_json(told)::text from (select ${told.map(() => '??').join(', ')}) as told) as line`,
        told.map((column) => `photographs.${column}`),
      ),
    )
    .orderBy('id')
  type Picture = { readonly id: string; readonly jpeg: Buffer; readonly line: string }
  for await (const part of inParts<Picture>(knex, pictures, PICTURES))
    for (const { id, jpeg, line } of part) {
      await put(archive, `photographs/${id}.json`, `${line}\n`)
      await put(archive, `photographs/${id}.jpg`, jpeg)
    }
}

/**
 * A whole works as one archive, while it goes on working: everything as it stood at one moment, a tar file packed by gzip, in it JSON
 * Lines a table and a JPEG a photograph. The same works gives the same bytes. See docs/files.md.
 * @returns What streams out; it breaks off with what went wrong.
 */
export const worksArchive = (knex: Knex): Readable => {
  const archive = pack()
  const out = new PassThrough()
  archive.pipe(createGzip()).pipe(out)
  // Whoever reads it has gone: nothing more is looked for.
  out.once('close', () => archive.destroy())
  void knex
    .transaction((moment) => writeAll(moment, archive), { isolationLevel: 'repeatable read', readOnly: true })
    .then(
      () => archive.finalize(),
      (trouble: Error) => out.destroy(trouble),
    )
  return out
}
