import { readFileSync } from 'node:fs'
import { gzipSync } from 'node:zlib'
import type { Page } from '@playwright/test'
import { ROOT } from '../../scripts/local/paths.mjs'
import { feetSit, hubsClose, lockOut, LOW_MOTOR } from '../support/entries'
import { expect, Job, signedIn, test } from './job'

test.use({ fetchesAhead: true })

/** What the scripts of a view may weigh, gzip. */
const BAR = 250_000
/** The chart of a machine is fetched once its view has had an idle moment. */
const CHART = 200_000

/** What waits this long or for an idle moment is fetched behind a view, not for it; milliseconds. */
const BEHIND = 1000

/** The scripts a view is drawn by, with their bytes in gzip; workers are not among them, nor what comes behind it unless it may rest. */
const scriptsOf = async (
  page: Page,
  address: string,
  drawn: () => Promise<unknown>,
  idle = false,
): Promise<ReadonlyMap<string, number>> => {
  const scripts = new Set<string>()
  page.on('request', (r) => {
    const { pathname } = new URL(r.url())
    const ahead = Boolean(r.headers()['sec-purpose'] ?? r.headers()['purpose'])
    if (pathname.endsWith('.js') && !pathname.includes('worker') && !ahead) scripts.add(pathname)
  })
  await page.addInitScript(
    ([behind, rests]) => {
      const soon = window.setTimeout
      performance.setResourceTimingBufferSize(4000)
      if (!rests) window.requestIdleCallback = () => 0
      window.setTimeout = ((work: () => void, ms = 0) => (ms < behind ? soon(work, ms) : 0)) as typeof soon
    },
    [BEHIND, idle] as const,
  )
  await page.goto(address)
  await drawn()
  await page.waitForTimeout(600)
  // What a worker fetches for itself holds up no view; the page's own timeline knows nothing of it.
  const own = new Set(
    await page.evaluate(() =>
      performance.getEntriesByType('resource').map((entry) => new URL(entry.name).pathname),
    ),
  )
  const bytes = (script: string) => gzipSync(readFileSync(`${ROOT}/.output/public${script}`)).length
  return new Map([...scripts].filter((s) => own.has(s)).map((s) => [s, bytes(s)]))
}
const weigh = async (...view: Parameters<typeof scriptsOf>): Promise<number> =>
  [...(await scriptsOf(...view)).values()].reduce((a, b) => a + b, 0)

const VIEWS = [
  ['Today', '/'],
  ['Machines', '/machines'],
  ['A machine', '/machines/CP-11'],
  ['A belt drive', '/machines/GL-07'],
  ['Belt sections', '/limits/sections'],
  ['Limits of belt drives', '/limits/belts'],
  ['Calendar', '/calendar'],
  ['Stores', '/stores'],
  ['Limits', '/limits'],
  ['Quick sums', '/sums'],
  ['A quick sum', '/sums/rim-face'],
  ['Practice', '/practice'],
  ['Logbook', '/logbook'],
] as const

const told = (view: string, bytes: number) =>
  process.stdout.write(`${view}: ${Math.round(bytes / 1000)} kB of script, gzip\n`)

for (const [view, address] of VIEWS)
  test(`${view} loads no more script than it needs`, async ({ page }) => {
    const bytes = await weigh(page, address, () => expect(page.getByRole('heading').first()).toBeVisible())
    told(view, bytes)
    expect(bytes).toBeGreaterThan(100_000)
    expect(bytes).toBeLessThan(BAR)
  })

test('the chart of a machine comes behind its view', async ({ page, context }) => {
  const drawn = (p: Page) => () => expect(p.getByRole('heading').first()).toBeVisible()
  const before = await scriptsOf(page, '/machines/CP-11', drawn(page))
  const rested = await context.newPage()
  const chart = rested.getByRole('img', { name: /over \d+ jobs?/ })
  const all = await scriptsOf(rested, '/machines/CP-11', () => expect(chart).toBeVisible(), true)
  const largest = Math.max(...[...all].flatMap(([s, bytes]) => (before.has(s) ? [] : [bytes])))
  told('The chart of a machine, behind it', largest)
  expect(largest).toBeGreaterThan(100_000)
  expect(largest).toBeLessThan(CHART)
})

test('a closed job loads no more script than it needs', async ({ page, request }) => {
  const { rows } = (await (await request.get('/api/jobs?machine=CP-11&open=no')).json()) as {
    rows: readonly { readonly id: string }[]
  }
  const bytes = await weigh(page, `/jobs/${rows[0]?.id}`, () => expect(new Job(page).meaning).toBeVisible())
  told('A closed job', bytes)
  expect(bytes).toBeGreaterThan(BAR / 2)
  expect(bytes).toBeLessThan(BAR)
})

test('a job being set up loads no more script than it needs', async ({ page, browser, program }) => {
  const job = new Job(page)
  await job.begun([...lockOut, feetSit, hubsClose])
  const { origin, pathname } = new URL(page.url())
  const board = await (await signedIn(await browser.newContext({ baseURL: origin }), program)).newPage()
  const bytes = await weigh(board, pathname, () => expect(new Job(board).meaning).toBeVisible())
  told('A job being set up', bytes)
  expect(bytes).toBeLessThan(BAR)
})

for (const [what, tag] of [
  ['A motor on a flange', 'CP-21'],
  ['A motor at a drum', 'CP-30'],
  ['A coupling at its plan', 'CP-14'],
  ['A line at its plan', 'CP-40'],
] as const)
  test(`${what.toLowerCase()} loads no more script than it needs`, async ({ page, request }) => {
    const { rows } = (await (await request.get(`/api/jobs?machine=${tag}&open=yes`)).json()) as {
      rows: readonly { readonly id: string }[]
    }
    const bytes = await weigh(page, `/jobs/${rows[0]?.id}`, () => expect(new Job(page).meaning).toBeVisible())
    told(what, bytes)
    expect(bytes).toBeGreaterThan(BAR / 2)
    expect(bytes).toBeLessThan(BAR)
  })

test('a job and its second screen load no more script than they need', async ({ page, browser, program }) => {
  await new Job(page).prepared([LOW_MOTOR])
  const { origin, pathname } = new URL(page.url())
  const fresh = async () => (await signedIn(await browser.newContext({ baseURL: origin }), program)).newPage()
  const board = await fresh()
  const bytes = await weigh(board, pathname, () => expect(new Job(board).meaning).toBeVisible())
  told('A job with its stage open', bytes)
  expect(bytes).toBeLessThan(BAR)
  const phone = await fresh()
  const mate = await weigh(phone, pathname.replace('/jobs/', '/mate/'), () =>
    expect(phone.getByRole('heading').first()).toBeVisible(),
  )
  told('Second screen', mate)
  expect(mate).toBeLessThan(BAR)
})

test('a bench loads no more script than it needs', async ({ page }) => {
  await page.goto('/practice')
  await page.getByRole('button', { name: /^Back to zero, or not/ }).click()
  await page.waitForURL(/\/practice\/practice-/)
  const { origin, pathname } = new URL(page.url())
  // A try lives on its device: the same one, opened anew.
  const again = await page.context().newPage()
  const bytes = await weigh(again, origin + pathname, () =>
    expect(again.getByRole('slider', { name: 'Turn the shafts by the coupling' })).toBeVisible(),
  )
  told('A bench', bytes)
  expect(bytes).toBeLessThan(BAR)
})
