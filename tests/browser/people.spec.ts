import AxeBuilder from '@axe-core/playwright'
import type { Page } from '@playwright/test'
import { DEMO_CUSTOMER, DEMO_NAMES, DEMO_PIN } from '../../scripts/demo/signIn.mjs'
import { lockOut } from '../support/entries'
import { demoId } from '../../scripts/demo/works'
import { expect, Job, passTo, test } from './job'

const serious = async (page: Page) => {
  const { violations } = await new AxeBuilder({ page }).options({ resultTypes: ['violations'] }).analyze()
  return violations
    .filter((v) => v.impact === 'serious' || v.impact === 'critical')
    .map((v) => `${v.id}: ${v.nodes.map((n) => n.target.join(' ')).join(', ')}`)
}

test.describe('a device that nobody has signed in on', () => {
  test.use({ writing: null })

  test('says how to sign in to the demo works, slips are said, and a name is tapped the next time', async ({
    page,
  }) => {
    await page.goto('/machines')
    const gate = page.getByRole('dialog', { name: 'Sign in' })
    await expect(gate).toContainText(`Everybody’s PIN is ${DEMO_PIN}.`)
    expect(await serious(page)).toEqual([])
    await gate.getByRole('textbox', { name: 'Name' }).fill(DEMO_NAMES.day)
    await gate.getByLabel('PIN or password').fill('9999')
    await page.keyboard.press('Enter')
    await expect(gate.getByRole('alert')).toContainText('No one of that name has this PIN.')
    await expect(gate.getByLabel('PIN or password')).toBeFocused()
    await page.keyboard.type(DEMO_PIN)
    await page.keyboard.press('Enter')
    await expect(gate).toBeHidden()
    // Where one wanted to go.
    await expect(page.getByRole('link', { name: 'CP-11' })).toBeVisible()
    await page.reload()
    await expect(page.getByRole('link', { name: 'CP-11' })).toBeVisible()
    await page.getByRole('button', { name: /^Who is writing/ }).click()
    await page.getByRole('button', { name: 'Sign out', exact: true }).click()
    await expect(gate).toBeVisible()
    await gate.getByRole('button', { name: DEMO_NAMES.planner }).click()
    await gate.getByLabel(`PIN of ${DEMO_NAMES.planner}`).fill(DEMO_PIN)
    await page.keyboard.press('Enter')
    await expect(gate).toBeHidden()
    await expect(page.getByRole('button', { name: /^Who is writing/ })).toContainText(DEMO_NAMES.planner)
  })

  test('a customer sees the jobs on their machines, and nothing of the works', async ({ page }) => {
    await page.goto('/machines')
    const gate = page.getByRole('dialog', { name: 'Sign in' })
    await gate.getByRole('textbox', { name: 'Name' }).fill(DEMO_CUSTOMER.name)
    await gate.getByLabel('PIN or password').fill(DEMO_CUSTOMER.secret)
    await page.keyboard.press('Enter')
    await expect(page.getByRole('heading', { name: DEMO_CUSTOMER.name })).toBeVisible()
    await expect(page.getByRole('row', { name: /KY-09/ }).first()).toBeVisible()
    await expect(page.getByText('CP-11')).toHaveCount(0)
    await expect(page.getByRole('navigation')).toHaveCount(0)
    expect(await serious(page)).toEqual([])
    const report = await page.getByRole('link', { name: 'Report' }).first().getAttribute('href')
    const answer = await page.request.get(report ?? '')
    expect(answer.headers()['content-type']).toBe('application/pdf')
    await page.getByRole('button', { name: 'Sign out' }).click()
    await expect(gate).toBeVisible()
  })
})

test('locked, what was typed stays; another hand goes on where it stood', async ({ page }) => {
  const job = new Job(page)
  await job.prepared()
  await page.getByLabel('Rim at 3 o’clock').fill('-2.5')
  // As it happens once nobody has touched it for a while.
  await page.clock.install()
  await page.clock.fastForward('16:00')
  const gate = page.getByRole('dialog', { name: 'Sign in' })
  await expect(gate).toContainText('Locked. Day-shift millwright was writing.')
  const read = await page.request.get(page.url().replace('/jobs/', '/api/jobs/'))
  expect(read.status()).toBe(401)
  await page.keyboard.press('Escape')
  await expect(gate).toBeVisible()
  await gate.getByRole('button', { name: DEMO_NAMES.night }).first().click()
  await gate.getByLabel(`PIN of ${DEMO_NAMES.night}`).fill(DEMO_PIN)
  await page.keyboard.press('Enter')
  await expect(gate).toBeHidden()
  await expect(page.getByLabel('Rim at 3 o’clock')).toHaveValue('-2.5')
})

test('out of reach nobody can be asked for a PIN: whoever was writing goes on', async ({ page, context }) => {
  const job = new Job(page)
  await job.prepared()
  await page.goto('/')
  await page.getByRole('button', { name: /^Who is writing/ }).click()
  await page.getByRole('button', { name: 'Lock', exact: true }).click()
  const gate = page.getByRole('dialog', { name: 'Sign in' })
  await expect(gate).toBeVisible()
  await context.setOffline(true)
  await gate.getByRole('button', { name: `Go on as ${DEMO_NAMES.day}` }).click()
  await expect(gate).toBeHidden()
  await context.setOffline(false)
  // Back in reach, the PIN is asked for again.
  await page.getByRole('link', { name: 'Machines' }).first().click()
  await expect(gate).toBeVisible()
})

test.describe('an apprentice', () => {
  test('passes a check over with a millwright’s PIN, and both names stand there', async ({ page }) => {
    const job = new Job(page)
    await job.begun([])
    const here = page.url()
    await page.goto('/')
    await passTo(page, DEMO_NAMES.apprentice)
    await page.goto(here)
    await page.getByRole('button', { name: 'No lockout is needed, and why' }).click()
    const why = page.getByRole('dialog', { name: 'No lockout is needed' })
    await why.getByRole('textbox').fill('The drive lies on the bench.')
    await why.getByRole('button', { name: 'Log it' }).click()
    const dialog = page.getByRole('dialog', { name: 'A second person' })
    await expect(dialog).toContainText('takes the PIN of a second person')
    await dialog.getByRole('combobox', { name: 'Their name' }).click()
    await page.getByRole('option', { name: DEMO_NAMES.night }).click()
    await dialog.getByLabel('Their PIN').fill('9999')
    await page.keyboard.press('Enter')
    await expect(dialog.getByRole('alert')).toContainText('No one of that name has this PIN.')
    await dialog.getByLabel('Their PIN').fill(DEMO_PIN)
    await page.keyboard.press('Enter')
    await expect(dialog).toBeHidden()
    // The view goes on as after any other entry.
    const stages = page.getByRole('navigation', { name: 'Stages of this job' })
    await expect(stages.locator('[aria-current=step]')).toHaveText(/Look/)
    await stages.getByRole('button', { name: /^Make safe/ }).click()
    await expect(page.getByText('The drive lies on the bench.').first()).toBeVisible()
    await expect(page.getByText('Saved')).toBeVisible()
    const answer = await page.request.get(page.url().replace('/jobs/', '/api/jobs/'))
    const { entries } = (await answer.json()) as { entries: { kind: string; second?: string }[] }
    expect(entries.find((e) => e.kind === 'lockout-waived')?.second).toBe(demoId('night'))
  })
})

test.describe('a lead', () => {
  test.use({ writing: 'lead' })

  test('adds somebody, who chooses their own PIN; gives them another one; lets them in no more', async ({
    page,
    browser,
    program,
  }) => {
    await page.goto('/')
    await page.getByRole('button', { name: /^Who is writing/ }).click()
    await page.getByRole('link', { name: 'People and customers' }).click()
    await page.getByRole('button', { name: 'Add somebody' }).click()
    const dialog = page.getByRole('dialog')
    await dialog.getByRole('button', { name: 'Save' }).click()
    await expect(dialog.getByRole('alert')).toContainText('Say what the person is called.')
    await dialog.getByRole('textbox', { name: 'Name' }).fill('Winter hand')
    await dialog.getByRole('button', { name: 'Save' }).click()
    const given = (await dialog.locator('.given').textContent()) ?? ''
    expect(given).toMatch(/^\d{6}$/)
    await dialog.getByRole('button', { name: 'They have been told' }).click()
    const row = page.getByRole('row', { name: /Winter hand/ })
    await expect(row).toContainText('to choose their own')
    expect(await serious(page)).toEqual([])

    const theirs = await (await browser.newContext({ baseURL: program.url })).newPage()
    await theirs.goto('/')
    const gate = theirs.getByRole('dialog', { name: 'Sign in' })
    await gate.getByRole('textbox', { name: 'Name' }).fill('winter hand')
    await gate.getByLabel('PIN or password').fill(given)
    await theirs.keyboard.press('Enter')
    const own = gate.getByLabel('A PIN of your own')
    await expect(own).toBeFocused()
    await own.fill('4444')
    await theirs.keyboard.press('Enter')
    await expect(gate.getByRole('alert')).toContainText('That is guessed first.')
    await own.fill('8264')
    await theirs.keyboard.press('Enter')
    await expect(gate).toBeHidden()

    await row.getByRole('button', { name: 'A new PIN for Winter hand' }).click()
    await dialog.getByRole('button', { name: 'Give a new PIN' }).click()
    await expect(dialog.locator('.given')).toHaveText(/^\d{6}$/)
    await dialog.getByRole('button', { name: 'They have been told' }).click()
    // Their device is theirs no more.
    await theirs.goto('/machines')
    await expect(gate).toBeVisible()
    await theirs.context().close()

    await row.getByRole('button', { name: 'Change Winter hand' }).click()
    await dialog.getByText('Let in no more').click()
    await dialog.getByRole('button', { name: 'Save' }).click()
    await expect(row).toContainText('let in no more')

    await page.getByRole('tab', { name: 'Who did what' }).click()
    await page.getByRole('searchbox', { name: 'Words, a name or a tag' }).fill('winter')
    await expect(page.getByRole('row', { name: /added somebody/ })).toContainText('Maintenance lead')
    await expect(page.getByRole('row', { name: /gave a new PIN/ })).toBeVisible()
    expect(await serious(page)).toEqual([])
  })

  test('adds a customer with a site, and its machines stand there', async ({ page }) => {
    await page.goto('/people')
    await page.getByRole('tab', { name: 'Customers' }).click()
    await page.getByRole('button', { name: 'Add a customer' }).click()
    const dialog = page.getByRole('dialog')
    await dialog.getByRole('textbox', { name: 'Name', exact: true }).fill('Press hall tenant')
    await dialog.getByRole('textbox', { name: 'Name of the site 1' }).fill('Press hall')
    await dialog.getByRole('combobox', { name: 'Machines there 1' }).press('Enter')
    await page.getByRole('option', { name: /^PR-02/ }).click()
    await page.keyboard.press('Escape')
    await dialog.getByRole('button', { name: 'Save' }).click()
    const row = page.getByRole('row', { name: /Press hall tenant/ })
    await expect(row).toContainText('PR-02')
  })
})

test('a millwright changes limits with a lead’s PIN, and has no business with people', async ({ page }) => {
  await page.goto('/people')
  await expect(page.getByRole('note')).toContainText('This is for leads.')
  await page.goto('/limits')
  const row = page.getByRole('row', { name: /Gear couplings by their maker/ })
  await row.getByRole('button', { name: /Take .*out/i }).click()
  const dialog = page.getByRole('dialog', { name: 'A second person' })
  await dialog.getByRole('combobox', { name: 'Their name' }).click()
  await page.getByRole('option', { name: DEMO_NAMES.lead }).click()
  await dialog.getByLabel('Their PIN').fill(DEMO_PIN)
  await page.keyboard.press('Enter')
  await expect(dialog).toBeHidden()
  await expect(row.getByRole('button', { name: /Put .*in/i })).toBeVisible()
})

test('what one hand wrote out of reach is sent as theirs, though another has taken the device', async ({
  page,
}) => {
  const job = new Job(page)
  await job.begun(lockOut)
  const here = page.url()
  await page.route('**/entries', (route) => route.abort())
  await page.getByRole('button', { name: 'Add a remark' }).click()
  await page.getByRole('dialog').getByRole('textbox').fill('Written out of reach.')
  await page.getByRole('button', { name: 'Log the remark' }).click()
  await expect(page.getByText('1 entry waiting')).toBeVisible()
  await page.goto('/')
  await passTo(page, DEMO_NAMES.night)
  await page.unroute('**/entries')
  await page.goto(here)
  await expect(page.getByText('Saved')).toBeVisible()
  const answer = await page.request.get(here.replace('/jobs/', '/api/jobs/'))
  const { entries } = (await answer.json()) as { entries: { kind: string; author: string }[] }
  expect(entries.find((e) => e.kind === 'remark')?.author).toBe(demoId('day'))
})
