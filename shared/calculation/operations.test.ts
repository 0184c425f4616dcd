import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { calculate, inputSchema, OPERATIONS, resultSchema } from './operations'
import type { CalculationAnswer } from './operation'

const quarters = (a: number, b: number, c: number, d: number) =>
  [a, b, c, d].map((value, i) => ({ clock: i * 90, value }))
const FEET = [
  { id: 'inboard', x: 12 },
  { id: 'outboard', x: 34.5 },
]
const RIM_FACE = {
  units: 'inch',
  feet: FEET,
  rim: { carriedBy: 'movable', plane: -1.5, sag: 3, readings: quarters(0, -2.5, -23, -20.5) },
  face: { plunger: 'away', diameter: 8, readings: quarters(0, 1, 3.5, 2.5) },
}
const COUPLING = { offset: { v: 3, h: -1 }, slope: { v: 0.2, h: 0.1 } }
const GOOD: Record<string, Record<string, unknown>> = {
  'rim-face': RIM_FACE,
  'coupling-values': { units: 'inch', feet: FEET, coupling: COUPLING },
  'fit-readings': { units: 'inch', readings: quarters(0, 1, 2, 1) },
  judge: {
    units: 'inch',
    coupling: COUPLING,
    tolerance: { form: 'offset-slope', mode: 'plane', offset: 4, slope: 0.5 },
  },
  level: { units: 'inch', feeler: 5, boltSpacing: 20, supportedLength: 10 },
}
const result = (answer: CalculationAnswer): Record<string, unknown> => {
  if (!answer.ok) throw new Error(answer.error.message)
  return answer.result as Record<string, unknown>
}
const error = (answer: CalculationAnswer) => {
  if (answer.ok) throw new Error('was not refused')
  return answer.error
}
const pathsOf = (answer: CalculationAnswer) => error(answer).issues.map((i) => i.path)

describe('the calculation contract', () => {
  it('describes the input and the result of every operation', async () => {
    for (const o of OPERATIONS) {
      expect(resultSchema(o)).toMatchObject({ type: 'object' })
      expect(inputSchema(o)).toMatchObject({
        type: 'object',
        properties: { units: { enum: ['inch', 'metric'] } },
      })
    }
  })

  it('gives rim and face with its feet and its trust', async () => {
    const r = result(
      await calculate('rim-face', { ...RIM_FACE, graduation: 0.5, returnToZero: { rim: 0, face: 1 } }),
    ) as {
      coupling: typeof COUPLING
      feet: { move: { v: number } }[]
      trust: { sets: { name: string; closure: number }[]; flags: string[] }
    }
    expect(r.coupling.offset.v).toBeCloseTo(-9.15625, 9)
    expect(r.feet[0]?.move.v).toBeCloseTo(9.15625 + 0.4375 * 12, 9)
    expect(r.trust.sets.map((s) => s.name)).toEqual(['rim', 'face'])
    expect(r.trust.flags).toEqual(['return-to-zero'])
  })

  it('gives the same physical answer in inch and in metric', async () => {
    const mm = (list: { clock: number; value: number }[]) =>
      list.map((r) => ({ ...r, value: r.value * 0.0254 }))
    const metric = {
      units: 'metric',
      feet: FEET.map((f) => ({ ...f, x: f.x * 25.4 })),
      rim: { ...RIM_FACE.rim, plane: -1.5 * 25.4, sag: 3 * 0.0254, readings: mm(RIM_FACE.rim.readings) },
      face: { ...RIM_FACE.face, diameter: 8 * 25.4, readings: mm(RIM_FACE.face.readings) },
    }
    const a = result(await calculate('rim-face', RIM_FACE)).coupling as typeof COUPLING
    const b = result(await calculate('rim-face', metric)).coupling as typeof COUPLING
    expect(b.offset.v).toBeCloseTo(a.offset.v * 0.0254, 9)
    expect(b.slope.h).toBeCloseTo(a.slope.h * 0.1, 9)
  })

  it('leaves what is not known null, down to the verdict', async () => {
    const half = { offset: { v: 1, h: null }, slope: { v: 0.1, h: null } }
    const r = result(await calculate('coupling-values', { units: 'inch', feet: FEET, coupling: half })) as {
      feet: { move: { h: unknown } }[]
    }
    expect(r.feet[0]?.move.h).toBeNull()
    expect(result(await calculate('judge', { ...GOOD.judge, coupling: half })).verdict).toBe('unknown')
  })

  it('names the source of the limit it judged by', async () => {
    const rule = { form: 'speed-rule', mode: 'plane', grade: 'standard' }
    const judged = result(await calculate('judge', { ...GOOD.judge, tolerance: rule, rpm: 990 }))
    expect(judged.source).toContain('990 rpm')
    const own = { form: 'offset-slope', mode: 'plane', offset: 4, slope: 0.5, source: 'Site sheet 4' }
    expect(result(await calculate('judge', { ...GOOD.judge, tolerance: own })).source).toBe('Site sheet 4')
  })

  it('takes the level by divisions too', async () => {
    expect(
      result(await calculate('level', { units: 'metric', divisions: 3, sensitivity: 0.02, boltSpacing: 800 }))
        .shim,
    ).toBeCloseTo(0.48, 12)
  })
})

describe('bad input', () => {
  const rim = (change: object) => ({ ...RIM_FACE, rim: { ...RIM_FACE.rim, ...change } })
  it.each([
    ['rim-face', {}, 'units'],
    ['rim-face', { ...RIM_FACE, units: 'furlong' }, 'units'],
    ['rim-face', { ...RIM_FACE, feet: undefined }, 'feet'],
    ['rim-face', { ...RIM_FACE, feet: [FEET[0]] }, 'feet'],
    ['rim-face', { ...RIM_FACE, feet: [FEET[0], { id: 'outboard', x: 12 }] }, 'feet.1.x'],
    ['rim-face', { ...RIM_FACE, feet: [FEET[0], { id: 'inboard', x: 30 }] }, 'feet.1.id'],
    ['rim-face', rim({ plane: '12' }), 'rim.plane'],
    ['rim-face', rim({ plane: NaN }), 'rim.plane'],
    ['rim-face', rim({ plane: 1e300 }), 'rim.plane'],
    ['rim-face', rim({ sag: -1 }), 'rim.sag'],
    ['rim-face', rim({ carriedBy: 'crane' }), 'rim.carriedBy'],
    ['rim-face', rim({ readings: [] }), 'rim.readings'],
    ['rim-face', rim({ readings: quarters(0, 1, NaN, 2) }), 'rim.readings.2.value'],
    [
      'rim-face',
      rim({
        readings: [
          { clock: 0, value: 0 },
          { clock: 0, value: 1 },
          { clock: 1, value: 1 },
        ],
      }),
      'rim.readings',
    ],
    [
      'rim-face',
      rim({
        readings: [
          { clock: 0, value: 0 },
          { clock: 20, value: 1 },
          { clock: 40, value: 1 },
        ],
      }),
      'rim.readings',
    ],
    ['rim-face', { ...RIM_FACE, face: { ...RIM_FACE.face, diameter: 0 } }, 'face.diameter'],
    ['rim-face', { ...RIM_FACE, face: undefined }, 'face'],
    [
      'rim-face',
      { ...RIM_FACE, face: undefined, faces: [RIM_FACE.face, { ...RIM_FACE.face, plunger: 'back' }] },
      'faces.1.plunger',
    ],
    [
      'coupling-values',
      { units: 'inch', feet: FEET, coupling: { offset: { v: 1 }, slope: { v: 0, h: 0 } } },
      'coupling.offset.h',
    ],
    ['fit-readings', { units: 'inch', readings: 'none' }, 'readings'],
    [
      'fit-readings',
      {
        units: 'inch',
        readings: [
          { clock: 45, value: 0 },
          { clock: 225, value: 1 },
        ],
      },
      'readings',
    ],
    ['judge', { ...GOOD.judge, tolerance: { form: 'guess' } }, 'tolerance.form'],
    [
      'judge',
      { ...GOOD.judge, tolerance: { form: 'offset-slope', mode: 'plane', offset: 0, slope: 1 } },
      'tolerance.offset',
    ],
    ['judge', { ...GOOD.judge, tolerance: { form: 'speed-rule', mode: 'plane', grade: 'fine' } }, 'rpm'],
    ['judge', { ...GOOD.judge, rpm: -5 }, 'rpm'],
    ['level', { units: 'inch', boltSpacing: 10 }, 'feeler'],
    ['level', { units: 'inch', boltSpacing: 10, feeler: 3, supportedLength: 0 }, 'supportedLength'],
    ['level', { ...GOOD.level, divisions: 3 }, 'divisions'],
    ['level', { units: 'inch', boltSpacing: 10, divisions: 3 }, 'sensitivity'],
  ] as const)('%s: %#', async (operation, input, path) => {
    const answer = await calculate(operation, input)
    expect(pathsOf(answer)).toContain(path)
    for (const issue of error(answer).issues) expect(issue.message).toMatch(/^[A-Z].*[.?]$/)
  })

  it('names an operation it does not know', async () => {
    for (const name of ['guess', '', null, 7, '__proto__', 'constructor'])
      expect(error(await calculate(name, {})).code).toBe('unknown-operation')
  })

  it('whatever comes in, an answer or a sentence comes out, and never a NaN', async () => {
    const anything = fc.oneof(fc.anything(), fc.constantFrom(...Object.values(GOOD)))
    const spoiled = fc
      .tuple(fc.constantFrom(...Object.keys(GOOD)), fc.string(), anything)
      .map(([name, key, value]) => ({
        name,
        input: {
          ...GOOD[name],
          [key in (GOOD[name] ?? {}) ? key : (Object.keys(GOOD[name] ?? {})[1] ?? key)]: value,
        },
      }))
    await fc.assert(
      fc.asyncProperty(
        fc.oneof(spoiled, fc.record({ name: fc.constantFrom(...Object.keys(GOOD)), input: anything })),
        async ({ name, input }) => {
          const answer = await calculate(name, input)
          if (answer.ok) expect(JSON.stringify(answer.result)).not.toMatch(/NaN|Infinity/)
          else expect(answer.error.issues.length).toBeGreaterThan(0)
        },
      ),
      { numRuns: 500 },
    )
  })
})

describe('what is wrong inside an inner input', () => {
  it('keeps its own sentence, at its place', async () => {
    const spoiled = { ...RIM_FACE, rim: { ...RIM_FACE.rim, sag: -2 } }
    const answer = await calculate('backlash', {
      units: 'inch',
      clockwise: spoiled,
      counterclockwise: RIM_FACE,
    })
    if (answer.ok) throw new Error('it was taken')
    expect(answer.error.issues).toEqual([
      { path: 'clockwise.rim.sag', message: 'Give the bar sag as zero or more.' },
    ])
  })

  it('has a sentence also where the schema has none of its own', async () => {
    const answer = await calculate('judge', {
      units: 'inch',
      coupling: COUPLING,
      tolerance: { form: 'offset-slope', mode: 'plane', offset: 1, slope: 1, source: 'x'.repeat(201) },
    })
    if (answer.ok) throw new Error('it was taken')
    expect(answer.error.issues).toEqual([
      { path: 'tolerance.source', message: 'This is too long: 200 characters at most.' },
    ])
  })
})
