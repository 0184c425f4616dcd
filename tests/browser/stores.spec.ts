import { readFile } from 'node:fs/promises'
import { expect, test } from './job'

// Limits and stores are a lead’s.
test.use({ writing: 'lead' })

test('shims are put in, counted with what is missing said, and taken out again', async ({ page }) => {
  await page.goto('/stores')
  const shims = page.getByRole('region', { name: 'Shims' })
  await shims.getByRole('button', { name: 'Put shims in' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(dialog.getByText('Give the thickness.')).toBeVisible()
  await dialog.getByLabel('Thickness').fill('0.381 mm')
  await expect(dialog.getByText('= 15', { exact: false })).toBeVisible()
  await dialog.getByLabel('Where they lie').fill('Box of this test')
  await dialog.getByLabel('How many there are').fill('12')
  await dialog.getByLabel('Order at').fill('14')
  await dialog.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(dialog).toBeHidden()
  const row = shims.getByRole('row').filter({ hasText: 'Box of this test' })
  await expect(row).toContainText('15')
  await expect(row).toContainText('order')

  await row.getByRole('button', { name: 'Count' }).click()
  const box = dialog.getByLabel('How many there are')
  await expect(box).toBeFocused()
  await page.keyboard.type('1x')
  await page.keyboard.press('Enter')
  await expect(dialog.getByText('Give a whole number, 0 or more.')).toBeVisible()
  await box.fill('10')
  await expect(dialog.getByText('2 fewer than expected')).toBeVisible()
  await page.keyboard.press('Enter')
  await expect(dialog).toBeHidden()
  await expect(row).toContainText('2 fewer than expected')
  await expect(row).toContainText('Maintenance lead')

  await row.getByRole('button', { name: 'Change' }).click()
  await dialog.getByRole('button', { name: 'Take them out of the stores' }).click()
  await expect(row).toHaveCount(0)
})

test('spare belts are put in, counted, offered to the drive they fit, and taken out again', async ({
  page,
}) => {
  await page.goto('/stores')
  const belts = page.getByRole('region', { name: 'Spare belts' })
  await belts.getByRole('button', { name: 'Put belts in' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(dialog.getByText('Give the pitch length.')).toBeVisible()
  await dialog.getByLabel('Section').fill('B')
  await dialog.getByLabel('Pitch length of a belt').fill('2484 mm')
  await dialog.getByText('In matched sets or bands').click()
  await dialog.getByLabel('Belts in a set or band').fill('5')
  await dialog.getByLabel('How many pieces there are').fill('2')
  await dialog.getByLabel('Where they lie').fill('Shelf of this test')
  await dialog.getByLabel('Order at').fill('2')
  await dialog.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(dialog).toBeHidden()
  const row = belts.getByRole('row').filter({ hasText: 'Shelf of this test' })
  await expect(row).toContainText('matched set of 5')
  await expect(row).toContainText('order')

  await page.goto('/')
  await expect(page.getByRole('region', { name: 'Belts running low' })).toContainText('Shelf of this test')
  await page.goto('/machines/GL-03')
  await expect(page.getByText('Shelf of this test · 2 there · 0.2 % longer')).toBeVisible()

  await page.goto('/stores')
  await row.getByRole('button', { name: 'Count' }).click()
  await dialog.getByLabel('How many there are').fill('1')
  await page.keyboard.press('Enter')
  await expect(dialog).toBeHidden()
  await expect(row).toContainText('1 fewer than expected')
  await row.getByRole('button', { name: 'Change' }).click()
  await dialog.getByRole('button', { name: 'Take them out of the stores' }).click()
  await expect(row).toHaveCount(0)
})

test('an instrument past its calibration is said on Today, until its day is changed', async ({ page }) => {
  await page.goto('/')
  const past = page.getByRole('region', { name: 'Past calibration' })
  await expect(past).toContainText('Dial 3, 0.01 mm')
  await expect(page.getByRole('region', { name: 'Shims running low' })).toContainText('50 mil')
  await past.getByRole('link').click()
  await page.getByRole('button', { name: 'Change Dial 3, 0.01 mm' }).click()
  const dialog = page.getByRole('dialog', { name: 'Change Dial 3, 0.01 mm' })
  const day = dialog.getByRole('combobox', { name: 'Calibrated until' })
  const was = await day.inputValue()
  await day.fill('1 Mar 2099')
  await page.keyboard.press('Tab')
  await dialog.getByRole('button', { name: 'Save the instrument' }).click()
  await expect(dialog).toBeHidden()
  await expect(page.getByRole('row').filter({ hasText: 'Dial 3, 0.01 mm' })).toContainText('1 Mar 2099')
  await page.goto('/')
  await expect(page.getByRole('region', { name: 'Shims running low' })).toBeVisible()
  await expect(past).toHaveCount(0)
  // Others look for it.
  await page.goto('/stores')
  await page.getByRole('button', { name: 'Change Dial 3, 0.01 mm' }).click()
  await day.fill(was)
  await page.keyboard.press('Tab')
  await dialog.getByRole('button', { name: 'Save the instrument' }).click()
  await expect(dialog).toBeHidden()
})

test('stock goes out as a file, and a file of it is looked at before it counts', async ({ page }) => {
  await page.goto('/stores')
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Save as CSV' }).click(),
  ])
  const text = await readFile(await download.path(), 'utf8')
  const [head = '', first = '', ...others] = text.trimEnd().split('\r\n')
  const columns = head.split(',')
  const at = columns.indexOf('counted')
  const cells = first.split(',')
  const here = Number(cells[at])
  cells[at] = String(here + 3)
  const put = columns.map(
    (c) =>
      ({ what: 'shims', units: 'metric', thickness: '0.07', place: 'Box of a file', counted: '9' })[c] ?? '',
  )
  await page.getByRole('button', { name: 'Read a file' }).click()
  const dialog = page.getByRole('dialog', { name: 'Stock from a file' })
  const give = (lines: readonly string[]) =>
    page.locator('input[type=file]').setInputFiles({
      name: 'stock.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from(lines.join('\r\n')),
    })
  await give([head, 'bolts,metric'])
  await expect(dialog.getByText('Say what it is: shims or belts.')).toBeVisible()
  await give([head, cells.join(','), ...others, put.join(',')])
  await expect(dialog.getByText(`${here} here now, counted ${here + 3}`)).toBeVisible()
  await expect(dialog.getByText('is new: 9 lie there')).toBeVisible()
  await dialog.getByRole('button', { name: 'Take 2 lines over' }).click()
  await expect(dialog.getByText('2 lines taken over.')).toBeVisible()
  await page.keyboard.press('Escape')
  await page.getByRole('region', { name: 'Shims' }).getByText('mm', { exact: true }).first().click()
  await expect(page.getByRole('row').filter({ hasText: 'Box of a file' })).toContainText('9')

  // Taken over, the same file changes nothing any more.
  await page.getByRole('button', { name: 'Read a file' }).click()
  await give([head, cells.join(','), ...others, put.join(',')])
  await expect(dialog.getByRole('button', { name: 'Take 0 lines over' })).toBeDisabled()
})
