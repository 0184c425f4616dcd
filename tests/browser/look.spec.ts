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
  expect(await shown.evaluate((img: HTMLImageElement) => Math.max(img.naturalWidth, img.naturalHeight))).toBe(
    1600,
  )
})

test('a photograph taken without network goes along with its entry later', async ({ page, context }) => {
  const job = new Job(page)
  await job.begun(lockOut)
  await expect(job.meaning).toContainText('Nothing has been looked at yet')
  await context.setOffline(true)
  await page.getByText('put right', { exact: true }).click()
  await page
    .locator('input[type=file]')
    .setInputFiles({ name: 'foot.jpg', mimeType: 'image/jpeg', buffer: await picture() })
  await expect(page.getByRole('img', { name: 'Photograph 1 of Feet' })).toBeVisible()
  await job.next('Log: feet')
  await expect(page.getByText('1 entry waiting')).toBeVisible()
  await context.setOffline(false)
  await job.saved()
  await page.reload()
  await page.getByRole('button', { name: 'Feet put right' }).click()
  await expect(page.locator('.thumbs img')).toBeVisible()
})

test('shims found are asked about where the register has others, and the feet start from them', async ({
  page,
}) => {
  const job = new Job(page)
  await job.begun(lockOut)
  await page.getByText('Shims found', { exact: true }).click()
  await page.getByLabel('Leaves, outboard left', { exact: true }).fill('20 + 5')
  await page.getByLabel('Marks, outboard left', { exact: true }).fill('A')
  await expect(page.getByText('Give a mark for each of the 2 leaves')).toBeVisible()
  await page.getByLabel('Marks, outboard left', { exact: true }).fill('A, B')
  await job.next('Log the shims found')
  await expect(page.getByText(/Outboard left: found 20\+5 mil, the register has/)).toBeVisible()
  await job.next('Log the shims found')
  await expect(job.stage('Look and clean')).toContainText('Shims differ')
  await job.stage('Feet').click()
  await page.getByText('2 One loosened: rises').click()
  await expect(page.getByText('20+5').first()).toBeVisible()
})

test('the base is brought level by its corners, and a shim is cut to scale', async ({ page }) => {
  const job = new Job(page)
  await job.begun(lockOut)
  await page.getByText('Base level', { exact: true }).click()
  for (const [edge, feeler] of [
    ['left side', '8'],
    ['right side', '8'],
    ['coupling end', '0'],
    ['far end', '0'],
  ] as const)
    await page.getByLabel(`Feeler, ${edge}`).fill(feeler)
  await page.getByLabel('Corner to corner, along').fill('40')
  await page.getByLabel('Corner to corner, across').fill('22')
  await page.getByLabel('Feeler’s edge to the level’s other end').fill('10')
  await expect(job.meaning).toContainText('The base slopes by 0.80 mil/in')
  await expect(page.getByText('32.0 mil', { exact: true })).toHaveCount(2)
  await page.getByText('mm', { exact: true }).first().click()
  await expect(page.getByText('0.813 mm', { exact: true })).toHaveCount(2)
  await job.next('Log the base level')
  await page.getByText('Cut a shim', { exact: true }).click()
  for (const [label, value] of [
    ['Width', '80'],
    ['Length, the way it slides in', '100'],
    ['Bolt', '20'],
    ['Open edge to bolt’s middle', '60'],
    ['Sheet', '0.5'],
  ] as const)
    await page.getByLabel(label, { exact: true }).fill(value)
  const pdf = await page.getByRole('link', { name: 'PDF to scale, A4' }).getAttribute('href')
  expect((await page.request.get(pdf ?? '')).headers()['content-type']).toBe('application/pdf')
  await job.pick('For the foot', 'Outboard left')
  await job.next('Log what was cut')
  await expect(page.getByText(/sheet, 1 off, outboard left/)).toBeVisible()
})

test('what goes along is ticked and logged; a calibration that ran out is said', async ({ page }) => {
  const job = new Job(page)
  await job.begun([])
  await job.stage('Open').click()
  await expect(job.meaning).toContainText('Opened: planned check')
  await expect(page.getByText(/^Straightedge, .* or longer$/)).toBeVisible()
  await job.next('Tick all of it')
  await page
    .getByLabel('Instruments')
    .getByText(/^Dial 3/)
    .click()
  await expect(job.meaning).toContainText('The calibration of Dial 3, 0.01 mm ran out on')
  await page
    .getByLabel('Instruments')
    .getByText(/^Dial 3/)
    .click()
  await page
    .getByLabel('Instruments')
    .getByText(/^Dial 1/)
    .click()
  // Ticks outlive a reload before they are logged.
  await page.reload()
  await job.stage('Open').click()
  await job.next('Log what is taken')
  await expect(job.meaning).toContainText(/\d+ things and 1 instrument taken along/)
  await expect(job.stage('Open')).toContainText('1 instrument')
})
