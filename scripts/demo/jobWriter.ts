import type { Knex } from 'knex'
import type { EntryBody } from '../../core/logbook/entry'
import { LOADED_SAFETY_POINTS, SAFETY_POINTS } from '../../core/stages/makeSafe/entries'
import type { DueFor } from '../../core/stages/close/due'
import { FOLD_VERSION } from '../../core/stages/close/closing'
import { foldJob, type Job } from '../../core/jobs/jobs'
import { addEntryWithin, openJob, readJob } from '../../server/jobs/logbook'
import { keepPhotograph } from '../../server/photographs/photographs'
import type { MachineFields } from '../../shared/register/machine'
import { drawPicture, type DemoPicture } from './pictures'
import { demoId } from './works'

const MINUTE = 60_000

/** Writes a demo job through the same door as a person, dated from its start. */
export class JobWriter {
  private clock: number
  private count = 0
  private last: string | null = null
  protected readonly jobId: string

  constructor(
    private readonly knex: Knex,
    protected readonly fields: MachineFields,
    private readonly name: string,
    private readonly author: string,
    start: Date,
  ) {
    this.jobId = demoId(`job/${name}`)
    this.clock = start.getTime()
  }

  private draft(body: EntryBody, author = this.author, part?: string) {
    const id = demoId(`entry/${this.name}/${this.count++}`)
    const after = this.last
    this.last = id
    return {
      id,
      author,
      madeAt: new Date(this.clock).toISOString(),
      after,
      before: null,
      supersedes: null,
      ...(part === undefined ? {} : { part }),
      ...body,
    }
  }

  /** Appends an entry some minutes after the last one; of a train, about this part of it. */
  async write(body: EntryBody, minutes = 4, author?: string, part?: string): Promise<void> {
    this.clock += minutes * MINUTE
    await addEntryWithin(this.knex, this.jobId, this.draft(body, author, part), new Date(this.clock))
  }

  async open(payload: Extract<EntryBody, { kind: 'job-opened' }>['payload']): Promise<void> {
    const opening = this.draft({ kind: 'job-opened', payload })
    await openJob(this.knex, { id: this.jobId, machine: this.fields.tag, opening }, new Date(this.clock))
  }

  /** The time so many minutes on, as a person at the machine would read it off a clock. */
  protected moment(minutes = 0): string {
    return new Date(this.clock + minutes * MINUTE).toISOString()
  }

  /** Keeps a picture with the job, through the same door as a person's; its id. */
  protected async keepPicture(picture: DemoPicture): Promise<string> {
    const id = demoId(`photograph/${this.name}/${picture}`)
    await keepPhotograph(this.knex, this.jobId, id, await drawPicture(picture))
    return id
  }

  async makeSafe(permit = ''): Promise<void> {
    for (const point of this.fields.drive === 'drum' ? LOADED_SAFETY_POINTS : SAFETY_POINTS)
      await this.write({ kind: 'safety-confirmed', payload: { point, permit } }, 3)
  }

  protected async folded(): Promise<Job> {
    const { machine, entries } = await readJob(this.knex, this.jobId)
    return foldJob(machine, entries)
  }

  /** Signed; `due` is what to come back for, and how many days on. */
  async close(
    signedBy: string,
    remarks: string,
    exception = '',
    author?: string,
    due?: { readonly what: DueFor; readonly days: number; readonly words?: string },
  ): Promise<void> {
    const on = due && new Date(this.clock + due.days * 86_400_000).toISOString().slice(0, 10)
    const { verdict } = (await this.folded()).state.outcome
    await this.write(
      {
        kind: 'job-closed',
        payload: {
          signedBy,
          remarks,
          exception,
          due: due && on ? { on, what: due.what, words: due.words ?? '' } : null,
          signed: { verdict, foldVersion: FOLD_VERSION },
        },
      },
      25,
      author,
    )
  }
}
