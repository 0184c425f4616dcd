import type { Locator } from '@playwright/test'
import type { PaintedZone, Run } from '../../core/gear/contactFigures'
import { TRUE_GEARSET } from '../../core/jobs/testGearset'
import type { EntryBody } from '../../core/logbook/entry'
import { fromCore } from '../../core/units/unitSystem'
import { paintOfBoth, type SimulatedGearset } from '../../core/simulate/gearset'
import { lockOut } from '../support/entries'
import { expect, Job, test } from './job'

const MIL = 0.0254
/** PR-05 as it is behind its covers. */
const TRUE: SimulatedGearset = { ...TRUE_GEARSET, touches: { forward: 3, back: -1 } }
const standing = (g: SimulatedGearset, by: Partial<SimulatedGearset['stands']>): SimulatedGearset => ({
  ...g,
  stands: {
    blocks: g.stands.blocks + (by.blocks ?? 0) * MIL,
    gear: g.stands.gear + (by.gear ?? 0) * MIL,
    centres: g.stands.centres + (by.centres ?? 0) * MIL,
  },
})
const RUN_NAMES = { forward: 'Running forward', back: 'Running back' } as const
const whole = ([a, b]: PaintedZone): PaintedZone => [Math.round(a), Math.round(b)]

const ends = (job: Job, run: Run) => [
  job.page.getByLabel(`${RUN_NAMES[run]}: paint begins, percent`).and(job.page.locator('input')),
  job.page.getByLabel(`${RUN_NAMES[run]}: paint ends, percent`).and(job.page.locator('input')),
]
const paint = async (job: Job, g: SimulatedGearset) => {
  const zones = paintOfBoth(g)
  for (const run of ['forward', 'back'] as const)
    for (const [i, box] of ends(job, run).entries()) await (box as Locator).fill(String(whole(zones[run])[i]))
}
const PREPARED: readonly EntryBody[] = [
  ...lockOut,
  {
    kind: 'contact-painted',
    payload: {
      moment: 'as-found',
      forward: whole(paintOfBoth(TRUE).forward),
      back: whole(paintOfBoth(TRUE).back),
      photographs: [],
      words: '',
    },
  },
  { kind: 'gear-refitted', payload: { pins: 'left-out', bearings: 'new', words: '' } },
  { kind: 'mesh-cleared', payload: { load: 'helper-drags', helper: '', words: '' } },
]

test('PR-05: pattern, refit, both runs off together, a test, what it told, backlash, to a signed close', async ({
  page,
}) => {
  test.slow()
  const job = new Job(page)
  const tag = await job.open('PR-05', 'Wear found')
  // Noted while it still runs.
  await page.getByRole('button', { name: 'Note vibration before' }).click()
  await page.getByLabel('motor, outboard, horizontal').fill('0.28')
  await page.getByRole('button', { name: 'Note it' }).click()
  await expect(page.getByText('Vibration before: 0.280 in/s at most')).toBeVisible()
  await job.makeSafe()

  // The opened gearset, its layers and pins, before anything comes out.
  await page.getByText('Layers and pins', { exact: true }).click()
  await expect(page.getByLabel('Layers under block 1')).toHaveValue('10')
  await page.getByLabel('How they are marked').fill('A and B')
  await job.next('Log the layers')
  await page.getByText('Places', { exact: true }).click()
  await job.lookOver()

  // What it ran in to is kept: it is what is wanted afterwards.
  await expect(job.meaning).toContainText('Keep the pattern as it was')
  await paint(job, TRUE)
  await job.next('Log the pattern as found')
  await expect(page.getByText('Lift the table cover with the press-hall crane')).toBeVisible()
  await job.next('Log: back together')

  // Nobody turns before fingers are out and somebody said who turns.
  await job.next('The mesh is clear')
  const before = page.getByRole('dialog', { name: 'Before turning' })
  await expect(before.getByText('Fingers out of the mesh.')).toBeVisible()
  await before.getByLabel('Who turns').fill('Night-shift millwright')
  await before.getByRole('button', { name: 'The mesh is clear' }).click()

  let g = standing(TRUE, { blocks: -12, centres: 7 })
  await paint(job, g)
  await expect(job.meaning).toContainText('Both runs touch toward the table side.')
  await job.next('Log what the paint shows')
  await expect(page.getByText('6.0 mil is a test: what the paint does then, rules.')).toBeVisible()
  await expect(page.getByText('Shift both worm blocks as a whole, to the other side').first()).toBeVisible()
  await job.next('Shifted 6 mil: paint again')
  await expect(job.meaning).toContainText('The worm blocks went 6.0 mil toward the wall side. Paint again')

  // What the test told says how far.
  g = standing(g, { blocks: 6 })
  await paint(job, g)
  await job.next('Log what the paint shows')
  await expect(page.getByText(/Round 1 shifted 6\.0 mil and the paint went 1[12](\.5)?.%/)).toBeVisible()
  await page.getByText('Show working').click()
  await expect(page.getByText('How the paint goes with the worm blocks')).toBeVisible()
  await page.getByText('Show working').click()
  const asked = await page.getByRole('button', { name: /^Shifted [\d.]+ mil: paint again$/ }).textContent()
  const by = Number(/[\d.]+/.exec(asked ?? '')?.[0])
  expect(Math.abs(by - 6)).toBeLessThan(1)
  await job.next(`Shifted ${by} mil: paint again`)
  await expect(job.meaning).toContainText('Paint again')
  g = standing(g, { blocks: by })
  await paint(job, g)
  await job.next('Log what the paint shows')
  await expect(job.meaning).toContainText('The contact is where it was wanted.')
  await expect(page.getByText('Under load it moves toward the middle of the tooth')).toHaveCount(2)
  await job.next('Go on')

  // Backlash round the gear, and the layers that cure it; the paint is read again after them.
  const read = (at: SimulatedGearset) =>
    fromCore(at.backlash + 2 * at.stands.centres * Math.tan(Math.PI / 9), 'displacement', 'inch')
  const play = async (at: SimulatedGearset) => {
    for (let i = 1; i <= 4; i++)
      await page.getByLabel(`Reading ${i}`).fill((read(at) - (i % 2) * 0.4).toFixed(1))
  }
  await play(g)
  await expect(job.meaning).toContainText('Backlash is wide: 18.1 mil at the tooth.')
  await job.next('Log the backlash')
  await expect(page.getByText('Take 3 layers out under each block.', { exact: true })).toBeVisible()
  await job.next('3 layers out: paint again')
  await expect(job.meaning).toContainText('Paint again')
  g = standing(g, { centres: -6 })
  await paint(job, g)
  await job.next('Log what the paint shows')
  await job.next('Go on')
  await play(g)
  await job.next('Log the backlash')
  await expect(job.meaning).toContainText(/Backlash is 1[34]\.\d mil at the tooth: inside its window\./)
  await job.next('Go on')

  // Drawn down, both once more; so far from its old holes that they are reamed.
  await job.next('Log: drawn down')
  await job.next('Paint again')
  await paint(job, g)
  await job.next('Log what the paint shows')
  await job.stage('Tighten').click()
  await job.next('Read the backlash')
  await play(g)
  await job.next('Log the backlash')
  await job.stage('Tighten').click()
  await expect(job.meaning).toContainText('The pins are still out.')
  await expect(page.getByText(/from its old pin holes: ream them/).first()).toBeVisible()
  await job.next('Log: reamed and pinned')
  await job.stage('Turn, guard').click()
  await expect(
    page.getByText('A whole turn of the wheel by hand at the motor coupling').first(),
  ).toBeVisible()
  for (const step of [
    'It turns freely',
    'All out and locked',
    'The guard is on',
    'It runs well',
    'It sounds right',
  ])
    await job.next(step)
  await job.next('Go on')
  await expect(page.getByText('Layers of 2 mil under the blocks: 10 + 10 become 7 + 7')).toBeVisible()
  await page.getByLabel('Signature name').fill('Lead')
  await job.next('Sign and close')
  await expect(job.meaning).toContainText('Closed and signed by Lead.')
  await expect(page.getByText('Saved', { exact: true })).toBeVisible()
  await page.goto(`/machines/${tag}`)
  await expect(page.getByText('Registered: 7 + 7 layers of 2 mil')).toBeVisible()
  await expect(page.getByText(/With the worm blocks the paint went/)).toBeVisible()
  const did = page.getByRole('region', { name: 'Shifts and layers' })
  await expect(did.getByText(/mil toward the wall side$/)).toBeVisible()
  await expect(did.getByText('3 layers out')).toHaveCount(2)
})

test('runs off apart: the gear along its shaft; and paint that contradicts the rule, rules', async ({
  page,
}) => {
  test.slow()
  const job = new Job(page)
  await job.begun(PREPARED, 'PR-05')
  await job.stage('Contact').click()
  // The rule's other half.
  let g = standing(TRUE, { gear: 10 })
  await paint(job, g)
  await job.next('Log what the paint shows')
  await expect(job.meaning).toContainText('The runs touch apart')
  await expect(
    page.getByText('Shift the wheel along its shaft, toward the table side.').first(),
  ).toBeVisible()
  await expect(page.getByText('Which way the paint goes is not said by any rule here')).toBeVisible()
  await job.next('Shifted 6 mil: paint again')
  await expect(job.meaning).toContainText('Paint again')
  g = standing(g, { gear: -6 })
  await paint(job, g)
  await job.next('Log what the paint shows')
  await expect(job.meaning).toContainText('The contact is')

  // Both off together, and the blocks set the runs apart instead: the rule is wrong here, and it is said.
  await job.begun(PREPARED, 'PR-05')
  await job.stage('Contact').click()
  const odd = { ...TRUE, travel: { blocks: { together: 2, apart: 40 }, gear: { together: 45, apart: 2 } } }
  let h = standing(odd, { gear: -11 })
  await paint(job, h)
  await job.next('Log what the paint shows')
  await expect(page.getByText('Shift both worm blocks as a whole, to the other side').first()).toBeVisible()
  await job.next('Shifted 6 mil: paint again')
  await expect(job.meaning).toContainText('Paint again')
  h = standing(h, { blocks: 6 })
  await paint(job, h)
  await job.next('Log what the paint shows')
  await expect(page.getByText('Against the rule: this set the other figure moving.')).toBeVisible()
  await expect(page.getByText('the paint has shown that this one serves')).toBeVisible()
  await expect(page.getByText('Shift the wheel along its shaft, toward the wall side.').first()).toBeVisible()
})

test('paint is dragged by hand and by keys, its draft outlives a reload, units switch the shift', async ({
  page,
}) => {
  const job = new Job(page)
  await job.begun(PREPARED, 'PR-05')
  await job.stage('Contact').click()
  const flank = page.getByRole('group', { name: /^Running forward: the flank/ })
  const frame = (await flank.boundingBox())!
  await flank.click({ position: { x: frame.width * 0.4, y: frame.height * 0.45 } })
  const [begins, finishes] = ends(job, 'forward') as [Locator, Locator]
  await expect(begins).not.toHaveValue('')
  const handle = page.getByRole('slider', { name: 'Running forward: paint begins, percent' })
  const at = (await handle.boundingBox())!
  await page.mouse.move(at.x + at.width / 2, at.y + at.height / 2)
  await page.mouse.down()
  await page.mouse.move(frame.x + (frame.width * (12 + 296 * 0.15)) / 320, at.y + 10, { steps: 4 })
  await page.mouse.up()
  await expect(begins).toHaveValue('15')
  await page.getByRole('slider', { name: 'Running forward: paint ends, percent' }).focus()
  const was = Number(await finishes.inputValue())
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('PageUp')
  await expect(finishes).toHaveValue(String(was + 6))

  // Half a zone, or off the tooth, is said at its box.
  await job.next('Log what the paint shows')
  await expect(page.getByText('Give both ends of the paint.')).toBeVisible()
  await page.getByLabel('Running back: paint begins, percent').and(page.locator('input')).fill('110')
  await expect(page.getByText('Give it between 0 and 100 % of the face width.')).toBeVisible()
  await page.reload()
  await job.stage('Contact').click()
  await expect(begins).toHaveValue('15')
  for (const [i, box] of ends(job, 'back').entries()) await (box as Locator).fill(['10', '44'][i]!)
  await finishes.fill('51')
  await job.next('Log what the paint shows')

  // A shift that was not what was asked for, in the other units, and nothing.
  await page.getByRole('button', { name: 'Shifted otherwise' }).click()
  const dialog = page.getByRole('dialog', { name: 'What was shifted' })
  await dialog.getByLabel('By', { exact: true }).fill('0')
  await dialog.getByRole('button', { name: 'Log the shift' }).click()
  await expect(dialog.getByText('Give how far it went, above zero.')).toBeVisible()
  await dialog.getByLabel('By', { exact: true }).fill('0.15mm')
  await dialog.getByRole('button', { name: 'Log the shift' }).click()
  await expect(job.meaning).toContainText('The worm blocks went 5.9 mil toward the wall side.')
  await page.getByText('mm', { exact: true }).click()
  await expect(job.meaning).toContainText('The worm blocks went 0.150 mm toward the wall side.')
})

test('the second screen tells the helper to turn, then what to shift', async ({ page, context }) => {
  const job = new Job(page)
  await job.begun(PREPARED, 'PR-05')
  const phone = await context.newPage()
  await phone.setViewportSize({ width: 390, height: 844 })
  await phone.goto(page.url().replace('/jobs/', '/mate/'))
  await expect(phone.getByText('slowly, both ways, when called')).toBeVisible()
  await expect(phone.getByText('Fingers out of the mesh.')).toBeVisible()
  await job.stage('Contact').click()
  await paint(job, standing(TRUE, { blocks: -12 }))
  await job.next('Log what the paint shows')
  await expect(phone.getByText('the worm blocks, toward the wall side')).toBeVisible()
  await expect(phone.getByText('6.0', { exact: true })).toBeVisible()
  await phone.getByRole('button', { name: 'Shifted' }).click()
  await expect(job.meaning).toContainText('The worm blocks went 6.0 mil toward the wall side.')
})

test('the quick sum is dragged on the same flanks', async ({ page }) => {
  await page.goto('/sums/gear-contact')
  await page.getByRole('button', { name: 'Fill in the example' }).click()
  const begins = page.getByLabel('Running forward: paint begins, percent').and(page.locator('input'))
  await expect(begins).toHaveValue('55')
  await expect(page.getByText('Shift the bearing blocks, to the other side.')).toBeVisible()
  await begins.fill('10')
  await page.getByLabel('Running forward: paint ends, percent').and(page.locator('input')).fill('45')
  await expect(page.getByText('Shift the gear along its shaft.').first()).toBeVisible()
})

test('what a hostile stranger sends to a gearset is refused with a sentence', async ({ page }) => {
  const job = new Job(page)
  await job.begun(PREPARED, 'PR-05')
  for (const [kind, payload] of [
    ['contact-painted', { moment: 'fit', forward: [1e308, 2], back: [0, 1], photographs: [], words: '' }],
    ['contact-painted', { moment: '__proto__', forward: null, back: null, photographs: [], words: '' }],
    ['contact-painted', { moment: 'fit', forward: [10, 40], back: null, photographs: [], words: '' }],
    ['gear-shifted', { units: 'inch', lever: 'constructor', by: 1, words: '' }],
    ['gear-shifted', { units: 'inch', lever: 'blocks', by: 6, words: '' }],
    ['backlash-read', { units: 'inch', by: 'dial', readings: Array(99).fill(1), words: '' }],
    ['layers-changed', { layers: [-3], words: '' }],
    ['base-tightened', { words: '' }],
    ['gear-tightened', {}],
  ] as const) {
    const { status, body } = await job.send(kind, payload)
    expect(status, body).toBeGreaterThanOrEqual(400)
    expect(status, body).toBeLessThan(500)
    expect(body).toMatch(/[a-z] [a-z]/)
  }
})
