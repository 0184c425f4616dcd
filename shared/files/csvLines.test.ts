import { describe, expect, it } from 'vitest'
import { csvText } from './csv'
import { csvLines, figureIn } from './csvLines'

const read = (text: string, needs: readonly ('a' | 'b')[] = ['a'], most = 100) => {
  const file = csvLines(text, { needs, most })
  return 'wrong' in file ? file.wrong : file.lines.map((l) => [l.line, l.say('a'), l.say('b')])
}

describe('lines of a CSV file', () => {
  it('are known by their columns in any order, however a spreadsheet separates them', () => {
    expect(read('b,a\n2,1\n')).toEqual([[2, '1', '2']])
    expect(read('﻿a;b\r\n1,5;2\r\n')).toEqual([[2, '1,5', '2']])
    expect(read('a\tb\n 1 \t\n')).toEqual([[2, '1', '']])
  })

  it('are counted as an editor counts them: blank ones, and a cell of several lines', () => {
    expect(read('a,b\n\n"x\ny",1\n,\nz,2\n')).toEqual([
      [3, 'x\ny', '1'],
      [6, 'z', '2'],
    ])
  })

  it('come back as they were before a spreadsheet was kept from running them', () => {
    const notes = ['=1+1', '@home', '-x', "'quoted'", '-2.5', "it's"]
    expect(
      read(
        csvText(
          ['a', 'b'],
          notes.map((n) => [n, '']),
        ),
      ),
    ).toEqual(notes.map((n, i) => [i + 2, n, '']))
  })

  it('are too long where a comma stands inside a cell without quotation marks', () => {
    const file = csvLines('a,b\n1,5,2\n1,2,\n"1,5",2\n', { needs: ['a'], most: 10 })
    expect('lines' in file && file.lines.map((l) => l.tooLong)).toEqual([true, false, false])
  })

  it('are none in a text that is empty, lacks a column, or goes on and on', () => {
    expect(read('')).toEqual({ is: 'empty' })
    expect(read(' \n\n')).toEqual({ is: 'empty' })
    expect(read('b\n1')).toEqual({ is: 'no-columns', missing: ['a'] })
    expect(read('a\n1\n2\n3', ['a'], 2)).toEqual({ is: 'too-many', most: 2 })
    expect(read('a,b\n\n"1,2\n')).toEqual({ is: 'torn', line: 3 })
  })
})

describe('a figure', () => {
  it.each([
    ['', null],
    ['-2.5', -2.5],
    ['1,5', 1.5],
    ['x', undefined],
    ['1 2', undefined],
    ['Infinity', undefined],
  ])('%s is read as %s', (typed, figure) => {
    expect(figureIn(typed)).toBe(figure)
  })
})
