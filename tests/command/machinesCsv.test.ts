import { describe, expect, it } from 'vitest'
import { MACHINES } from '../../scripts/demo/works'
import { machinesToCsv, readMachinesCsv } from '../../shared/register/csv'
import type { MachineRecord } from '../../shared/register/machine'

const REGISTER: readonly MachineRecord[] = MACHINES.map((m, i) => ({ ...m, id: String(i), version: 1 }))
const lines = (csv: string) => csv.trimEnd().split('\r\n')
/** One cell of the exported register changed. */
const changed = (tag: string, column: string, value: string): string => {
  const [head = '', ...rows] = lines(machinesToCsv(MACHINES))
  const at = head.split(',').indexOf(column)
  return [
    head,
    ...rows
      .filter((r) => r.split(',').includes(tag))
      .map((r) =>
        r
          .split(',')
          .map((cell, i) => (i === at ? value : cell))
          .join(','),
      ),
  ].join('\r\n')
}

describe('the register as CSV', () => {
  it('goes out and comes in as it was, machine by machine', () => {
    const read = readMachinesCsv(machinesToCsv(MACHINES), REGISTER)
    expect(read.faults).toEqual([])
    expect(read.rows.map((r) => [r.tag, r.is, r.faults])).toEqual(MACHINES.map((m) => [m.tag, 'same', []]))
  })

  it('writes every machine into an empty register, whole', () => {
    const read = readMachinesCsv(machinesToCsv(MACHINES), [])
    for (const [i, row] of read.rows.entries()) {
      expect([row.tag, row.is, row.faults]).toEqual([MACHINES[i]?.tag, 'new', []])
      expect(row.record).toEqual({ ...MACHINES[i], retired: false })
    }
  })

  it('says what it would change', () => {
    const [row] = readMachinesCsv(changed('CP-11', 'rpm', '1485'), REGISTER).rows
    expect(row).toMatchObject({ tag: 'CP-11', is: 'changed', changes: ['rpm'] })
    expect(row?.record).toMatchObject({ rpm: 1485 })
  })

  it.each([
    ['rpm', 'fast', 'rpm', /number/],
    ['rpm', '-5', 'rpm', /above zero/],
    ['units', 'cubits', 'units', /inch or metric/],
    ['drive', 'chain', 'drive', /coupled, train, flange, drum, gear or belt/],
    ['tag', 'CP 11', 'tag', /letters/],
    ['feet.movable.1.x', '0', 'feet.movable.1.x', /.+/],
    ['couplingType', 'glue', 'couplingType', /one of/],
    ['usual.faceDiameter', '', 'usual.faceDiameter', /number/],
  ])('%s = %s is a fault of line 2, column %s', (column, value, where, message) => {
    const [row] = readMachinesCsv(changed('CP-11', column, value), REGISTER).rows
    expect(row?.is).toBe('faulty')
    const fault = row?.faults.find((f) => f.column === where)
    expect([fault?.line, fault?.message]).toEqual([2, expect.stringMatching(message)])
  })

  it('leaves alone what the file has no column for', () => {
    const read = readMachinesCsv('tag,drive,units,rpm\r\nCP-11,coupled,inch,985\r\n', REGISTER)
    expect(read.rows[0]).toMatchObject({ is: 'changed', changes: ['rpm'], faults: [] })
  })

  it('finds one tag twice, torn quotes, missing columns and an empty file', () => {
    const twice = readMachinesCsv('tag,drive,units\nCP-11,coupled,inch\ncp-11,coupled,inch\n', REGISTER)
    expect(twice.rows.map((r) => r.is)).toEqual(['same', 'faulty'])
    expect(twice.rows[1]?.faults[0]).toMatchObject({ line: 3, column: 'tag' })
    expect(readMachinesCsv('tag,drive,units\n"CP-11,coupled,inch\n', REGISTER).faults[0]?.line).toBe(2)
    expect(readMachinesCsv('tag,units\nCP-11,inch\n', REGISTER).faults[0]?.column).toBe('drive')
    expect(readMachinesCsv('', REGISTER).faults.length).toBe(1)
    expect(readMachinesCsv('\u0000\u0001', REGISTER).faults.length).toBe(1)
  })

  it('runs nothing in a spreadsheet, and leaves figures with a sign as they are', () => {
    const [first] = MACHINES
    const csv = machinesToCsv([{ ...first!, name: '=cmd()' }])
    expect(csv).toContain(`'=cmd()`)
    expect(csv).toContain(',-')
    expect(readMachinesCsv(csv, []).rows[0]?.record?.name).toBe('=cmd()')
  })
})
