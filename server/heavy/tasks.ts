import { reportWords } from '../../shared/wording/en'
import { foldJob, type Job } from '../../core/jobs/jobs'
import type { LogEntry } from '../../core/logbook/entry'
import type { MethodId } from '../../core/methods/methods'
import type { UnitSystem } from '../../core/units/unitSystem'
import type { CalculationAnswer } from '../../shared/calculation/operation'
import { calculate as calculateHere } from '../../shared/calculation/operations'
import { readJobFile, type JobFileRead } from '../../shared/files/readJobFile'
import { readTables as readTablesHere, type TablesRead } from '../../shared/files/readTables'
import type { MachineSnapshot } from '../../shared/register/machine'
import type { ViewFrom } from '../../shared/wording/otherEnd'
import { tellingOf, type FootWords } from '../../shared/wording/telling'
import { partMachine } from '../../shared/register/partMachine'
import { reportDocument } from '../report/document'
import type { SheetShim } from '../../core/shims/sheetShim'
import { outlineDocument } from '../report/outlineDocument'
import { gearSheetDocument } from '../report/gearSheet'
import type { Reported } from '../report/section'
import { beltSheetDocument } from '../report/beltSheet'
import { sheetDocument } from '../report/sheet'
import { printPdf, type ReportFonts } from '../report/printer'

/** A task as its thread gets it, and where it says that it has begun. */
interface Given<Task> {
  readonly task: Task
  readonly begun: Int32Array<SharedArrayBuffer>
}

/** Says that the waiting is over: from here on the task's own time counts. */
const begin = (begun: Int32Array<SharedArrayBuffer>): void => {
  Atomics.store(begun, 0, 1)
  Atomics.notify(begun, 0)
}

/** What runs in a worker thread: plain data in, plain data out. One function a task. */
export interface CalculateTask {
  readonly operation: string
  readonly input: unknown
}

export const calculate = ({ task, begun }: Given<CalculateTask>): Promise<CalculationAnswer> => {
  begin(begun)
  return calculateHere(task.operation, task.input)
}

export interface ReportTask {
  readonly jobId: string
  readonly machine: MachineSnapshot
  readonly entries: readonly LogEntry[]
  readonly works: { readonly name: string; readonly footWords: FootWords }
  /** Names by id. */
  readonly people: Readonly<Record<string, string>>
  readonly units: UnitSystem
  readonly view: ViewFrom
  readonly paper: 'A4' | 'LETTER'
  /** A data sheet of this method instead of the report; filled with what the job knows, or blank. */
  readonly sheet?: {
    readonly method: MethodId | null
    readonly filled: boolean
    readonly part: string | null
  }
  /** Photographs of the logbook that have arrived, as data URLs by id. */
  readonly photographs: Readonly<Record<string, string>>
  readonly fonts: ReportFonts
}

/** The report as PDF, with a name for its file. */
export const report = async ({
  task,
  begun,
}: Given<ReportTask>): Promise<{ readonly pdf: Uint8Array; readonly name: string }> => {
  begin(begun)
  const { machine, entries, works, people } = task
  const job = foldJob(machine, entries)
  const telling = tellingOf(task.units, machine, works.footWords, task.view)
  const words = reportWords(telling.words)
  const reported = {
    jobId: task.jobId,
    works: works.name,
    machine,
    logbook: entries,
    personName: (person: string) => people[person] ?? words.someone,
    telling,
    paper: task.paper,
    photographs: task.photographs,
  }
  if (task.sheet) {
    const { method, filled, part } = task.sheet
    const sheet = sheetOf(job, reported, method, filled, part)
    return {
      pdf: await printPdf(sheet, task.fonts),
      name: `${machine.tag}-${words.sheet.fileName}.pdf`,
    }
  }
  const pdf = await printPdf(reportDocument(job, reported), task.fonts)
  return { pdf, name: `${machine.tag}-${words.fileNames[job.kind]}.pdf` }
}

/** The data sheet of a job, by its kind: of a method where one is asked for, else of the one in use. */
const sheetOf = (
  job: Job,
  reported: Reported,
  method: NonNullable<ReportTask['sheet']>['method'],
  filled: boolean,
  part: string | null,
) => {
  switch (job.kind) {
    case 'belt':
      return beltSheetDocument(job.state, reported, filled)
    case 'gear':
      return gearSheetDocument(job.state, reported, filled)
    case 'train': {
      const own = job.state.couplings.find((c) => c.part.id === part) ?? job.state.couplings[0]
      if (!own) throw new Error('a train without couplings')
      const told = {
        ...reported,
        machine: partMachine(reported.machine, own.part),
        telling: reported.telling.of(own.part.machine),
      }
      const { setUp } = own.state
      return sheetDocument(
        own.state,
        told,
        method ?? setUp?.how.method ?? own.part.machine.usual.method,
        filled,
        own.part.name,
      )
    }
    default: {
      const { setUp, machine } = job.state
      return sheetDocument(job.state, reported, method ?? setUp?.how.method ?? machine.usual.method, filled)
    }
  }
}

export interface OutlineTask {
  readonly shim: SheetShim
  readonly units: UnitSystem
  readonly note: string
  readonly paper: 'A4' | 'LETTER'
  readonly fonts: ReportFonts
}

/** A shim's outline to scale as PDF; null where it is larger than the paper. */
export const outline = async ({
  task,
  begun,
}: Given<OutlineTask>): Promise<{ readonly pdf: Uint8Array | null }> => {
  begin(begun)
  const page = outlineDocument(task.shim, tellingOf(task.units, null), task.note, task.paper)
  return { pdf: page && (await printPdf(page, task.fonts)) }
}

/** A job's file, read by the door that everything goes through. */
export const readJob = ({ task, begun }: Given<{ readonly text: string }>): JobFileRead => {
  begin(begun)
  return readJobFile(task.text)
}

/** Tables of jobs as CSV, read by the same door. */
export const readTables = ({ task, begun }: Given<{ readonly texts: readonly string[] }>): TablesRead => {
  begin(begun)
  return readTablesHere(task.texts)
}
