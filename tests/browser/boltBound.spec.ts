import { SET_UP, TestJob } from '../../core/jobs/testJob'
import type { EntryBody } from '../../core/logbook/entry'
import type { CoupledMachine } from '../../core/register/coupledMachine'
import { MACHINES } from '../../scripts/demo/works'
import { feetSit, hubsClose, lockOut } from '../support/entries'
import { expect, Job, test } from './job'

/** The dust-collector screw: its outboard bolts have four mil toward 3, its inboard feet stand on nothing. */
const screw = MACHINES.find((m) => m.tag === 'KY-09') as unknown as CoupledMachine
const setUpPayload = {
  ...SET_UP,
  feet: screw.feet.movable.map((f) => ({ machine: 'movable' as const, pair: f.id, x: f.x })),
}
const readAt = (v: number, h: number, angle = 0): EntryBody => ({
  kind: 'readings-taken',
  payload: new TestJob({ ...screw, stock: [], packLimit: 4 })
    .ready(setUpPayload)
    .readingsOf({ offset: { v, h }, slope: { v: 0, h: angle } }),
})
const begun = (v: number, h: number): readonly EntryBody[] => [
  ...lockOut,
  feetSit,
  hubsClose,
  { kind: 'set-up', payload: setUpPayload },
  readAt(v, h),
  readAt(v, h),
]

test('bolt-bound: the plan goes as far as the holes let it, and is walked to the close', async ({ page }) => {
  const job = new Job(page)
  await job.begun(begun(0, -9), 'KY-09')
  await job.stage('Plan').click()
  await expect(job.meaning).toContainText('This move brings it in band')
  // All the room there is, and the inboard end makes up for the rest.
  const room = page.getByText('0.0 left toward 3, 29.0 toward 9')
  await expect(room).toBeVisible()
  await expect(page.getByText('23.5 left toward 3, 31.5 toward 9')).toBeVisible()
  await job.next('Take these side moves to the machine')
  await expect(job.stage('Move')).toHaveAttribute('aria-current', /.+/)

  await job.begun(
    [
      ...begun(0, -9),
      {
        kind: 'move-made',
        payload: {
          units: 'inch',
          changes: [],
          side: [
            { machine: 'movable', pair: 'inboard', moved: 6.5 },
            { machine: 'movable', pair: 'outboard', moved: 4 },
          ],
          remark: '',
        },
      },
      readAt(0, -0.8, -0.26),
      readAt(0, -0.8, -0.26),
    ],
    'KY-09',
  )
  await job.stage('Plan').click()
  await expect(job.meaning).toContainText('in band as it stands')
  // What was pushed is gone from the holes.
  await expect(page.getByText('0.0 left toward 3, 29.0 toward 9')).toBeVisible()
  await job.stage('Close').click()
  await expect(job.meaning).toContainText('Left in band')
  await page.getByLabel('Signature name').fill('N. Vale')
  await job.next('Sign and close')
  await expect(job.meaning).toContainText('Closed and signed')
})

test('bolt-bound: too far off for its holes, it says which feet, how far, and what would help', async ({
  page,
}) => {
  const job = new Job(page)
  await job.begun(begun(0, -45), 'KY-09')
  await job.stage('Plan').click()
  await expect(
    page.getByText(
      'Outboard feet should go 45.0 mil toward 3, can go 4.0 mil: no room left in the bolt holes.',
    ),
  ).toBeVisible()
  await expect(page.getByText(/Or push the screw conveyor .* toward 9/)).toBeVisible()
})

test('nothing left to take out is said with its price, and laminated shims are peeled', async ({ page }) => {
  const job = new Job(page)
  await job.begun(begun(9, 0), 'KY-09')
  await job.stage('Plan').click()
  await expect(
    page.getByText('Inboard feet should go 9.0 mil down, can go 0.0 mil: nothing left to take out.'),
  ).toBeVisible()
  await expect(page.getByText(/Or raise the screw conveyor by 9.0 mil under all its feet/)).toBeVisible()
  // The stores have size A laminated for its bolts.
  await expect(page.getByText('2 × 8 (peeled off laminated stock)')).toBeVisible()
})
