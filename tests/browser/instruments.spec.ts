import AxeBuilder from '@axe-core/playwright'
import type { Page } from '@playwright/test'
import type { EntryBody } from '../../core/logbook/entry'
import { Devices } from '../support/devices'
import { feetSit, hubsClose, lockOut, LOW_MOTOR, SIDE_PLAN } from '../support/entries'
import { headHello, LineTalker } from '../support/lineTalker'
import { expect, Job, test as base } from './job'

const test = base.extend<{ devices: Devices }>({
  devices: async ({ program }, use) => {
    const devices = await Devices.start(program)
    await use(devices)
    devices.stop()
  },
})

const HEADS: EntryBody = {
  kind: 'set-up',
  payload: {
    units: 'metric',
    how: { method: 'heads', given: { stationaryPlane: -110, movablePlane: 120 } },
    told: { sag: 'hang', circle: 'diameter' },
    feet: [
      { machine: 'movable', pair: 'inboard', x: 360 },
      { machine: 'movable', pair: 'outboard', x: 1040 },
    ],
    graduation: { stationary: 0.001, movable: 0.001 },
    returned: { stationary: 0, movable: 0 },
    why: '',
  },
}

/** Kinds of the entries of the job in view, as the server has them. */
const kindsLogged = async (page: Page): Promise<readonly string[]> => {
  const answer = await page.request.get(page.url().replace('/jobs/', '/api/jobs/'))
  const { entries } = (await answer.json()) as { entries: readonly { readonly kind: string }[] }
  return entries.map((e) => e.kind)
}

/** What axe finds serious on a view. */
const serious = async (page: Page) => {
  const { violations } = await new AxeBuilder({ page }).options({ resultTypes: ['violations'] }).analyze()
  return violations
    .filter((v) => v.impact === 'serious' || v.impact === 'critical')
    .map((v) => `${v.id}: ${v.nodes.map((n) => n.target.join(' ')).join(', ')}`)
}

test('a job by heads, swept live to a signed close, with the second screen beside it', async ({
  page,
  context,
  devices,
}) => {
  test.setTimeout(480_000)
  const job = new Job(page)
  const tag = await job.begun([...lockOut, feetSit, hubsClose, HEADS], 'CP-14')
  await devices.stand(tag, 'side-only')
  await devices.pair(page, 'Driven head', 'H-0117')
  await devices.pair(page, 'Motor head', 'H-0118')
  await expect(page.getByRole('button', { name: 'Instruments: 2 speak' })).toBeVisible()

  /** Sweeps so far, arming it on the way, and waits until it has taken itself. */
  const sweep = async (arc: number) => {
    const take = page.getByRole('button', { name: /^Take (at )?\d+°/ })
    await devices.hands({ act: 'turn', by: arc })
    await expect(take).toBeVisible()
    await take.click()
  }
  const sets = page.getByText(/^driven head: \d+ readings over \d+°$/)
  const twice = async (before: number) => {
    await page.getByRole('button', { name: 'Sweep', exact: true }).click()
    await expect(page.getByText('Turn the shafts slowly, one way.')).toBeVisible()
    // Armed while the shafts still stand: hands are on them, so it takes itself where they stop.
    await page.getByRole('button', { name: 'Take at 180°' }).click()
    await expect(page.getByRole('button', { name: 'Armed for 180°: turn on' })).toBeVisible()
    await devices.hands({ act: 'turn', by: 184 })
    await expect(sets).toHaveCount(before + 1)
    await devices.hands({ act: 'turn', by: 100 })
    await expect(page.getByText('swept so far')).toBeVisible()
    expect(await serious(page)).toEqual([])
    await sweep(100)
    await expect(sets).toHaveCount(before + 2)
    await page.getByRole('button', { name: 'Go on', exact: true }).click()
  }
  await twice(0)
  await job.stage('Plan').click()
  await page.getByRole('button', { name: 'Take these side moves to the machine' }).click()

  // The push: heads stand at 3, zeroed before the first bite, bolts loose.
  await job.stage('Move').click()
  const turned = (await devices.state()) as unknown as { turned: number }
  await devices.hands({ act: 'turn', by: 450 - turned.turned })
  await devices.hands({ act: 'bolts', tight: false })
  await page.getByText('Horizontal').first().click()
  await expect(page.getByText('Heads watched, at 3 or 9')).toBeVisible()
  await page.getByRole('button', { name: 'Zero them here' }).click()
  expect(await serious(page)).toEqual([])

  const phone = await context.newPage()
  await phone.setViewportSize({ width: 390, height: 844 })
  await phone.goto(page.url().replace('/jobs/', '/mate/'))
  await phone.getByRole('button', { name: 'At the 9 o’clock side' }).click()
  await expect(phone.getByText('linked, live')).toBeVisible()
  const count = phone.locator('.count')
  await expect(count).toBeVisible()

  // Bite after bite, as the board asks, until nothing is left.
  const outboard = page.locator('section.end', { hasText: /utboard/ }).locator('.count')
  const inboard = page.locator('section.end', { hasText: /nboard/ }).locator('.count')
  const way = async (label: RegExp) => {
    const text = (await page.locator('section.end', { hasText: label }).locator('h3').textContent()) ?? ''
    return text.includes('toward 9') ? -1 : 1
  }
  for (const [pair, end, label] of [
    [1, outboard, /utboard/],
    [0, inboard, /nboard/],
    [1, outboard, /utboard/],
    [0, inboard, /nboard/],
  ] as const) {
    const left = Number(((await end.textContent()) ?? '0').trim())
    if (Math.abs(left) < 0.013) continue
    const seen = (await count.textContent())?.trim()
    await devices.hands({ act: 'push', machine: 'movable', pair, by: (await way(label)) * left })
    await expect
      .poll(async () => Math.abs(Number(((await end.textContent()) ?? '9').trim())))
      .toBeLessThan(0.03)
    if (pair === 1) await expect(count).not.toHaveText(seen ?? '')
    await page.getByRole('button', { name: 'Take these counts' }).click()
  }
  await devices.hands({ act: 'bolts', tight: true })
  await expect(page.getByText(/Tighten/).first()).toBeVisible()
  await page.getByRole('button', { name: 'Take these counts' }).click()
  await page.getByRole('button', { name: 'Log this move' }).click()
  await phone.close()

  await twice(0)
  await expect(job.stage('Re-measure')).toContainText(/in band/i)
  await job.prove()
  await job.stage('Close').click()
  await page.getByLabel('Signature name').fill('Day-shift millwright')
  await page.getByRole('button', { name: 'Sign and close' }).click()
  await expect(job.meaning).toContainText('Closed and signed by Day-shift millwright')
  // Nothing speaks into a closed job.
  await expect.poll(async () => (await devices.device('head-a')).state).toBe('refused')
})

test('a device that floods, lies and falls silent: it is said, greyed, and typing goes on', async ({
  page,
  devices,
  program,
}) => {
  const job = new Job(page)
  const tag = await job.begun([...lockOut, feetSit, hubsClose, HEADS], 'CP-14')
  await devices.stand(tag, 'roughed')
  await devices.pair(page, 'Driven head', 'H-0117')
  await devices.pair(page, 'Motor head', 'H-0118')
  const driven = page.locator('[data-live="stationary"]')
  const motor = page.locator('[data-live="movable"]')
  await expect(driven).toContainText('steady')

  await devices.misbehave('head-a', 'silent', true)
  await expect(page.getByRole('alert').filter({ hasText: 'head H-0117 is silent' })).toBeVisible()
  await expect(driven).toHaveClass(/grey/)
  await expect(motor).toContainText('steady')
  // The other is read; typing goes on beside it.
  await page.getByLabel('Driven head at 3 o’clock').fill('0.11')
  await devices.misbehave('head-a', 'silent', false)
  await expect(driven).toContainText('steady')
  await expect(page.getByLabel('Driven head at 3 o’clock')).toHaveValue('0.11')

  await devices.misbehave('head-a', 'lies', true)
  await expect(page.getByRole('alert').filter({ hasText: 'lines that can’t be read' })).toBeVisible()
  await devices.misbehave('head-a', 'lies', false)
  await devices.misbehave('head-b', 'beam-lost', true)
  await expect(page.getByRole('alert').filter({ hasText: 'is its beam lost?' })).toBeVisible()
  await devices.misbehave('head-b', 'beam-lost', false)

  await devices.misbehave('head-a', 'flood', true)
  await expect(page.getByRole('alert').filter({ hasText: 'line lost' })).toBeVisible()
  await expect(motor).toContainText('steady')
  await devices.misbehave('head-a', 'flood', false)
  await expect(driven).toContainText('steady', { timeout: 40_000 })

  // A stranger on the line changes nothing here.
  const stranger = await LineTalker.call(program.line)
  stranger.say(headHello({ code: 'AAAAAA' }))
  await stranger.hear((h) => h.refused === 'unknown-code')
  await page.getByRole('button', { name: /^Instruments/ }).click()
  await page.locator('[data-place="circle:stationary"]').getByRole('button', { name: 'Beep' }).click()
  expect(await serious(page)).toEqual([])
  await expect.poll(async () => (await devices.device('head-a')).beeps).toBeGreaterThan(0)
  await page.locator('[data-place="circle:stationary"]').getByRole('button', { name: 'Release' }).click()
  await expect(page.getByRole('button', { name: 'Pair: Driven head' })).toBeVisible()
})

test('heads are told apart by a nudge, and lines that are mixed up change places', async ({
  page,
  devices,
}) => {
  const job = new Job(page)
  const tag = await job.begun([...lockOut, feetSit, hubsClose], 'CP-14')
  await devices.stand(tag, 'roughed')
  await job.stage('Set up').click()
  await job.method('Heads on both shafts')
  // Each at the other's cable.
  await devices.pair(page, 'Driven head', 'H-0118')
  await devices.pair(page, 'Motor head', 'H-0117')
  await devices.misbehave('head-a', 'swapped', true)
  await devices.misbehave('head-b', 'swapped', true)
  await page.getByRole('button', { name: 'Watch a nudge' }).click()
  await expect(page.getByText('Nudge the motor head now')).toBeVisible()
  await devices.post('/nudge', { circle: 'movable' })
  await page.getByRole('button', { name: 'Swap their lines' }).click()
  await expect(page.getByText('Their lines are swapped. Nudge once more to see.')).toBeVisible()
  await page.getByRole('button', { name: 'Watch a nudge' }).click()
  await devices.post('/nudge', { circle: 'movable' })
  await expect(page.getByLabel('Nudge the motor head: its figure changes by')).not.toHaveValue('')
  await expect(page.getByText('Swap their lines')).toHaveCount(0)
})

/** Heads that count by five thousandths: back at the start a shaft stands a little beside its mark. */
const COARSE: EntryBody = {
  ...HEADS,
  payload: { ...HEADS.payload, graduation: { stationary: 0.005, movable: 0.005 } },
} as EntryBody

test('dials are read by themselves at the marks once they stand still, and never twice at one', async ({
  page,
  devices,
}) => {
  const job = new Job(page)
  const tag = await job.begun([...lockOut, feetSit, hubsClose, COARSE], 'CP-14')
  await devices.stand(tag, 'roughed')
  await devices.pair(page, 'Driven head', 'H-0117')
  await devices.pair(page, 'Motor head', 'H-0118')
  const box = (head: string, hour: string) => page.getByLabel(`${head} head at ${hour} o’clock`)
  const byItself = page.getByRole('button', { name: 'Take by itself' })
  await byItself.click()
  // They are zeroed first; hands that turn before that is shown are told to wait.
  await expect(byItself).toHaveAttribute('aria-pressed', 'true', { timeout: 10_000 })
  for (const hour of ['3', '6', '9']) {
    await expect(box('Motor', hour)).toHaveValue('')
    await devices.hands({ act: 'turn', by: 90 })
    await expect(box('Driven', hour)).not.toHaveValue('')
    await expect(box('Motor', hour)).not.toHaveValue('')
  }
  await devices.hands({ act: 'turn', by: 90 })
  await page.getByRole('button', { name: 'Log this set' }).click()
  await expect(page.getByText(/^driven head 0/)).toBeVisible()
  await expect(page.getByRole('alert')).toHaveCount(0)
})

/** Dials on either hub, as CP-14 is usually measured. */
const DIALS: EntryBody = {
  kind: 'set-up',
  payload: {
    ...HEADS.payload,
    how: {
      method: 'reverse-rim',
      given: {
        onStationary: { carriedBy: 'movable', plane: -110, sag: 0, turning: 'both', readingSign: 1 },
        onMovable: { carriedBy: 'stationary', plane: 120, sag: 0, turning: 'both', readingSign: 1 },
      },
    },
    graduation: { onStationary: 0.01, onMovable: 0.01 },
    returned: { onStationary: 0, onMovable: 0 },
  },
} as EntryBody

test('dials that tell no angle are zeroed where they stand, and read again only once they were turned', async ({
  page,
  devices,
}) => {
  const job = new Job(page)
  const tag = await job.begun([...lockOut, feetSit, hubsClose, DIALS], 'CP-14')
  await devices.post('/stand', { machine: tag, seed: 11, lie: 'roughed', heads: null })
  await devices.pair(page, 'Driven hub', 'D-0307')
  await devices.pair(page, 'Motor hub', 'D-0308')
  await devices.hands({ act: 'turn', by: 40 })
  const box = (hub: string, hour: string) => page.getByLabel(`${hub} hub at ${hour} o’clock`)
  const byItself = page.getByRole('button', { name: 'Take by itself' })
  await byItself.click()
  // They are zeroed first; hands that turn before that is shown are told to wait.
  await expect(byItself).toHaveAttribute('aria-pressed', 'true', { timeout: 10_000 })
  await expect.poll(async () => Math.abs((await devices.device('dial-3')).shows ?? 9)).toBeLessThan(0.03)
  // It stands there for a while: nothing is read twice.
  await page.waitForTimeout(3000)
  await expect(box('Driven', '3')).toHaveValue('')
  await devices.hands({ act: 'turn', by: 90 })
  await expect(box('Driven', '3')).not.toHaveValue('')
  await expect(box('Motor', '3')).not.toHaveValue('')
  await page.waitForTimeout(2000)
  await expect(box('Driven', '6')).toHaveValue('')
  // Whoever is sure takes it now, whether the needle moved or not.
  await page.getByRole('button', { name: 'Take now' }).click()
  await expect(box('Driven', '6')).not.toHaveValue('')
  await expect(box('Motor', '6')).not.toHaveValue('')
  await expect(box('Driven', '9')).toHaveValue('')
})

test('a dial on the foot is zeroed, the bolt loosened, and its rise taken: the next foot is named', async ({
  page,
  devices,
}) => {
  const job = new Job(page)
  const tag = await job.begun(lockOut, 'CP-14')
  await devices.post('/stand', { machine: tag, seed: 11, lie: 'roughed', heads: null })
  await job.stage('Feet').click()
  await page.getByText('2 One loosened: rises').click()
  await devices.pair(page, 'Dial on a foot', 'D-0307')
  const row = page.locator('[data-live="foot"]')
  for (const [foot, next] of [
    [1, 'f3'],
    [3, 'f2'],
    [2, 'f4'],
    [4, ''],
  ] as const) {
    await expect(row).toContainText(`f${foot}`)
    await devices.hands({ act: 'foot-dial', foot })
    await row.getByRole('button', { name: 'Zero', exact: true }).click()
    await expect.poll(async () => Math.abs((await devices.device('dial-3')).shows ?? 9)).toBeLessThan(0.03)
    await devices.hands({ act: 'bolt', foot, tight: false })
    await expect(row).toContainText('steady')
    await row.getByRole('button', { name: `Take: f${foot}` }).click()
    await expect(page.getByLabel(`Rise of f${foot}`)).not.toHaveValue('')
    await devices.hands({ act: 'bolt', foot, tight: true })
    if (next === '') await expect(row).toHaveCount(0)
    else await expect(row).toContainText(next)
  }
  // It was told each time, and the record knows it.
  await expect.poll(async () => (await devices.device('dial-3')).taken).toBe(4)
  await job.next('Log the rises')
  await expect.poll(() => kindsLogged(page)).toContain('rises-read')
  expect((await kindsLogged(page)).filter((k) => k === 'instrument-spoke')).toHaveLength(1)
})

test('a mate who says there takes what the dials beside the ends show, and which they were is on record', async ({
  page,
  context,
  devices,
}) => {
  const job = new Job(page)
  const tag = await job.prepared([LOW_MOTOR, LOW_MOTOR, SIDE_PLAN])
  await devices.post('/stand', { machine: tag, seed: 11, lie: 'side-only', heads: null })
  await job.stage('Move').click()
  await devices.pair(page, 'Dial at the outboard end', 'D-0307')
  await devices.hands({ act: 'bolts', tight: false })
  await page.getByText('Horizontal').first().click()
  await page.getByRole('button', { name: 'Zero them here' }).click()
  const phone = await context.newPage()
  await phone.setViewportSize({ width: 390, height: 844 })
  await phone.goto(page.url().replace('/jobs/', '/mate/'))
  await phone.getByRole('button', { name: 'At the 3 o’clock side' }).click()
  await expect(phone.locator('.count')).toHaveText('10.0')
  await devices.hands({ act: 'push', machine: 'movable', pair: 1, by: -0.127 })
  await expect(phone.locator('.count')).toHaveText(/^[45]\.\d$/)
  await phone.getByRole('button', { name: 'There' }).click()
  await expect
    .poll(() => kindsLogged(page))
    .toEqual(expect.arrayContaining(['instrument-spoke', 'counts-read']))
  expect((await kindsLogged(page)).slice(-2)).toEqual(['instrument-spoke', 'counts-read'])
})
