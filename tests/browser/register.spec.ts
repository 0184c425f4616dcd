import { randomUUID } from 'node:crypto'
import { choose, expect, test } from './job'

test('a machine like another one: its own tag, its usual method and limits chosen, drawn as it is typed', async ({
  page,
}) => {
  const tag = `T-${randomUUID().slice(0, 8)}`
  await page.goto('/machines/CP-11')
  await page.getByRole('button', { name: 'Register one like it' }).click()
  const dialog = page.getByRole('dialog', { name: 'Register one like CP-11' })
  // Not without a tag of its own.
  await dialog.getByRole('button', { name: 'Register it' }).click()
  await expect(dialog.getByRole('alert').first()).toBeVisible()
  await dialog.getByLabel('Tag', { exact: true }).fill(tag)
  await dialog.getByLabel('Coupling to inboard feet').fill('10')
  await expect(dialog.getByRole('img').getByText('10.00 in')).toBeVisible()
  await choose(dialog, 'Usual method', 'Gap and straightedge')
  await expect(dialog.getByLabel('Face circle, diameter')).toHaveCount(0)
  await dialog.getByLabel('Gaps felt on a circle').fill('8')
  await choose(dialog, 'Limits told as', 'window, one-sided too')
  await dialog.getByLabel('Offset, vertical, least').fill('0')
  await dialog.getByLabel('Offset, vertical, most').fill('4')
  await dialog.getByRole('button', { name: 'Register it' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText(tag)
  const { machine } = (await (await page.request.get(`/api/machines/${tag}`)).json()) as {
    machine: { usual: object; tolerance: object; hubs: object }
  }
  expect(machine.usual).toEqual({ method: 'gaps', gapCircle: 8 })
  expect(machine.tolerance).toMatchObject({ form: 'window', offset: { v: [0, 4], h: [null, null] } })
  expect(machine.hubs).toMatchObject({ closeEnough: 15 })
})

test('machines from a file: faults by line and column first, then taken over; one of them retired', async ({
  page,
}) => {
  const tag = `T-${randomUUID().slice(0, 8)}`
  await page.goto('/machines')
  const link = page.getByRole('link', { name: 'Machines to a file' })
  await expect(link).toHaveAttribute('download', 'machines.csv')
  await expect(link).toHaveAttribute('href', /^data:text\/csv/)
  const csv = decodeURIComponent(((await link.getAttribute('href')) ?? '').replace(/^[^,]*,/, ''))
  const [head = '', first = ''] = csv.split('\r\n')
  expect(first).toContain('CP-11')
  const own = (text: string) => text.replace('CP-11', tag)
  const take = async (rows: string) => {
    await page.locator('input[type=file]').setInputFiles({
      name: 'machines.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from(`${head}\r\n${rows}\r\n`),
    })
  }
  await page.getByRole('button', { name: 'Machines from a file' }).click()
  const dialog = page.getByRole('dialog', { name: 'Machines from a file' })
  await take(own(first).replace(',990,', ',fast,'))
  await expect(dialog.getByText('Line 2, rpm')).toBeVisible()
  await expect(dialog.getByRole('button', { name: 'Take over 0 machines' })).toBeDisabled()
  await take(own(first))
  await expect(dialog.getByText('1 new, 0 changed, 0 as they are, 0 not right.')).toBeVisible()
  await dialog.getByRole('button', { name: 'Take over 1 machine' }).click()
  await expect(dialog.getByText('1 taken over.')).toBeVisible()
  await page.keyboard.press('Escape')

  await page.getByRole('link', { name: tag, exact: true }).click()
  await page.getByRole('button', { name: 'Retire it' }).click()
  await page.getByRole('dialog').getByRole('button', { name: 'Retire it' }).click()
  await expect(page.getByText('Retired: kept with its jobs')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Start a job' })).toHaveCount(0)
  await page.goto('/machines')
  await expect(page.getByRole('link', { name: 'CP-11', exact: true })).toBeVisible()
  await expect(page.getByRole('link', { name: tag, exact: true })).toHaveCount(0)
  await page.getByText('Retired too').click()
  await expect(page.getByRole('link', { name: tag, exact: true })).toBeVisible()
})

test('the driven machine’s feet can be registered too', async ({ page }) => {
  const tag = `T-${randomUUID().slice(0, 8)}`
  await page.goto('/machines/KY-09')
  await page.getByRole('button', { name: 'Register one like it' }).click()
  const dialog = page.getByRole('dialog', { name: 'Register one like KY-09' })
  await dialog.getByLabel('Tag', { exact: true }).fill(tag)
  const before = await dialog.getByLabel(/^Coupling to driven .* feet$/).count()
  await dialog.getByRole('button', { name: 'A pair of feet of the driven machine' }).click()
  const boxes = dialog.getByLabel(/^Coupling to driven .* feet$/)
  await expect(boxes).toHaveCount(before + 1)
  await boxes.last().fill('-60')
  for (const box of ['room toward 3', 'room toward 9', 'highest pack'])
    await dialog
      .getByLabel(new RegExp(`^Driven .* ${box}$`))
      .last()
      .fill('0')
  await dialog.getByRole('button', { name: 'Register it' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText(tag)
  const { machine } = (await (await page.request.get(`/api/machines/${tag}`)).json()) as {
    machine: { feet: { stationary: { x: number }[] } }
  }
  expect(machine.feet.stationary.length).toBe(before + 1)
  expect(machine.feet.stationary.at(-1)?.x).toBe(-60)
})
