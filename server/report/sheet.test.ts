import { describe, expect, it } from 'vitest'
import { inMil, TEST_MACHINE, TestJob } from '../../core/jobs/testJob'
import { METHOD_FORMS, type OfferedMethod } from '../../shared/methods/forms'
import { tellingOf } from '../../shared/wording/telling'
import type { Reported } from './section'
import { sheetDocument } from './sheet'

/** Every text of a document, in order. */
const texts = (node: unknown): string[] => {
  if (typeof node === 'string') return [node]
  if (Array.isArray(node)) return node.flatMap(texts)
  if (node === null || typeof node !== 'object') return []
  const { text, stack, table, columns, content } = node as Record<string, unknown>
  const body = table && typeof table === 'object' && 'body' in table ? table.body : []
  return [text, stack, body, columns, content].flatMap(texts)
}
const report = (units: 'inch' | 'metric' = 'inch'): Reported => ({
  jobId: 'j',
  works: 'Orrin Vale Tile Works',
  machine: { tag: 'CP-11', name: 'Clay ball mill' } as Reported['machine'],
  logbook: [],
  personName: () => 'Day-shift millwright',
  telling: tellingOf(units, TEST_MACHINE),
  paper: 'A4',
  photographs: {},
})
const job = () => {
  const made = new TestJob().ready()
  made.read(inMil(-8.4, 5.1, -0.36, 0.22))
  return made
}

describe('a data sheet', () => {
  it.each(Object.keys(METHOD_FORMS) as OfferedMethod[])(
    '%s: rows for three sets, every circle, every place',
    (method) => {
      const all = texts(sheetDocument(job().state, report(), method, false).content)
      expect(all.filter((t) => /^Set \d/.test(t))).toHaveLength(3)
      const form = METHOD_FORMS[method]
      for (const t of form.reads === 'values' ? ['vertical', 'horizontal'] : ['12', '3', '6', '9'])
        expect(all).toContain(t)
      expect(all.includes('after turn')).toBe(form.reads === 'dials')
    },
  )

  it('blank says nothing that was taped; filled says it, with the set that was read', () => {
    const blank = texts(sheetDocument(job().state, report(), 'rim-face', false).content)
    expect(blank).not.toContain('8 in')
    const filled = texts(sheetDocument(job().state, report(), 'rim-face', true).content)
    expect(filled).toContain('8 in')
    expect(filled.some((t) => t.includes('Day-shift millwright'))).toBe(true)
    expect(filled.filter((t) => /^[+−]\d/.test(t)).length).toBeGreaterThan(5)
    // Another method's sheet doesn't take these figures.
    const other = texts(sheetDocument(job().state, report(), 'heads', true).content)
    expect(other.some((t) => /^[+−]\d/.test(t))).toBe(false)
  })
})
