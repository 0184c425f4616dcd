import { readFileSync } from 'node:fs'
import { gzipSync } from 'node:zlib'
import type { Page } from '@playwright/test'
import { ROOT } from '../../scripts/local/paths.mjs'
import { LOW_MOTOR } from '../support/entries'
import { expect, Job, test } from './job'

const BAR = 250_000

/** What waits this long or for an idle moment is fetched behind a view, not for it; milliseconds. */
const BEHIND = 1000

/** Bytes of the scripts a view is drawn by, gzip; workers and what comes behind it are not among them. */
const weigh = async (page: Page, address: string, drawn: () => Promise<unknown>): Promise<number> => {
  const scripts = new Set<string>()
  page.on('request', (r) => {
    const { pathname } = new URL(r.url())
    const ahead = Boolean(r.headers()['sec-purpose'] ?? r.headers()['purpose'])
    if (pathname.endsWith('.js') && !pathname.includes('worker') && !ahead) scripts.add(pathname)
  })
  await page.addInitScript((behind) => {
    const soon = window.setTimeout
    window.requestIdleCallback = () => 0
    window.setTimeout = ((work: () => void, ms = 0) => (ms < behind ? soon(work, ms) : 0)) as typeof soon
  }, BEHIND)
  await page.goto(address)
  await drawn()
  await page.waitForTimeout(600)
  return [...scripts].reduce((n, s) => n + gzipSync(readFileSync(`${ROOT}/.output/public${s}`)).length, 0)
}

/** Views that may weigh more than the bar, and how much: none of them may grow. */
const ABOVE = { machine: 470_000, sum: 390_000, job: 335_000 }

const VIEWS = [
  ['Today', '/', BAR],
  ['Machines', '/machines', BAR],
  ['Calendar', '/calendar', BAR],
  ['Stores', '/stores', BAR],
  ['Limits', '/limits', BAR],
  ['Quick sums', '/sums', BAR],
  ['Machine, with its chart', '/machines/CP-11', ABOVE.machine],
  ['A quick sum', '/sums/rim-face', ABOVE.sum],
] as const

const told = (view: string, bytes: number) =>
  process.stdout.write(`${view}: ${Math.round(bytes / 1000)} kB of script, gzip\n`)

for (const [view, address, most] of VIEWS)
  test(`${view} loads no more script than it needs`, async ({ page }) => {
    const bytes = await weigh(page, address, () => expect(page.getByRole('heading').first()).toBeVisible())
    told(view, bytes)
    expect(bytes).toBeGreaterThan(100_000)
    expect(bytes).toBeLessThan(most)
  })

test('a job and its second screen load no more script than they need', async ({ page, browser }) => {
  await new Job(page).prepared([LOW_MOTOR])
  const { origin, pathname } = new URL(page.url())
  const fresh = async () => (await browser.newContext({ baseURL: origin })).newPage()
  const board = await fresh()
  const bytes = await weigh(board, pathname, () => expect(new Job(board).meaning).toBeVisible())
  told('A job with its stage open', bytes)
  expect(bytes).toBeLessThan(ABOVE.job)
  const phone = await fresh()
  const mate = await weigh(phone, pathname.replace('/jobs/', '/mate/'), () =>
    expect(phone.getByRole('heading').first()).toBeVisible(),
  )
  told('Second screen', mate)
  expect(mate).toBeLessThan(BAR)
})
