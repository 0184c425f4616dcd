/**
 * Keeps docs/methods true: works every example through the contract and writes its result below
 * it, and writes the list of operations from the one table. `npm run docs`; a test objects when
 * it was forgotten.
 */
import { readFileSync, writeFileSync } from 'node:fs'
import { calculationList, METHOD_PAGES, pageOf, withResult } from './docs/methodPages'

for (const name of METHOD_PAGES) {
  const page = pageOf(name)
  writeFileSync(page, await withResult(readFileSync(page, 'utf8')))
}
writeFileSync(new URL('../docs/calculation.md', import.meta.url), calculationList())
process.stdout.write(`${METHOD_PAGES.length} pages and the list of operations are true.\n`)
