import { expect, Job, test } from './job'

/** Types rises in the order of the criss-cross; Enter goes from foot to foot. */
const read = async (job: Job, rises: Readonly<Record<'f1' | 'f2' | 'f3' | 'f4', string>>) => {
  await job.page.getByLabel('Rise of f1').fill(rises.f1)
  for (const foot of ['f3', 'f2', 'f4'] as const) {
    await job.page.keyboard.press('Enter')
    await expect(job.page.getByLabel(`Rise of ${foot}`)).toBeFocused()
    await job.page.keyboard.type(rises[foot])
  }
}

test('feet that rock: gaps, rises, one foot filled, read again until they sit', async ({ page }) => {
  const job = new Job(page)
  await job.open()
  await job.makeSafe()
  await job.lookOver()
  await expect(job.meaning).toContainText('No foot has been read yet')
  await page.getByLabel('f2, coupling-end outer corner').fill('10')
  await page.getByLabel('f2, far-end outer corner').fill('11')
  await job.next('Log the gaps')
  await expect(job.meaning).toContainText('a gap under f2')

  await read(job, { f1: '2', f2: '12', f3: '1.5', f4: '9.5' })
  // The sentence follows the fourth digit, before anything is logged.
  await expect(job.meaning).toContainText('rocks on f2 and f4')
  await page.keyboard.press('Enter')
  await expect(page.getByText('f2, because its gap was seen')).toBeVisible()
  await expect(page.getByText('Never both')).toBeVisible()
  await page.getByText('Show working').click()
  await page.getByText('Fill under f2', { exact: true }).click()
  await expect(page.getByText('12.00 − 1.50')).toBeVisible()

  await job.next(/^Put .+ mil under f2, start round 2$/)
  await expect(job.meaning).toContainText('went in under f2')
  await expect(job.stage('Feet')).toContainText('f2 filled, read again')
  await read(job, { f1: '1', f2: '1.5', f3: '1', f4: '1' })
  await job.next('Log the rises')
  await expect(job.meaning).toContainText('All feet sit')
  await job.saved()
  await page.reload()
  await job.stage('Feet').click()
  await expect(page.getByText('before 12.0')).toBeVisible()
  await job.next('Feet sit: go on')
  await expect(job.meaning).toContainText('Nothing has been felt at the hubs yet')
})

test('another foot is filled only with a reason, and the feet are passed over only with one', async ({
  page,
}) => {
  const job = new Job(page)
  await job.open()
  await job.makeSafe()
  await job.lookOver()
  await page.getByText('2 One loosened: rises').click()
  await page.getByLabel('Rise of f1').fill('-3')
  await expect(page.getByText('can’t be below zero')).toBeVisible()
  await read(job, { f1: '2', f2: '12', f3: '1.5', f4: '9.5' })
  await job.next('Log the rises')
  await page.getByRole('button', { name: 'Fill another foot and say why' }).click()
  const dialog = page.getByRole('dialog', { name: 'Fill another foot' })
  await dialog.getByText('f4').click()
  await dialog.getByLabel('Leaves put in').fill('5 + 2')
  await expect(dialog.getByRole('button', { name: 'Log it' })).toBeDisabled()
  await dialog.getByLabel('Why this one').fill('f2 is shimmed full already')
  await dialog.getByRole('button', { name: 'Log it' }).click()
  await expect(job.meaning).toContainText('5+2 mil went in under f4')
  await page.getByRole('button', { name: 'Pass the feet over' }).click()
  await page.getByRole('dialog').getByRole('textbox').fill('grouted frame, cured by the last job')
  await page.getByRole('dialog').getByRole('button', { name: 'Pass it over' }).click()
  await expect(job.meaning).toContainText('Nothing has been felt at the hubs yet')
})
