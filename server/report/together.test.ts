import { describe, expect, it } from 'vitest'
import type { Content } from 'pdfmake/interfaces'
import { list } from './blocks'
import { linesOf, together, withoutLostEnd } from './together'

const lines = (n: number): Content => ({ ul: Array.from({ length: n }, (_, i) => `line ${i}`) })
const isHeld = (part: Content) => 'unbreakable' in (part as object)

describe('how tall a part is', () => {
  it.each<[string, unknown, number]>([
    ['a word', 'word', 1],
    ['an empty line', '', 1],
    ['lines that were typed', 'a\nb\n\nc', 4],
    ['text that runs over', 'x'.repeat(200), 3],
    ['a list', { ul: ['a', 'b', 'x'.repeat(100)] }, 4],
    ['columns, by the tallest', { columns: [{ text: 'a' }, { stack: ['a', 'b', 'c'] }] }, 3],
    ['a drawing, by its box', { svg: '<svg viewBox="0 0 690 120"></svg>' }, 10],
    ['a margin above it', { text: 'a', margin: [0, 24, 0, 0] }, 3],
    ['nothing', null, 0],
    ['a number by mistake', 7, 0],
  ])('%s', (_, part, expected) => {
    expect(linesOf(part)).toBeCloseTo(expected, 9)
  })

  it('a table by its rows and their rules', () => {
    const row = ['a', { stack: ['b', 'c'] }]
    expect(linesOf({ table: { body: [['x', 'y'], row, row] } })).toBeCloseTo(1 + 1.4 + 2.4 + 2.4, 9)
  })
})

describe('what is held on one page', () => {
  it('is what is short enough to fit on any', () => {
    expect(isHeld(together(lines(20), lines(20)))).toBe(true)
    expect(isHeld(together(lines(20), lines(21)))).toBe(false)
  })

  it('is never a list of long remarks, which the printer would lose', () => {
    const [held] = list(
      'Remarks',
      Array.from({ length: 10 }, () => 'word '.repeat(380)),
    )
    expect(held && isHeld(held)).toBe(false)
  })

  it('loses nothing either way', () => {
    for (const n of [3, 30, 300]) expect(linesOf(together(lines(n), 'end'))).toBe(n + 1)
    for (const n of [1, 12, 13, 40]) {
      const items = Array.from({ length: n }, (_, i) => `item ${i}`)
      const printed = JSON.stringify(list('Remarks', items))
      for (const item of items) expect(printed.split(`"${item}"`)).toHaveLength(2)
    }
  })
})

describe('the last page', () => {
  it('takes what stands before the signature along until it is worth turning to', () => {
    const parts = [lines(30), lines(6), lines(5), lines(4)]
    const out = withoutLostEnd(parts)
    expect(out).toHaveLength(2)
    expect(linesOf(out[1])).toBe(15)
    expect(isHeld(out[1] as Content)).toBe(true)
  })

  it('does not take along what would not fit beside it', () => {
    const out = withoutLostEnd([lines(3), lines(39), lines(4)])
    expect(out).toHaveLength(3)
    expect(linesOf(out[2])).toBe(4)
  })

  it('keeps every part and their order', () => {
    const parts = [lines(2), 'a', 'b', lines(1)]
    expect(JSON.stringify(withoutLostEnd(parts)).match(/line 0|"[ab]"/g)).toEqual([
      'line 0',
      '"a"',
      '"b"',
      'line 0',
    ])
    expect(withoutLostEnd(['only'])).toHaveLength(1)
  })
})
