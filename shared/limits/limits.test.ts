import { describe, expect, it } from 'vitest'
import { LIMIT_SETS } from './testLimits'
import { TEST_MACHINE } from '../../core/jobs/testJob'
import type { CoupledFields } from '../register/coupledMachine'
import { limits } from '../wording/en'
import { OWN_END } from '../wording/words'
import { toleranceSource } from '../wording/tolerances'
import { limitsToCsv, limitsToJson, readLimitsFile } from './files'
import { blankLimits, convertLimits, starterCopy, textsOfLimits } from './form'
import { readLimits } from './readForm'
import { asKept, keptLimitSet, limitSetFields, type LimitSetRecord } from './limitSet'
import { limitTiers } from './nearest'

const known: readonly LimitSetRecord[] = LIMIT_SETS.map((s, i) => ({ ...s, id: `set-${i}`, version: i + 1 }))
const [GRID, WORKS] = known as [LimitSetRecord, LimitSetRecord]
const machine = (tolerance: CoupledFields['tolerance']) =>
  ({
    ...TEST_MACHINE,
    tag: 'T-1',
    name: 'Test mill',
    couplingKind: 'Grid coupling',
    tolerance,
  }) as unknown as CoupledFields
const RULE = { form: 'speed-rule', mode: 'plane', grade: 'standard' } as const

describe('a table of limits at the door', () => {
  const at = (change: object) => {
    const parsed = limitSetFields.safeParse({ ...LIMIT_SETS[1], ...change })
    return parsed.success ? [] : parsed.error.issues.map((i) => i.path.join('.'))
  }
  const rows = WORKS.rows
  it.each<[string, object, string]>([
    ['speeds that fall', { rows: [...rows].reverse() }, 'rows.1.upTo'],
    ['a row behind an open one', { rows: [{ ...rows[0], upTo: null }, rows[1]] }, 'rows.1.upTo'],
    ['no row', { rows: [] }, 'rows'],
    [
      'a limit of nothing',
      { rows: [{ ...rows[0], fine: { offset: 0, slope: 1, flexSlope: 1 } }] },
      'rows.0.fine.offset',
    ],
    [
      'no limit anywhere',
      {
        rows: [
          {
            upTo: null,
            fine: { offset: null, slope: null, flexSlope: null },
            standard: { offset: null, slope: null, flexSlope: null },
          },
        ],
      },
      'rows.0',
    ],
    ['a coupling that isn’t named', { level: 'coupling', coupling: ' ' }, 'coupling'],
    ['no name', { name: ' ' }, 'name'],
    ['another level', { level: 'machine' }, 'level'],
  ])('is refused with %s', (_, change, path) => {
    expect(at(change)).toContain(path)
  })

  it('is kept by a job as it was', () => {
    expect(keptLimitSet.parse(JSON.parse(JSON.stringify(asKept(GRID))))).toEqual(asKept(GRID))
    expect(asKept(GRID)).not.toHaveProperty('version')
  })
})

describe('which tier rules', () => {
  it('is told for every quantity with what each says', () => {
    const [offset, slope] = limitTiers(machine(RULE), [GRID, WORKS], 990)
    expect(
      offset?.cells.map((c) => [c.tier, c.value === null ? null : Math.round(c.value / 0.0254), c.wins]),
    ).toEqual([
      ['machine', null, false],
      ['coupling', 4, true],
      ['works', 5, false],
      ['starter', 5, false],
    ])
    expect(slope?.cells.find((c) => c.wins)?.tier).toBe('works')
  })

  it('is the machine where it has a limit of its own; a window stands outside the tables', () => {
    const own = machine({ form: 'offset-slope', mode: 'plane', offset: 2, slope: 0.5 })
    expect(limitTiers(own, [GRID, WORKS], 990).every((r) => r.cells[0]?.wins)).toBe(true)
    const flex = machine({ form: 'flex-plane', mode: 'plane', slope: 0.5, spoolLength: 6 })
    expect(limitTiers(flex, [], 990).map((r) => r.quantity)).toEqual(['flexSlope'])
    const open = [null, 3] as [null, number]
    const window = machine({ form: 'window', offset: { v: open, h: open }, slope: { v: open, h: open } })
    expect(limitTiers(window, [GRID], 990)).toEqual([])
  })

  it('is named with its row, revision and speed; where they differ, quantity by quantity', () => {
    expect(toleranceSource(RULE, 990, limits, [asKept(WORKS)])).toBe(
      'Works table, revision 3: row up to 1000 rpm, standard grade at 990 rpm.',
    )
    const both = toleranceSource(RULE, 990, limits, [asKept(GRID), asKept(WORKS)])
    expect(both).toContain('Offset by Grid sheet: row for every speed')
    expect(both).toContain('Angle by Works table')
    expect(toleranceSource(RULE, 990, limits, [])).toContain('Starting point by speed')
    expect(toleranceSource(RULE, 9000, limits, [asKept(WORKS)])).toContain('Starting point by speed')
  })
})

describe('the boxes of a table', () => {
  it('read back what they show', () => {
    for (const set of known)
      expect(readLimits(textsOfLimits(set), OWN_END).fields).toEqual(limitSetFields.parse(set))
  })

  it('say what is wrong at its box', () => {
    const texts = textsOfLimits(WORKS)
    texts.rows[0]!.fine.offset = 'wide'
    texts.rows[1]!.upTo = '500'
    const { fields, faults } = readLimits(texts, OWN_END)
    expect(fields).toBeNull()
    expect(faults['rows.0.fine.offset']).toContain('not a number')
    expect(faults['rows.1.upTo']).toContain('Speeds rise')
    // What is missing in a new table is no fault of what was typed.
    expect(readLimits(blankLimits('inch'), OWN_END)).toMatchObject({
      unread: {},
      faults: { name: expect.any(String) as string },
    })
  })

  it('keep their figures when the unit is switched', () => {
    const there = convertLimits(textsOfLimits(WORKS), 'metric')
    expect(there.rows[0]?.standard.offset).toBe('0.127')
    expect(convertLimits(there, 'inch').rows[0]?.standard.offset).toBe('5')
    expect(convertLimits(there, 'metric')).toBe(there)
  })

  it('begin with the starting values by speed where they are copied', () => {
    const copy = starterCopy('inch')
    expect(copy.rows.find((r) => r.upTo === '1800')?.standard).toEqual({
      offset: '3',
      slope: '0.56',
      flexSlope: '1',
    })
    expect(readLimits(copy, OWN_END).fields).not.toBeNull()
  })
})

describe('files of limits', () => {
  it.each([
    ['CSV', limitsToCsv(known)],
    ['JSON', limitsToJson(known)],
  ])('come back whole from %s, as what they were', (_, text) => {
    const { sets, faults } = readLimitsFile(text, known)
    expect(faults).toEqual([])
    expect(sets.map((s) => [s.fields.name, s.is])).toEqual(known.map((k) => [k.name, 'same']))
    expect(readLimitsFile(text, []).sets.every((s) => s.is === 'new')).toBe(true)
  })

  it('change the table of the same name, level and coupling', () => {
    const text = limitsToCsv(known).replace('Works table,sheet 9,3', 'WORKS TABLE,sheet 10,4')
    const { sets } = readLimitsFile(text, known)
    expect(sets.find((s) => s.known?.id === WORKS.id)).toMatchObject({
      is: 'changed',
      fields: { revision: '4' },
    })
  })

  it.each<[string, string, string]>([
    ['nothing', '  ', 'empty'],
    ['no list', '{"a":1}', 'not a list'],
    ['broken JSON', '[{', 'not a list'],
    ['other columns', 'a,b\n1,2', 'level, name, units, grade'],
    ['another grade', 'level,name,units,grade,offset\nworks,x,inch,best,3', 'fine or standard'],
    ['a word for a figure', 'level,name,units,grade,offset\nworks,x,inch,fine,wide', 'not a number'],
    ['a limit below zero', 'level,name,units,grade,offset\nworks,x,inch,fine,-3', 'above zero'],
    ['a table without a name', '[{"level":"works"}]', 'Give what the limits are called as text'],
  ])('say what is wrong with %s', (_, text, said) => {
    const { faults } = readLimitsFile(text, known)
    expect(faults.map((f) => f.message).join(' ')).toContain(said)
  })
})
