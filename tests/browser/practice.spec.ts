import type { Page } from '@playwright/test'
import { choose, expect, test } from './job'

/** Where a needle of a dial on the bench points, in millimetres, as an eye reads it to the half line. */
const needle = async (page: Page, circle: string): Promise<number> => {
  await page.waitForTimeout(180)
  const turned = await page
    .locator(`[data-circle="${circle}"] .needle`)
    .evaluate((g) =>
      Number(/rotate\(([-\d.e]+)deg\)/.exec((g as SVGElement).getAttribute('style') ?? '')?.[1]),
    )
  return Math.round((turned / 360) * 200) / 200
}
const wheel = (page: Page) => page.getByRole('slider', { name: 'Turn the shafts by the coupling' })

/** A set as it is read off the needles: zeroed at 12, round by quarters, typed at each. */
const readSet = async (page: Page) => {
  for (const dial of ['Rim', 'Face']) await page.getByRole('button', { name: `${dial}: zero` }).click()
  const rim: number[] = [0]
  const face: number[] = [0]
  for (let i = 0; i < 4; i++) {
    await page.getByRole('button', { name: 'a quarter on' }).click()
    rim.push(await needle(page, 'rim'))
    face.push(await needle(page, 'face'))
  }
  for (const [i, hour] of ['12', '3', '6', '9'].entries()) {
    await page.getByLabel(new RegExp(`^Rim at ${hour} o’clock`)).fill(String(rim[i]))
    await page.getByLabel(new RegExp(`^Face at ${hour} o’clock`)).fill(String(face[i]))
  }
  await page.getByRole('textbox', { name: 'Rim', exact: true }).fill(String(rim[4]))
  await page.getByRole('textbox', { name: 'Face', exact: true }).fill(String(face[4]))
  await page.getByRole('button', { name: 'Log this set' }).click()
  return { rim, face }
}

test('a lesson with a slipping bracket: from its start, with a hint, to its review and back', async ({
  page,
}) => {
  test.setTimeout(120_000)
  await page.goto('/practice')
  await expect(page.getByText('0 of 12 tried')).toBeVisible()
  await page.getByRole('button', { name: /^Back to zero, or not/ }).click()
  await page.waitForURL(/\/practice\/practice-/)
  await expect(page.getByText('practice copy')).toBeVisible()

  // The shafts turn by keys too, and the needles with them.
  await wheel(page).focus()
  await page.keyboard.press('PageUp')
  await expect(wheel(page)).toHaveAttribute('aria-valuetext', /dials at 3/)
  await page.keyboard.press('PageDown')

  const { rim, face } = await readSet(page)
  expect(Math.max(Math.abs(rim[4] ?? 0), Math.abs(face[4] ?? 0))).toBeGreaterThan(0.03)
  // The checks keep quiet: nothing says that it slipped, and one can go on.
  const ledger = page.getByRole('complementary')
  await expect(ledger.getByText('the checks keep quiet')).toBeVisible()
  await expect(ledger.getByText(/something slipped/)).toHaveCount(0)

  // One more look, which check failed, what it is.
  await page.getByRole('button', { name: 'One more look: Tell me' }).click()
  await expect(ledger.getByText(/look at where each needle ends/)).toBeVisible()
  await page.getByRole('button', { name: 'Which check failed: Tell me' }).click()
  await expect(ledger.getByText(/did not come back to zero after the full turn/).first()).toBeVisible()
  await page.getByRole('button', { name: 'tighten the bracket' }).click()
  await page
    .getByRole('button', { name: /^Leave out set 1|^Leave out first set|Leave out/ })
    .first()
    .click()
  await page.getByRole('dialog').getByRole('textbox').fill('The bracket slipped.')
  await page.getByRole('dialog').getByRole('button').last().click()

  const second = await readSet(page)
  expect(Math.abs(second.rim[4] ?? 1)).toBeLessThan(0.02)
  expect(Math.abs(second.face[4] ?? 1)).toBeLessThan(0.02)

  await page.getByRole('link', { name: 'I am done: look back' }).click()
  await expect(page.getByRole('heading', { name: /Looking back/ })).toBeVisible()
  await expect(page.getByText('A bracket slips on its way round', { exact: false }).first()).toBeVisible()
  await expect(page.getByText(/seen after/).first()).toBeVisible()
  await expect(page.getByText('Asked 2 times')).toBeVisible()
  await page.getByRole('button', { name: 'Hand it in' }).click()
  await expect(page.getByText('It is in your practice book.')).toBeVisible()

  // Back to the moment before it was logged, and on otherwise: another try of the same machine.
  await page.getByRole('button', { name: 'Go on from there, otherwise' }).click()
  await page.waitForURL(/\/practice\/practice-/)
  await expect(page.getByRole('list', { name: 'Sets logged' })).toHaveCount(0)
  await page.reload()
  await expect(wheel(page)).toHaveAttribute('aria-valuetext', /dials at 12/)

  await page.goto('/practice')
  await expect(page.getByText('1 of 12 tried')).toBeVisible()
  // The try that was handed in is done; the one gone on with is there to go on with, or to drop.
  const underWay = page.getByRole('link', { name: 'Back to zero, or not' })
  await expect(underWay).toHaveCount(1)
  await page.getByRole('button', { name: /^Drop the try/ }).click()
  await expect(underWay).toHaveCount(0)
})

test('free practice on a machine of the register leaves its record alone', async ({ page }) => {
  await page.goto('/practice')
  await page.getByRole('combobox', { name: 'Machine' }).click()
  await page.getByRole('option', { name: /CP-11/ }).click()
  await page.getByRole('radio', { name: 'none' }).check({ force: true })
  await page.getByRole('button', { name: 'Set up the bench' }).click()
  await page.waitForURL(/\/practice\/practice-/)
  await expect(page.getByRole('heading', { name: /CP-11/ })).toBeVisible()
  const before = await page.request.get('/api/machines/CP-11')
  await page
    .getByRole('button', { name: /Isolate|isolat/i })
    .first()
    .click()
  await page.waitForTimeout(300)
  const after = await page.request.get('/api/machines/CP-11')
  expect(await after.json()).toEqual(await before.json())
})

test('a lead sets a lesson with a date; an apprentice finds it on top, and a link repeats its machine', async ({
  page,
}) => {
  const be = async (who: string) => {
    await page.goto('/practice')
    await page.getByRole('button', { name: /^Who is writing/ }).click()
    await page.getByRole('dialog').getByRole('button', { name: who }).click()
  }
  await be('Maintenance lead')
  await choose(page, 'Lesson', 'The bar hangs')
  await page.getByRole('textbox', { name: 'A word with it' }).fill('In band in two moves, without a hint.')
  await page.getByRole('button', { name: 'Set it' }).click()
  await expect(page.getByText('In band in two moves, without a hint.')).toBeVisible()
  await expect(page.getByRole('heading', { name: 'Results' })).toBeVisible()

  await be('Apprentice')
  await expect(page.getByText('Set by the lead', { exact: false })).toBeVisible()
  await expect(page.getByText('7 days left', { exact: false })).toBeVisible()
  await expect(page.getByRole('heading', { name: 'Results' })).toHaveCount(0)
  await page.getByRole('button', { name: 'Start the lesson' }).click()
  await page.waitForURL(/\/practice\/practice-/)
  await expect(page.getByRole('heading', { name: 'The bar hangs' })).toBeVisible()

  // The same link, twice: the same needles.
  const shows = async () => {
    await page.goto('/practice?lesson=bracket-that-slips&seed=4711')
    await page.waitForURL(/\/practice\/practice-/)
    await page.getByRole('button', { name: 'a quarter on' }).click()
    return [await needle(page, 'rim'), await needle(page, 'face')]
  }
  const first = await shows()
  expect(first.some((v) => v !== 0)).toBe(true)
  expect(await shows()).toEqual(first)

  await be('Maintenance lead')
  await page.getByRole('button', { name: 'Take it back' }).click()
  await expect(page.getByText('Set by the lead', { exact: false })).toHaveCount(0)
})
