import { withUnits } from '../../shared/register/trainBoxes'
import { describe, expect, it } from 'vitest'
import { MACHINES } from '../../scripts/demo/works'
import { issuesOf } from '../../shared/calculation/issues'
import { MOST_PAIRS, withPairs } from '../../shared/register/coupledBoxes'
import {
  blankRecord,
  openedBy,
  readRecord,
  recordBoxes,
  recordTexts,
  recordLike,
} from '../../shared/register/form'
import { machineFields, type MachineFields } from '../../shared/register/machine'

describe('the register form', () => {
  it.each(MACHINES.map((m) => [m.tag, m] as const))('shows %s and reads it back unchanged', (_, machine) => {
    const boxes = recordBoxes(machine)
    const { record, faults } = readRecord(recordTexts(machine, boxes), machine, boxes)
    expect(faults).toEqual({})
    expect(machineFields.parse(record)).toEqual(machineFields.parse(machine))
  })

  it.each(['coupled', 'flange', 'drum', 'gear', 'belt'] as const)(
    'an empty %s machine is refused with a sentence at its boxes',
    (drive) => {
      const blank = blankRecord(drive, 'metric')
      const boxes = recordBoxes(blank)
      const { record, faults } = readRecord(recordTexts(blank, boxes), blank, boxes)
      const parsed = machineFields.safeParse(record)
      const said = [
        ...Object.values(faults),
        ...(parsed.success ? [] : issuesOf(parsed.error).map((i) => i.message)),
      ]
      expect(said.length).toBeGreaterThan(3)
      for (const sentence of said) expect(sentence).toMatch(/^[A-Z0-9].*[.?]$/)
    },
  )

  it('leaves a part that nobody filled out of the record, and begins it with one filled box', () => {
    const machine = MACHINES.find((m) => m.tag === 'KY-09')
    if (!machine) throw new Error('no machine')
    const boxes = recordBoxes(machine)
    const texts = recordTexts(machine, boxes)
    expect(readRecord(texts, machine, boxes).record).not.toHaveProperty('comeBack')
    const { record } = readRecord({ ...texts, 'comeBack.regularMonths': '3' }, machine, boxes)
    const begun = machineFields.parse(record)
    expect(begun.comeBack).toMatchObject({ regularMonths: 3, hotCheckDays: null })
    const emptied = readRecord(texts, begun, boxes)
    expect(machineFields.parse(emptied.record).comeBack).toMatchObject({ regularMonths: null })
  })

  it('of a gearset: zones, limits, window and room may be left open, zones all or none', () => {
    const machine = MACHINES.find((m) => m.tag === 'PR-05')
    if (machine?.drive !== 'gear') throw new Error('no gearset')
    const boxes = recordBoxes(machine)
    const texts = recordTexts(machine, boxes)
    const typed = (change: Record<string, string>) =>
      machineFields.safeParse(readRecord({ ...texts, ...change }, machine, boxes).record)
    expect(
      typed({ 'gear.room.blocks': '', 'gear.backlash.window.1': '', 'gear.limits.off': '' }).data,
    ).toMatchObject({
      gear: { room: { blocks: null }, backlash: { window: [10, null] }, limits: { off: null } },
    })
    const zones = (a: string, b: string, c: string, d: string) =>
      typed({
        'gear.wanted.forward.0': a,
        'gear.wanted.forward.1': b,
        'gear.wanted.back.0': c,
        'gear.wanted.back.1': d,
      })
    expect(zones('38', '74', '30', '66').data).toMatchObject({
      gear: { wanted: { forward: [38, 74], back: [30, 66] } },
    })
    const said = (parsed: ReturnType<typeof zones>) =>
      parsed.success ? [] : issuesOf(parsed.error).map((i) => i.message)
    expect(said(zones('38', '74', '', ''))).toEqual(['Give both ends of both wanted zones, or none of them.'])
    expect(said(zones('74', '38', '30', '66'))).toEqual([
      'A zone begins before it ends. Give the smaller figure first.',
    ])
    expect(said(typed({ 'gear.ends.to': 'Table side' }))).toEqual([
      'Call the two ends of a tooth by different names.',
    ])
    const like = recordLike({ ...machine, id: 'x', version: 3 } as never)
    expect(like).toMatchObject({ tag: '', gear: { leftAs: null, responses: { blocks: null, gear: null } } })
  })

  it('of a line: every machine and coupling, one more or fewer, called by its ends', () => {
    const machine = MACHINES.find((m) => m.tag === 'CP-40')
    if (machine?.drive !== 'train') throw new Error('no line')
    const boxes = recordBoxes(machine)
    const texts = recordTexts(machine, boxes)
    const typed = (change: Record<string, string>) =>
      machineFields.safeParse(readRecord({ ...texts, ...change }, machine, boxes).record)
    expect(typed({}).data).toEqual(machine)
    expect(boxes.map((b) => b.path)).not.toContain('movableName')
    expect(typed({ 'machines.2.name': 'Big motor' }).data).toMatchObject({ movableName: 'Big motor' })
    const said = (parsed: ReturnType<typeof typed>) =>
      parsed.success ? [] : issuesOf(parsed.error).map((i) => [i.path, i.message])
    expect(said(typed({ 'machines.1.feet.0.x': '-500' }))).toContainEqual([
      'machines.1.feet.0.x',
      'This stands before what comes ahead of it on the line. Everything is taped along one line, from the driven end on.',
    ])
    const four = withUnits(machine, 4)
    if (four.drive !== 'train') throw new Error('no line')
    expect([four.machines.map((m) => m.id), four.couplings.map((c) => c.id)]).toEqual([
      ['m1', 'm2', 'm3', 'm4'],
      ['c1', 'c2', 'c3'],
    ])
    expect(withUnits(four, 3)).toEqual(machine)
    expect(withUnits(machine, 2)).toBe(machine)
    expect(withUnits(machine, 9)).toBe(machine)
    const grown = { ...machine, growth: { units: 'metric', machines: [], source: '' } as never }
    expect(recordLike({ ...grown, id: 'x', version: 3 })).not.toHaveProperty('growth')
  })

  it('of a drum: distances and windows may be left empty, pairs are its motor’s alone', () => {
    const machine = MACHINES.find((m) => m.tag === 'CP-30')
    if (machine?.drive !== 'drum') throw new Error('no drum')
    const boxes = recordBoxes(machine)
    const texts = recordTexts(machine, boxes)
    const typed = (change: Record<string, string>) =>
      machineFields.safeParse(readRecord({ ...texts, ...change }, machine, boxes).record)
    const untaped = typed({ 'feet.movable.0.x': '', 'feet.movable.1.x': '', 'drum.windows.rim.top.1': '0' })
    expect(untaped.data).toMatchObject({
      feet: { movable: [{ x: null }, { x: null }] },
      drum: { windows: { rim: { top: [null, 0] }, face: { side: [null, null] } } },
    })
    const half = typed({ 'feet.movable.0.x': '' })
    expect(half.error && issuesOf(half.error)[0]?.path).toBe('feet.movable.1.x')
    const turned = typed({ 'drum.windows.face.side.0': '2', 'drum.windows.face.side.1': '1' })
    expect(turned.error && issuesOf(turned.error)[0]?.message).toContain('below the least')
    expect(withPairs(machine, 'stationary', 1)).toBe(machine)
    const more = withPairs(machine, 'movable', 1)
    expect(more.drive === 'drum' && more.feet.movable.map((f) => [f.id, f.x])).toEqual([
      ['inboard', 11.5],
      ['outboard', 23],
      ['third', null],
    ])
  })

  it('says at the box what is no number', () => {
    const [machine] = MACHINES
    if (!machine) throw new Error('no machine')
    const boxes = recordBoxes(machine)
    const texts = { ...recordTexts(machine, boxes), rpm: 'fast', powerKw: '' }
    expect(Object.keys(readRecord(texts, machine, boxes).faults).sort()).toEqual(['powerKw', 'rpm'])
  })

  it.each(['movable', 'stationary'] as const)(
    'takes one more and one fewer pair of the %s machine',
    (role) => {
      const machine = MACHINES.find((m) => m.tag === 'CP-11')
      if (machine?.drive !== 'coupled') throw new Error('not coupled')
      const count = (m: MachineFields) => (m.drive === 'coupled' ? m.feet[role].length : -1)
      const more = withPairs(machine, role, 1)
      expect(count(more)).toBe(count(machine) + 1)
      expect(withPairs(more, role, -1)).toEqual(machine)
      // Names are never given twice, and there is an end both ways.
      let full: MachineFields = machine
      for (let n = 0; n < 12; n++) full = withPairs(full, role, 1)
      expect(count(full)).toBe(MOST_PAIRS)
      const ids = full.drive === 'coupled' ? full.feet[role].map((f) => f.id) : []
      expect(new Set(ids).size).toBe(ids.length)
      let bare: MachineFields = machine
      for (let n = 0; n < 12; n++) bare = withPairs(bare, role, -1)
      expect(count(bare)).toBe(role === 'movable' ? 2 : 0)
      const belt = MACHINES.find((m) => m.drive === 'belt')
      expect(belt && withPairs(belt, role, 1)).toBe(belt)
    },
  )

  it('has a box for each pair of feet, however many there are', () => {
    const machine = MACHINES.find((m) => m.tag === 'CP-11')
    if (machine?.drive !== 'coupled') throw new Error('not coupled')
    const [near, far] = machine.feet.movable
    if (!near || !far) throw new Error('no feet')
    const three = {
      ...machine,
      feet: { ...machine.feet, movable: [near, { ...far, id: 'middle', x: 20 }, far] },
    }
    const paths = recordBoxes(three).map((f) => f.path)
    expect(paths.filter((p) => /^feet\.movable\.\d+\.x$/.test(p))).toHaveLength(3)
  })

  it('has none of the coupling’s boxes for a belt drive, nor the other way round', () => {
    const paths = (tag: string) =>
      recordBoxes(MACHINES.find((m) => m.tag === tag) as never).map((f) => f.path)
    expect(paths('GL-03').some((p) => p.startsWith('feet') || p === 'couplingKind')).toBe(false)
    expect(paths('CP-11').some((p) => p.startsWith('sheaves') || p.startsWith('base'))).toBe(false)
  })

  const coupledMachine = MACHINES.find((m) => m.tag === 'CP-11') as MachineFields
  const box = (record: MachineFields, path: string) => {
    const found = recordBoxes(record).find((f) => f.path === path)
    if (!found) throw new Error(`no box ${path}`)
    return found
  }
  const optionsOf = (path: string) => {
    const found = box(coupledMachine, path)
    return found.kind === 'choice' ? found.options.map((o) => o.value) : []
  }

  it.each([...optionsOf('usual.method')])(
    'a machine usually measured by %s has its own boxes, filled and saved',
    (method) => {
      const opened = openedBy(coupledMachine, box(coupledMachine, 'usual.method'), method)
      const boxes = recordBoxes(opened)
      const texts = recordTexts(opened, boxes)
      for (const f of boxes)
        if (f.path.startsWith('usual.') && f.kind === 'number')
          texts[f.path] = f.path === 'usual.onStationary' ? '-4' : '5'
      const { record, faults } = readRecord(texts, opened, boxes)
      expect(faults).toEqual({})
      const parsed = machineFields.safeParse(record)
      expect(parsed.success, JSON.stringify(parsed.error?.issues)).toBe(true)
      expect(parsed.data).toMatchObject({ tag: 'CP-11', usual: { method } })
    },
  )

  it.each([...optionsOf('tolerance.form')])(
    'limits told as %s have their own boxes, filled and saved',
    (form) => {
      const opened = openedBy(coupledMachine, box(coupledMachine, 'tolerance.form'), form)
      const boxes = recordBoxes(opened)
      const texts = recordTexts(opened, boxes)
      for (const f of boxes)
        if (f.path.startsWith('tolerance.') && f.kind === 'number')
          texts[f.path] = f.path.endsWith('.0') ? '-1' : '2'
      texts['tolerance.source'] = 'Coupling maker’s sheet'
      const { record, faults } = readRecord(texts, opened, boxes)
      expect(faults).toEqual({})
      const parsed = machineFields.safeParse(record)
      expect(parsed.success, JSON.stringify(parsed.error?.issues)).toBe(true)
      expect(parsed.data).toMatchObject({ tolerance: { form } })
    },
  )

  it('the same choice again changes nothing', () => {
    expect(openedBy(coupledMachine, box(coupledMachine, 'usual.method'), 'rim-face')).toBe(coupledMachine)
  })
})

describe('a machine like another one', () => {
  it('takes over everything but its identity and the target that was learned of the first alone', () => {
    const known = MACHINES.find((m) => m.tag === 'CP-11')!
    const target = { units: 'inch', given: { way: 'none' }, source: 'survey', learned: null }
    const copy = recordLike({ ...known, target, version: 7 } as never)
    expect(copy).toMatchObject({ tag: '', name: known.name, drive: 'coupled' })
    expect(Object.keys(copy)).not.toContain('target')
    expect(Object.keys(copy)).not.toContain('version')
  })
})
