import { describe, expect, it } from 'vitest'
import { cursorOf, readCursor } from './cursor'
import { Refused } from './refusal'

const ID = '3f0c1c9e-5a3d-4b8e-9d63-0d7c5b1f2a44'
const refusalOf = (cursor: string): Refused => {
  try {
    readCursor(cursor)
  } catch (error) {
    if (error instanceof Refused) return error
    throw error
  }
  throw new Error('it was taken')
}

describe('a cursor', () => {
  it('comes back as it was given out, in UTC', () => {
    expect(readCursor(cursorOf('2026-11-25T08:00:00.000Z', ID))).toEqual({
      at: '2026-11-25T08:00:00.000Z',
      id: ID,
    })
    expect(readCursor(cursorOf('2026-11-25T09:00:00+01:00', ID)).at).toBe('2026-11-25T08:00:00.000Z')
  })

  it('goes through an address as it stands', () => {
    const cursor = cursorOf('2026-11-25T08:00:00.000Z', ID)
    expect(encodeURIComponent(cursor)).toBe(cursor)
  })

  it.each([
    ['nothing', ''],
    ['noise', '%%%'],
    ['a word', 'next'],
    ['half of one', Buffer.from('2026-11-25T08:00:00Z').toString('base64url')],
    ['no moment', cursorOf('soon', ID)],
    ['no id', cursorOf('2026-11-25T08:00:00Z', '7')],
    ['an id with more behind it', cursorOf('2026-11-25T08:00:00Z', `${ID}' or 1=1`)],
    ['very much', 'A'.repeat(100_000)],
  ])('that nobody gave out is refused with a sentence: %s', (_, cursor) => {
    const refused = refusalOf(cursor)
    expect(refused).toMatchObject({ status: 422, code: 'bad-input' })
    expect(refused.message).toMatch(/^[A-Z].*\.$/)
    expect(refused.answer()).toMatchObject({ error: { issues: [{ path: 'after' }] } })
  })
})
