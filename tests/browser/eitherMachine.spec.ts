import { LOW_MOTOR } from '../support/entries'
import { expect, Job, test } from './job'

test('the driven machine planned with the motor, shimmed and logged at its own feet, and in the register', async ({
  page,
}) => {
  const job = new Job(page)
  const tag = await job.prepared([LOW_MOTOR, LOW_MOTOR], 'CP-14')
  await job.stage('Plan').click()
  await expect(job.meaning).toContainText('This move brings it in band')
  const which = page.getByRole('radiogroup', { name: 'Which machine is moved' })
  await expect(page.getByRole('slider', { name: 'driven' })).toHaveCount(0)
  await which.getByText('extruder gear unit').click()
  await expect(page.getByRole('slider', { name: 'driven outboard feet, vertical' })).toBeVisible()
  // The motor stays: its feet can't be dragged.
  await expect(page.getByRole('slider')).toHaveCount(4)
  await which.getByText('both').click()
  await expect(page.getByRole('slider')).toHaveCount(8)
  const driven = page.getByRole('slider', { name: 'driven inboard feet, vertical' })
  const before = await driven.getAttribute('aria-valuetext')
  await driven.press('ArrowDown')
  await expect(driven).not.toHaveAttribute('aria-valuetext', before ?? '')
  await expect(page.getByText('You dragged a foot')).toBeVisible()
  await which.getByText('extruder gear unit').click()
  await expect(job.meaning).toContainText('This move brings it in band')
  await job.next('Take these shims to the machine')

  await expect(page.getByText('driven machine above, coupling between', { exact: false })).toBeVisible()
  await job.next('Shims as planned')
  const foot = page.getByRole('group', { name: 'Driven outboard left' })
  const shims = await foot.getByLabel('Put in').inputValue()
  const taken = await foot.getByLabel('Taken out').inputValue()
  expect(shims + taken).not.toBe('')
  await page.getByText('Horizontal', { exact: true }).click()
  await expect(page.getByRole('region', { name: /^Driven outboard/ })).toBeVisible()
  await job.next('Sides as planned')
  await job.next('Log this move')
  await expect(job.stage('Move')).toContainText('One move made')

  await job.stage('Close').click()
  await expect(page.getByRole('region', { name: 'Into the register' })).toContainText('of the driven machine')
  await page.getByLabel('Reason for closing it like this').fill('Measured tomorrow.')
  await page.getByLabel('Signature name').fill('N. Vale')
  await job.next('Sign and close')
  await job.saved()
  const read = (await (await page.request.get(`/api/machines/${tag}`)).json()) as {
    machine: { feet: { stationary: { existing: { left: number[] } }[] } }
  }
  expect(read.machine.feet.stationary[1]?.existing.left).not.toEqual([1, 0.2])
})
