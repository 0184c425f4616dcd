import type { Knex } from 'knex'
import type { LotAnswer, StoresAnswer } from '../../shared/api/answers'
import type { InstrumentFields, InstrumentRecord } from '../../shared/stores/instrument'
import type { LotChange, NewCount, NewLot } from '../../shared/stores/lot'
import { answerWords } from '../../shared/wording/viewWords'
import { notFound, Refused } from '../http/refusal'
import { isTaken, personOf } from '../jobs/append'
import { peopleById } from '../jobs/people'
import {
  findInstrument,
  insertInstrument,
  instrumentUse,
  listInstruments,
  updateInstrument,
} from './instruments.repository'
import { findLot, insertCount, isCounted, insertLot, lastCounts, updateLot } from './lots.repository'
import { storesNow } from './stock'

/** Shims with what is left, free and reserved; instruments with their calibration and the jobs they went to. */
export const stores = async (knex: Knex): Promise<StoresAnswer> => {
  const [{ stock, wants }, counts, instruments, used] = await Promise.all([
    storesNow(knex),
    lastCounts(knex),
    listInstruments(knex),
    instrumentUse(knex),
  ])
  return {
    lots: stock.map(({ lot, now, reserved, free, low }): LotAnswer => {
      const last = counts.get(lot.id)
      return {
        ...lot,
        now,
        reserved,
        free,
        isLow: low,
        lastCount: last
          ? { counted: last.counted, expected: last.expected, by: last.by, at: last.at.toISOString() }
          : null,
      }
    }),
    wants: wants.map(({ job, tag, taken, units }) => ({ job, tag, taken, units })),
    instruments: instruments.map((i) => ({ ...i, jobs: used.get(i.id) ?? 0 })),
  }
}

const taken = (message: string) =>
  new Refused(409, 'id-taken', message, { issues: [{ path: 'id', message }] })

/** Puts shims into the stores; 409 when they lie there already. */
export const addLot = async (knex: Knex, lot: NewLot): Promise<{ readonly id: string }> => {
  try {
    if (!(await insertLot(knex, lot, new Date()))) throw taken(answerWords.lotIdTaken)
  } catch (failure) {
    if (!isTaken(failure)) throw failure
    throw new Refused(409, 'lot-is-there', answerWords.lotIsThere, {
      issues: [{ path: 'thickness', message: answerWords.lotIsThere }],
    })
  }
  return { id: lot.id }
}

/** Changes where shims lie, their size, when to order, or takes them out of use. */
export const changeLot = async (
  knex: Knex,
  id: string,
  change: LotChange,
): Promise<{ readonly id: string }> => {
  try {
    await knex.transaction(async (trx) => {
      const current = await findLot(trx, id)
      if (!current) throw notFound(answerWords.noLot)
      if (current.version !== change.version)
        throw new Refused(409, 'stale', answerWords.lotChanged, { current })
      await updateLot(trx, id, change)
    })
  } catch (failure) {
    if (!isTaken(failure)) throw failure
    throw new Refused(409, 'lot-is-there', answerWords.lotIsThere, {
      issues: [{ path: 'place', message: answerWords.lotIsThere }],
    })
  }
  return { id }
}

/** A count rules from now on; what the stores should have held is kept beside it. The same one twice is harmless. */
export const countLot = async (knex: Knex, id: string, count: NewCount): Promise<{ readonly id: string }> => {
  personOf(await peopleById(knex), count.author, 'author')
  await knex.transaction(async (trx) => {
    const current = await findLot(trx, id)
    if (!current || current.retired) throw notFound(answerWords.noLot)
    const { stock } = await storesNow(trx)
    const expected = stock.find((s) => s.lot.id === id)?.now ?? current.counted
    const { version, ...rest } = count
    if (current.version !== version) {
      if (await isCounted(trx, count.id)) return
      throw new Refused(409, 'stale', answerWords.lotChanged, { current })
    }
    if (!(await insertCount(trx, { ...rest, lot: id, expected }, new Date())))
      throw taken(answerWords.lotIdTaken)
  })
  return { id }
}

/** Adds an instrument; 409 when its id is taken. */
export const addInstrument = async (
  knex: Knex,
  given: InstrumentFields & { readonly id: string },
): Promise<InstrumentRecord> => {
  const { id, ...fields } = given
  if (!(await insertInstrument(knex, id, fields))) throw taken(answerWords.instrumentIdTaken)
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
