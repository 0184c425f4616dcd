import { LOW_MOTOR } from '../support/entries'
import { expect, Job, test } from './job'

test('a cold target from how the gear unit warms up: judged from it, planned to it, printed, kept for next time', async ({
  page,
}) => {
  const job = new Job(page)
  const tag = await job.measured()
  await job.stage('Cold target').click()
  await expect(job.meaning).toContainText('nobody gave a cold target')
  const gear = page.getByRole('region', { name: 'gear unit' })
  await gear.getByLabel('Base to shaft centre').first().fill('18')
  await expect(gear.getByText('Give this one too').first()).toBeVisible()
  await gear
    .getByLabel(/^Running/)
    .first()
    .fill('150')
  await gear.getByRole('button', { name: 'Same at both ends' }).click()
  await expect(job.meaning).toContainText('Set the motor 8.7 mil high, cold.')
  await page.getByLabel('Where it comes from').fill('survey of the running mill')

  // What is typed outlives a reload, and means the same in millimetres.
  await page.reload()
  await job.stage('Cold target').click()
  await page.getByText('mm', { exact: true }).first().click()
  await expect(job.meaning).toContainText('0.221 mm high')
  await page.getByText('mil', { exact: true }).first().click()
  await job.next('Take this as the cold target')
  await expect(job.stage('Cold target')).toContainText('Set 8.7 mil high')

  // The same readings, counted from the target: found, and how far off it.
  await job.stage('As found').click()
  await expect(page.getByRole('columnheader', { name: 'off target' })).toBeVisible()
  await expect(job.meaning).toContainText('of the cold target')
  await expect(page.getByText(/Cold target .*survey of the running mill/).first()).toBeVisible()

  await job.stage('Plan').click()
  await expect(page.getByText('cold target', { exact: true }).first()).toBeVisible()
  await expect(page.getByText(/\d+ % in band/).first()).toBeVisible()
  await expect(page.getByText(/Times (are starting values|go by the last \d+ moves)/)).toBeVisible()
  await expect(page.getByText(/left toward 3/).first()).toBeVisible()

  // What goes under each foot, and the drawing that graph-paper people make by hand.
  await page.getByText('packs', { exact: true }).click()
  await expect(page.getByRole('region', { name: 'Inboard left' }).getByText('goes in').first()).toBeVisible()
  await expect(page.getByText('From the shelf')).toBeVisible()
  const [paper] = await Promise.all([
    page.context().waitForEvent('page'),
    page.getByRole('button', { name: 'Graph paper' }).click(),
  ])
  await expect(paper.getByText(/One division: .* in along the shafts/)).toBeVisible()
  await paper.close()

  await job.stage('Close').click()
  await page.getByRole('button', { name: 'Note vibration after' }).click()
  await page.getByLabel('motor, outboard, horizontal').fill('0.28')
  await page.getByRole('button', { name: 'Note it' }).click()
  await expect(page.getByText('Vibration after: 0.280 in/s at most')).toBeVisible()
  await expect(page.getByText('counted from the cold target')).toBeVisible()
  await page.getByLabel('Reason for closing it like this').fill('production wants it back')
  await page.getByLabel('Signature name').fill('N. Vale')
  await job.next('Sign and close')
  await expect(job.meaning).toContainText('Closed and signed')

  // The register has learned it: the next job starts with it.
  const source = async () => {
    const answer = await page.request.get(`/api/machines/${tag}`)
    const { machine } = (await answer.json()) as { machine: { target?: { source: string } } }
    return machine.target?.source
  }
  await expect.poll(source).toBe('survey of the running mill')
})

test('moves that do not help: rounds side by side, and where to look instead', async ({ page }) => {
  const job = new Job(page)
  const push = {
    kind: 'move-made' as const,
    payload: {
      units: 'inch' as const,
      changes: [],
      side: [{ machine: 'movable' as const, pair: 'inboard', moved: 0.5 }],
      remark: '',
    },
  }
  await job.prepared([LOW_MOTOR, LOW_MOTOR, push, LOW_MOTOR, push, LOW_MOTOR])
  await job.stage('Re-measure').click()
  await expect(page.getByText('You are chasing: the last 2 moves did not make it better.')).toBeVisible()
  await expect(page.getByText(/The last readings were not repeated/)).toBeVisible()
  await expect(page.getByText(/Nobody looked whether a pipe or duct pulls/)).toBeVisible()
  await expect(page.getByRole('columnheader', { name: 'after 2' })).toBeVisible()
})
