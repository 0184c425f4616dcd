import { describe, expect, it } from 'vitest'
import { databaseFailure } from './databaseFailure'
import { notFound, Refused } from './refusal'

const failure = (code: string) => Object.assign(new Error('x'), { code })

describe('a lost database', () => {
  it.each(['ECONNREFUSED', 'ECONNRESET', '57P01', '57P03', '53300'])('is told from %s', (code) => {
    expect(databaseFailure(failure(code))).toMatchObject({ status: 503, code: 'database-down' })
  })

  it('is told from what the driver and the pool say', () => {
    for (const message of [
      'Connection terminated unexpectedly',
      'timeout expired',
      'Knex: Timeout acquiring a connection',
    ])
      expect(databaseFailure(new Error(message))?.status).toBe(503)
    expect(databaseFailure(new AggregateError([failure('ECONNREFUSED')], ''))?.status).toBe(503)
  })

  it('is not seen in other failures', () => {
    for (const other of [failure('42703'), new Error('defect'), null, 'text', { code: 7 }])
      expect(databaseFailure(other)).toBeNull()
  })
})

describe('what else the database says', () => {
  it.each([
    ['55P03', 503, 'busy'],
    ['57014', 503, 'busy'],
    ['40P01', 503, 'busy'],
    ['22P05', 422, 'bad-input'],
    ['22008', 422, 'bad-input'],
    ['23503', 422, 'bad-input'],
    ['23505', 409, 'taken'],
  ])('%s is %i', (code, status, named) => {
    expect(databaseFailure(failure(code))).toMatchObject({ status, code: named })
  })
})

describe('a refusal', () => {
  it('leaves as its code, its sentence and what it names', () => {
    const refused = new Refused(409, 'stale', 'Someone was faster.', { current: { version: 2 } })
    expect(refused.answer()).toEqual({
      error: { code: 'stale', message: 'Someone was faster.', current: { version: 2 } },
    })
    expect(notFound('Nothing here.')).toMatchObject({ status: 404, code: 'not-found' })
  })
})
