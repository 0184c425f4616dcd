import { describe, expect, it } from 'vitest'
import { inMil, TEST_MACHINE, TestJob } from '../../../core/jobs/testJob'
import { tellingOf } from '../../wording/telling'
import { balanceOf, ghostOf, listSets, placesOfValues, ringedOf, usableAnyway } from './drawing'

const T = tellingOf('inch', TEST_MACHINE)
const LOW = inMil(-8.4, 5.1, -0.36, 0.22)
const OTHER = inMil(-8.4, 5.1, -1.6, 0.22)
const ready = () => new TestJob().ready()

describe('the ghost at the boxes', () => {
  it('is nothing before a set was logged', () => {
    expect(ghostOf(undefined, 'rim', '', T)).toEqual({})
    expect(ghostOf(ready().state.latest, 'rim', '', T)).toEqual({})
  })

  it('is what the last sound set read', () => {
    const job = ready()
    job.read(OTHER)
    job.read(LOW)
    const ghost = ghostOf(job.state.latest, 'rim', '', T)
    expect(Object.keys(ghost)).toEqual(['0', '90', '180', '270'])
    expect(ghost['0']).toBe('0.0')
    expect(ghost).not.toEqual(ghostOf(job.state.latest, 'rim', job.entries.at(-1)?.id ?? '', T))
  })

  it('is never a set that fails its check', () => {
    const job = ready()
    job.read(LOW)
    const good = ghostOf(job.state.latest, 'face', '', T)
    job.read(LOW, { clock: 90, by: 9 })
    expect(ghostOf(job.state.latest, 'face', '', T)).toEqual(good)
  })

  it('is never a set that was left out, nor the one being corrected', () => {
    const job = ready()
    job.read(LOW)
    const first = ghostOf(job.state.latest, 'face', '', T)
    const second = job.read(OTHER)
    expect(ghostOf(job.state.latest, 'face', second.id, T)).toEqual(first)
    job.add({ kind: 'set-left-out', payload: { set: second.id, why: 'touched' } })
    expect(ghostOf(job.state.latest, 'face', '', T)).toEqual(first)
  })
})

describe('the ringed position', () => {
  it('is the lone suspect of the set in hand', () => {
    const job = ready()
    job.read(LOW)
    const bad = job.read(LOW, { clock: 270, by: 3 })
    const { latest } = job.state
    expect(ringedOf(latest, 'face', bad.id)).toEqual([270])
    expect(ringedOf(latest, 'rim', bad.id)).toEqual([])
    expect(ringedOf(latest, 'face', 'another set')).toEqual([])
  })

  it('is nowhere while several are suspect, or nothing was read', () => {
    const job = ready()
    const alone = job.read(LOW, { clock: 90, by: 9 })
    expect(ringedOf(job.state.latest, 'face', alone.id)).toEqual([])
    expect(ringedOf(null, 'face', 'x')).toEqual([])
  })
})

describe('the balance', () => {
  it('weighs 12 + 6 against 3 + 9', () => {
    const job = ready()
    job.read(LOW)
    const set = job.state.latest.sets[0]?.set
    const { topBottom, leftRight, limit, agrees, name } = balanceOf(set, 'rim', T)
    expect(topBottom).toBeCloseTo(leftRight ?? NaN, 2)
    expect((limit ?? NaN) / 0.0254).toBeCloseTo(2, 9)
    expect({ agrees, name }).toEqual({ agrees: true, name: 'Rim' })
  })

  it('leans where a reading is off by more than its limit', () => {
    const job = ready()
    job.read(LOW, { clock: 90, by: 4 })
    const { topBottom, leftRight, agrees } = balanceOf(job.state.latest.sets[0]?.set, 'face', T)
    expect(((leftRight ?? NaN) - (topBottom ?? NaN)) / 0.0254).toBeCloseTo(4, 6)
    expect(agrees).toBe(false)
  })

  it('is empty before all four were read', () => {
    expect(balanceOf(undefined, 'rim', T)).toEqual({
      name: 'Rim',
      topBottom: null,
      leftRight: null,
      limit: null,
      agrees: null,
    })
  })
})

describe('the list of sets', () => {
  it('names each set, what it read, how it stands and what can be done with it', () => {
    const job = ready()
    job.read(LOW)
    const bad = job.read(LOW, { clock: 270, by: 3 })
    const gone = job.read(LOW)
    job.add({ kind: 'set-left-out', payload: { set: gone.id, why: 'the bracket was touched' } })
    const [first, second, third] = listSets(job.state.latest, T)
    expect(first).toMatchObject({ name: 'First set', leftOut: false, idle: false })
    expect(first?.lines[0]).toMatch(/^rim 0\.0 \/ [+−]\d+\.\d \/ /)
    expect(first?.lines[1]).toMatch(/^face 0\.0 \/ /)
    expect(second).toMatchObject({ id: bad.id, name: 'Second set', leftOut: false, idle: true })
    expect(third).toMatchObject({ id: gone.id, leftOut: true })
    for (const set of [first, second, third]) expect(set?.standing).not.toBe('')
  })

  it('is empty before anything was read', () => {
    expect(listSets(undefined, T)).toEqual([])
  })
})

describe('what may be used against its check', () => {
  it('is nothing while the sets are believed', () => {
    const job = ready()
    expect(usableAnyway(job.state.latest)).toEqual([])
    job.read(LOW)
    job.read(LOW)
    expect(usableAnyway(job.state.latest)).toEqual([])
    expect(usableAnyway(undefined)).toEqual([])
  })

  it('is the set that fails, not the newest', () => {
    const job = ready()
    const bad = job.read(LOW, { clock: 90, by: 9 })
    expect(usableAnyway(job.state.latest)).toEqual([bad.id])
  })

  it('is either of two that disagree', () => {
    const job = ready()
    const a = job.read(LOW)
    const b = job.read(OTHER)
    expect(usableAnyway(job.state.latest)).toEqual([a.id, b.id])
  })

  it('is no set that was left out', () => {
    const job = ready()
    const bad = job.read(LOW, { clock: 90, by: 9 })
    job.add({ kind: 'set-left-out', payload: { set: bad.id, why: 'slipped' } })
    expect(usableAnyway(job.state.latest)).toEqual([])
  })
})

describe('values that are typed where they belong', () => {
  it('stand at the coupling and the far feet, or at the two planes they were told for', () => {
    expect(placesOfValues(null)).toEqual({ offset: 0, angle: 0 })
    const { setUp } = ready().state
    expect(placesOfValues(setUp)).toEqual({ offset: 0, angle: 34.5 * 25.4 })
    const told = { near: 300, far: 900, signs: { high: 1, toward3: 1 } } as const
    expect(placesOfValues(setUp && { ...setUp, how: { method: 'foot-values', given: told } })).toEqual({
      nearPlane: 300,
      farPlane: 900,
    })
  })
})
