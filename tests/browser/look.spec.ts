import sharp from 'sharp'
import { lockOut } from '../support/entries'
import { expect, Job, test } from './job'

const picture = () =>
  sharp({ create: { width: 2400, height: 1800, channels: 3, background: '#6d7378' } })
    .jpeg()
    .toBuffer()

test('the machine is looked over: one place reported with a photograph, the rest fine', async ({ page }) => {
  const job = new Job(page)
  await job.begun(lockOut)
  await expect(job.meaning).toContainText('Nothing has been looked at yet')
  await page.getByRole('button', { name: 'Base not looked at' }).click()
  await page.getByText('to report', { exact: true }).click()
  await job.next('Log: base')
  await expect(page.getByText('Say what is to report')).toBeVisible()
  await page.locator('input[type=file]').setInputFiles({
    name: 'notes.jpg',
    mimeType: 'image/jpeg',
    buffer: Buffer.from('no picture at all'),
  })
  await expect(page.getByText('not a picture this program can read')).toBeVisible()
  await page
    .locator('input[type=file]')
    .setInputFiles({ name: 'weld.jpg', mimeType: 'image/jpeg', buffer: await picture() })
  await expect(page.getByRole('img', { name: 'Photograph 1 of Base' })).toBeVisible()
  await page.getByLabel('In words').fill('Cracked at the weld')
  // Half a finding outlives a reload, with its photograph.
  await page.reload()
  await expect(page.getByLabel('In words')).toHaveValue('Cracked at the weld')
  await expect(page.getByRole('img', { name: 'Photograph 1 of Base' })).toBeVisible()
  await job.next('Log: base')
  await expect(page.getByRole('button', { name: 'Base to report' })).toBeVisible()
  await job.saved()
  await job.next('All 11 others are fine')
  await expect(job.meaning).toContainText('To report: base.')
  await page.getByRole('button', { name: 'Base to report' }).click()
  await expect(page.getByText('Before: to report: Cracked at the weld')).toBeVisible()
  const shown = page.locator('.thumbs img')
  await expect(shown).toBeVisible()
  // Shown before it is decoded: the picture comes from the server on a busy machine.
  await expect
    .poll(() => shown.evaluate((img: HTMLImageElement) => Math.max(img.naturalWidth, img.naturalHeight)))
    .toBe(1600)
})
