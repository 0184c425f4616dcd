import { describe, expect, it } from 'vitest'
import { objectionTo } from '../../core/jobs/jobs'
import { TEST_MACHINE, TestJob } from '../../core/jobs/testJob'
import type { EntryBody, LogEntry } from '../../core/logbook/entry'
import { toCore } from '../../core/units/unitSystem'
import { calculate, OPERATIONS } from '../../shared/calculation/operations'
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

  it.each(['rim-face', 'reverse-rim', 'spacer-faces', 'heads', 'coupling-values', 'foot-values'])(
    '%s becomes a set-up with its set, which says in the job what the sum said',
    async (id) => {
      const input = { ...(readExample(id).input as object), returnToZero: 0 }
      const sum = await calculate(id, input)
      if (!sum.ok) throw new Error(JSON.stringify(sum.error))
      const { bodies, state } = keep(id, input)
      expect(bodies.map((b) => b.kind)).toEqual(['set-up', 'readings-taken'])
      const { coupling } = sum.result as { coupling: Record<'offset' | 'slope', Record<'v' | 'h', number>> }
      const units = (input as unknown as { units: 'inch' | 'metric' }).units
      const measured = state.latest.sets[0]?.set.measured?.coupling
      for (const plane of ['v', 'h'] as const) {
        expect(measured?.offset[plane]).toBeCloseTo(toCore(coupling.offset[plane], 'displacement', units), 6)
        expect(measured?.slope[plane]).toBeCloseTo(toCore(coupling.slope[plane], 'slope', units), 8)
      }
    },
  )

  it('dials whose return nobody gave are a remark, and so are other feet', () => {
    const { returnToZero: _, ...bare } = readExample('rim-face').input as Record<string, unknown>
    expect(keep('rim-face', bare).bodies[0]?.kind).toBe('remark')
    const feet = [1, 2, 3].map((i) => ({ id: `pair ${i}`, x: 10 * i }))
    expect(keep('rim-face', { ...bare, returnToZero: 0, feet }).bodies[0]?.kind).toBe('remark')
  })

  it.each([
    [{ feeler: 5, supportedLength: 10, boltSpacing: 20 }, 'coupling', 0.0005],
    [{ feeler: 5, supportedLength: 10, boltSpacing: 20 }, 'far', -0.0005],
    [{ divisions: -2, sensitivity: 0.5, boltSpacing: 20 }, 'coupling', 0.001],
    [{ divisions: 1, reversedDivisions: 3, sensitivity: 0.5, boltSpacing: 20 }, 'far', -0.0005],
  ] as const)('a level is kept with the end that was low: %j, %s', (given, low, slope) => {
    const job = new TestJob().open().lockOut()
    const context = { machine: job.machine, shaft: 'stationary', low } as const
    for (const body of entriesToKeep('level', { units: 'inch', ...given }, '', context)) job.add(body)
    expect(job.state.levels.stationary?.rise).toBeCloseTo(slope, 9)
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
