import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, expect, inject } from 'vitest'
import type { EntryBody } from '../../core/logbook/entry'
import { databaseOf, startCluster, type Cluster } from '../support/cluster'
import { draft, OPENING } from '../support/entries'
import { startProgram, type Program } from '../support/program'

export interface Answer {
  readonly status: number
  readonly body: Record<string, unknown>
}

interface ProgramOptions {
  readonly alone?: boolean
  /** Where its log goes. */
  readonly log?: string
}

/** A running program for one file of tests, and how to talk to it; with `alone` on a cluster that it may stop. */
export const useProgram = (name: string, { alone = false, log: logFile }: ProgramOptions = {}) => {
  const held: { cluster?: Cluster; program?: Program } = {}
  beforeAll(async () => {
    if (alone) held.cluster = await startCluster(`test-${name}`)
    held.program = await startProgram(held.cluster?.url ?? databaseOf(inject('address')), name, logFile)
  }, 180_000)
  afterAll(async () => {
    await held.program?.stop()
    await held.cluster?.stop()
  }, 60_000)

  const program = () => held.program as Program
  const ask = async (path: string, init: RequestInit = {}): Promise<Answer> => {
    const response = await program().fetch(path, init)
    const text = await response.text()
    return { status: response.status, body: text === '' ? {} : (JSON.parse(text) as Record<string, unknown>) }
  }
  const send = (method: 'POST' | 'PUT', path: string, body: unknown) =>
    ask(path, {
      method,
      body: typeof body === 'string' ? body : JSON.stringify(body),
      headers: { 'content-type': 'application/json' },
    })
  const post = (path: string, body: unknown) => send('POST', path, body)
  const seen = new Map<string, string>()
  /** Writes an entry as somebody who has seen all that was logged here before. */
  const log = async (job: string, body: EntryBody, more: object = {}) => {
    const entry = draft(body, { after: seen.get(job) ?? null, ...more })
    const answer = await post(`/api/jobs/${job}/entries`, entry)
    if (answer.status === 201) seen.set(job, entry.id)
    return answer
  }
  const openJob = async (machine = 'CP-11') => {
    const id = randomUUID()
    const opening = draft(OPENING)
    const answer = await post('/api/jobs', { id, machine, opening })
    expect(answer.status).toBe(201)
    seen.set(id, opening.id)
    return id
  }
  return { program, cluster: () => held.cluster as Cluster, ask, send, post, log, openJob }
}

/** A refusal has its status, a code and a plain sentence. */
export const expectRefusal = (answer: Answer, status: number, code?: string) => {
  expect(answer.status, JSON.stringify(answer.body)).toBe(status)
  const { error } = answer.body as { error: { code: string; message: string } }
  expect(error.message).toMatch(/^[A-Z].*[.?]$/)
  if (code) expect(error.code).toBe(code)
}

export const issuePaths = (answer: Answer): string[] =>
  ((answer.body as { error: { issues?: { path: string }[] } }).error.issues ?? []).map((i) => i.path)
