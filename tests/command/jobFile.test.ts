import { execFileSync } from 'node:child_process'
import { describe, expect, it } from 'vitest'
import type { LogEntry } from '../../core/logbook/entry'
import { MACHINES, PEOPLE } from '../../scripts/demo/works'
import { ROOT } from '../../scripts/local/paths.mjs'
import { AUTHOR, draft, lockOut, OPENING } from '../support/entries'
import { readSnapshot } from '../../shared/register/machine'
import { MACHINE_SCHEMA } from '../../shared/register/lifts'
import { writeJobFile } from '../../shared/files/jobFile'
import { readJobFile } from '../../shared/files/readJobFile'

const machine = readSnapshot(MACHINE_SCHEMA, {
  ...MACHINES.find((m) => m.tag === 'CP-11'),
  id: '3f0c1c9e-5a3d-4b8e-9d63-0d7c5b1f2a45',
  version: 1,
  stock: [],
  packLimit: 4,
})
const entries = [OPENING, ...lockOut].map((body, i): LogEntry => ({
  after: null,
  before: null,
  supersedes: null,
  ...draft(body),
  receivedAt: new Date(Date.UTC(2026, 2, 3, 7, i)).toISOString(),
}))
const JOB = '3f0c1c9e-5a3d-4b8e-9d63-0d7c5b1f2a44'
const text = writeJobFile({
  works: 'Orrin Vale Tile Works',
  job: JOB,
  people: PEOPLE.filter((p) => p.id === AUTHOR),
  machine,
  entries,
  photographs: [],
})
const lines = text.split('\n')
const lineOf = (id: string) => lines.findIndex((l) => l.includes(`{"id":"${id}"`)) + 1
const faultsOf = (changed: string) => {
  const read = readJobFile(changed)
  return 'faults' in read ? read.faults : []
}
/** The file with one of its lines written otherwise. */
const withLine = (n: number, change: (line: string) => string) =>
  lines.map((l, i) => (i === n - 1 ? change(l) : l)).join('\n')

describe('a job as a file', () => {
  it('comes back as it was, and is written the same again', () => {
    const read = readJobFile(text)
    if (!('read' in read)) throw new Error(JSON.stringify(read.faults))
    expect(read.read).toMatchObject({ job: JOB, works: 'Orrin Vale Tile Works' })
    expect(read.read.entries).toEqual(entries)
    expect(read.read.machine).toEqual(machine)
    const people = read.read.people
    expect(writeJobFile({ ...read.read, people, photographs: [] })).toBe(text)
  })

  it('is what the fold command reads', () => {
    const args = ['--import', 'tsx', 'scripts/job.ts', 'fold']
    const told = execFileSync(process.execPath, args, { cwd: ROOT, input: text, encoding: 'utf8' })
    const { current, stages } = JSON.parse(told) as {
      current: string
      stages: { id: string; mark: string }[]
    }
    expect(stages.find((s) => s.id === 'make-safe')?.mark).toBe('done')
    expect(current).not.toBe('make-safe')
  })

  it('has one entry a line', () => {
    expect(new Set(entries.map((e) => lineOf(e.id))).size).toBe(entries.length)
  })

  it.each([
    ['cut off', () => lines.slice(0, lineOf(entries[1]!.id)).join('\n'), 1],
    ['a lost bracket', () => withLine(lineOf(entries[2]!.id), (l) => l.replace('{', '')), 2],
    [
      'a kind that is none',
      () => withLine(lineOf(entries[2]!.id), (l) => l.replace(/"kind":"[^"]+"/, '"kind":"x"')),
      2,
    ],
    [
      'a moment that is none',
      () => withLine(lineOf(entries[1]!.id), (l) => l.replace(/"madeAt":"[^"]+"/, '"madeAt":"soon"')),
      1,
    ],
    [
      'received never',
      () => withLine(lineOf(entries[1]!.id), (l) => l.replace(/"receivedAt":"[^"]+"/, '"receivedAt":null')),
      1,
    ],
    ['written by nobody', () => withLine(lineOf(entries[2]!.id), (l) => l.replaceAll(AUTHOR, JOB)), 2],
    [
      'one entry twice',
      () => withLine(lineOf(entries[2]!.id), (l) => l.replace(entries[2]!.id, entries[1]!.id)),
      2,
    ],
  ])('names the line of what is wrong: %s', (what, change, at) => {
    const line = lineOf(entries[at]!.id)
    const [fault, ...more] = faultsOf(change())
    expect(fault?.message).toMatch(/^[A-Z].*\.$/)
    // What was cut off or torn shows at the next sign that can't stand there.
    const off = what === 'cut off' || what === 'a lost bracket' ? 1 : 0
    expect(Math.abs((fault?.line ?? 0) - line)).toBeLessThanOrEqual(off)
    expect(more).toEqual([])
  })

  it('tells every fault, in the order of the file', () => {
    const bad = text.replaceAll(/"madeAt":"[^"]+"/g, '"madeAt":"soon"')
    const told = faultsOf(bad).map((f) => f.line)
    expect(told).toEqual(entries.map((e) => lineOf(e.id)))
  })

  it.each([
    ['nothing', ''],
    ['another file', '{"sets": []}'],
    ['a list', '[]'],
    ['a newer one', text.replace('"version": 1', '"version": 2')],
    ['no entries', text.replace(/"entries": \[[^]*?\n {2}\]/, '"entries": []')],
    ['deeper than anything', '['.repeat(200_000)],
  ])('is refused with a sentence when it is %s', (_, bad) => {
    const faults = faultsOf(bad)
    expect(faults.length).toBeGreaterThan(0)
    for (const f of faults) expect(f.message).toMatch(/^[A-Z“].*\.$/)
  })

  it('begins with its opening and is opened once', () => {
    const [opening, next] = [lineOf(entries[0]!.id), lineOf(entries[1]!.id)]
    const swapped = lines.map((l, i) =>
      i === opening - 1 ? lines[next - 1] : i === next - 1 ? lines[opening - 1] : l,
    )
    expect(faultsOf(swapped.join('\n')).map((f) => [f.line, f.path])).toEqual([
      [opening, 'entries.0.kind'],
      [next, 'entries.1.kind'],
    ])
  })
})
