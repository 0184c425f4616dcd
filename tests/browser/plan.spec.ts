import { expect, Job, test } from './job'

const goToPlan = (job: Job) => job.goToOpen('CP-14')
const WORKER = '**/plan.worker*'

test('a long search for plans says so, can be stopped, and taken up again', async ({ page }) => {
  const job = new Job(page)
  let delay = 4000
  await page.route(WORKER, async (route) => {
    await new Promise((resolve) => setTimeout(resolve, delay))
    await route.continue().catch(() => null)
  })
  await goToPlan(job)
  await expect(job.meaning).toContainText('Working out the plans')
  const stop = page.getByRole('button', { name: 'Stop; I plan by hand' })
  await expect(stop).toBeVisible()
  // Nothing can be logged in place of a plan that is not there yet.
  await expect(page.getByRole('button', { name: 'Nothing to move; go on' })).toHaveCount(0)
  await stop.click()
  await expect(page.getByText('Stopped. Drag the feet')).toBeVisible()
  await expect(page.getByRole('slider', { name: 'inboard feet, vertical' })).toBeVisible()
  delay = 0
  await page.getByRole('button', { name: 'Work out the plans' }).click()
  await expect(job.meaning).toContainText('brings it in band')
  await expect(page.getByRole('button', { name: /^Closest/ })).toBeVisible()
})

test('where no worker can be had the page works the plans out itself', async ({ page }) => {
  await page.route(WORKER, (route) => route.abort())
  const job = new Job(page)
  await goToPlan(job)
  await expect(job.meaning).toContainText('brings it in band')
  await expect(page.getByRole('button', { name: /^Closest/ })).toBeVisible()
})
