import { describe, expect, it } from 'vitest'
import { readBody } from '../logbook/kinds'
import { dueFor, dueWords, urgencyWords } from './due'
import { tellingOf } from './telling'

const telling = tellingOf('inch', null)
const closing = (due: unknown) => ({ signedBy: 'Lead', remarks: '', exception: '', signed: null, due })

describe('when to come back, in words', () => {
  it('names the day and what for, in the person’s own words where there are some', () => {
    const due = { on: '2026-12-08', what: 'hot-check', words: '' } as const
    expect(dueWords(due, telling)).toBe('Look again on 8 Dec 2026: hot check.')
    expect(dueFor({ what: 'other', words: 'Weld at the stop' }, telling)).toBe('Weld at the stop')
  })

  it('says overdue from the day after', () => {
    expect(urgencyWords('2026-12-08', '2026-12-09', telling)).toBe('Overdue since 8 Dec 2026')
    expect(urgencyWords('2026-12-08', '2026-12-08', telling)).toBe('Due 8 Dec 2026')
  })

  it('is a day of the calendar and a reason, or nothing, at the door', () => {
    expect(readBody('job-closed', 2, closing(null)).payload).toMatchObject({ due: null })
    expect(readBody('job-closed', 2, { ...closing(null), due: undefined }).kind).toBe('job-closed')
    for (const due of [
      { on: '2026-13-01', what: 'regular', words: '' },
      { on: '2026-12-01', what: 'never', words: '' },
      'soon',
    ])
      expect(() => readBody('job-closed', 2, closing(due))).toThrow()
  })
})
