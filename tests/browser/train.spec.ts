import type { EntryBody } from '../../core/logbook/entry'
import { lineOfMoves } from '../../core/coupling/feet'
import { lineSum } from '../../core/frame/planes'
import { TestTrain, through, type Standing } from '../../core/jobs/testTrain'
import type { TrainPlanEntries } from '../../core/stages/trainPlan/entries'
import { PAN_MILL_LINE } from '../../scripts/demo/line'
import { about as at, lockOut } from '../support/entries'
import { expect, Job, test } from './job'

const HOURS = ['3', '6', '9'] as const
const SUNK: Standing = {
  m2: through(0, [-0.56, 0.31], 1060, [-0.2, -0.08]),
  m3: through(1060, [0.03, 0.02], 1750, [0.04, 0.01]),
}
const line = new TestTrain({ ...PAN_MILL_LINE, stock: [], packLimit: 5 })
/** Up to the readings: nothing looked at or felt, a rim and a face dial set up at both couplings. */
const READY: readonly EntryBody[] = [
  ...lockOut,
  ...['look', 'feet', 'rough-in'].map((stage): EntryBody => ({
    kind: 'stage-skipped',
    payload: { stage, why: 'done last week' },
  })),
  ...['c1', 'c2'].map((id) => at(id, { kind: 'set-up', payload: line.setUpPayload(id) })),
]

/** What both dials show at a coupling of a line that stands so, hundredths of a millimetre. */
const dials = (standing: Standing, coupling: string) => {
  const train = new TestTrain(line.machine, standing)
  train.open(1475)
  const read = train.readAt(coupling)
  if (read.kind !== 'readings-taken') throw new Error(read.kind)
  return read.payload.circles
}

const readTwice = async (job: Job, standing: Standing, coupling: string) => {
  const circles = dials(standing, coupling)
  for (let n = 0; n < 2; n++) {
    for (const hour of HOURS)
      for (const dial of ['Rim', 'Face'] as const) {
        const list = circles[dial.toLowerCase()] ?? []
        const clock = Number(hour) * 30
        const shown = list.find((r) => r.clock === clock)?.value ?? 0
        await job.reading(dial, hour).fill(shown.toFixed(2))
      }
    await job.page.getByLabel('Rim', { exact: true }).fill('0')
    await job.page.getByLabel('Face', { exact: true }).fill('0')
    await job.next('Log this set')
    await expect(job.reading('Rim', '3')).toHaveValue('')
  }
}

/** The line once this machine was moved as the plan says. */
const moved = (
  standing: Standing,
  { changes, side }: TrainPlanEntries['train-plan-chosen'],
  id: string,
): Standing => {
  const sum = (list: readonly number[]) => list.reduce((s, t) => s + t, 0)
  const feet = PAN_MILL_LINE.machines.find((m) => m.id === id)?.feet ?? []
  const moves = feet.map((f) => ({
    id: f.id,
    x: f.x,
    v:
      changes
        .filter((c) => c.machine === id && c.pair === f.id)
        .reduce((s, c) => s + sum(c.putIn) - sum(c.takenOut), 0) / 2,
    h: side.filter((c) => c.machine === id && c.pair === f.id).reduce((s, c) => s + c.moved, 0),
  }))
  return { ...standing, [id]: lineSum(standing[id]!, lineOfMoves(moves)) }
}

const jobOf = async (job: Job) => {
  const id = job.page.url().split('/').at(-1) ?? ''
  const answer = await job.page.request.get(`/api/jobs/${id}`)
  return ((await answer.json()) as { entries: { kind: string; payload: unknown; part?: string }[] }).entries
}

test('CP-40: read at both couplings, the least work leaves the motor alone, to a signed close', async ({
  page,
}) => {
  test.slow()
  const job = new Job(page)
  await job.begun(READY, 'CP-40')
  const parts = page.getByRole('group', { name: 'Which part of the line' })
  await expect(parts.getByRole('button', { name: 'Mill coupling, to do' })).toHaveAttribute(
    'aria-pressed',
    'true',
  )
  // Half typed at one coupling, gone to the other and back: nothing is lost, nothing is mixed up.
  await job.reading('Rim', '3').fill('1.23')
  await parts.getByRole('button', { name: 'Motor coupling, to do' }).click()
  await expect(job.reading('Rim', '3')).toHaveValue('')
  await parts.getByRole('button', { name: /Mill coupling/ }).click()
  await expect(job.reading('Rim', '3')).toHaveValue('1.23')

  await readTwice(job, SUNK, 'c1')
  await expect(job.meaning).toContainText('gear unit 0.56')
  await job.next('Go on')
  await expect(parts.getByRole('button', { name: 'Motor coupling, to do' })).toHaveAttribute(
    'aria-pressed',
    'true',
  )
  await readTwice(job, SUNK, 'c2')
  await job.next('Go on')

  // One plan over all of it.
  await expect(job.meaning).toContainText('Move the gear unit. The motor can stay.', { timeout: 60_000 })
  const ways = page.getByRole('button', { pressed: true })
  await expect(ways.filter({ hasText: 'Least work' })).toBeVisible()
  await expect(page.getByRole('button', { name: /^Closest/ })).toBeVisible()
  await page.getByRole('button', { name: /^Motor only/ }).click()
  await expect(job.meaning).toContainText('Move the motor')
  await expect(page.getByText(/That leaves it out of band: Mill coupling/)).toBeVisible()
  await page.getByRole('button', { name: /^Least work/ }).click()
  await expect(page.getByText(/Without it: motor coupling at \d+ % of the limit/)).toBeVisible()
  await page.getByText('Show working').click()
  await expect(page.getByText(/Gear unit, pan mill side/).first()).toBeVisible()
  await job.next('Take shims to the gear unit')

  // Only the gear unit has the turn; the motor isn’t asked for.
  await expect(parts.getByRole('button', { name: '1. Gear unit, to do' })).toHaveAttribute(
    'aria-pressed',
    'true',
  )
  await expect(
    page.getByText('nothing moves the mill coupling and the motor coupling any more'),
  ).toBeVisible()
  await page.getByRole('button', { name: 'Shims as planned' }).click()
  await page.getByRole('button', { name: 'Sides as planned' }).click()
  await job.next('Log this move')
  await expect(parts.getByRole('button', { name: 'Mill coupling, to do' })).toHaveAttribute(
    'aria-pressed',
    'true',
  )
  await expect(page.getByText('Saved')).toBeVisible()
  const plan = (await jobOf(job)).find((e) => e.kind === 'train-plan-chosen')
  const after = moved(SUNK, plan!.payload as TrainPlanEntries['train-plan-chosen'], 'm2')
  expect((await jobOf(job)).filter((e) => e.kind === 'move-made').map((e) => e.part)).toEqual(['m2'])

  // Both couplings stand beside the gear unit: both are read again.
  await readTwice(job, after, 'c1')
  await expect(job.meaning).toContainText('In band')
  await job.next('Go on')
  await readTwice(job, after, 'c2')
  await expect(job.meaning).toContainText('In band')
  await page.getByRole('navigation').getByRole('button', { name: /^Plan/ }).click()
  await expect(job.meaning).toContainText('Every coupling is in band as it stands')

  await page
    .getByRole('navigation')
    .getByRole('button', { name: /^Close/ })
    .click()
  await expect(page.getByText('Mill coupling, 99 rpm')).toBeVisible()
  await page.getByLabel('Signature').fill('Day-shift millwright')
  await job.next('Sign and close')
  await expect(page.getByText('Saved')).toBeVisible()
  const report = await page.request.get(`/api/jobs/${page.url().split('/').at(-1)}/report.pdf?paper=a4`)
  expect(report.status()).toBe(200)

  // The register has what lies under the gear unit now, and the page draws the line as it was left.
  await page.getByRole('link', { name: /Pan mill line/ }).click()
  await expect(page.getByRole('heading', { name: /Limits, Mill coupling/i })).toBeVisible()
  await expect(page.getByText('What lies under the feet now')).toBeVisible()
})

test('a machine held by the job stays, and says why; a plan in hand is made anew', async ({ page }) => {
  test.slow()
  const job = new Job(page)
  await job.begun(
    [
      ...READY,
      ...['c1', 'c1', 'c2', 'c2'].map((id) =>
        at(id, {
          kind: 'readings-taken',
          payload: { units: 'metric', circles: dials(SUNK, id), returned: { rim: 0, face: 0 } },
        }),
      ),
    ],
    'CP-40',
  )
  await expect(job.meaning).toContainText('Move the gear unit. The motor can stay.', { timeout: 60_000 })
  await page.getByRole('button', { name: 'Hold or free a machine and say why' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByText('The gear unit stays').first().click()
  await expect(dialog.getByRole('button', { name: 'The gear unit stays' })).toBeDisabled()
  await dialog.getByLabel('Why').fill('grouted yesterday')
  await dialog.getByRole('button', { name: 'The gear unit stays' }).click()
  await expect(page.getByText('held: grouted yesterday')).toBeVisible()
  await expect(job.meaning).toContainText('Move the motor', { timeout: 60_000 })
  await expect(page.getByText(/That leaves it out of band/)).toBeVisible()
  // And inches mean the same.
  await page.getByText('mil', { exact: true }).click()
  await expect(
    page.getByText(/^That leaves it out of band: Mill coupling, vertical 22\.\d mil low/),
  ).toBeVisible()
})

test('how the line grows is told once, and both couplings of the gear unit are set by it', async ({
  page,
}) => {
  const job = new Job(page)
  await job.begun(READY, 'CP-40')
  await page
    .getByRole('navigation')
    .getByRole('button', { name: /^Growth/ })
    .click()
  const gear = page.getByRole('region', { name: 'Gear unit' })
  await gear.getByText('typed', { exact: true }).click()
  await gear.getByLabel('Rises').first().fill('0.3')
  await gear.getByRole('button', { name: 'Same at both ends' }).click()
  await expect(gear.getByLabel('Rises').last()).toHaveValue('0.3')
  const ledger = page.getByRole('complementary')
  await expect(ledger).toContainText('0.300 mm low')
  await expect(ledger).toContainText('0.300 mm high')
  await page.reload()
  await page
    .getByRole('navigation')
    .getByRole('button', { name: /^Growth/ })
    .click()
  await expect(gear.getByLabel('Rises').first()).toHaveValue('0.3')
  await job.next('Log how it grows')
  await expect(
    page.getByRole('navigation').getByRole('button', { name: /Growth.*Grows as it warms/ }),
  ).toBeVisible()
})
