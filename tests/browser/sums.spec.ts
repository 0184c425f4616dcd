import { lockOut } from '../support/entries'
import { expect, Job, test } from './job'

test.use({ fetchesAhead: true })

test('a sum is found by what one wants to know, worked out as one types, and kept', async ({
  page,
  context,
}) => {
  await page.goto('/sums')
  await page.getByRole('searchbox').fill('feeler bubble')
  await page.keyboard.press('Enter')
  await expect(
    page.getByRole('heading', { name: 'How much shim to level this shaft or base?' }),
  ).toBeVisible()
  const said = page.getByRole('complementary', { name: 'What this means' }).getByRole('heading').first()
  await expect(said).toContainText('Give the bolt spacing')
  await page.getByLabel('Bolt spacing').fill('3 1/4')
  await page.getByLabel('Feeler').fill('5')
  await page.getByLabel('Supported length').fill('1 1/2')
  await expect(said).toContainText('Put 10.83 mil under both feet of the low end')
  await page.getByText('Show working').click()
  await page.getByRole('button', { name: /^Slope of the shaft 3.333/ }).click()
  await expect(page.getByText('5 / 1.5', { exact: true })).toBeVisible()
  await page.getByText('The formula, and where it comes from').click()
  await expect(page.getByText('shim = feeler × bolt spacing / supported length')).toBeVisible()

  // In millimetres it is the same shaft, and what was typed stays as it was meant.
  await page.getByText('mm', { exact: true }).first().click()
  await expect(said).toContainText('Put 0.2752 mm under both feet')
  await expect(page.getByLabel('Feeler')).toHaveValue('5 mil')
  await page.reload()
  await expect(said).toContainText('Put 0.2752 mm')
  await page.getByLabel('Feeler').fill('abc')
  await expect(page.getByText('That is not a number').first()).toBeVisible()

  // Out of reach of the server it goes on.
  await page.goto('/sums/tightening')
  await page.getByRole('button', { name: 'Fill in the example' }).click()
  await expect(said).toContainText(/Tighten to [\d.]+ /)
  await context.setOffline(true)
  await page.getByRole('link', { name: 'How much shim to level this shaft or base?' }).click()
  await page.getByLabel('Feeler').fill('10 mil')
  await expect(said).toContainText('Put 0.5503 mm')
  await context.setOffline(false)
})

test('every sum opens, fills in its example, and comes to an answer', async ({ page }) => {
  // Some forty views, one after the other.
  test.setTimeout(480_000)
  await page.goto('/sums')
  await expect(page.getByRole('link', { name: 'Does this hub run true?' })).toBeVisible()
  const asks = await page.getByRole('navigation', { name: 'Quick sums' }).getByRole('link').all()
  const paths = await Promise.all(asks.map((a) => a.getAttribute('href')))
  expect(paths.length).toBeGreaterThan(35)
  for (const path of paths) {
    const link = page.locator(`a[href="${path}"]`)
    const ask = (await link.textContent())?.trim() ?? ''
    await link.click()
    await expect(page.getByRole('heading', { level: 1, name: ask, exact: true })).toBeVisible()
    await page.getByRole('button', { name: 'Fill in the example' }).click()
    await expect(page.getByRole('button', { name: 'Copy as text' }), path as string).toBeEnabled({
      timeout: 15_000,
    })
  }
})

test('numbers stand on the drawing of a stage where there is one', async ({ page }) => {
  const said = page.getByRole('complementary', { name: 'What this means' }).getByRole('heading').first()
  await page.goto('/sums/soft-foot')
  for (const [foot, rise] of [
    ['f1', '1'],
    ['f2', '12'],
    ['f3', '1.5'],
    ['f4', '9'],
  ] as const)
    await page.getByLabel(`Rise of ${foot}`).fill(rise)
  await expect(said).toContainText('Fill f2 by 11 mil, and no other foot')
  await page.getByText('1 Bolts loose: gaps').click()
  await page.getByLabel('f4, far-end outer corner').fill('10')
  await page.getByLabel('f4, far-end inner corner').fill('10')
  await expect(said).toContainText('Fill f4')

  await page.goto('/sums/reverse-rim')
  await page.getByRole('button', { name: 'Fill in the example' }).click()
  await expect(said).toContainText('Move inboard: shim 12.72 mil')
  await page.getByRole('button', { name: 'Read at 4 o’clock too' }).click()
  await page.getByLabel('Driven hub at 4 o’clock').press('Enter')
  await expect(page.getByLabel('Motor hub at 4 o’clock')).toBeFocused()
  await page.getByRole('button', { name: 'Remove 4 o’clock' }).click()
  await expect(said).toContainText('Move inboard: shim 12.72 mil')
})

test('a link brings its numbers along', async ({ page }) => {
  const input = { units: 'inch', boltSpacing: 10, feeler: 4, supportedLength: 5 }
  await page.goto(`/sums/level#${encodeURIComponent(JSON.stringify(input))}`)
  await expect(page.getByText('Put 8 mil under both feet of the low end.')).toBeVisible()
  await expect(page.getByLabel('Bolt spacing')).toHaveValue('10')
})

test('a sum is kept into an open job as its stage would have written it', async ({ page }) => {
  const job = new Job(page)
  const tag = await job.begun([...lockOut])
  await page.goto('/sums/soft-foot')
  await page.getByRole('button', { name: 'Fill in the example' }).click()
  await page.getByRole('button', { name: 'Keep into a job' }).click()
  const dialog = page.getByRole('dialog', { name: 'Keep into a job' })
  await dialog.getByRole('combobox', { name: 'Open job' }).press('Enter')
  await page.getByRole('option', { name: new RegExp(tag) }).click()
  await expect(dialog.getByText('It is written as the stage would have: Feet.')).toBeVisible()
  await dialog.getByRole('button', { name: 'Keep it' }).click()
  await dialog.getByRole('link', { name: 'Go to the job' }).click()
  await expect(job.stage('Feet')).toContainText(/read|rises|rock/i)
})

test('feelers, rims and feet are handled on the drawings of their sums', async ({ page }) => {
  const said = page.getByRole('complementary', { name: 'What this means' }).getByRole('heading').first()
  const example = () => page.getByRole('button', { name: 'Fill in the example' }).click()

  await page.goto('/sums/gap-straightedge')
  await example()
  await expect(page.getByLabel('rim step at 3')).toHaveValue('0.08')
  await expect(page.getByText('0.080 mm toward 9')).toBeVisible()
  await page.getByRole('radiogroup', { name: 'Straightedge lies on' }).nth(1).getByText('on motor').click()
  await expect(page.getByText('0.080 mm toward 3')).toBeVisible()
  // One blade tried, and back: the figures are still there.
  await page.getByText('One blade, in or not').click()
  await page.getByText('Stack measured').click()
  await expect(page.getByLabel('gap at 12')).toHaveValue('3.02')

  await page.goto('/sums/axial-gap')
  await example()
  await page.getByLabel('Gap measured cold').fill('9')
  await expect(page.getByText('as measured cold')).toContainText('Out')
  await page.getByRole('group', { name: 'Motor: its shaft' }).getByText('opens the gap').click()
  await expect(said).toContainText('6.28 mm apart')

  await page.goto('/sums/growth')
  await expect(said).toContainText('Give one machine or both.')
  await example()
  const driven = page.getByRole('region', { name: 'driven machine' })
  const inboard = driven.getByRole('group', { name: 'Inboard' })
  await expect(inboard.getByLabel('From the coupling')).toHaveValue('300')
  await inboard.getByLabel('Running').fill('7o')
  await expect(inboard.getByRole('alert')).toContainText('not a number')
  for (const end of ['Inboard', 'Outboard']) {
    const foot = driven.getByRole('group', { name: end })
    if (end === 'Inboard') await driven.getByText('typed', { exact: true }).click()
    await foot.getByLabel('Rises').fill('0.1')
  }
  // The motor rises 0.0742 and 0.0594: set 0.018 high at the coupling.
  await expect(said).toContainText(/Set the motor cold: 0.01\d+ mm high/)

  await page.goto('/sums/hot-check')
  await example()
  await page.getByLabel('hot: offset').first().fill('0.22')
  await expect(said).toContainText('0.27 mm low')

  await page.goto('/sums/four-contact')
  for (const rim of ['other sheave, near rim', 'other sheave, far rim'])
    await page.getByRole('button', { name: rim }).press('Enter')
  await expect(said).toContainText('Say whether the edge touches there')
  for (const rim of ['sheave under the edge, near rim', 'sheave under the edge, far rim'])
    await page.getByRole('button', { name: rim }).click()
  await expect(said).toContainText('in line')

  await page.goto('/sums/sheave-line')
  await example()
  await page.getByRole('button', { name: 'motor, far rim' }).click()
  await expect(page.getByLabel('Gap at far rim, p2')).toBeVisible()
  await page.getByLabel('Gap at near rim, p1').fill('')
  await page.getByLabel('Gap at near rim, p1').pressSequentially('0.6')
  await expect(page.getByLabel('Gap at near rim, p1')).toHaveValue('0.6')

  await page.goto('/sums/move-plan')
  await example()
  await page.getByText('Least lift', { exact: true }).click()
  const foot = page.getByRole('slider', { name: /outboard.*vertical/i })
  const before = await foot.getAttribute('aria-valuenow')
  await foot.press('ArrowUp')
  await expect(foot).not.toHaveAttribute('aria-valuenow', before ?? '')
  await expect(page.getByText('Your own')).toBeVisible()
})

test('a drive, its belts and a sheave are handled on the drawings of their sums', async ({ page }) => {
  const said = page.getByRole('complementary', { name: 'What this means' }).getByRole('heading').first()
  const example = () => page.getByRole('button', { name: 'Fill in the example' }).click()
  const side = page.getByRole('img', { name: /from the side/i })

  await page.goto('/sums/belt-tension')
  await expect(side).toBeVisible()
  await example()
  await expect(side).toContainText('28.6 N')
  await page.getByLabel('Centre distance').fill('900')
  await expect(side).not.toContainText('28.6 N')

  // A belt more, read slack: its bar says so, and the set is no set any more.
  await page.goto('/sums/belt-set')
  await example()
  await expect(said).toContainText('Slacken')
  await page.getByRole('button', { name: 'Another belt' }).click()
  await page.getByLabel('Belt 6', { exact: true }).fill('12')
  await expect(said).toContainText('Change the whole set')
  await page.getByRole('button', { name: 'One belt fewer' }).click()
  await expect(said).toContainText('Slacken')
  await page.getByLabel('Belt 1', { exact: true }).fill('lots')
  await expect(page.getByText('That is not a number', { exact: false }).first()).toBeVisible()

  await page.goto('/sums/variable-sheave')
  await example()
  await expect(page.getByRole('region', { name: 'Every half turn' })).toContainText('−1')
  await expect(page.getByText('1 1/2 turns opened')).toBeVisible()

  await page.goto('/sums/belt-takeup')
  await example()
  await expect(page.getByText('The motor goes 2.19 mm away from the other shaft.')).toBeVisible()
})
