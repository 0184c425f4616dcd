import type { Content } from 'pdfmake/interfaces'
import type { LogEntry } from '../../core/logbook/entry'
import type { Closing, Outcome } from '../../core/stages/close/closing'
import type { Safety } from '../../core/stages/makeSafe/safety'
import type { Opening, Remarks } from '../../core/stages/open/opening'
import type { MachineFields } from '../../shared/register/machine'
import type { Telling } from '../../shared/wording/telling'

/** What every section knows, whatever the kind of job. */
export interface Reported {
  readonly jobId: string
  readonly works: string
  readonly machine: MachineFields
  readonly logbook: readonly LogEntry[]
  readonly personName: (id: string) => string
  readonly telling: Telling
  readonly paper: 'A4' | 'LETTER'
  /** Photographs of the logbook that have arrived, as data URLs by id. */
  readonly photographs: Readonly<Record<string, string>>
}

/** The slices that every kind of job has. */
export interface Common {
  readonly opening: Opening
  readonly rpm: number
  readonly safety: Safety
  readonly remarks: Remarks
  readonly closing: Closing
  readonly outcome: Outcome
}

/** One section of the report: what it prints of the slices it reads; nothing when there is nothing to say. */
export type Section<Sees> = (state: Sees, report: Reported) => readonly Content[]
