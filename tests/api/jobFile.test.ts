import { randomUUID } from 'node:crypto'
import sharp from 'sharp'
import { describe, expect, it } from 'vitest'
import type { JobAnswer, JobFileAnswer, JobSummary, Page } from '../../shared/api/answers'
import { lockOut } from '../support/entries'
import { expectRefusal, issuePaths, useProgram } from './client'

const api = useProgram('job_file')
const other = useProgram('job_file_other')

const textOf = async (job: string, from = api) => {
  const answer = await from.program().fetch(`/api/jobs/${job}/job.json`)
  expect(answer.status).toBe(200)
  return { text: await answer.text(), named: answer.headers.get('content-disposition') }
}
const bring = async (text: string, write: 'yes' | 'no', to = api) => {
  const { status, body } = await to.post(`/api/files/job?write=${write}`, text)
  return { status, body, answer: body as unknown as JobFileAnswer }
}
const jobsOf = async (state: 'yes' | 'no', from = api) => {
  const answer = await from.ask(`/api/jobs?open=${state}&most=100`)
  return (answer.body as unknown as Page<JobSummary>).rows
}
/** The file as another job’s: other ids throughout. */
const asAnother = (text: string): string => {
  const ids = new Map<string, string>()
  const file = JSON.parse(text) as { job: string; entries: { id: string }[]; photographs: { id: string }[] }
  for (const id of [file.job, ...file.entries.map((e) => e.id), ...file.photographs.map((p) => p.id)])
    ids.set(id, randomUUID())
  return [...ids].reduce((now, [from, to]) => now.replaceAll(from, to), text)
}

describe('a job in a file', () => {
  it('of every kind comes into another works whole, and leaves it again byte for byte', async () => {
    const kinds = new Set<string>()
    for (const job of await jobsOf('no')) {
      if (kinds.has(job.summary.kind)) continue
      kinds.add(job.summary.kind)
      const { text, named } = await textOf(job.id)
      expect(named).toMatch(/^attachment; filename="[\w.-]+\.job\.json"$/)
      const moved = asAnother(text)
      const would = await bring(moved, 'no', other)
      expect(would.answer).toMatchObject({
        is: 'new',
        machine: 'here',
        people: [],
        otherwise: 0,
        done: false,
      })
      const { answer, status } = await bring(moved, 'yes', other)
      expect(status, job.summary.kind).toBe(200)
      expect(answer).toMatchObject({ is: 'new', done: true })
      expect((await textOf(answer.job, other)).text).toBe(moved)
      const here = (await jobsOf('no', other)).find((j) => j.id === answer.job)
      expect(here).toMatchObject({ summary: job.summary, verdict: job.verdict, closedAt: job.closedAt })
    }
    expect(kinds.size).toBeGreaterThanOrEqual(4)
  })

  it('that is here already does nothing', async () => {
    const [job] = await jobsOf('no')
    const { text } = await textOf(job!.id)
    const before = (await api.ask(`/api/jobs/${job!.id}`)).body
    expect((await bring(text, 'no')).answer).toMatchObject({ is: 'same', entries: 0 })
    expect((await bring(text, 'yes')).answer).toMatchObject({ is: 'same', done: true })
    expect((await api.ask(`/api/jobs/${job!.id}`)).body).toEqual(before)
  })

  it('is kept as it was written where today’s rules would not let all of it in, and that is counted', async () => {
    const [job] = (await jobsOf('no')).filter((j) => j.summary.kind === 'coupled')
    const lines = asAnother((await textOf(job!.id)).text).split('\n')
    const unlocked = lines.filter((l) => !l.includes('"kind":"safety-confirmed"')).join('\n')
    const would = await bring(unlocked, 'no', other)
    expect(would.answer.otherwise).toBeGreaterThan(0)
    const { answer } = await bring(unlocked, 'yes', other)
    expect((await textOf(answer.job, other)).text).toBe(unlocked)
  })

  it('brings what is new of a job that went on elsewhere, through the same door as any entry', async () => {
    const job = await api.openJob('CP-14')
    const { text } = await textOf(job)
    expect((await bring(text, 'yes', other)).answer).toMatchObject({ is: 'new', entries: 1 })
    for (const body of lockOut) expect((await api.log(job, body)).status).toBe(201)
    const later = (await textOf(job)).text
    expect((await bring(later, 'no', other)).answer).toMatchObject({ is: 'more', entries: lockOut.length })
    expect((await bring(later, 'yes', other)).status).toBe(200)
    expect((await bring(later, 'yes', other)).answer).toMatchObject({ is: 'same' })
    const there = (await other.ask(`/api/jobs/${job}`)).body as unknown as JobAnswer
    expect(there.entries).toHaveLength(1 + lockOut.length)
  })

  it('brings its machine, its people and its photographs where they are not there', async () => {
    const job = await api.openJob('CP-14')
    const photograph = randomUUID()
    const jpeg = await sharp({ create: { width: 60, height: 40, channels: 3, background: '#446688' } })
      .jpeg()
      .toBuffer()
    const put = await api.program().fetch(`/api/jobs/${job}/photographs/${photograph}`, {
      method: 'PUT',
      headers: { 'content-type': 'image/jpeg' },
      body: new Uint8Array(jpeg),
    })
    expect(put.status).toBe(201)
    for (const body of lockOut) await api.log(job, body)
    const looked = { places: ['base'], found: 'fine', words: '', photographs: [photograph] }
    const answer = await api.log(job, { kind: 'place-looked', payload: looked } as never)
    expect(answer.status, JSON.stringify(answer.body)).toBe(201)

    const { text } = await textOf(job)
    const { machine, people } = JSON.parse(text) as { machine: { id: string }; people: { id: string }[] }
    const foreign = asAnother(text)
      .replaceAll('"tag":"CP-14"', '"tag":"XX-14"')
      .replaceAll(machine.id, randomUUID())
      .replaceAll(people[0]!.id, randomUUID())
      .replaceAll('Day-shift millwright', 'Millwright from elsewhere')
    const would = await bring(foreign, 'no', other)
    expect(would.answer).toMatchObject({
      is: 'new',
      machine: 'new',
      people: ['Millwright from elsewhere'],
      photographs: 1,
    })
    expectRefusal(await other.ask('/api/machines/XX-14'), 404)
    const done = await bring(foreign, 'yes', other)
    expect(done.status).toBe(200)
    expect((await other.ask('/api/machines/XX-14')).status).toBe(200)
    expect((await textOf(done.answer.job, other)).text).toBe(foreign)
    const shown = (JSON.parse(foreign) as { photographs: { id: string }[] }).photographs[0]?.id
    const picture = await other.program().fetch(`/api/jobs/${done.answer.job}/photographs/${shown}`)
    expect(picture.headers.get('content-type')).toBe('image/jpeg')
  })
})

describe('a file that can’t come in', () => {
  it('names its line, and nothing of it is written', async () => {
    const [job] = await jobsOf('no')
    const moved = asAnother((await textOf(job!.id)).text)
    const lines = moved.split('\n')
    const at = lines.findIndex((l) => l.includes('"kind":"job-closed"'))
    lines[at] = lines[at]!.replace(/"madeAt":"[^"]+"/, '"madeAt":"yesterday"')
    const refused = await bring(lines.join('\n'), 'yes')
    expectRefusal(refused, 422)
    expect(JSON.stringify(refused.body)).toContain(`Line ${at + 1}: `)
    expect(issuePaths(refused)).toHaveLength(1)
    const id = (JSON.parse(moved) as { job: string }).job
    expectRefusal(await api.ask(`/api/jobs/${id}`), 404)
    expectRefusal(await bring(moved.slice(0, 4000), 'yes'), 422)
    expectRefusal(await bring('{}', 'no'), 422)
    expectRefusal(await bring('', 'no'), 422)
  })

  it('never goes over what is here: another word under the same id, an id that is another job’s', async () => {
    const [one, two] = (await jobsOf('no')).filter((j) => j.summary.kind === 'coupled')
    const { text } = await textOf(one!.id)
    const otherwise = text.replace('"signedBy":"', '"signedBy":"Not ')
    expectRefusal(await bring(otherwise, 'yes'), 409)
    const mixed = text.replaceAll(one!.id, two!.id)
    expect((await bring(mixed, 'yes')).status).toBeGreaterThanOrEqual(400)
    const stolen = text.replaceAll(one!.id, randomUUID())
    expectRefusal(await bring(stolen, 'yes'), 409)
    const before = (await textOf(one!.id)).text
    expect(before).toBe(text)
  })

  it('that is no picture is told, and a hostile one is no failure', async () => {
    const [job] = await jobsOf('no')
    const moved = JSON.parse(asAnother((await textOf(job!.id)).text)) as Record<string, unknown>
    const photographs = [{ id: randomUUID(), sent: 'a'.repeat(64), jpeg: 'AAAA' }]
    expectRefusal(await bring(JSON.stringify({ ...moved, photographs }), 'yes'), 422)
    for (const bad of ['['.repeat(100_000), '{"format":"hushed-caliper-job"}', '\u0000', 'null'])
      expectRefusal(await bring(bad, 'yes'), 422)
  })
})
