import { expect, Job, test } from './job'

/** Opened, safe, the feet sit: the rough-in has the turn. */
const atHubs = async (job: Job, like = 'CP-11') => {
  await job.open(like)
  await job.makeSafe()
  await job.lookOver()
  await job.feetSit()
}
/** Types from box to box: Enter goes on. */
const feel = async (job: Job, first: string, figures: readonly string[]) => {
  await job.page.getByLabel(first, { exact: true }).fill(figures[0] ?? '')
  for (const f of figures.slice(1)) {
    await job.page.keyboard.press('Enter')
    await job.page.keyboard.type(f)
  }
}

test('a motor roughed in: vertical first, shims from stock, then a push, then the instrument', async ({
  page,
}) => {
  const job = new Job(page)
  await atHubs(job)
  await expect(job.meaning).toContainText('Nothing has been felt at the hubs yet')
  // Step at 12, gaps at 12 and 6, step at 3, gaps at 3 and 9: the order they are felt in.
  await feel(job, 'rim step at 12', ['20 + 18', '124', '116'])
  await expect(job.meaning).toContainText('The motor sits 38.0 mil low')
  await expect(page.getByText('Put 38.0 mil under all feet.')).toBeVisible()
  await expect(page.getByText('15.0 mil is close enough, the site’s value.')).toBeVisible()
  await page.keyboard.press('Enter')
  await page.keyboard.type('20')
  await expect(page.getByText('waits').first()).toBeVisible()
  await job.next('Log what was felt')
  await expect(job.stage('Rough-in')).toContainText('Motor 38.0 mil low')
  await page.getByText('Show working').click()
  await page.getByText('Rim step, vertical', { exact: true }).click()
  await expect(page.getByText('−38.00 − 0.00')).toBeVisible()

  await job.next('Shims are in: feel vertical again')
  await expect(job.meaning).toContainText('Tightened?')
  await feel(job, 'rim step at 12', ['1', '124', '116', '20', '120', '121'])
  await expect(job.meaning).toContainText('The motor stands 20.0 mil toward 9')
  await expect(page.getByText('Push it 20.0 mil toward 3, both ends alike.')).toBeVisible()
  await job.next('Log what was felt')
  await job.next('Pushed: feel it again')
  await feel(job, 'rim step at 12', ['1', '124', '116', '2', '120', '121'])
  await job.next('Log what was felt')
  await expect(job.meaning).toContainText('Close enough. Bring out the instrument.')
  await job.saved()
  await page.reload()
  await job.stage('Rough-in').click()
  await expect(page.getByLabel('gap at 12', { exact: true })).toHaveValue('124')
  await job.next('Close enough: go on')
  await expect(job.meaning).toContainText('How far does the bar hang')
})

test('slips are asked about at their box, in either unit; what was typed stays', async ({ page }) => {
  const job = new Job(page)
  await atHubs(job)
  await page.getByLabel('rim step at 12').fill('-3')
  await expect(page.getByText('Which hub the straightedge lies on says the way')).toBeVisible()
  await page.getByLabel('rim step at 12').fill('38')
  await page.getByText('on motor').first().click()
  await expect(job.meaning).toContainText('38.0 mil high')
  await page.keyboard.press('u')
  await expect(job.meaning).toContainText('0.965 mm high')
  await page.getByLabel('gap at 12', { exact: true }).fill('3,1')
  await expect(page.getByText('Feel this too.')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Log what was felt' })).toBeDisabled()
  await page.reload()
  await expect(page.getByLabel('gap at 12', { exact: true })).toHaveValue('3,1')
  // One blade, and whether it goes in: no shim is cut to that.
  await page.getByText('One blade, in or not').click()
  await page.getByLabel('Blade', { exact: true }).fill('0.5')
  await page.getByRole('radiogroup', { name: 'rim step at 12' }).getByText('does not').click()
  await expect(job.meaning).toContainText('The blade alone doesn’t tell the height')
  await expect(page.getByText(/^Put /)).toHaveCount(0)
  await job.next('Go on as it is and say why')
  await page.getByRole('dialog').getByRole('textbox').fill('only one blade at hand')
  await job.next('Pass it over')
  await expect(job.stage('Rough-in, passed over')).toContainText('only one blade at hand')
})

test('a small coupling whose maker asks no more: four places, and signed', async ({ page }) => {
  const job = new Job(page)
  await atHubs(job, 'PR-02')
  await page.getByLabel('rim step at 12', { exact: true }).fill('3')
  await page.getByLabel('rim step at 3', { exact: true }).fill('2')
  await page.getByLabel('rim step at 6', { exact: true }).fill('3')
  await page.getByRole('radiogroup', { name: 'Straightedge lies on' }).nth(1).getByText('on motor').click()
  for (const [hour, gap] of [
    ['12', '118'],
    ['6', '119'],
    ['3', '118'],
    ['9', '119'],
  ] as const)
    await page.getByLabel(`gap at ${hour}`, { exact: true }).fill(gap)
  await expect(job.meaning).toContainText('Feel all four places')
  await page.getByLabel('rim step at 9', { exact: true }).fill('2')
  await page.getByRole('radiogroup', { name: 'Straightedge lies on' }).nth(3).getByText('on motor').click()
  await expect(job.meaning).toContainText('In band at all four places')
  await job.next('Log what was felt')
  await job.next('In band: go on')
  await job.prove(false)
  await expect(page.getByText('which is all its maker asks')).toBeVisible()
  await page.getByLabel('Signature name').fill('Day-shift millwright')
  await job.next('Sign and close')
  await expect(job.meaning).toContainText('Closed and signed by Day-shift millwright')
})

test('both shafts levelled, a hub turned: who slopes, which end, where to strike', async ({ page }) => {
  const job = new Job(page)
  await atHubs(job)
  await job.stage('Level and run-out').click()
  await page.getByLabel('Feeler’s edge to the level’s other end').fill('12')
  await page.getByLabel('Feeler, motor shaft').fill('8')
  await expect(job.meaning).toContainText('Read the gear unit shaft too')
  await page.getByLabel('Feeler, gear unit shaft').fill('3')
  await expect(job.meaning).toContainText('far end is low, by 0.67 mil/in')
  await job.next('Log the level')
  await expect(page.getByText(/^Put .* under both outboard feet/)).toBeVisible()
  await job.next('Shims are in: read the level again')
  await expect(job.meaning).toContainText('read the level again')

  await page.getByText('Run-out', { exact: true }).click()
  await page.getByLabel('Reading at mark 12').fill('0')
  for (const value of ['4', '8', '9', '8', '4', '1', '0']) {
    await page.keyboard.press('Enter')
    await page.keyboard.type(value)
  }
  await expect(job.meaning).toContainText('The motor hub rim runs out by 9.0 mil: over its limit')
  await page.keyboard.press('Enter')
  await expect(page.getByText(/The side to strike or bring in is at 4/)).toBeVisible()
  await expect(page.getByText(/Turn the shaft beside the hub/)).toBeVisible()
  await expect(job.stage('Level and run-out, out')).toContainText('Run-out 9.0 mil')
})
