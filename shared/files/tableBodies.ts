import type { EntryKind } from '../../core/logbook/entry'
import { jobTableWords } from '../wording/en'
import { OWN_END } from '../wording/words'
import { clockIn } from './clockText'
import type { CsvLine } from './csvLines'
import type { Column } from './tableHeads'
import type { JobTable } from './tableNames'

const w = jobTableWords(OWN_END)

type Line = CsvLine<Column>

/** Cells of a file as figures; what is wrong with them is kept. */
export interface CellReader {
  readonly fault: (line: Line, column: Column, message: string) => void
  /** Null for nothing, and for what is no figure. */
  readonly figure: (line: Line, column: Column) => number | null
}

/** A body as a file says it, before the schema at the door has seen it. */
interface RawBody {
  readonly kind: EntryKind
  readonly payload: unknown
}
type Lines = readonly [Line, ...Line[]]

/** Degrees by which the clock, told in whole half degrees, may miss what stands beside it. */
const CLOCK_MISSES = 0.5

const placeOnClock = (line: Line, cells: CellReader): number | null => {
  const degrees = cells.figure(line, 'degrees')
  const typed = line.say('clock')
  const clock = typed === '' ? null : clockIn(typed)
  if (clock === null && (typed !== '' || degrees === null)) {
    cells.fault(line, 'clock', w.faults.clock)
    return null
  }
  if (clock === null || degrees === null) return degrees ?? clock
  const apart = Math.abs(clock - degrees) % 360
  if (Math.min(apart, 360 - apart) > CLOCK_MISSES) cells.fault(line, 'degrees', w.faults.clockAndDegrees)
  return degrees
}

const readingsIn = (lines: Lines, cells: CellReader): RawBody => {
  const [first] = lines
  const circles = new Map<string, object[]>()
  const returned = new Map<string, number>()
  for (const line of lines) {
    const circle = line.say('circle')
    const group = line.say('group')
    const back = cells.figure(line, 'returned')
    const reading = { clock: placeOnClock(line, cells), value: cells.figure(line, 'value') }
    circles.set(circle, [...(circles.get(circle) ?? []), group === '' ? reading : { ...reading, group }])
    if (back === null) continue
    if ((returned.get(circle) ?? back) !== back)
      cells.fault(line, 'returned', w.faults.otherwise('returned', first.line))
    returned.set(circle, back)
  }
  const turned = first.say('turned').toLowerCase()
  return {
    kind: 'readings-taken',
    payload: {
      units: first.say('units').toLowerCase(),
      circles: Object.fromEntries(circles),
      returned: returned.size > 0 ? Object.fromEntries(returned) : null,
      ...(turned === '' ? {} : { turned }),
    },
  }
}

/** Leaves that are read of a cell: as many as the schema refuses. */
const MORE_THAN_A_PACK = 40

/** Leaves of a pack as 20 + 5 + 2. */
const leavesIn = (
  line: Line,
  column: 'put in' | 'taken out',
  cells: CellReader,
): readonly (number | null)[] => {
  const typed = line.say(column)
  if (typed === '') return []
  return typed.split('+', MORE_THAN_A_PACK).map((leaf) => {
    const said: Line = { ...line, say: (c) => (c === column ? leaf.trim() : line.say(c)) }
    return cells.figure(said, column)
  })
}

const FEET = /^(movable|stationary)\s+(.+)$/i
const BOLT = /^bolt\s+(\d+)$/i
const FLANGE = /^flange$/i

const feetMoved = (lines: Lines, cells: CellReader) => {
  const changes: object[] = []
  const side: object[] = []
  for (const line of lines) {
    const [, machine = '', pair = ''] = FEET.exec(line.say('place')) ?? []
    const foot = { machine: machine.toLowerCase(), pair }
    const moved = cells.figure(line, 'moved')
    const under = {
      side: line.say('side').toLowerCase(),
      takenOut: leavesIn(line, 'taken out', cells),
      putIn: leavesIn(line, 'put in', cells),
    }
    if (moved !== null) side.push({ ...foot, moved })
    if (under.side !== '') changes.push({ ...foot, ...under })
    else if (moved === null || under.takenOut.length + under.putIn.length > 0)
      cells.fault(line, 'side', w.faults.side)
  }
  return { changes, side }
}

const flangeMoved = (lines: Lines, cells: CellReader) => {
  const changes: object[] = []
  const pushed = { v: 0, h: 0 }
  let isPushed = false
  for (const line of lines) {
    const bolt = BOLT.exec(line.say('place'))?.[1]
    if (bolt !== undefined) {
      changes.push({
        bolt,
        takenOut: leavesIn(line, 'taken out', cells),
        putIn: leavesIn(line, 'put in', cells),
      })
      continue
    }
    const plane = line.say('plane').toLowerCase()
    if (plane !== 'vertical' && plane !== 'horizontal') cells.fault(line, 'plane', w.faults.plane)
    isPushed = true
    pushed[plane === 'vertical' ? 'v' : 'h'] += cells.figure(line, 'moved') ?? 0
  }
  return { changes, pushed: isPushed ? pushed : null }
}

const movesIn = (lines: Lines, cells: CellReader): RawBody => {
  const [first] = lines
  const common = { units: first.say('units').toLowerCase(), remark: first.say('remark') }
  const ofFlange = (line: Line) => BOLT.test(line.say('place')) || FLANGE.test(line.say('place'))
  const flange = ofFlange(first)
  for (const line of lines) {
    if (!ofFlange(line) && !FEET.test(line.say('place'))) cells.fault(line, 'place', w.faults.place)
    else if (ofFlange(line) !== flange) cells.fault(line, 'place', w.faults.feetAndBolts)
  }
  return flange
    ? { kind: 'flange-moved', payload: { ...common, ...flangeMoved(lines, cells) } }
    : { kind: 'move-made', payload: { ...common, ...feetMoved(lines, cells) } }
}

const beltsIn = (lines: Lines, cells: CellReader): RawBody => {
  const [first] = lines
  const values = lines.map((line, i) => {
    if (cells.figure(line, 'belt') !== i + 1) cells.fault(line, 'belt', w.faults.belt(i + 1))
    return cells.figure(line, 'value')
  })
  const by = first.say('read as').toLowerCase()
  const given = cells.figure(first, 'given')
  const [from, to] = [cells.figure(first, 'window from'), cells.figure(first, 'window to')]
  const read: Readonly<Record<string, object>> = {
    force: { deflection: given, forces: values },
    deflection: { force: given, deflections: values },
    frequency: { hertz: values },
    marks: { slack: given, apart: values },
    hand: { deflections: values, window: from === null && to === null ? null : [from, to] },
  }
  return {
    kind: 'tension-read',
    payload: {
      units: first.say('units').toLowerCase(),
      age: first.say('age').toLowerCase(),
      sheaves: first.say('sheaves').toLowerCase() || 'free',
      read: { by, ...(Object.hasOwn(read, by) ? read[by] : {}) },
      words: first.say('remark'),
    },
  }
}

/** Lines of one entry as its body, by their table. */
export const BODY_OF: Readonly<
  Record<Exclude<JobTable, 'jobs'>, (lines: Lines, cells: CellReader) => RawBody>
> = { readings: readingsIn, moves: movesIn, belts: beltsIn }
