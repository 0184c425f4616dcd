import { expect, test } from './job'

/** A day so far ahead, as its box writes it. */
const soon = (days: number) => {
  const at = new Date(Date.now() + days * 86_400_000)
  const part = (options: Intl.DateTimeFormatOptions) => at.toLocaleDateString('en-US', options)
  return `${part({ day: 'numeric' })} ${part({ month: 'short' })} ${part({ year: 'numeric' })}`
}

test.describe('who leads', () => {
  test.use({ writing: 'lead' })

  test('a stop is planned, due work lands on it, and it is called off again', async ({ page }) => {
    await page.goto('/calendar')
    const kiln = page.getByRole('listitem').filter({ hasText: 'KY-05 Roller-kiln drive' }).first()
    await expect(kiln).toContainText('ask for a stop')
    await page.getByRole('button', { name: 'Plan a stop' }).click()
    const dialog = page.getByRole('dialog', { name: /the stop|a stop/ })
    await dialog.getByRole('button', { name: 'Save the stop' }).click()
    await expect(dialog.getByText('Say which hall stands.')).toBeVisible()
    await expect(dialog.getByText('Give the day.')).toBeVisible()
    // The list filters while it is clicked: a pick may be lost on a slow machine, and is made again as anybody would.
    await expect(async () => {
      await dialog.getByRole('combobox', { name: 'Hall' }).fill('Kiln')
      await page.getByRole('option', { name: 'Kiln yard', exact: true }).click({ timeout: 3000 })
      await expect(dialog.getByText('Say which hall stands.')).toBeHidden({ timeout: 2000 })
    }).toPass()
    await dialog.getByRole('combobox', { name: 'Day' }).fill(soon(3))
    await page.keyboard.press('Tab')
    await dialog.getByLabel('Until').fill('4')
    await expect(dialog.getByText('It ends on the day after.')).toBeVisible()
    await dialog.getByRole('button', { name: 'Save the stop' }).click()
    await expect(dialog).toBeHidden()
    await expect(kiln).toContainText('06:00–04:00')
    const mine = page
      .getByRole('region', { name: 'Planned stops' })
      .getByRole('button', { name: /Kiln yard/ })
      .first()
    await expect(mine).toContainText('06:00–04:00')
    await mine.click()
    await dialog.getByRole('button', { name: 'Call it off' }).click()
    await expect(mine).toContainText('called off')
    await expect(kiln).toContainText('ask for a stop')
  })

  test('the works’ rules are changed, with faults at their boxes', async ({ page }) => {
    await page.goto('/calendar')
    const rules = page.getByRole('region', { name: 'Rules of the works' })
    await rules.getByRole('button', { name: 'Change the rules' }).click()
    const dialog = page.getByRole('dialog')
    const months = dialog.getByLabel('Regular look, months')
    const before = await months.inputValue()
    await months.fill('0')
    await dialog.getByRole('button', { name: 'Save the rules' }).click()
    await expect(dialog.getByText('Give the months between two looks as 1 or more.')).toBeVisible()
    await months.fill(before)
    await dialog.getByLabel('or running hours, if sooner').fill('8000')
    await dialog.getByRole('button', { name: 'Save the rules' }).click()
    await expect(dialog).toBeHidden()
    await expect(rules).toContainText('8000')
    await rules.getByRole('button', { name: 'Change the rules' }).click()
    await dialog.getByLabel('or running hours, if sooner').fill('')
    await dialog.getByRole('button', { name: 'Save the rules' }).click()
    await expect(dialog).toBeHidden()
    await expect(rules).toContainText('not used')
  })

  test('a calendar to subscribe to is made, shown once, and ended', async ({ page, request }) => {
    await page.goto('/calendar')
    const feeds = page.getByRole('region', { name: 'Calendar feeds' })
    await feeds.getByRole('button', { name: 'Make one' }).click()
    const dialog = page.getByRole('dialog')
    await dialog.getByRole('button', { name: 'Make it' }).click()
    await expect(dialog.getByRole('img', { name: /^A tag with the address/ })).toBeVisible()
    const address = (await dialog.locator('.address').textContent()) ?? ''
    expect((await request.get(address)).status()).toBe(200)
    await page.keyboard.press('Escape')
    await feeds.getByRole('button', { name: 'End it' }).first().click()
    await expect(feeds.getByText(/^ended/).first()).toBeVisible()
    expect((await request.get(address)).status()).toBe(404)
  })
})

test('what is due is started from Today, with its reason', async ({ page }) => {
  await page.goto('/')
  const kiln = page.getByRole('listitem').filter({ hasText: /days over.*KY-05 Roller-kiln drive/ })
  await expect(kiln).toContainText('days over')
  await expect(kiln).toContainText('ask for a stop')
  await kiln.getByRole('button', { name: 'Start' }).click()
  await expect(page).toHaveURL(/machines\/KY-05/)
  const dialog = page.getByRole('dialog', { name: 'Start a job on KY-05' })
  await expect(dialog.getByLabel('Nameplate speed, rpm')).toBeFocused()
  await expect(dialog.getByText(/Read it off the nameplate/)).toBeVisible()
  await expect(dialog.getByText('Type a number.')).toHaveCount(0)
})

test('Today is the whole crew’s, or what one wrote in last', async ({ page }) => {
  await page.goto('/')
  const mill = page.getByRole('listitem').filter({ hasText: 'CP-40M Pan mill' }).first()
  await expect(mill).toBeVisible()
  await page.getByText('Mine', { exact: true }).click()
  await expect(mill).toHaveCount(0)
  await expect(page.getByRole('listitem').filter({ hasText: 'KY-05' }).first()).toBeVisible()
  // The choice stays on this device.
  await page.reload()
  await expect(page.getByRole('listitem').filter({ hasText: 'KY-05' }).first()).toBeVisible()
  await expect(mill).toHaveCount(0)
})

test('on a phone the views are a list behind one button', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto('/')
  await page.getByRole('button', { name: 'Main' }).click()
  await page.getByRole('menuitem', { name: 'Calendar' }).click()
  await expect(page.getByRole('heading', { name: 'Calendar', exact: true })).toBeVisible()
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
})
