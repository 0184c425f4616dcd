import type { LogEntry } from '../../core/logbook/entry'
import type { JobSummary } from '../api/answers'
import { csvText } from './csv'
import { clockText } from './clockText'
import { HEADS } from './tableHeads'
import type { JobTable } from './tableNames'

/** The kinds of entry that a table is made of. */
export const TABLE_KINDS: Readonly<Record<JobTable, readonly LogEntry['kind'][]>> = {
  jobs: ['job-opened'],
  readings: ['readings-taken'],
  moves: ['move-made', 'flange-moved'],
  belts: ['tension-read'],
}

/** Jobs with the entries that a table is made of, and what its writers are called. */
export interface Tabled {
  readonly jobs: readonly JobSummary[]
  readonly entries: ReadonlyMap<string, readonly LogEntry[]>
  readonly nameOf: (person: string) => string
}

type Cell = string | number
type Row = readonly Cell[]

const yesNo = (b: boolean) => (b ? 'yes' : 'no')

/** A job as it was opened, and as it stands: corrections of its opening count. */
const jobRow = (job: JobSummary, own: readonly LogEntry[]): Row => {
  const opening = own.flatMap((e) => (e.kind === 'job-opened' ? [e.payload] : [])).at(-1)
  return [
    job.id,
    job.tag,
    job.machineName,
    job.openedAt,
    job.closedAt ?? '',
    job.stage,
    job.verdict,
    yesNo(job.provisional),
    job.nextDue ?? '',
    job.lastAuthor,
    opening?.reason ?? '',
    opening?.rpm ?? '',
    opening?.customer ?? '',
    opening?.site ?? '',
    opening?.note ?? '',
  ]
}

const readingRows = (e: LogEntry<'readings-taken'>): readonly Row[] =>
  Object.entries(e.payload.circles).flatMap(([circle, readings]) =>
    readings.map((r) => [
      e.payload.units,
      circle,
      clockText(r.clock),
      r.clock,
      r.value,
      r.group ?? '',
      e.payload.returned?.[circle] ?? '',
      e.payload.turned ?? '',
    ]),
  )

const leaves = (list: readonly number[]) => list.join(' + ')

const moveRows = (e: LogEntry<'move-made'>): readonly Row[] => {
  const { units, changes, side, remark } = e.payload
  return [
    ...changes.map((c) => [
      units,
      `${c.machine} ${c.pair}`,
      c.side,
      leaves(c.putIn),
      leaves(c.takenOut),
      '',
      'vertical',
      remark,
    ]),
    ...side.map((s) => [units, `${s.machine} ${s.pair}`, '', '', '', s.moved, 'horizontal', remark]),
  ]
}

const flangeRows = (e: LogEntry<'flange-moved'>): readonly Row[] => {
  const { units, changes, pushed, remark } = e.payload
  return [
    ...changes.map((c) => [
      units,
      `bolt ${c.bolt}`,
      '',
      leaves(c.putIn),
      leaves(c.takenOut),
      '',
      'vertical',
      remark,
    ]),
    ...(pushed
      ? (['v', 'h'] as const).map((plane) => [
          units,
          'flange',
          '',
          '',
          '',
          pushed[plane],
          plane === 'v' ? 'vertical' : 'horizontal',
          remark,
        ])
      : []),
  ]
}

const beltRows = (e: LogEntry<'tension-read'>): readonly Row[] => {
  const { units, age, sheaves, read, words } = e.payload
  const [from, to] = (read.by === 'hand' ? read.window : null) ?? ['', '']
  const [given, values] =
    read.by === 'force'
      ? [read.deflection, read.forces]
      : read.by === 'deflection'
        ? [read.force, read.deflections]
        : read.by === 'frequency'
          ? ['', read.hertz]
          : read.by === 'marks'
            ? [read.slack, read.apart]
            : ['', read.deflections]
  return values.map((value, i) => [units, age, sheaves, read.by, given, i + 1, value, from, to, words])
}

const rowsOf = (e: LogEntry): readonly Row[] => {
  if (e.kind === 'readings-taken') return readingRows(e)
  if (e.kind === 'move-made') return moveRows(e)
  if (e.kind === 'flange-moved') return flangeRows(e)
  return e.kind === 'tension-read' ? beltRows(e) : []
}

/**
 * Jobs as CSV: one row a job, a reading, a shim change or push, or a belt; figures in the units they were typed in, times in
 * UTC. Entries that were corrected stay, and say so.
 */
export const jobTable = (table: JobTable, { jobs, entries, nameOf }: Tabled): string => {
  const data = jobs.flatMap((job): readonly Row[] => {
    const own = entries.get(job.id) ?? []
    if (table === 'jobs') return [jobRow(job, own)]
    const corrected = new Set(own.flatMap((e) => e.supersedes?.entry ?? []))
    return own.flatMap((e) => {
      const head: Row = [
        job.id,
        job.tag,
        job.machineName,
        e.id,
        e.madeAt,
        nameOf(e.author),
        e.part ?? '',
        e.supersedes?.entry ?? '',
        e.supersedes?.reason ?? '',
        yesNo(corrected.has(e.id)),
      ]
      return rowsOf(e).map((row) => [...head, ...row])
    })
  })
  return csvText(HEADS[table], data)
}
