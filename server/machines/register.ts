import type { Knex } from 'knex'
import type { MachineAnswer, MachineSummary } from '../../shared/api/answers'
import { machineFields, type MachineFields, type MachineRecord } from '../../shared/register/machine'
import { notFound, Refused } from '../http/refusal'
import { lastClosedByMachine, listJobs, openJobByMachine } from '../jobs/jobs.repository'
import { findMachine, insertMachine, listMachines, updateMachine } from './machines.repository'
import { answerWords } from '../../shared/wording/viewWords'

const noMachine = (tag: string) => notFound(answerWords.noMachine(tag))

/** The register with each machine's open job and its last closed one. */
export const machineSummaries = async (knex: Knex): Promise<readonly MachineSummary[]> => {
  const [machines, open, closed] = await Promise.all([
    listMachines(knex),
    openJobByMachine(knex),
    lastClosedByMachine(knex),
  ])
  return machines.map((m) => ({
    ...m,
    openJob: open.get(m.id) ?? null,
    lastClosed: closed.get(m.id) ?? null,
  }))
}

/** One machine with its jobs, newest first; 404 for an unknown tag. */
export const machineWithJobs = async (knex: Knex, tag: string): Promise<MachineAnswer> => {
  const machine = await findMachine(knex, tag)
  if (!machine) throw noMachine(tag)
  return { machine, jobs: await listJobs(knex, { machineId: machine.id, most: 50 }) }
}

/** Adds a machine; 409 when the tag is taken. */
export const addMachine = async (
  knex: Knex,
  given: MachineFields & { readonly id: string },
): Promise<MachineRecord> => {
  const { id, ...record } = given
  if (await insertMachine(knex, id, record)) return { ...record, id, version: 1 }
  const current = await findMachine(knex, record.tag)
  throw new Refused(409, 'tag-taken', answerWords.tagTakenChoose(record.tag), {
    current,
    issues: [{ path: 'tag', message: answerWords.tagTaken }],
  })
}

const tagTaken = (tag: string) =>
  new Refused(409, 'tag-taken', answerWords.tagTakenChoose(tag), {
    issues: [{ path: 'tag', message: answerWords.tagTaken }],
  })

/** Changes a machine; 409 with the current row when the version is stale. */
export const changeMachine = async (
  knex: Knex,
  tag: string,
  change: MachineFields & { readonly version: number },
): Promise<MachineRecord> => {
  const { version, ...given } = change
  const record = machineFields.parse(given)
  return knex.transaction(async (trx) => {
    const current = await findMachine(trx, tag, true)
    if (!current) throw noMachine(tag)
    if (record.retired && !current.retired && (await openJobByMachine(trx)).has(current.id))
      throw new Refused(409, 'job-open', answerWords.retireJobOpen)
    if (current.version !== version) throw new Refused(409, 'stale', answerWords.machineChanged, { current })
    if (record.tag.toLowerCase() !== tag.toLowerCase() && (await findMachine(trx, record.tag)))
      throw tagTaken(record.tag)
    try {
      await updateMachine(trx, current.id, version, record)
    } catch (failure) {
      // Two machines were given one tag at the same moment: only the index can see that.
      throw (failure as { code?: string }).code === '23505' ? tagTaken(record.tag) : failure
    }
    return { ...record, id: current.id, version: version + 1 }
  })
}
