import type { Page } from '@playwright/test'
import { wayTo, type Way } from '../support/wayBetween'
import { expect, Job, test as base } from './job'

/** A device that keeps the program, with a way to the server that can be cut. */
const test = base.extend<{ way: Way }>({
  way: async ({ program }, use) => {
    const way = await wayTo(program.url)
    await use(way)
    await way.stop()
  },
  baseURL: async ({ way }, use) => use(way.url),
})
test.use({ serviceWorkers: 'allow', fetchesAhead: true })

/** Until the whole program lies on the device. */
const onDevice = async (page: Page) => {
  await page.goto('/device')
  await expect(page.getByText('The program is on this device.')).toBeVisible({ timeout: 120_000 })
}
const jobOf = (page: Page) => new URL(page.url()).pathname.split('/').pop() ?? ''
const status = (page: Page, text: string | RegExp) => page.getByRole('status').filter({ hasText: text })

test('from a cold start with no server: a job goes on, sums and practice too, and what waits is said and sent', async ({
  page,
  context,
  way,
}) => {
  const job = new Job(page)
  await job.open()
  const path = new URL(page.url()).pathname
  const id = jobOf(page)
  await job.next('Confirm: isolated')
  await job.saved()
  await onDevice(page)
  await page.getByRole('button', { name: 'Fetch them anew' }).click()
  await expect(status(page, /^Fetched at/)).toBeVisible()
  await page.close()
  way.cut()

  const cold = await context.newPage()
  await cold.goto(path)
  const out = new Job(cold)
  await out.next('Confirm: locked')
  await expect(status(cold, /^1 entry waiting since \d\d:\d\d$/)).toBeVisible()
  await cold.getByRole('button', { name: 'Add a remark' }).click()
  await cold.getByLabel('What did you see?').fill('Out of reach in the pit.')
  await cold.getByRole('button', { name: 'Log the remark' }).click()
  await expect(status(cold, /^2 entries waiting since/)).toBeVisible()

  // Every view opens: what it shows is this device's copy, and it says of when.
  await cold.goto('/')
  await expect(cold.getByRole('heading', { name: /^Today/ })).toBeVisible()
  await expect(
    status(cold, /The server is out of reach\. What you see is this device’s copy of/),
  ).toBeVisible()
  await expect(status(cold, /2 entries waiting since/)).toBeVisible()
  for (const view of ['/machines', '/calendar', '/stores', '/limits']) {
    await cold.goto(view)
    await expect(cold.getByRole('heading', { level: 1 })).toBeVisible()
    await expect(cold.getByText('The program can’t be reached', { exact: false })).toHaveCount(0)
  }
  // Sums are worked out here, the one with the large solver too.
  for (const sum of ['rim-face', 'train-plan']) {
    await cold.goto(`/sums/${sum}`)
    await cold.getByRole('button', { name: 'Fill in the example' }).click()
    await expect(cold.getByRole('button', { name: 'Copy as text' })).toBeEnabled()
  }
  await cold.goto('/practice?lesson=bracket-that-slips&seed=4711')
  await cold.waitForURL(/\/practice\/practice-/)
  await cold.getByRole('button', { name: 'a quarter on' }).click()
  await expect(cold.getByRole('slider', { name: 'Turn the shafts by the coupling' })).toHaveAttribute(
    'aria-valuetext',
    /dials at 3/,
  )
  await cold.getByRole('link', { name: 'I am done: look back' }).click()
  await cold.getByRole('button', { name: 'Hand it in' }).click()
  await expect(cold.getByText('hands itself in once the server is back', { exact: false })).toBeVisible()

  await cold.goto('/device')
  const waits = cold.getByRole('region', { name: 'Waiting to be sent' })
  await expect(waits.getByRole('row')).toHaveCount(3)
  await expect(waits.getByText('until the server is back')).toBeVisible()
  await expect(waits.getByText('1 practice result to hand in.')).toBeVisible()

  way.mend()
  await expect(waits.getByText('Nothing waits.', { exact: false })).toBeVisible({ timeout: 60_000 })
  await expect(waits.getByText('practice result')).toHaveCount(0)
  const { entries } = (await (await cold.request.get(`/api/jobs/${id}`)).json()) as {
    entries: readonly { readonly kind: string }[]
  }
  expect(entries.map((e) => e.kind)).toEqual(['job-opened', 'safety-confirmed', 'safety-confirmed', 'remark'])
})

test('a machine that was pinned brings its open job, which was never opened on this device', async ({
  page,
  context,
  way,
  browser,
}) => {
  const elsewhere = await browser.newContext({ storageState: await context.storageState() })
  const other = new Job(await elsewhere.newPage())
  await other.page.goto(way.url)
  const tag = await new Job(page).register('CP-11')
  await other.page.goto(`${way.url}/machines/${tag}`)
  await other.page.getByRole('button', { name: 'Start a job' }).click()
  await other.page.getByLabel('Nameplate speed, rpm').fill('990')
  await other.page.getByRole('button', { name: 'Open the job' }).click()
  await other.page.waitForURL(/\/jobs\//)
  await other.saved()
  await elsewhere.close()

  await page.goto(`/machines/${tag}`)
  await page.getByRole('button', { name: 'Keep on this device' }).click()
  await expect(page.getByRole('button', { name: 'Kept on this device' })).toHaveAttribute(
    'aria-pressed',
    'true',
  )
  await onDevice(page)
  await expect(page.getByRole('checkbox', { name: new RegExp(`^Pin ${tag}`) }).first()).toBeChecked()
  await page.close()
  way.cut()
  const cold = await context.newPage()
  await cold.goto(`/machines/${tag}`)
  await cold.getByRole('button', { name: 'Go on with the open job' }).click()
  await cold.waitForURL(/\/jobs\//)
  await new Job(cold).next('Confirm: isolated')
  await expect(status(cold, /^1 entry waiting since/)).toBeVisible()
  way.mend()
  await new Job(cold).saved()

  // Let go of, it is gone from the device; the works has it.
  await cold.goto('/device')
  for (const name of [/^Let go of/, /^Let go of/]) await cold.getByRole('button', { name }).first().click()
  await expect(cold.getByRole('button', { name: /^Let go of/ })).toHaveCount(0)
})

test('a newer version is offered, never forced; a window that stays behind finds its own parts', async ({
  page,
  context,
  way,
}) => {
  await onDevice(page)
  const job = new Job(page)
  await job.open()
  const opened = page.url()
  await page.getByRole('button', { name: 'Add a remark' }).click()
  await page.getByLabel('What did you see?').fill('half typed')
  way.newBuild('a-newer-build')
  await page.evaluate(async () => (await navigator.serviceWorker.ready).update())
  await expect
    .poll(() => page.evaluate(async () => (await navigator.serviceWorker.ready).waiting !== null), {
      timeout: 120_000,
    })
    .toBe(true)
  // In mid-job nothing moves.
  await expect(page.getByLabel('What did you see?')).toHaveValue('half typed')
  expect(page.url()).toBe(opened)

  const second = await context.newPage()
  await second.goto('/')
  await expect(second.getByText('A newer version is here.')).toBeVisible()
  await second.getByRole('button', { name: 'Later' }).click()
  await expect(second.getByText('A newer version is here.')).toHaveCount(0)
  await second.reload()
  await second.getByRole('button', { name: 'Take it now' }).click()
  await expect(second.getByText('A newer version is here.')).toHaveCount(0)

  // The first window was left alone, works on, and is offered it at its next view.
  await expect(page.getByLabel('What did you see?')).toHaveValue('half typed')
  await page.getByRole('button', { name: 'Log the remark' }).click()
  await job.saved()
  expect(await page.evaluate(() => caches.keys())).toHaveLength(2)
  await page.keyboard.press('Escape')
  await page.getByRole('link', { name: 'To Today' }).click()
  await expect(page.getByText('A newer version is here.')).toBeVisible()
})

test('a device that is full says that entries stand in its window only, and sends them from there', async ({
  page,
  way,
}) => {
  await page.addInitScript(() => {
    const add = IDBObjectStore.prototype.add
    IDBObjectStore.prototype.add = function (...row) {
      if (this.name === 'outbox') throw new DOMException('full', 'QuotaExceededError')
      return add.apply(this, row)
    }
  })
  const job = new Job(page)
  await job.open()
  await expect(page.getByRole('button', { name: 'Confirm: isolated' })).toBeVisible()
  way.cut()
  await job.next('Confirm: isolated')
  await expect(status(page, /^1 entry waiting since/)).toBeVisible()
  await status(page, /^1 entry waiting since/).click()
  await expect(
    page.getByRole('alert').filter({ hasText: 'This device is full: 1 entry stands in this window only' }),
  ).toBeVisible()
  await page.keyboard.press('Escape')
  way.mend()
  await job.saved()
})
