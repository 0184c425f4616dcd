import { LOW_MOTOR } from '../support/entries'
import { expect, Job, test } from './job'

/** Toward 9: 7 mil inboard, 11 outboard. */
const PUSH = {
  kind: 'plan-chosen' as const,
  payload: {
    units: 'inch' as const,
    option: 'own' as const,
    changes: [],
    side: [
      { machine: 'movable' as const, pair: 'inboard', moved: -7 },
      { machine: 'movable' as const, pair: 'outboard', moved: -11 },
    ],
    sets: null,
  },
}

test('a push: counts fall to zero in bites, a slip is named, tightening is watched, the dials say what was made', async ({
  page,
}) => {
  const job = new Job(page)
  await job.prepared([LOW_MOTOR, LOW_MOTOR, PUSH])
  await job.stage('Move').click()
  await expect(page.getByRole('radio', { name: /Horizontal/ })).toBeChecked()
  await expect(job.meaning).toContainText('Push it toward 9, outboard first. 11.0 mil to go.')
  const ledger = page.getByRole('complementary', { name: 'What this means' })
  await expect(ledger).toContainText('Push at outboard right: 5.5 mil toward 9.')

  const dials = async (inboard: string, outboard: string) => {
    await page.getByLabel('Inboard: the dial now').fill(inboard)
    await page.getByLabel('Outboard: the dial now').fill(outboard)
    await page.getByLabel('Outboard: the dial now').press('Enter')
    await expect(page.getByLabel('Outboard: the dial now')).toHaveValue('')
  }
  await page.getByLabel('Outboard: the dial now').fill('fife')
  await expect(page.getByRole('button', { name: 'Log the dials' })).toBeDisabled()
  await dials('7', '14')
  await expect(ledger.getByRole('alert')).toContainText('Outboard went the other way.')
  await dials('6', '5')
  await expect(ledger.getByRole('alert')).toHaveCount(0)
  await expect(ledger).toContainText('Push at inboard right: 3.0 mil toward 9.')
  await dials('0.2', '0')
  await expect(job.meaning).toContainText('Both ends are there: tighten down')

  await page.getByRole('button', { name: 'Say which bolts' }).click()
  const bolts = page.getByRole('dialog')
  await bolts.getByLabel('The maker’s torque').fill('150')
  await bolts.getByRole('button', { name: 'Use these bolts' }).click()
  await expect(page.getByText('150 lbf ft')).toBeVisible()
  await page.getByLabel('Inboard: the dial now').fill('2')
  await expect(page.getByRole('radio', { name: 'after tightening' })).toBeChecked()
  await job.next('Log the dials after tightening')
  await expect(job.meaning).toContainText('Tightening shifted it by 1.8 mil.')
  await expect(page.getByText('over 1.0 mil (starting value)')).toBeVisible()

  await expect(page.getByLabel('Inboard pushed, toward 3 is plus')).toHaveValue('-5')
  await expect(page.getByLabel('Outboard pushed, toward 3 is plus')).toHaveValue('-11')
  await job.next('Log this move')
  await job.saved()
  await job.stage('Move').click()
  await expect(job.stage('Move')).toContainText('One move made')
})
