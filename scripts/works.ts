/** `npm run works -- out [file]`, `npm run works -- in file`: the whole works at DATABASE_URL as one archive in open formats, and back into an empty database. */
import { createReadStream, createWriteStream, existsSync, renameSync, rmSync } from 'node:fs'
import { pipeline } from 'node:stream/promises'
import dayjs from 'dayjs'
import { bringWorks, WorksTrouble } from '../server/archive/readWorks'
import { worksArchive } from '../server/archive/writeWorks'
import { ArchiveTrouble, holdsOf } from './archive'
import { withDatabase } from './withDatabase'

const [, , way, given] = process.argv

await withDatabase(async (knex) => {
  const told = async () => {
    const { machines, jobs, entries, photographs } = await holdsOf(knex)
    return `${machines} machines, ${jobs} jobs, ${entries} entries, ${photographs} photographs`
  }
  if (way === 'out') {
    const file = given ?? `works-${dayjs().format('YYYY-MM-DD-HHmm')}.tar.gz`
    if (existsSync(file)) throw new ArchiveTrouble(`${file} is there already. Give another name.`)
    try {
      await pipeline(worksArchive(knex), createWriteStream(`${file}.part`))
      renameSync(`${file}.part`, file)
    } finally {
      rmSync(`${file}.part`, { force: true })
    }
    process.stdout.write(`Taken out to ${file}: ${await told()}.\n`)
    return
  }
  if (way !== 'in' || !given)
    throw new ArchiveTrouble('Say which way: npm run works -- out [file], or npm run works -- in file')
  if (!existsSync(given)) throw new ArchiveTrouble(`There is no file ${given}.`)
  const { ran } = await bringWorks(knex, createReadStream(given)).catch((trouble: unknown) => {
    throw trouble instanceof WorksTrouble ? new ArchiveTrouble(trouble.message) : trouble
  })
  process.stdout.write(
    `Brought in from ${given}: ${await told()}. Nobody has a PIN yet: its page asks for the first lead.\n`,
  )
  if (ran.length > 0)
    process.stdout.write(
      `It was of an older version and has been migrated: ${ran.join(', ')}. Run npm run refold next.\n`,
    )
})
