import { spawnSync } from 'node:child_process'
import { randomUUID } from 'node:crypto'
import { describe, expect, it } from 'vitest'
import { TestBelt } from '../../core/jobs/testBelt'
import { inMil, TestJob } from '../../core/jobs/testJob'
import type { LogEntry } from '../../core/logbook/entry'
import { toWire } from '../../shared/logbook/lifts'
import { MACHINES } from '../../scripts/demo/works'

const job = (args: readonly string[], input: string) => {
  const { status, stdout, stderr } = spawnSync('npm', ['run', '-s', 'job', '--', ...args], {
    input,
    encoding: 'utf8',
    env: { PATH: process.env.PATH, HOME: process.env.HOME },
  })
  return { status, stdout, stderr }
}

/** A job as the server answers it, with ids as devices make them. */
const answered = (tag: string, entries: readonly LogEntry[]) => {
  const ids = new Map(entries.map((e) => [e.id, randomUUID()]))
  const machine = MACHINES.find((m) => m.tag === tag)
  return JSON.stringify({
    machine: { ...machine, id: randomUUID(), version: 1, stock: [], packLimit: 4 },
    entries: entries.map((e) =>
      toWire({
        ...e,
        id: ids.get(e.id) ?? e.id,
        after: (e.after && ids.get(e.after)) ?? null,
        author: randomUUID(),
      }),
    ),
  })
}

interface Told {
  readonly kind: string
  readonly current: string
  readonly stages: readonly { id: string; mark: string; finding: string; headline: string }[]
  readonly figures: readonly { name: string; moment: string; verdict: string }[]
}

describe('the job command', () => {
  it('tells where a coupled job stands, without a database', () => {
    const log = new TestJob().ready()
    log.read(inMil(-8.4, 5.1, -0.36, 0.22))
    log.read(inMil(-8.4, 5.1, -0.36, 0.22))
    const { status, stdout, stderr } = job(['fold'], answered('CP-11', log.entries))
    expect(status, stderr).toBe(0)
    const told = JSON.parse(stdout) as Told
    expect(told).toMatchObject({ kind: 'coupled', current: 'plan' })
    const found = told.stages.find((s) => s.id === 'as-found')
    expect(found).toMatchObject({ mark: 'out', finding: 'Two sets agree: out' })
    expect(found?.headline).toMatch(/^Out of band: motor 8\.4 mil low/)
    expect(told.stages.find((s) => s.id === 'plan')?.headline).toBe('No plan is chosen yet.')
    expect(told.figures.map((f) => f.name)).toContain('offset.v')
  })

  it('tells where a belt job stands', () => {
    const belt = new TestBelt().ready().opened()
    belt.contacts(true, false)
    belt.gaps(0, 6.3)
    const { status, stdout, stderr } = job(['fold'], answered('GL-03', belt.entries))
    expect(status, stderr).toBe(0)
    expect(JSON.parse(stdout)).toMatchObject({ kind: 'belt', current: 'line-up' })
  })

  it.each([
    ['{"machine":', /not JSON/],
    ['{}', /.+/],
    ['{"machine":{},"entries":[]}', /.+/],
    ['[]', /.+/],
  ])('says in a sentence what is wrong with %s', (input, words) => {
    const { status, stderr } = job(['fold'], input)
    expect(status).toBe(2)
    const [line] = stderr.split('\n').filter((l) => l.startsWith('{'))
    const { error } = JSON.parse(line ?? '{}') as { error: { message: string } }
    expect(error.message).toMatch(words)
    expect(error.message).toMatch(/^[A-Z].*[.?]$/)
  })
})
