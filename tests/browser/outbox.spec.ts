import { randomUUID } from 'node:crypto'
import type { Page } from '@playwright/test'
import { demoId } from '../../scripts/demo/works'
import { draft, WHOLE_MOVE } from '../support/entries'
import { ALIGNED, expect, Job, LOW, test } from './job'

const jobId = (page: Page) => new URL(page.url()).pathname.split('/').pop() ?? ''
const entriesOf = async (page: Page) =>
  (
    (await (await page.request.get(`/api/jobs/${jobId(page)}`)).json()) as {
      entries: { kind: string; before: string | null }[]
    }
  ).entries

test('a whole job opened and worked out of reach arrives in order when the server is back', async ({
  page,
  context,
}) => {
  const job = new Job(page)
  await page.goto(`/machines/${await job.register('CP-11')}`)
  await expect(page.getByRole('button', { name: 'Start a job' })).toBeVisible()
  // Who writes has been met before the network goes.
  await expect(page.getByRole('button', { name: /Day-shift millwright/ })).toBeVisible()
  await context.route('**/api/**', (route) => route.abort('internetdisconnected'))
  await page.getByRole('button', { name: 'Start a job' }).click()
  await page.getByLabel('Nameplate speed, rpm').fill('990')
  await page.getByRole('button', { name: 'Open the job' }).click()
  await page.waitForURL(/\/jobs\//)
  await job.makeSafe()
  await job.lookOver()
  await job.feetSit()
  await job.hubsClose()
  await job.setUp()
  await job.read(LOW.rim, LOW.face)
  await expect(page.getByRole('status').filter({ hasText: '11 entries waiting' })).toBeVisible()
  await context.unrouteAll({ behavior: 'wait' })
  await page.evaluate(() => window.dispatchEvent(new Event('online')))
  await job.saved()
  expect((await entriesOf(page)).map((e) => e.kind)).toEqual([
    'job-opened',
    ...Array.from({ length: 5 }, () => 'safety-confirmed'),
    'place-looked',
    'rises-read',
    'hubs-felt',
    'set-up',
    'readings-taken',
  ])
  await page.request.post(`/api/jobs/${jobId(page)}/entries`, {
    data: draft({
      kind: 'job-closed',
      payload: { signedBy: 'x', remarks: '', exception: 'x', signed: null },
    }),
  })
})

test('two tabs write into one job and neither loses or doubles an entry', async ({ page, context }) => {
  const job = new Job(page)
  await job.open()
  const other = await context.newPage()
  await other.goto(page.url())
  const mate = new Job(other)
  await expect(mate.meaning).toContainText('Nothing is safe yet')
  await context.route('**/entries', (route) => route.abort('internetdisconnected'))
  await job.next('Confirm: isolated')
  for (const text of ['first', 'second']) {
    await other.getByRole('button', { name: 'Add a remark' }).click()
    await other.getByLabel('What did you see?').fill(text)
    await other.getByRole('button', { name: 'Log the remark' }).click()
    await other.keyboard.press('Escape')
  }
  await context.unroute('**/entries')
  await job.saved()
  await mate.saved()
  await expect
    .poll(async () => (await entriesOf(page)).map((e) => e.kind).sort())
    .toEqual(['job-opened', 'remark', 'remark', 'safety-confirmed'])
})

test('a set read while somebody else moved the machine waits until a person says where it belongs', async ({
  page,
}) => {
  const job = new Job(page)
  await job.prepared()
  await job.read(LOW.rim, LOW.face)
  await job.saved()

  // A second set, typed and logged before this device hears of a mate's move.
  await page.route(/\/(entries|stream)$/, (route) => route.abort('internetdisconnected'))
  await job.read(LOW.rim, LOW.face)
  await expect(page.getByRole('status').filter({ hasText: '1 entry waiting' })).toBeVisible()
  const move = draft(WHOLE_MOVE, { author: demoId('night'), id: randomUUID() })
  const answer = await page.request.post(`/api/jobs/${jobId(page)}/entries`, { data: move })
  expect(answer.status()).toBe(201)
  await page.unroute(/\/(entries|stream)$/)

  const alert = page.getByRole('alert').filter({ hasText: 'was not taken' })
  await expect(alert).toBeVisible({ timeout: 20_000 })
  await alert.getByRole('button', { name: 'Belongs before that move' }).click()
  await job.saved()
  await expect(alert).toBeHidden()
  const entries = await entriesOf(page)
  expect(entries.at(-1)).toMatchObject({ kind: 'readings-taken', before: move.id })
  await expect(job.stage('As found')).toContainText('Two sets agree: out')
  await job.stage('Re-measure').click()
  await job.read(ALIGNED.rim, ALIGNED.face)
  await expect(job.meaning).toContainText('Repeat it')
})

test('what an older version left waiting on this device is sent after all', async ({ page }) => {
  const job = new Job(page)
  await job.open()
  await job.saved()
  const entry = {
    id: randomUUID(),
    author: demoId('day'),
    madeAt: new Date().toISOString(),
    receivedAt: null,
    supersedes: null,
    kind: 'remark',
    payload: { text: 'left waiting by the old program' },
  }
  await page.evaluate(
    ([id, old]) => localStorage.setItem('hc.outbox', JSON.stringify([{ jobId: id, entry: old }])),
    [jobId(page), entry] as const,
  )
  await page.reload()
  await expect.poll(async () => (await entriesOf(page)).map((e) => e.kind)).toContain('remark')
  expect(await page.evaluate(() => localStorage.getItem('hc.outbox'))).toBeNull()
})
