import { describe, expect, it } from 'vitest'
import { shell } from '../../shared/wording/en/shell'
import { stageKey } from './useKeys'

describe('the key of a stage, after g', () => {
  const keys = Array.from({ length: 32 }, (_, at) => stageKey(at))

  it('is its own for every stage of a long sheet', () => {
    expect(new Set(keys).size).toBe(keys.length)
    for (const key of keys) expect(key).toMatch(/^[0-9a-z]$/)
  })

  it('counts from 1 and is never a key that goes elsewhere', () => {
    expect(keys.slice(0, 10)).toEqual([...'1234567890'])
    for (const elsewhere of ['g', 'm', 't']) expect(keys).not.toContain(elsewhere)
  })

  it('is none past the end of the keys', () => {
    expect(stageKey(99)).toBe('')
  })
})

it('the key map says what each key does, once', () => {
  const shown = shell.keyMap.map((row) => row.keys)
  expect(new Set(shown).size).toBe(shown.length)
  for (const { does } of shell.keyMap) expect(does).toMatch(/^[a-z]/)
})
