import type { LogEntry } from '../../logbook/entry'
import { remember } from '../../logbook/remember'
import type { TakenInstrument } from './entries'

/** What was taken along, as it was written last; null before. */
export type Kit = LogEntry<'tools-taken'> | null

export const keepKit = (now: Kit, e: LogEntry): Kit => (e.kind === 'tools-taken' ? e : now)

/** Whether a calibration had run out on the day it was taken along; one without a date never runs out. */
export const isOverdue = ({ due }: Pick<TakenInstrument, 'due'>, on: string): boolean =>
  due !== null && due < on.slice(0, 10)

/** Instruments that were taken along although their calibration had run out. */
export const overdueIn = remember((entry: LogEntry<'tools-taken'>): readonly TakenInstrument[] =>
  entry.payload.instruments.filter((i) => isOverdue(i, entry.madeAt)),
)
