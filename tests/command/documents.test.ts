import { existsSync, readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { calculationList, METHOD_PAGES, pageOf, withResult } from '../../scripts/docs/methodPages'

describe('the pages of docs/methods', () => {
  it.each(METHOD_PAGES)('%s: its worked example is what the contract answers today', async (name) => {
    const page = readFileSync(pageOf(name), 'utf8')
    expect(await withResult(page)).toBe(page)
    const drawing = /\]\((drawings\/[\w-]+\.svg)\)/.exec(page)?.[1]
    expect(drawing && existsSync(new URL(drawing, pageOf(name)))).toBe(true)
    for (const heading of ['## Formula', '## Worked example', "## What it can't see"])
      expect(page).toContain(heading)
  })

  it('are listed with every operation, written from the one table', () => {
    expect(readFileSync(new URL('../../docs/calculation.md', import.meta.url), 'utf8')).toBe(
      calculationList(),
    )
  })
})
