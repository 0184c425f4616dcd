import { describe, expect, it } from 'vitest'
import { readExample } from '../../scripts/docs/methodPages'
import { OPERATIONS } from '../../shared/calculation/operations'
import type { Operation } from '../../shared/calculation/operation'

type Path = readonly (string | number)[]
type Json = null | boolean | number | string | Json[] | { [key: string]: Json }

/** Paths of everything in an input, leaves and lists alike. */
const pathsOf = (value: Json, at: Path = []): Path[] => {
  if (typeof value !== 'object' || value === null) return [at]
  const below = Array.isArray(value)
    ? value.slice(0, 2).flatMap((v, i) => pathsOf(v, [...at, i]))
    : Object.entries(value).flatMap(([k, v]) => pathsOf(v, [...at, k]))
  return at.length > 0 ? [at, ...below] : below
}

/** The input with one place changed; `undefined` takes it out. */
const changed = (value: Json, path: Path, to: unknown): Json => {
  const [head, ...rest] = path
  if (head === undefined) return to as Json
  if (Array.isArray(value)) {
    const list = [...value]
    if (rest.length === 0 && to === undefined) list.splice(head as number, 1)
    else list[head as number] = changed(list[head as number] as Json, rest, to)
    return list
  }
  const object = { ...(value as { [key: string]: Json }) }
  if (rest.length === 0 && to === undefined) {
    const { [head as string]: _, ...left } = object
    return left
  }
  object[head as string] = changed(object[head as string] as Json, rest, to)
  return object
}

const at = (value: Json, path: Path): Json =>
  path.reduce<Json>((v, key) => (v as Record<string | number, Json>)[key] as Json, value)

const finiteThroughout = (value: unknown): boolean =>
  typeof value === 'number'
    ? Number.isFinite(value)
    : typeof value !== 'object' || value === null || Object.values(value).every(finiteThroughout)

/** Slow operations get only what their schema refuses at once. */
const SLOW = ['train-plan', 'uncertainty', 'move-plan']

const example = (operation: Operation): Json => {
  const { input } = readExample(operation.name)
  return (operation.name === 'uncertainty' ? { ...(input as object), draws: 1000 } : input) as Json
}

const hostile = (value: Json, slow: boolean): unknown[] => [
  undefined,
  ...(typeof value === 'number'
    ? [NaN, Infinity, 1e300, 'five', [], {}, ...(slow ? [] : [0, -1, 1e6, 1e-12])]
    : []),
  ...(typeof value === 'string' ? [7, 'furlong', ''] : []),
  ...(Array.isArray(value) ? [[], 'none', {}] : []),
  ...(value && typeof value === 'object' && !Array.isArray(value) ? [[], 'none'] : []),
  null,
]

describe('bad input', () => {
  it.each(OPERATIONS.map((o) => [o.name, o] as const))(
    '%s: every place spoiled in every way is answered with numbers or with a sentence at a place',
    async (_, operation) => {
      const input = example(operation)
      for (const path of pathsOf(input))
        for (const to of hostile(at(input, path), SLOW.includes(operation.name))) {
          const answer = await operation.run(changed(input, path, to))
          const what = `${operation.name} ${path.join('.')} = ${JSON.stringify(to) ?? 'missing'}`
          if (answer.ok) {
            expect(finiteThroughout(answer.result), what).toBe(true)
            continue
          }
          expect(answer.error.issues.length, what).toBeGreaterThan(0)
          for (const issue of answer.error.issues) {
            expect(issue.message, what).toMatch(/^[A-Z].*[.?]$/s)
            expect(issue.path, what).not.toBe('undefined')
          }
        }
    },
  )

  it.each(OPERATIONS.map((o) => [o.name, o] as const))(
    '%s: what is no number, or absurdly large, is refused at its own place',
    async (_, operation) => {
      const input = example(operation)
      for (const path of pathsOf(input)) {
        if (typeof at(input, path) !== 'number') continue
        for (const to of [NaN, 1e300, 'five']) {
          const answer = await operation.run(changed(input, path, to))
          const where = path.join('.')
          if (answer.ok) throw new Error(`${operation.name} took ${String(to)} at ${where}`)
          const near = answer.error.issues.some((i) => where.startsWith(i.path) && i.path !== '')
          expect(near, `${operation.name} ${where}: ${JSON.stringify(answer.error.issues)}`).toBe(true)
        }
      }
    },
  )

  it.each(OPERATIONS.map((o) => [o.name, o] as const))(
    '%s: a unit nobody knows, and none at all, are named at units',
    async (_, operation) => {
      for (const to of ['furlong', undefined]) {
        const answer = await operation.run(changed(example(operation), ['units'], to))
        expect(answer.ok ? [] : answer.error.issues.map((i) => i.path)).toContain('units')
      }
    },
  )

  const spoil = async (name: string, changes: Record<string, unknown>) => {
    const operation = OPERATIONS.find((o) => o.name === name)
    if (!operation) throw new Error(name)
    const input = Object.entries(changes).reduce<Json>(
      (value, [path, to]) =>
        changed(
          value,
          path.split('.').map((p) => (/^\d+$/.test(p) ? Number(p) : p)),
          to,
        ),
      example(operation),
    )
    const answer = await operation.run(input)
    return answer.ok ? [] : answer.error.issues.map((i) => i.path)
  }

  it.each([
    ['reverse-rim', { 'onMovable.plane': -3 }, 'onMovable.plane'],
    ['heads', { movablePlane: -90 }, 'movablePlane'],
    ['rim-face', { 'face.diameter': 0 }, 'face.diameter'],
    ['spacer-faces', { 'atMovable.diameter': 0 }, 'atMovable.diameter'],
    ['spacer-faces', { spoolLength: -5 }, 'spoolLength'],
    ['gap-straightedge', { 'gaps.diameter': 0 }, 'gaps.diameter'],
    ['fit-readings', { 'readings.1.clock': 0, 'readings.2.clock': 1, 'readings.3.clock': 2 }, 'readings'],
    [
      'runout',
      {
        readings: [
          { clock: 0, value: 1 },
          { clock: 0, value: 2 },
        ],
      },
      'readings',
    ],
    ['coupling-values', { 'feet.1.x': 12 }, 'feet.1.x'],
    ['foot-values', { 'values.1.x': 12 }, 'values.1.x'],
    ['growth', { 'machines.1.feet.1.x': 305 }, 'machines.1.feet.1.x'],
    ['shim-pack', { stock: [], existing: [] }, 'stock'],
    ['vertical-flange', { 'bolts.1.clock': 45, school: 'pairwise' }, 'bolts'],
    ['vertical-flange', { 'bolts.1.id': 'b1' }, 'bolts.1.id'],
    ['belt-geometry', { C: 200 }, 'C'],
    ['belt-geometry', { C: undefined, L: 300 }, 'L'],
    ['belt-geometry', { d: 500 }, 'd'],
    ['belt-reading', { force: 0.001 }, 'force'],
    ['belt-takeup', { 'history.1.turns': 0, 'history.2.turns': 0 }, 'history'],
    ['belt-takeup', { 'history.1.force': 10, 'history.2.force': 5 }, 'history'],
    ['run-in', { 'points.1.days': 0 }, 'points.1.days'],
    ['variable-sheave', { turns: 40 }, 'turns'],
    ['achieved', { 'planned.0.id': 'middle' }, 'planned.0.id'],
    ['judge', { tolerance: { form: 'speed-rule', mode: 'plane', grade: 'fine' }, rpm: undefined }, 'rpm'],
    ['train-plan', { 'couplings.0.left': 'mixer' }, 'couplings.0.left'],
    ['train-plan', { 'couplings.0.rpm': undefined }, 'couplings.0.rpm'],
    ['uncertainty', { 'input.rim.plane': 'far' }, 'input.rim.plane'],
    ['uncertainty', { 'input.units': 'metric' }, 'input.units'],
    ['compare-sets', { 'second.face.diameter': 0 }, 'second.face.diameter'],
    ['level', { supportedLength: undefined }, 'supportedLength'],
    ['tightening', { pitch: 30 }, 'pitch'],
    ['sheave-line', { h: undefined }, 'h'],
    ['sheave-line', { r1: 1 }, 'wR'],
    ['move-plan', { movable: 'both', 'machines.stationary': undefined }, 'machines.stationary'],
  ] as const)('%s with %j is refused at %s', async (name, changes, where) => {
    expect(await spoil(name, changes)).toContain(where)
  })
})
