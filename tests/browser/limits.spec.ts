import { expect, Job, test } from './job'

// Limits and stores are a lead’s.
test.use({ writing: 'lead' })

test('a table for a kind of coupling is written, rules a new job in its row, and leaves the open one as it was', async ({
  page,
}) => {
  const job = new Job(page)
  // A machine of its own kind of coupling, so that no other test is judged by this table.
  const tag = await job.register('CP-11')
  const answer = (await (await page.request.get(`/api/machines/${tag}`)).json()) as { machine: object }
  const kind = `Coupling of ${tag}`
  const { id: _, ...record } = { ...answer.machine, couplingKind: kind } as unknown as { id: string }
  expect((await page.request.put(`/api/machines/${tag}`, { data: record })).status()).toBe(200)

  const openJob = async () => {
    await page.goto(`/machines/${tag}`)
    await page.getByRole('button', { name: 'Start a job' }).click()
    await page.getByLabel('Nameplate speed, rpm').fill('990')
    await page.getByRole('button', { name: 'Open the job' }).click()
    await page.waitForURL(/\/jobs\//)
  }

  await page.goto('/limits')
  await page.getByRole('combobox', { name: 'Machine' }).click()
  await page.getByRole('option', { name: new RegExp(tag) }).click()
  const tiers = page.getByRole('table', { name: 'Nearest wins' })
  await expect(
    tiers
      .getByRole('row', { name: /^Offset/ })
      .getByRole('cell')
      .nth(3),
  ).toContainText('rules')

  await page.getByRole('button', { name: 'New table' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByText('A kind of coupling').click()
  await dialog.getByRole('combobox', { name: /Kind of coupling/ }).click()
  await page.getByRole('option', { name: kind }).click()
  await dialog.getByLabel('Called').fill(`Sheet of ${tag}`)
  await dialog.getByLabel('Revision').fill('B')
  await dialog.getByLabel('Row 1, up to rpm').fill('1000')
  await dialog.getByLabel('Row 1, standard, offset').fill('wide')
  await expect(dialog.getByRole('alert').filter({ hasText: 'not a number' })).toBeVisible()
  await dialog.getByLabel('Row 1, standard, offset').fill('2.5')
  await dialog.getByRole('button', { name: 'Another row' }).click()
  await dialog.getByLabel('Row 2, up to rpm').fill('900')
  await dialog.getByLabel('Row 2, standard, offset').fill('1.5')
  await dialog.getByRole('button', { name: 'Save the table' }).click()
  await expect(dialog.getByText('Speeds rise from row to row')).toBeVisible()
  await dialog.getByLabel('Row 2, up to rpm').fill('2000')
  await dialog.getByText('In force from now on').click()
  await dialog.getByRole('button', { name: 'Save the table' }).click()
  await expect(dialog).toBeHidden()

  const offset = tiers.getByRole('row', { name: /^Offset/ }).getByRole('cell')
  await expect(offset.nth(1)).toContainText('2.5')
  await expect(offset.nth(1)).toContainText('rules')
  await expect(offset.nth(1)).toContainText('up to 1000 rpm')
  await expect(
    tiers
      .getByRole('row', { name: /^Angle/ })
      .getByRole('cell')
      .nth(3),
  ).toContainText('rules')
  await page.goto(`/machines/${tag}`)
  await expect(page.getByText(`Offset by Sheet of ${tag}, revision B: row up to 1000 rpm`)).toBeVisible()

  await openJob()
  const first = page.url().split('/').at(-1) ?? ''
  await page.goto('/limits')
  const row = page.getByRole('row').filter({ hasText: `Sheet of ${tag}` })
  await row.getByRole('button', { name: 'Take out of force' }).click()
  await expect(row).toContainText('kept aside')
  const kept = (await (await page.request.get(`/api/jobs/${first}`)).json()) as {
    machine: { limitSets: { name: string }[] }
  }
  expect(kept.machine.limitSets.map((s) => s.name)).toEqual([`Sheet of ${tag}`])

  // Out to a file and back in: the same.
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Save as JSON' }).click(),
  ])
  const file = await download.path()
  await page.getByRole('button', { name: 'Read a file' }).click()
  await page.locator('input[type=file]').setInputFiles({
    name: 'limits.json',
    mimeType: 'application/json',
    buffer: await (await import('node:fs/promises')).readFile(file),
  })
  await expect(page.getByRole('dialog').getByText(`Sheet of ${tag} stays as it is`)).toBeVisible()
})

test('the works’ limits for belt drives are written, rule where nothing nearer does, and are said on a machine’s page', async ({
  page,
}) => {
  await page.goto('/limits')
  await page.getByRole('link', { name: 'Belt drives' }).click()
  const nearest = page.getByRole('region', { name: 'Nearest wins' })
  const offset = nearest.getByRole('row').filter({ hasText: 'Offset at the groove' })
  await expect(offset.getByRole('cell').nth(1)).toContainText('rules')
  await page.getByRole('button', { name: 'New limits' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByRole('button', { name: 'Save the limits' }).click()
  await expect(dialog.getByText('Give one limit at least.')).toBeVisible()
  await dialog.getByText('every kind of belt').click()
  await page.getByRole('option', { name: 'V-belts', exact: true }).click()
  await dialog.getByLabel('Where they come from').fill('Sheet of this test')
  await dialog.getByLabel('Offset, in').fill('1/32')
  await dialog.getByLabel('New belts: factor, least').fill('1.5')
  await dialog.getByLabel('New belts: factor, most').fill('1.4')
  await expect(dialog.getByText('The upper end must be above the lower one.')).toBeVisible()
  await dialog.getByLabel('New belts: factor, most').fill('1.6')
  await expect(dialog.getByText('They take the place of those from Orrin Vale file 12')).toBeVisible()
  await dialog.getByRole('button', { name: 'Save the limits' }).click()
  await expect(dialog).toBeHidden()
  await expect(offset.getByRole('cell').nth(1)).toContainText('0.031 in')

  await page.goto('/machines/GL-03')
  await expect(page.getByText('The works’ limits for belt drives: Sheet of this test')).toBeVisible()

  await page.goto('/limits/belts')
  const row = page.getByRole('row').filter({ hasText: 'file 12' })
  await row.getByRole('button', { name: 'Put in force' }).click()
  await expect(offset.getByRole('cell').nth(1)).toContainText('0.063 in')
})
