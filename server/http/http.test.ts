import { describe, expect, it } from 'vitest'
import { databaseFailure } from './databaseFailure'
import { methodsAt, routeAt } from './contractRoutes'
import { notFound, Refused } from './refusal'
import { settledJson } from './settledJson'

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

describe('the route a request takes', () => {
  it('is told by its pattern, not by what stands in it', () => {
    expect(routeAt('GET', '/api/jobs/1b/report.pdf?paper=a4')).toBe('/api/jobs/{id}/report.pdf')
    expect(routeAt('POST', '/api/calc/judge')).toBe('/api/calc/{operation}')
    expect(routeAt('POST', '/api/today')).toBeNull()
    expect(routeAt('GET', '/machines')).toBeNull()
    expect(methodsAt('/api/machines/CP-11')).toEqual(['GET', 'PUT'])
  })
})

describe('what came as JSON', () => {
  it('is settled: no minus before a zero', () => {
    const settled = settledJson({ a: [-0, { b: -0 }], c: 'x', d: null }) as { a: [number, { b: number }] }
    expect(Object.is(settled.a[0], 0) && Object.is(settled.a[1].b, 0)).toBe(true)
    expect(Object.is(settledJson(-0), 0)).toBe(true)
  })

  it.each([
    ['a null character', { a: { b: ['x\u0000'] } }, 'a.b.0'],
    ['half a pair', { a: '\ud800' }, 'a'],
    ['a number beyond all bounds', { a: [1, Infinity] }, 'a.1'],
    ['a null character in a name', { a: { 'b\u0000': 1 } }, 'a'],
  ])('is refused at its place: %s', (_, body, path) => {
    try {
      settledJson(body)
      expect.fail('it was taken')
    } catch (failure) {
      expect(failure).toBeInstanceOf(Refused)
      expect((failure as Refused).answer()).toMatchObject({ error: { issues: [{ path }] } })
    }
  })

  it('is refused when it is nested without end', () => {
    let deep: unknown = 1
    for (let i = 0; i < 100_000; i++) deep = [deep]
    expect(() => settledJson(deep)).toThrow(Refused)
  })
})
