import { randomUUID } from 'node:crypto'
import { expect, test } from './job'

test('a machine like another one: its own tag, its usual method and limits chosen, drawn as it is typed', async ({
  page,
}) => {
  const tag = `T-${randomUUID().slice(0, 8)}`
  await page.goto('/machines/CP-11')
  await page.getByRole('button', { name: 'Register one like it' }).click()
  const dialog = page.getByRole('dialog', { name: 'Register one like CP-11' })
  const choose = async (name: string, option: string) => {
    await dialog.getByRole('combobox', { name }).press('Enter')
    await page.getByRole('option', { name: option, exact: true }).click()
  }
  // Not without a tag of its own.
  await dialog.getByRole('button', { name: 'Register it' }).click()
  await expect(dialog.getByRole('alert').first()).toBeVisible()
  await dialog.getByLabel('Tag', { exact: true }).fill(tag)
  await dialog.getByLabel('Coupling to inboard feet').fill('10')
  await expect(dialog.getByRole('img').getByText('10.00 in')).toBeVisible()
  await choose('Usual method', 'Gap and straightedge')
  await expect(dialog.getByLabel('Face circle, diameter')).toHaveCount(0)
  await dialog.getByLabel('Gaps felt on a circle').fill('8')
  await choose('Limits told as', 'window, one-sided too')
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
