import { randomUUID } from 'node:crypto'
import { describe, expect, it } from 'vitest'
import type { EntryBody } from '../../core/logbook/entry'
import { FOLD_VERSION } from '../../core/stages/close/closing'
import { SAFETY_POINTS } from '../../core/stages/makeSafe/entries'
import type { MachineFields } from '../../shared/register/machine'
import { expectRefusal, issuePaths, useProgram } from './client'

const api = useProgram('gear')

type Fields = Record<string, unknown>
const like = async (change: (gear: Fields) => object = (gear) => gear) => {
  const { machine } = (await api.ask('/api/machines/PR-05')).body as { machine: Fields }
  const own = `G-${randomUUID().slice(0, 8)}`
  const made = await api.post('/api/machines', {
    ...machine,
    gear: change(machine.gear as Fields),
    retired: false,
    tag: own,
    id: randomUUID(),
  })
  return { own, made }
}
const opened = async () => {
  const { own, made } = await like((gear) => ({ ...gear, leftAs: null }))
  expect(made.status, JSON.stringify(made.body)).toBe(201)
  return { own, job: await api.openJob(own) }
}
const lockOut = SAFETY_POINTS.map((point): EntryBody => ({
  kind: 'safety-confirmed',
  payload: { point, permit: '' },
}))
const painted = (
  moment: 'as-found' | 'fit',
  forward: [number, number],
  back: [number, number],
): EntryBody => ({
  kind: 'contact-painted',
  payload: { moment, forward, back, photographs: [], words: '' },
})
const refit: EntryBody = { kind: 'gear-refitted', payload: { pins: 'left-out', bearings: 'new', words: '' } }
const cleared: EntryBody = { kind: 'mesh-cleared', payload: { load: 'helper-drags', helper: '', words: '' } }
const shifted = (by: number): EntryBody => ({
  kind: 'gear-shifted',
  payload: { units: 'inch', lever: 'blocks', by, words: '' },
})

describe('a gearset over the wire', () => {
  it('nothing is painted before the mesh is clear, no pattern once it was disturbed', async () => {
    const { job } = await opened()
    expectRefusal(await api.log(job, painted('as-found', [38, 74], [30, 66])), 409)
    for (const body of [...lockOut, painted('as-found', [38, 74], [30, 66]), refit])
      expect((await api.log(job, body)).status).toBe(201)
    expectRefusal(await api.log(job, painted('fit', [15, 51], [10, 44])), 409)
    expectRefusal(await api.log(job, painted('as-found', [38, 74], [30, 66])), 409)
    expect((await api.log(job, cleared)).status).toBe(201)
    expect((await api.log(job, painted('fit', [15, 51], [10, 44]))).status).toBe(201)
  })

  it('a closed job leaves its layers, what the paint told and how it lay in the register, and prints', async () => {
    const { own, job } = await opened()
    for (const body of [
      ...lockOut,
      painted('as-found', [38, 74], [30, 66]),
      refit,
      cleared,
      painted('fit', [3, 39], [0, 30]),
      shifted(6),
      painted('fit', [15, 51], [10, 44]),
      { kind: 'layers-changed', payload: { layers: [-3, -3], words: '' } } as const,
    ]) {
      const answer = await api.log(job, body)
      expect(answer.status, JSON.stringify(answer.body)).toBe(201)
    }
    const closed = await api.log(job, {
      kind: 'job-closed',
      payload: {
        signedBy: 'Lead',
        remarks: '',
        exception: 'The press is wanted back; goes on tomorrow.',
        due: null,
        signed: { verdict: 'out', foldVersion: FOLD_VERSION },
      },
    })
    expect(closed.status, JSON.stringify(closed.body)).toBe(201)
    const { machine } = (await api.ask(`/api/machines/${own}`)).body as { machine: MachineFields }
    if (machine.drive !== 'gear') throw new Error(machine.drive)
    expect(machine.gear.layers.under).toEqual([7, 7])
    expect(machine.gear.leftAs).toEqual({ forward: [15, 51], back: [10, 44] })
    expect(machine.gear.responses.blocks?.together).toBeCloseTo(2, 6)
    const { jobs } = (await api.ask(`/api/machines/${own}/history`)).body as {
      jobs: readonly { readonly figures: readonly { readonly name: string }[] }[]
    }
    expect(jobs[0]?.figures.map((f) => f.name)).toContain('contact.together')
    for (const paper of [
      'report.pdf?paper=a4&units=metric',
      'sheet.pdf?paper=letter&units=inch&filled=yes',
      'sheet.pdf?paper=a4&units=metric&filled=no',
    ]) {
      const printed = await api.program().fetch(`/api/jobs/${job}/${paper}`)
      expect(printed.status).toBe(200)
      expect(printed.headers.get('content-type')).toBe('application/pdf')
    }
  })

  it.each([
    [(g: Fields) => ({ ...g, kind: 'rack' }), 'gear.kind'],
    [(g: Fields) => ({ ...g, ratio: 0 }), 'gear.ratio'],
    [(g: Fields) => ({ ...g, pressureAngle: 60 }), 'gear.pressureAngle'],
    [(g: Fields) => ({ ...g, ends: { from: 'Wall', to: 'wall' } }), 'gear.ends.to'],
    [(g: Fields) => ({ ...g, wanted: { forward: [38, 74], back: [null, 66] } }), 'gear.wanted.back.0'],
    [(g: Fields) => ({ ...g, wanted: { forward: [74, 38], back: [30, 66] } }), 'gear.wanted.forward'],
    [(g: Fields) => ({ ...g, layers: { thickness: 2, under: [10], move: 'apart' } }), 'gear.layers.under'],
    [(g: Fields) => ({ ...g, limits: { ...(g.limits as object), longest: 20 } }), 'gear.limits.longest'],
    [(g: Fields) => ({ ...g, backlash: { by: 'dial', window: [16, 10] } }), 'gear.backlash.window'],
    [(g: Fields) => ({ ...g, room: { blocks: -1, gear: null } }), 'gear.room.blocks'],
  ])('refuses a register that makes no sense, at its place: %#', async (change, path) => {
    const { made } = await like(change)
    expectRefusal(made, 422)
    expect(issuePaths(made)).toContain(path)
  })

  it.each([
    ['contact-painted', { moment: 'fit', forward: [51, 15], back: [10, 44], photographs: [], words: '' }],
    ['contact-painted', { moment: 'fit', forward: [15, 151], back: [10, 44], photographs: [], words: '' }],
    ['contact-painted', { moment: 'later', forward: [15, 51], back: [10, 44], photographs: [], words: '' }],
    ['mesh-cleared', { load: 'other', helper: '', words: ' ' }],
    ['gear-shifted', { units: 'inch', lever: 'wheel', by: 6, words: '' }],
    ['gear-shifted', { units: 'inch', lever: 'blocks', by: 1e308, words: '' }],
    ['backlash-read', { units: 'inch', by: 'dial', readings: [], words: '' }],
    ['backlash-read', { units: 'inch', by: 'dial', readings: [-1], words: '' }],
    ['layers-changed', { layers: [1.5, 0], words: '' }],
    ['layers-changed', { layers: [-99, 0], words: '' }],
  ])('refuses %s %# with a sentence', async (kind, payload) => {
    const { job } = await opened()
    for (const body of [...lockOut, refit, cleared]) await api.log(job, body)
    expectRefusal(await api.log(job, { kind, payload } as EntryBody), 422)
  })
})
