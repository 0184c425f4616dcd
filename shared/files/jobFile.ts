import { z } from 'zod'
import { ROLES } from '../../core/logbook/may'
import type { LogEntry } from '../../core/logbook/entry'
import { inOrder } from '../inOrder'
import { issue } from '../issue'
import { toWire } from '../logbook/lifts'
import { MACHINE_SCHEMA } from '../register/lifts'
import type { MachineSnapshot } from '../register/machine'
import type { Person } from '../register/works'
import { text, uuid, words } from '../text'

/** What a file of one job calls itself, and the version of its outer shape; entries and machine carry their own. */
export const JOB_FORMAT = 'hushed-caliper-job'
export const JOB_FILE_VERSION = 1

const BASE64 = /^[A-Za-z0-9+/]+={0,2}$/

/**
 * A whole job in a file: what `npm run job -- fold` reads, with who wrote it and its photographs. The machine and each
 * entry are read by the door that everything goes through, of whatever version.
 */
export const jobFile = z.object({
  format: z.literal(JOB_FORMAT, { error: issue('not-a-job-file') }),
  version: z.literal(JOB_FILE_VERSION, { error: issue('job-file-from-a-newer-program') }),
  works: text('name-of-the-works', 200).describe('The works it comes from.'),
  job: uuid('jobs-id'),
  people: z
    .array(
      z.object({
        id: uuid('who-is-writing'),
        name: words('name-of-the-person', 80),
        role: z.enum(ROLES, { error: issue('one-of', 'role', ROLES.join(', ')) }),
      }),
    )
    .max(500)
    .describe('Who wrote in it.'),
  machineSchema: z.int().min(1).describe('Version of the machine’s shape.'),
  machine: z.looseObject({ id: uuid('machines-id') }).describe('As registered when the job was opened.'),
  entries: z
    .array(z.looseObject({ id: uuid('entry-id'), kind: z.string(), payload: z.unknown() }))
    .min(1, { error: issue('job-without-entries') })
    .max(20_000)
    .describe('The logbook in the order it was received.'),
  photographs: z
    .array(
      z.object({
        id: uuid('photograph'),
        sent: z
          .string()
          .regex(/^[0-9a-f]{64}$/)
          .describe('SHA-256 of the picture as it was sent.'),
        jpeg: z
          .string()
          .regex(BASE64, { error: issue('picture-in-base64') })
          .max(4_000_000),
      }),
    )
    .max(400)
    .default([]),
})

export type JobFile = z.output<typeof jobFile>

/** What a job's file is written from. */
export interface JobToFile {
  readonly works: string
  readonly job: string
  readonly people: readonly Person[]
  readonly machine: MachineSnapshot
  readonly entries: readonly LogEntry[]
  readonly photographs: readonly { readonly id: string; readonly sent: string; readonly jpeg: string }[]
}

/** An entry as a line: who and when ahead of what, in one order however it was kept. */
const lineOf = (entry: LogEntry) => {
  const { id, kind, version, part, second, author, madeAt, receivedAt, after, before, supersedes } =
    toWire(entry)
  const where = part == null ? {} : { part }
  const beside = second == null ? {} : { second }
  const head = { id, kind, version, ...where, author, ...beside, madeAt, receivedAt, after, before }
  return { ...head, supersedes: inOrder(supersedes), payload: inOrder(entry.payload) }
}

const listed = (name: string, items: readonly unknown[]): string =>
  items.length === 0
    ? `  "${name}": []`
    : `  "${name}": [\n${items.map((item) => `    ${JSON.stringify(item)}`).join(',\n')}\n  ]`

/** A job as the text of its file: one entry a line, so that a fault can be named by its line; the same job, the same text. */
export const writeJobFile = (of: JobToFile): string => {
  const head = {
    format: JOB_FORMAT,
    version: JOB_FILE_VERSION,
    works: of.works,
    job: of.job,
    machineSchema: MACHINE_SCHEMA,
    machine: inOrder(of.machine),
  }
  const lines = [
    ...Object.entries(head).map(([key, value]) => `  "${key}": ${JSON.stringify(value)}`),
    listed('people', of.people),
    listed('entries', of.entries.map(lineOf)),
    listed('photographs', of.photographs),
  ]
  return `{\n${lines.join(',\n')}\n}\n`
}
