import { expect, Job, test } from './job'
import { LOW_MOTOR } from '../support/entries'

test('a job opened with the wrong speed and reason: put right with a reason, judged anew, told in the record', async ({
  page,
}) => {
  const job = new Job(page)
  await job.prepared([LOW_MOTOR, LOW_MOTOR])
  await job.stage('Open').click()
  await page.getByRole('button', { name: 'Nameplate or reason otherwise?' }).click()
  const log = page.getByRole('button', { name: 'Log the correction' })
  await page.getByLabel('What was wrong with it?').fill('read off the plate')
  await expect(page.getByText('It says so already.')).toBeVisible()
  await expect(log).toBeDisabled()
  const plate = page.getByLabel('Nameplate speed, rpm')
  await plate.fill('-1480')
  await expect(log).toBeDisabled()
  await plate.fill('1480')
  await page.getByLabel('Customer or department (if any)').fill('North hall')
  await log.click()
  // Another number of poles is asked about once.
  if (await page.getByRole('alert').isVisible()) await log.click()
  await expect(page.getByRole('dialog')).toHaveCount(0)
  await expect(page.getByText('North hall')).toBeVisible()
  await expect(page.getByRole('banner')).toContainText('1480 rpm')

  // A stranger who corrects the same opening again is refused, with a sentence.
  const { entries } = (await (await page.request.get(page.url().replace('/jobs/', '/api/jobs/'))).json()) as {
    entries: readonly { readonly id: string; readonly kind: string; readonly payload: object }[]
  }
  const [opening] = entries.filter((e) => e.kind === 'job-opened')
  const again = await job.send('job-opened', opening?.payload ?? {}, {
    entry: opening?.id ?? '',
    reason: 'once more',
  })
  expect(again.status).toBe(409)
  expect(again.body).toContain('corrected')
  expect((await job.send('job-opened', { reason: 'wear', rpm: -3 })).status).toBe(422)
})

test('a belt drive’s opening is put right at the lockout, where its sheet begins', async ({ page }) => {
  const job = new Job(page)
  await job.open('GL-03')
  await page.getByRole('button', { name: 'Nameplate or reason otherwise?' }).click()
  await page.getByLabel('Nameplate speed, rpm').fill('980')
  await page.getByLabel('What was wrong with it?').fill('typed from memory')
  const log = page.getByRole('button', { name: 'Log the correction' })
  await log.click()
  if (await page.getByRole('alert').isVisible()) await log.click()
  await expect(page.getByRole('banner').first()).toContainText('980 rpm')
})
