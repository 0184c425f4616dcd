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
    .getByRole('listitem')
    .filter({ hasText: tag })
    .filter({ hasText: 'expected to go 6.0 mil up' })
  await expect(waiting).toBeVisible()
  await expect(waiting.getByRole('img', { name: /expected to go 6\.0 mil up/ })).toBeVisible()
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
  // The customer reads how it was left and signs with a finger; a remark written afterwards is not under it.
  const close = page.getByRole('button', { name: 'Sign and close' })
  const sheet = page.getByRole('dialog')
  const sign = async () => {
    await sheet.getByRole('button', { name: 'Done, hand it back' }).click()
    await expect(sheet).toBeHidden()
  }
  const draw = async () => {
    const glass = (await sheet.getByRole('img', { name: 'Glass to sign on, empty' }).boundingBox())!
    await page.mouse.move(glass.x + 60, glass.y + 120)
    await page.mouse.down()
    await page.mouse.move(glass.x + 200, glass.y + 40, { steps: 6 })
    await page.mouse.move(glass.x + 320, glass.y + 130, { steps: 6 })
    await page.mouse.up()
    await expect(sheet.getByRole('img', { name: 'Signature', exact: true })).toBeVisible()
  }
  await page.getByRole('button', { name: 'Customer signs on the glass' }).click()
  await expect(sheet).toContainText('It is left in band.')
  await draw()
  await sheet.getByRole('button', { name: 'Done, hand it back' }).click()
  await expect(sheet.getByRole('alert')).toHaveText('Say who signs.')
  await sheet.getByLabel('Name of who signs for the customer').fill('R. Ash')
  await sign()
  await page.getByLabel('Remarks').fill('Watched by vibration until spring.')
  await expect(page.getByText('What the customer signed reads otherwise now')).toBeVisible()
  await expect(close).toBeDisabled()
  await page.getByRole('button', { name: 'Sign again' }).click()
  await expect(sheet).toContainText('Watched by vibration until spring.')
  await draw()
  await sign()
  await job.next('Sign and close')
  await expect(job.meaning).toContainText('Closed and signed')
  await expect(page.getByText('Signed for the customer by R. Ash')).toBeVisible()
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
