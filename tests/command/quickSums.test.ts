import { quickWords } from '../../shared/wording/viewWords'
import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { describe, expect, it } from 'vitest'
import { calculate, inputSchema, OPERATIONS, resultSchema } from '../../shared/calculation/operations'
import { OWN_END } from '../../shared/wording/words'
import { fieldOf, type Field } from '../../shared/quick/field'
import { readForm } from '../../shared/quick/readForm'
import { blankOf, namedInner, renameUnits, textsOf } from '../../shared/quick/texts'
import { resultRows } from '../../shared/quick/resultRows'
import { findSums } from '../../shared/quick/search'
import { sentenceOf } from '../../shared/quick/sentences'
import { workingOf } from '../../shared/quick/working'
import { tellingOf } from '../../shared/wording/telling'

const FORMS = new Map(OPERATIONS.map((o) => [o.name, fieldOf(inputSchema(o))]))
const inner = (name: string): Field | null => FORMS.get(name) ?? null

/** The worked example of each operation, from its page. */
const examples = readdirSync(join('docs', 'methods'))
  .filter((f) => f.endsWith('.md'))
  .flatMap((f) => {
    const page = readFileSync(join('docs', 'methods', f), 'utf8')
    const operation = /Operation `([\w-]+)`/.exec(page)?.[1]
    const input = /```json input\n([\s\S]*?)```/.exec(page)?.[1]
    if (!operation || !input) return []
    const given = JSON.parse(input) as { units: 'inch' | 'metric' }
    return [{ operation, input: given }]
  })

/** Sums whose numbers come out of a formula; the others search, draw or fit, and show their page’s formula. */
const UNFOLDS: readonly string[] = [
  'rim-face',
  'reverse-rim',
  'spacer-faces',
  'heads',
  'coupling-values',
  'foot-values',
  'level',
  'soft-foot',
  'runout',
  'growth',
  'hot-check',
  'strain',
  'axial-gap',
  'tightening',
  'judge',
  'shim-pack',
]

describe('a quick sum', () => {
  it('is there for every operation, with a question of its own', () => {
    expect(Object.keys(quickWords.sums).sort()).toEqual(OPERATIONS.map((o) => o.name).sort())
    const asked = Object.values(quickWords.sums).map((s) => s.ask)
    expect(new Set(asked).size).toBe(asked.length)
    expect(examples.length).toBe(OPERATIONS.length)
  })

  it.each(examples)(
    '$operation: its form holds the worked example, and comes to the same result',
    async ({ operation, input }) => {
      const form = FORMS.get(operation) as Field
      const texts = textsOf(form, namedInner(form, input, inner), input.units, inner)
      const read = readForm(form, texts, input.units, OWN_END, inner)
      expect(read.faults).toEqual({})
      const wish = await calculate(operation, input)
      const got = await calculate(operation, read.input)
      expect(wish.ok, JSON.stringify(wish)).toBe(true)
      if (!wish.ok || !got.ok) throw new Error(JSON.stringify(got))
      // What a train comes to hangs on how long its programs had.
      const settled = (r: unknown) =>
        operation === 'train-plan' ? { feasible: (r as { feasible: boolean }).feasible } : r
      expect(settled(got.result)).toEqual(settled(wish.result))
      // In other units it is the same machine.
      const other = input.units === 'inch' ? 'metric' : 'inch'
      const again = readForm(form, renameUnits(form, texts, input.units, other, inner), other, OWN_END, inner)
      expect(again.faults).toEqual({})
      const turned = await calculate(operation, again.input)
      expect(turned.ok, JSON.stringify(turned)).toBe(true)

      const schema = OPERATIONS.filter((o) => o.name === operation).map(resultSchema)[0]
      const rows = resultRows(schema, wish.result, input.units)
      expect(rows.length).toBeGreaterThan(0)
      for (const row of rows) {
        expect(row.label).not.toBe('')
        expect(row.value).not.toMatch(/undefined|NaN|\[object/)
      }
      if (operation === 'rim-face')
        expect(sentenceOf(operation, wish.result, { words: OWN_END, units: input.units })).toMatch(
          /^Move inboard: shim .+ toward [39]; outboard/,
        )
      const steps = workingOf(operation, input, wish.result, tellingOf(input.units, null))
      const unfolds = UNFOLDS.includes(operation)
      expect(steps.length > 0, operation).toBe(unfolds)
      for (const step of steps) {
        expect(step.name).not.toBe('')
        expect(`${step.formula}${step.substituted}${step.result}`).not.toMatch(/undefined|NaN|\[object|\?/)
      }
      const said = sentenceOf(operation, wish.result, { words: OWN_END, units: input.units })
      expect(said).toMatch(/[A-Z].*\.$/)
      expect(said).not.toBe(quickWords.known)
      expect(said).not.toMatch(/undefined|NaN|\[object/)
    },
  )

  it.each(OPERATIONS.map((o) => o.name))(
    '%s: an empty form says what to give, and never fails',
    async (name) => {
      const form = FORMS.get(name) as Field
      const answer = await calculate(name, readForm(form, blankOf(form), 'inch', OWN_END, inner).input)
      if (!answer.ok) for (const i of answer.error.issues) expect(i.message).toMatch(/[.?]$/)
    },
  )

  it('unfolds to figures that come to its answer', async () => {
    const stepsOf = async (id: string, input: object) => {
      const answer = await calculate(id, input)
      if (!answer.ok) throw new Error(JSON.stringify(answer.error))
      const { units } = input as { units: 'inch' | 'metric' }
      return workingOf(id, input, answer.result, tellingOf(units, null)).map(
        (s) => `${s.name}: ${s.substituted} = ${s.result}`,
      )
    }
    expect(
      await stepsOf('level', { units: 'inch', feeler: 5, supportedLength: 1.5, boltSpacing: 3.25 }),
    ).toEqual([
      'Slope of the shaft: 5 / 1.5 = 3.333 mil/in',
      'Shim under both feet of the low end: 3.33333 × 3.25 = 10.83 mil',
    ])
    expect(
      (
        await stepsOf('level', {
          units: 'metric',
          divisions: 3,
          reversedDivisions: -1,
          sensitivity: 0.02,
          boltSpacing: 500,
        })
      ).at(-1),
    ).toBe('Shim under both feet of the low end: 0.04 × 500 / 100 = 0.2 mm')
    const feet = { units: 'inch', rises: { f1: 1, f2: 12, f3: 1.5, f4: 9 } }
    expect((await stepsOf('soft-foot', feet)).at(-1)).toContain('12 − 1 = 11 mil')
    const bolt = {
      units: 'metric',
      diameter: 20,
      pitch: 2.5,
      boltClass: '8.8',
      lubrication: 'oiled',
      bolts: 4,
    }
    const torque = (await stepsOf('tightening', bolt)).find((s) => s.startsWith('Torque'))
    const [, k = 0, d = 0, load = 0, says = 0] =
      /: ([\d.]+) × ([\d.]+) × ([\d.]+) \/ 1000 = ([\d.]+)/.exec(torque ?? '')?.map(Number) ?? []
    expect((k * d * load) / 1000).toBeCloseTo(says, 1)
    const rise = await stepsOf('growth', {
      units: 'metric',
      machines: [
        {
          role: 'movable',
          feet: [
            { id: 'inboard', x: 300, material: 'steel', height: 400, coldTemp: 20, runTemp: 60 },
            { id: 'outboard', x: 700, rise: { v: 0.1, h: 0 } },
          ],
        },
      ],
    })
    expect(rise).toEqual(['Motor, rise at inboard: 0.0000117 × 400 × (60 − 20) = 0.1872 mm'])
  })

  it('is found by the words people use', () => {
    const first = (text: string) => findSums(text)[0]?.id
    expect(first('soft foot')).toBe('soft-foot')
    expect(first('torque')).toBe('tightening')
    expect(first('hertz')).toBe('belt-reading')
    expect(first('level shaft')).toBe('level')
    expect(findSums('zzz')).toEqual([])
    expect(findSums('')).toHaveLength(OPERATIONS.length)
  })

  it('says what can’t be read at its box', () => {
    const form = FORMS.get('level') as Field
    const texts = { ...(blankOf(form) as object), boltSpacing: 'abc', feeler: '5' }
    expect(Object.keys(readForm(form, texts, 'inch', OWN_END, inner).faults)).toEqual(['boltSpacing'])
  })
})
