import { spawnSync } from 'node:child_process'
import { describe, expect, it } from 'vitest'

/** A study over a few hundred jobs: the whole machinery, not the published figures. */
const study = (name: string, jobs: number): readonly (readonly string[])[] => {
  const { status, stdout } = spawnSync('npm', ['run', '-s', `study:${name}`, '--', String(jobs)], {
    encoding: 'utf8',
  })
  expect(status).toBe(0)
  return stdout
    .split('\n')
    .filter((l) => l.startsWith('| '))
    .map((l) =>
      l
        .split('|')
        .map((c) => c.trim())
        .slice(1, -1),
    )
}
const percent = (cell: string | undefined) => Number.parseFloat(cell ?? 'NaN')

describe('the studies', () => {
  it('rounds: nearly every honest job is in band after one vertical and one side move', () => {
    const rows = study('rounds', 300)
    const [one] = rows.filter((r) => r[0]?.startsWith('1 ('))
    const [two] = rows.filter((r) => r[0]?.startsWith('2 ('))
    expect(percent(one?.[1])).toBeGreaterThanOrEqual(95)
    expect(percent(two?.[1])).toBeGreaterThanOrEqual(99)
    expect(percent(one?.[1])).toBeGreaterThanOrEqual(percent(one?.[2]))
  })

  it('trust: gross faults are caught before the move, honest jobs seldom called bad', () => {
    const rows = study('trust', 1100)
    const before = (fault: string) => percent(rows.find((r) => r[0]?.startsWith(`${fault}:`))?.[1])
    for (const fault of [
      'forgotten sag',
      'one misread dial',
      'slipped bracket',
      'strained coupling',
      'soft foot',
    ])
      expect(before(fault), fault).toBeGreaterThanOrEqual(95)
    expect(before('honest')).toBeLessThanOrEqual(8)
    const byTheEnd = (fault: string) => percent(rows.find((r) => r[0]?.startsWith(`${fault}:`))?.[2])
    for (const fault of ['swapped 3 and 9', 'wrong sign'])
      expect(byTheEnd(fault), fault).toBeGreaterThanOrEqual(90)
  })
})
