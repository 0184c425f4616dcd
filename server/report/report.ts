import type { Knex } from 'knex'
import { notFound } from '../http/refusal'
export const reportFor = (_knex: Knex, _id: string, _q: unknown): Promise<{ pdf: Buffer; name: string }> => { throw notFound('later') }
