import { TestJob } from '../../core/jobs/testJob'
import type { EntryBody } from '../../core/logbook/entry'
import { expect, Job, test } from './job'

const line = (v: number) => ({ offset: { v, h: 0 }, slope: { v: 0, h: 0 } })
/** What the dials read on a motor this many mil high. */
const readAt = (v: number) => new TestJob().ready().readingsOf(line(v))
const cold: EntryBody = { kind: 'readings-taken', payload: readAt(-6) }
const target: EntryBody = {
  kind: 'target-set',
  payload: { units: 'inch', given: { way: 'line', line: line(-6) }, source: 'sheet 7', learned: null },
}

test('closed cold it is provisional; a later visit runs it warm, takes the new target and closes for good', async ({
  page,
}) => {
  test.setTimeout(120_000)
  const job = new Job(page)
  const tag = await job.prepared([target, cold, cold])

  // The first visit ends cold.
  await job.stage('Hot check').click()
  await expect(job.meaning).toContainText('closed now, it is provisional')
  await job.stage('Close').click()
  await expect(page.getByText('By the works’ rule: 14 days.')).toBeVisible()
  await page.getByLabel('Signature name').fill('N. Vale')
  await job.next('Sign and close')
  await expect(job.meaning).toContainText('Closed and signed')
  await job.saved()
  await page.goto('/')
  const waiting = page
    .getByRole('row')
    .filter({ hasText: tag })
    .filter({ hasText: 'expected to go 6.0 mil up' })
  await expect(waiting).toBeVisible()
  await expect(
    page.getByRole('listitem').filter({ hasText: tag }).filter({ hasText: 'in 14 days' }),
  ).toBeVisible()

  // The second begins with the run: nothing is locked out yet.
  await page.goto(`/machines/${tag}`)
  await page.getByRole('button', { name: 'Start a job' }).click()
  await page.getByRole('dialog').getByRole('combobox').first().press('Enter')
  await page.getByRole('option', { name: 'Hot check' }).click()
  await page.getByLabel('Nameplate speed, rpm').fill('990')
  await page.getByRole('button', { name: 'Open the job' }).click()
  await page.waitForURL(/\/jobs\//)
  await expect(page.getByText(/Left cold on .*: 6\.0 mil low/)).toBeVisible()
  await page.getByLabel('Switched on at (now)').fill('25:00')
  await expect(page.getByRole('button', { name: 'It runs' })).toBeDisabled()
  await page.getByLabel('Switched on at (now)').fill('')
  await job.next('It runs')
  await expect(job.meaning).toContainText('It runs since')

  const motor = page.getByRole('group', { name: 'Motor' })
  await motor.getByLabel(/^Inboard/).fill('14o')
  await expect(motor.getByRole('alert')).toContainText('not a number')
  await motor.getByLabel(/^Inboard/).fill('140')
  await motor.getByLabel(/^Outboard/).fill('131')
  await job.next('Log the temperatures')
  await expect(page.getByText('not yet still')).toBeVisible()
  await job.next('It was stopped')

  // Behind the stop the lockout comes first, then the bracket, then fast readings.
  await expect(page.getByRole('heading', { name: 'Make safe' })).toBeVisible()
  await job.makeSafe()
  await job.setUp()
  await expect(page.getByRole('heading', { name: /^Hot/ })).toBeVisible()
  const hot = readAt(4).circles
  const typed = (circle: string) => (hot[circle] ?? []).map((r) => Math.round(r.value * 100) / 100)
  await job.read(typed('rim'), typed('face'))
  await expect(job.meaning).toContainText('4.0 mil up of plan')
  await expect(job.meaning).toContainText('New cold target 10.0 mil low')
  await job.next('Take the new target')
  await expect(job.stage('Hot check')).toContainText('New target')
  await expect(job.stage('Cold target')).toContainText('10.0 mil low')
  // It came off for the reading: the guard alone is asked for.
  await job.next('The guard is on')
  await job.next('Go on')

  await page.getByLabel('Signature name').fill('N. Vale')
  await job.next('Sign and close')
  await expect(job.meaning).toContainText('Closed and signed')
  await job.saved()
  await page.goto('/')
  await expect(page.getByRole('heading', { name: 'Open jobs' })).toBeVisible()
  await expect(waiting).toHaveCount(0)
  const machine = (await (await page.request.get(`/api/machines/${tag}`)).json()) as {
    machine: { target: { learned: unknown; given: { line: { offset: { v: number } } } } }
  }
  expect(machine.machine.target.learned).not.toBeNull()
  expect(machine.machine.target.given.line.offset.v).toBeCloseTo(-10, 1)
})
