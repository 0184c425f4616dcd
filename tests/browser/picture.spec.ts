import { readFile } from 'node:fs/promises'
import sharp from 'sharp'
import { expect, Job, LOW, test } from './job'

test('the board of a job is taken as a drawing that stands on its own, and as dots', async ({ page }) => {
  const job = new Job(page)
  const tag = await job.prepared()
  await job.stage('As found').click()
  await job.read(LOW.rim, LOW.face)
  await page.getByRole('button', { name: 'Take a picture' }).click()
  const dialog = page.getByRole('dialog', { name: 'The board as a picture' })
  await expect(dialog.getByRole('img')).toBeVisible()

  const taken = async (name: string) => {
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      dialog.getByRole('link', { name }).click(),
    ])
    expect(download.suggestedFilename()).toContain(tag)
    return readFile(await download.path())
  }
  const svg = (await taken('SVG')).toString()
  expect(svg).toContain(`${tag} `)
  expect(svg).toContain('@font-face')
  // Nothing of it hangs on the page it came from.
  expect(svg).not.toMatch(/var\(--|class=|<script|href="http/)
  const [, width = '', height = ''] = /width="(\d+)" height="(\d+)"/.exec(svg) ?? []
  const png = sharp(await taken('PNG'))
  const told = await png.metadata()
  expect([told.format, told.width, told.height]).toEqual(['png', 2 * Number(width), 2 * Number(height)])
  // It is drawn on, not one plain ground.
  const { channels } = await png.stats()
  expect(Math.max(...channels.map((c) => c.stdev))).toBeGreaterThan(5)
  // Read by another program than the browser, it is the same size.
  const alone = await sharp(Buffer.from(svg)).metadata()
  expect([alone.width, alone.height]).toEqual([Number(width), Number(height)])
})

test('a view without a drawing says so', async ({ page }) => {
  const job = new Job(page)
  await job.open()
  await job.stage('Make safe').click()
  await page.getByRole('button', { name: 'Take a picture' }).click()
  await expect(page.getByText('Nothing is drawn in this view.')).toBeVisible()
})
