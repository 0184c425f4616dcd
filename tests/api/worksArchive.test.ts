import { createHash, randomUUID } from 'node:crypto'
import { Readable } from 'node:stream'
import { buffer } from 'node:stream/consumers'
import { gunzipSync, gzipSync } from 'node:zlib'
import sharp from 'sharp'
import type { Knex } from 'knex'
import { extract, pack } from 'tar-stream'
import { beforeAll, describe, expect, it } from 'vitest'
import { archiveManifest } from '../../server/archive/manifest'
import { bringWorks, WorksTrouble } from '../../server/archive/readWorks'
import { LEFT_OUT, WORKS_TABLES } from '../../server/archive/worksTables'
import { worksArchive } from '../../server/archive/writeWorks'
import { programOn } from '../support/program'
import { useProgram } from './client'
import { useDatabases } from './databases'

const api = useProgram('works_archive')
const { open, empty } = useDatabases()
const tablesOf = async (knex: Knex) =>
  ((await knex('pg_tables').where({ schemaname: 'public' })) as { tablename: string }[]).map(
    (t) => t.tablename,
  )
const out = (knex: Knex) => buffer(worksArchive(knex))
const sum = (bytes: Buffer) => createHash('sha256').update(bytes).digest('hex')

type Files = Map<string, Buffer>
const filesOf = async (archive: Buffer): Promise<Files> => {
  const files: Files = new Map()
  for await (const entry of Readable.from([gunzipSync(archive)]).pipe(extract()))
    files.set(entry.header.name, await buffer(entry))
  return files
}
const packed = async (files: Files): Promise<Readable> => {
  const archive = pack()
  for (const [name, content] of files) archive.entry({ name }, content)
  archive.finalize()
  return Readable.from([gzipSync(await buffer(archive))])
}

let there: Knex
let archive: Buffer
beforeAll(async () => {
  there = open(api.program().databaseUrl)
  const job = (await there('jobs').first('id')) as { id: string }
  const jpeg = await sharp({ create: { width: 8, height: 6, channels: 3, background: '#123456' } })
    .jpeg()
    .toBuffer()
  await there('photographs').insert({
    id: randomUUID(),
    job_id: job.id,
    sent_sha256: createHash('sha256').update(jpeg).digest(),
    width: 8,
    height: 6,
    jpeg,
  })
  archive = await out(there)
})

describe('a whole works as one archive', () => {
  it('holds every table that there is, but for those that say why they stay', async () => {
    const known = [...WORKS_TABLES.map((t) => t.name), ...Object.keys(LEFT_OUT)].sort()
    expect((await tablesOf(there)).sort()).toEqual(known)
  })

  it('is the same bytes each time, and again out of the works that it was brought into', async () => {
    expect(sum(await out(there))).toBe(sum(archive))
    const { address, knex } = await empty('works_again')
    const { manifest, ran } = await bringWorks(knex, Readable.from([archive]))
    expect(ran).toEqual([])
    expect(manifest.tables.find((t) => t.name === 'jobs')?.rows).toBeGreaterThan(20)
    expect(sum(await out(knex))).toBe(sum(archive))

    // It runs: it asks for its first lead, and shows its jobs to them.
    const program = await programOn(address)
    try {
      expect(await (await fetch(`${program.url}/api/session`)).json()).toMatchObject({ first: true })
      await program.firstLead('Maintenance lead')
      expect((await program.fetch('/api/machines/CP-11')).status).toBe(200)
    } finally {
      await program.stop()
    }
  })

  it('can be read by anybody: JSON a line, nothing of a PIN in it', async () => {
    const files = await filesOf(archive)
    const manifest = archiveManifest.parse(JSON.parse(String(files.get('works.json'))))
    for (const { name, columns, rows } of manifest.tables) {
      const lines = [...files]
        .filter(([file]) => file.startsWith(`tables/${name}/`))
        .flatMap(([, content]) => content.toString().trimEnd().split('\n'))
      expect(lines).toHaveLength(rows)
      for (const line of lines.slice(0, 3)) expect(Object.keys(JSON.parse(line) as object)).toEqual(columns)
    }
    const everything = [...files.values()].join('')
    expect(everything).not.toContain('argon2')
    const { key } = (await there('keys').first('key')) as { key: string }
    expect(everything).not.toContain(key)
  })

  it('is what a lead gets by its address, and nobody else; it is noted', async () => {
    const answer = await api.program().fetch('/api/files/works.tar.gz')
    expect(answer.headers.get('content-type')).toBe('application/gzip')
    const files = await filesOf(Buffer.from(await answer.arrayBuffer()))
    expect(files.has('works.json')).toBe(true)
    expect((await fetch(`${api.program().url}/api/files/works.tar.gz`)).status).toBe(401)
    await expect.poll(async () => (await there('deeds').where({ deed: 'worksArchive' })).length).toBe(1)
  })
})

describe('an archive that is not whole', () => {
  const refused = async (name: string, files: Readable, says: RegExp) => {
    const { knex } = await empty(name)
    const trouble = await bringWorks(knex, files).then(
      () => null,
      (failure: unknown) => failure,
    )
    expect(trouble).toBeInstanceOf(WorksTrouble)
    expect((trouble as Error).message).toMatch(says)
    expect(await tablesOf(knex)).toEqual([])
  }
  const changed = async (change: (files: Files) => void) => {
    const files = await filesOf(archive)
    change(files)
    return packed(files)
  }
  const people = 'tables/people/00001.jsonl'

  it('is said in words, and leaves the database empty', async () => {
    await refused('no_gzip', Readable.from([Buffer.from('no archive at all')]), /damaged/)
    await refused('cut_short', Readable.from([archive.subarray(0, archive.length / 2)]), /damaged/)
    await refused('no_tar', Readable.from([gzipSync('no archive at all')]), /damaged|no archive/)
    await refused('other', await packed(new Map([['a.txt', Buffer.from('a')]])), /no archive of a works/)
  })

  it('names what is missing, strange or broken in it', async () => {
    const lost = await changed((files) => void files.delete(people))
    await refused(
      'lost_rows',
      lost,
      /tables\/jobs\/00001.jsonl does not fit the rest \(jobs_last_author_foreign\)/,
    )
    const figures = 'tables/job_figures/00001.jsonl'
    const fewer = await changed((files) => void files.delete(figures))
    await refused('fewer_rows', fewer, /rows of job_figures are missing/)
    const strange = await changed((files) => void files.set('tables/keys/00001.jsonl', Buffer.from('{}\n')))
    await refused('strange_file', strange, /nobody knows what tables\/keys/)
    const opened = await changed((files) => {
      const manifest = String(files.get('works.json')).replace(
        /("name": "people",\s*"columns": \[)/,
        '$1 "secret",',
      )
      const [, ...others] = [...files]
      files.clear()
      files.set('works.json', Buffer.from(manifest))
      for (const [name, content] of others) files.set(name, content)
    })
    await refused('with_a_secret', opened, /people has a column secret/)
    const broken = await changed((files) => void files.set(people, Buffer.from('{"id":\n')))
    await refused('broken_line', broken, /line 1 of tables\/people\/00001.jsonl is no JSON/)
    const newer = await changed((files) => {
      const manifest = JSON.parse(String(files.get('works.json'))) as { migration: string }
      const [, ...others] = [...files]
      files.clear()
      files.set('works.json', Buffer.from(JSON.stringify({ ...manifest, migration: '9999-beyond' })))
      for (const [name, content] of others) files.set(name, content)
    })
    await refused('newer', newer, /newer version \(9999-beyond\)/)
  })

  it('never goes over a works that is there', async () => {
    const before = sum(await out(there))
    await expect(bringWorks(there, Readable.from([archive]))).rejects.toThrow(/not empty/)
    expect(sum(await out(there))).toBe(before)
  })
})
