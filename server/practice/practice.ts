import type { Knex } from 'knex'
import { resultsAsCsv } from '../../shared/practice/csv'
import type { PracticeAnswer, PracticeResult, PracticeTask } from '../../shared/practice/result'
import type { Person } from '../../shared/register/works'
import { answerWords } from '../../shared/wording/viewWords'
import { notFound, Refused } from '../http/refusal'
import { findPerson, listPeople } from '../works/works.repository'
import { dropTask, insertResult, insertTask, latestResults, openTasks } from './practice.repository'

/** Results of one's own that are told of. */
const OWN = 60
/** Results of everybody that a lead sees at once, and those that fit a file. */
const ALL = 200
const IN_FILE = 20_000

const personOf = async (knex: Knex, id: string): Promise<Person> => {
  const person = await findPerson(knex, id)
  if (!person) throw notFound(answerWords.noSuchPerson)
  return person
}
const leadOf = async (knex: Knex, id: string): Promise<Person> => {
  const person = await personOf(knex, id)
  if (person.role !== 'lead') throw new Refused(403, 'not-allowed', answerWords.onlyLeads)
  return person
}

/** What the practice room shows somebody; a lead sees everybody's results. */
export const practiceFor = async (knex: Knex, id: string): Promise<PracticeAnswer> => {
  const person = await personOf(knex, id)
  const own = await latestResults(knex, person.id, OWN)
  const tasks = await openTasks(knex)
  return { own, tasks, all: person.role === 'lead' ? await latestResults(knex, null, ALL) : null }
}

/** Keeps what a try came to; handed in twice it is there once. */
export const handIn = async (knex: Knex, result: PracticeResult): Promise<PracticeResult> => {
  await personOf(knex, result.person)
  await insertResult(knex, result)
  return result
}

/** Sets a lesson with a date; a lead's to do. 409 when its id is taken. */
export const setTask = async (knex: Knex, task: PracticeTask): Promise<PracticeTask> => {
  await leadOf(knex, task.by)
  if (!(await insertTask(knex, task))) throw new Refused(409, 'id-taken', answerWords.taskIdTaken)
  return task
}

/** Takes a lesson back. */
export const takeBack = async (knex: Knex, id: string, by: string): Promise<{ readonly id: string }> => {
  await leadOf(knex, by)
  if (!(await dropTask(knex, id))) throw notFound(answerWords.noTask)
  return { id }
}

/** Everybody's results as a file, for a lead. */
export const resultsFile = async (knex: Knex, by: string): Promise<string> => {
  await leadOf(knex, by)
  const people = new Map((await listPeople(knex)).map((p) => [p.id, p.name]))
  return resultsAsCsv(await latestResults(knex, null, IN_FILE), people)
}
