import type { Knex } from 'knex'
import { spareStock, type BeltUse, type SpareStock } from '../../core/stores/spareBelts'
import { readBody } from '../../shared/logbook/kinds'
import type { NewSpareBelts, SpareBeltsChange, SpareBeltsRecord } from '../../shared/stores/spareBelts'
import { answerWords } from '../../shared/wording/viewWords'
import { countedLots } from '../tables/countedLots'
import { standingSince } from './standing'

/** Spare belts of one section and length at one place, shortest first. */
export const spareBelts = countedLots<SpareBeltsRecord, NewSpareBelts, SpareBeltsChange>({
  table: 'spare_belts',
  counts: 'spare_belt_counts',
  columns: ['section', 'construction', 'units', 'length', 'together', 'place'],
  order: ['section', 'length', 'together', 'place'],
  words: ['section', 'place'],
  field: 'length',
  says: {
    unknown: answerWords.noBelts,
    changed: answerWords.beltsChanged,
    idTaken: answerWords.beltsIdTaken,
    isThere: answerWords.beltsAreThere,
  },
})

/** What jobs have laid on out of the stores since a moment. */
const usesSince = async (knex: Knex, since: Date): Promise<readonly BeltUse[]> => {
  const standing = await standingSince<{ readonly version: number; readonly payload: unknown }>(
    knex,
    ['belts-fitted'],
    since,
    ['entries.version', 'entries.payload'],
  )
  return standing.flatMap(({ row, at }): readonly BeltUse[] => {
    const body = readBody('belts-fitted', row.version, row.payload)
    const spares = body.kind === 'belts-fitted' ? body.payload.spares : undefined
    return spares ? [{ at: at.toISOString(), ...spares }] : []
  })
}

/** Every lot of belts with what is left of it. */
export const spareBeltsNow = async (knex: Knex): Promise<readonly SpareStock<SpareBeltsRecord>[]> => {
  const lots = await spareBelts.list(knex)
  const oldest = lots.reduce((t, l) => Math.min(t, Date.parse(l.countedAt)), Date.now())
  return spareStock(lots, lots.length > 0 ? await usesSince(knex, new Date(oldest)) : [])
}
