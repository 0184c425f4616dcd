import { expect, Job, test } from './job'
import { LOW_MOTOR, SIDE_PLAN } from '../support/entries'

test('two pages in one job: the phone is told where to turn and what to push, and answers', async ({
  page,
  context,
}) => {
  const job = new Job(page)
  await job.prepared()
  await page.getByRole('button', { name: 'Second screen' }).click()
  await expect(page.getByRole('img', { name: 'Second screen' })).toBeVisible()
  const address = await page.getByRole('dialog').getByRole('link').getAttribute('href')
  expect(address).toMatch(/^\/mate\//)
  await page.keyboard.press('Escape')

  const phone = await context.newPage()
  await phone.setViewportSize({ width: 390, height: 844 })
  await phone.goto(address ?? '')
  await phone.getByRole('button', { name: 'At the 3 o’clock side' }).click()
  await expect(phone.getByText('linked, live')).toBeVisible()
  // The board wants the rim at 3 first; the reading goes into its box there.
  await expect(phone.getByRole('heading', { name: 'Turn' })).toBeVisible()
  await expect(phone.getByText('to 3 o’clock')).toBeVisible()
  await phone.getByRole('button', { name: 'There' }).click()
  await expect(page.getByText('Second screen: it stands at 3 o’clock.')).toBeVisible()
  await phone.getByLabel('rim shows').fill('-2.5')
  await phone.getByRole('button', { name: 'Send' }).click()
  await expect(job.reading('Rim', '3')).toHaveValue('-2.5')
  await expect(phone.getByText('is at the board')).toBeVisible()
  // The face at the same place is next: nobody turns for it.
  await phone.getByLabel('face shows').fill('1')
  await phone.getByRole('button', { name: 'Send' }).click()
  await expect(job.reading('Face', '3')).toHaveValue('1')
  await expect(phone.getByText('to 6 o’clock')).toBeVisible()

  // What is filled at the board meanwhile is not overwritten.
  await job.reading('Rim', '6').fill('-23')
  await expect(phone.getByText('then read: face')).toBeVisible()
})

test('a belt is pressed at the phone: held while it counts, and read into its box at the board', async ({
  page,
  context,
}) => {
  const job = new Job(page)
  await job.open('GL-03')
  await job.makeSafe()
  await job.stage('Tension').click()
  await page.getByRole('button', { name: 'Second screen' }).click()
  const address = await page.getByRole('dialog').getByRole('link').getAttribute('href')
  await page.keyboard.press('Escape')
  const phone = await context.newPage()
  await phone.setViewportSize({ width: 390, height: 844 })
  await phone.goto(address ?? '')
  // Nobody is asked for a side of a belt drive.
  await expect(phone.getByRole('heading', { name: 'Press' })).toBeVisible()
  await expect(phone.getByText('belt 1 of 5')).toBeVisible()
  await expect(phone.getByText('to 12.50 mm, at mid-span')).toBeVisible()
  await expect(phone.getByText('5 belts left')).toBeVisible()
  await phone.getByRole('button', { name: 'Holding' }).click()
  await expect(phone.getByRole('timer')).toHaveText('3')
  const gauge = phone.getByLabel('The gauge shows')
  await gauge.fill('-4')
  await expect(phone.getByText('below zero')).toBeVisible()
  await gauge.fill('31.2')
  await phone.keyboard.press('Enter')
  await expect(page.getByLabel('Belt 1', { exact: true })).toHaveValue('31.2')
  await expect(page.getByText('Second screen: belt 1 of 5 reads 31.2.')).toBeVisible()
  await expect(phone.getByText('belt 2 of 5', { exact: true })).toBeVisible()
  // Filled at the board meanwhile: the phone goes on with the next one.
  await page.getByLabel('Belt 2', { exact: true }).fill('30.6')
  await expect(phone.getByText('belt 3 of 5', { exact: true })).toBeVisible()
})

test('a push is told from where the mate stands; a tap without the network is kept and sent', async ({
  page,
  context,
}) => {
  const job = new Job(page)
  await job.prepared([LOW_MOTOR, LOW_MOTOR, SIDE_PLAN])
  const id = page.url().split('/').at(-1) ?? ''
  await job.stage('Move').click()
  const phone = await context.newPage()
  await phone.setViewportSize({ width: 390, height: 844 })
  await phone.goto(`/mate/${id}`)
  await phone.getByRole('button', { name: 'At the 3 o’clock side' }).click()
  await expect(phone.getByRole('heading', { name: 'Push' })).toBeVisible()
  await expect(phone.getByText('away from you')).toBeVisible()
  await expect(phone.getByText('10.0', { exact: true })).toBeVisible()
  await phone.getByRole('button', { name: 'There' }).click()
  // Both pages know it: half of the larger count is gone, the other end is next.
  await expect(page.getByRole('img', { name: 'Outboard, mil to go toward 9: 5.0' })).toBeVisible()
  await expect(phone.getByText('Inboard', { exact: true })).toBeVisible()

  await phone.context().setOffline(true)
  await expect(phone.getByText('no network: taps are kept')).toBeVisible({ timeout: 30_000 })
  await phone.getByRole('button', { name: 'Type what it shows' }).click()
  await phone.getByLabel('Inboard shows').fill('2')
  await phone.getByRole('button', { name: 'Send' }).click()
  await expect(phone.getByText('Outboard', { exact: true })).toBeVisible()
  await phone.context().setOffline(false)
  await expect(page.getByRole('img', { name: 'Inboard, mil to go toward 9: 2.0' })).toBeVisible({
    timeout: 30_000,
  })
  await phone.getByRole('button', { name: 'I went round' }).click()
  await phone.getByRole('button', { name: 'At the 9 o’clock side' }).click()
  await expect(phone.getByRole('heading', { name: 'Slacken' })).toBeVisible()
  await expect(phone.getByText('it comes toward you')).toBeVisible()
})
