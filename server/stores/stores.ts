import type { Knex } from 'knex'
import type { LotAnswer, StoresAnswer } from '../../shared/api/answers'
import type { InstrumentFields, InstrumentRecord } from '../../shared/stores/instrument'
import type { NewCount } from '../../shared/stores/lot'
import { answerWords } from '../../shared/wording/viewWords'
import { notFound, Refused } from '../http/refusal'
import {
  findInstrument,
  insertInstrument,
  instrumentUse,
  listInstruments,
  updateInstrument,
} from './instruments.repository'
import { countAnswer } from '../tables/countedLots'
import { shimLots } from './lots.repository'
import { spareBelts, spareBeltsNow } from './spareBelts.repository'
import { storesNow } from './stock'

/** Shims with what is left, free and reserved; instruments with their calibration and the jobs they went to. */
export const stores = async (knex: Knex): Promise<StoresAnswer> => {
  const [{ stock, wants }, counts, belts, beltCounts, instruments, used] = await Promise.all([
    storesNow(knex),
    shimLots.lastCounts(knex),
    spareBeltsNow(knex),
    spareBelts.lastCounts(knex),
    listInstruments(knex),
    instrumentUse(knex),
  ])
  return {
    lots: stock.map(({ lot, now, reserved, free, low }): LotAnswer => ({
      ...lot,
      now,
      reserved,
      free,
      isLow: low,
      lastCount: countAnswer(counts.get(lot.id)),
    })),
    belts: belts.map(({ lot, now, low }) => ({
      ...lot,
      now,
      isLow: low,
      lastCount: countAnswer(beltCounts.get(lot.id)),
    })),
    wants: wants.map(({ job, tag, taken, units }) => ({ job, tag, taken, units })),
    instruments: instruments.map((i) => ({ ...i, jobs: used.get(i.id) ?? 0 })),
  }
}

/** A count of shims; what should have lain there is worked out of what jobs took. */
export const countShims = (knex: Knex, id: string, count: NewCount): Promise<{ readonly id: string }> =>
  shimLots.count(
    knex,
    id,
    count,
    async (trx) => (await storesNow(trx)).stock.find((s) => s.lot.id === id)?.now,
  )

/** A count of spare belts; what should have lain there is worked out of what jobs laid on. */
export const countBelts = (knex: Knex, id: string, count: NewCount): Promise<{ readonly id: string }> =>
  spareBelts.count(
    knex,
    id,
    count,
    async (trx) => (await spareBeltsNow(trx)).find((s) => s.lot.id === id)?.now,
  )

/** Adds an instrument; 409 when its id is taken. */
export const addInstrument = async (
  knex: Knex,
  given: InstrumentFields & { readonly id: string },
): Promise<InstrumentRecord> => {
  const { id, ...fields } = given
  if (!(await insertInstrument(knex, id, fields)))
    throw new Refused(409, 'id-taken', answerWords.instrumentIdTaken, {
      issues: [{ path: 'id', message: answerWords.instrumentIdTaken }],
    })
  return { ...fields, id, version: 1 }
}

/** Changes an instrument or takes it out of use; jobs keep it as it was when it was taken along. */
export const changeInstrument = async (
  knex: Knex,
  id: string,
  change: InstrumentFields & { readonly version: number },
): Promise<InstrumentRecord> => {
  const { version, ...fields } = change
  return knex.transaction(async (trx) => {
    const current = await findInstrument(trx, id)
    if (!current) throw notFound(answerWords.noInstrument)
    if (current.version !== version)
      throw new Refused(409, 'stale', answerWords.instrumentChanged, { current })
    await updateInstrument(trx, id, version, fields)
    return { ...fields, id, version: version + 1 }
  })
}
