import { describe, expect, it } from 'vitest'
import { objectionTo } from '../../core/jobs/jobs'
import { TEST_MACHINE, TestJob } from '../../core/jobs/testJob'
import type { EntryBody, LogEntry } from '../../core/logbook/entry'
import { OPERATIONS } from '../../shared/calculation/operations'
import { KINDS } from '../../shared/logbook/kinds'
import { entriesToKeep } from '../../shared/quick/keep'
import { readExample } from '../../scripts/docs/methodPages'

const keep = (id: string, input: unknown, job = new TestJob().open().lockOut()) => {
  const bodies = entriesToKeep(id, input, 'what it says', { machine: job.machine, shaft: 'stationary' })
  for (const body of bodies) {
    const parsed = KINDS[body.kind].body.safeParse(body)
    expect(parsed.success, JSON.stringify(parsed.error?.issues)).toBe(true)
    expect(
      objectionTo(job.machine, [...job.entries], {
        ...(job.entries[0] as LogEntry),
        ...body,
        id: 'k',
      } as LogEntry),
    ).toBeNull()
    job.add(body as EntryBody)
  }
  return { bodies, state: job.state }
}

describe('a quick sum kept into a job', () => {
  it.each(OPERATIONS.map((o) => o.name))('%s: its example becomes entries the job takes', (id) => {
    expect(keep(id, readExample(id).input).bodies.length).toBeGreaterThan(0)
  })

  it('rises become rises, in the order of the feet, with what the stage makes of them', () => {
    const { bodies, state } = keep('soft-foot', {
      units: 'inch',
      rises: { f1: 1, f2: 12, f3: 1.5, f4: 9 },
      corners: { f2: { outboardOuter: 10, outboardInner: 10, inboardOuter: 11, inboardInner: 11 } },
      pipeLoosened: { f1: 1, f2: 11, f3: 1.5, f4: 8 },
    })
    expect(bodies.map((b) => b.kind)).toEqual(['gaps-felt', 'rises-read', 'rises-read'])
    expect(state.feetCheck.latest?.rises.f2).toBeCloseTo(12 * 0.0254, 9)
    expect(state.feetCheck.latest?.result.diagonal).toBe('2-4')
  })

  it('a turned hub becomes a turn of the shaft that is said; feelers become a look at the hubs', () => {
    const turn = keep('runout', readExample('runout').input)
    expect(turn.state.runouts.surfaces[0]?.machine).toBe('stationary')
    const felt = keep('gap-straightedge', readExample('gap-straightedge').input)
    expect(felt.bodies[0]?.kind).toBe('hubs-felt')
  })

  it('three pairs of feet are not answered by four rises: that is a remark', () => {
    const [near, far] = TEST_MACHINE.feet.movable
    const three = {
      ...TEST_MACHINE,
      feet: { ...TEST_MACHINE.feet, movable: [near!, { ...far!, id: 'middle', x: 20 }, far!] },
    }
    const { bodies } = keep('soft-foot', readExample('soft-foot').input, new TestJob(three).open().lockOut())
    expect(bodies).toEqual([{ kind: 'remark', payload: { text: 'what it says' } }])
  })
})
