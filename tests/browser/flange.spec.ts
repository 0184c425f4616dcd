import type { EntryBody } from '../../core/logbook/entry'
import { boltsAround } from '../../core/register/flangeMachine'
import { EXACT_DIAL } from '../../core/simulate/dialGauge'
import { simulateFace, simulateRim } from '../../core/simulate/dialReadings'
import { afterBoltWork, axisOnFlange, type SimulatedFlangeMotor } from '../../core/simulate/flangeMotor'
import { lineBetween, REFERENCE_AXIS } from '../../core/simulate/shaftAxis'
import { clockFace } from '../../shared/wording/clockFace'
import { lockOut } from '../support/entries'
import { expect, Job, test } from './job'

const MIL = 0.0254
const HOURS = [0, 90, 180, 270]

/** CP-21 as it is found: its frame leans toward 3:45, its spigot holds it a little off. */
const found = (): SimulatedFlangeMotor => {
  const bolts = boltsAround(8, { v: 14 * 25.4, h: 14 * 25.4 })
  return {
    bolts,
    tops: bolts.map(() => 0),
    plane: 11 * 25.4,
    centre: { v: 0.9 * MIL, h: 0.5 * MIL },
    lean: { v: -0.0002, h: 0.0005 },
  }
}
/** What its two dials show, to the half mil. */
const dials = (motor: SimulatedFlangeMotor) => {
  const line = lineBetween(axisOnFlange(motor), REFERENCE_AXIS)
  const dial = { ...EXACT_DIAL, graduation: 0.5 * MIL }
  const mil = (x: number) => Number((x / MIL).toFixed(2))
  const rim = simulateRim(line, { carriedBy: 'movable', plane: -1.5 * 25.4, sag: 0 }, HOURS, dial)
  const face = simulateFace(line, { plunger: 'away', diameter: 6 * 25.4, sag: 0 }, HOURS, dial)
  return { rim: rim.map((r) => mil(r.value)), face: face.map((r) => mil(r.value)) }
}
const readSet = (job: Job, motor: SimulatedFlangeMotor) => {
  const { rim, face } = dials(motor)
  return job.read(rim, face)
}

/** A loose motor on four bolts, measured twice: it stands off and does not lean (mm at 12, 3, 6, 9). */
const STANDS_OFF: readonly EntryBody[] = [
  ...lockOut,
  {
    kind: 'set-up',
    payload: {
      units: 'metric',
      how: {
        method: 'rim-face',
        given: {
          rim: { carriedBy: 'movable', plane: -38, sag: 0, turning: 'both', readingSign: 1 },
          faces: [{ plunger: 'away', diameter: 140, sag: 0, readingSign: 1 }],
        },
      },
      told: { sag: 'hang', circle: 'diameter' },
      feet: [],
      flange: { told: 'circle', across: { v: 300, h: 300 }, plane: 240 },
      graduation: { rim: 0.01, face: 0.01 },
      returned: { rim: 0, face: 0 },
      why: '',
    },
  },
  ...[1, 2].map((): EntryBody => ({
    kind: 'readings-taken',
    payload: {
      units: 'metric',
      circles: {
        rim: [0, 0.16, 0.32, 0.16].map((value, i) => ({ clock: 90 * i, value })),
        face: [0, 0, 0, 0].map((value, i) => ({ clock: 90 * i, value })),
      },
      returned: { rim: 0, face: 0 },
    },
  })),
]

test('a motor on eight bolts: from the lockout to a signed close, in band after one set of shims', async ({
  page,
}) => {
  test.slow()
  const job = new Job(page)
  const tag = await job.open('CP-21')
  await job.makeSafe()

  // Looked over, the shims under its bolts, the spigot felt.
  await expect(page.getByRole('button', { name: 'Spigot not looked at' })).toBeVisible()
  await page.getByText('Shims', { exact: true }).click()
  await page.getByRole('button', { name: 'All as registered' }).click()
  await job.next('Log what lies there')
  await page.getByText('Spigot', { exact: true }).first().click()
  await page.getByText('Tight', { exact: true }).click()
  await job.next('Log the spigot')
  await page.getByText('Places', { exact: true }).click()
  await job.lookOver()
  await expect(job.stage('Look and clean')).toContainText('spigot tight')

  // Taped as a radius, which is doubled; no sag is asked of an upright shaft.
  await expect(page.getByText('No sag: on an upright shaft')).toBeVisible()
  await expect(page.getByLabel('Bar sag: it hangs')).toHaveCount(0)
  await page.getByText('radius', { exact: true }).click()
  await expect(page.getByLabel('Bolt circle, radius')).toHaveValue('7')
  await page.getByLabel('Rim, after the turn').fill('0')
  await page.getByLabel('Face, after the turn').fill('0')
  await job.next('Log the set-up')

  const motor = found()
  await expect(page.getByText('from above · clockwise from the marked bolt')).toBeVisible()
  await readSet(job, motor)
  await readSet(job, motor)
  await expect(job.meaning).toContainText(/motor leans 0\.5\d mil\/in toward 3:(30|45)/)
  await job.next('Go on')

  // Both schools side by side: one sits flat, the other rocks and wants a reason.
  await expect(job.meaning).toContainText(/Shim (six|seven|eight) bolts/)
  await expect(page.getByText('the flange sits flat')).toBeVisible()
  await expect(page.getByText('the flange bends')).toBeVisible()
  await page.getByRole('radio', { name: /Pairwise/ }).press('Space')
  await job.next('Use these shims')
  await expect(page.getByRole('dialog')).toContainText('rock the flange')
  await page.keyboard.press('Escape')
  await page.getByRole('radio', { name: /Coplanar/ }).press('Space')
  await page.getByText('Show working').click()
  await expect(page.getByText('The bolt at 3', { exact: true })).toBeVisible()
  await job.next('Use these shims')

  // Laid as planned; half typed they outlive a reload.
  await page.getByRole('button', { name: 'As planned' }).click()
  await page.reload()
  const laid = await Promise.all(
    motor.bolts.map(async ({ clock }) => {
      const box = page.getByLabel(`Put in at ${clockFace(clock)}`, { exact: true })
      return (await box.inputValue())
        .split('+')
        .map((t) => Number(t.trim() || 0))
        .reduce((s, t) => s + t, 0)
    }),
  )
  expect(Math.max(...laid)).toBeGreaterThan(4)
  await job.next('Log this move')
  const shimmed = afterBoltWork(
    motor,
    laid.map((t) => t * MIL),
    null,
  )

  await readSet(job, shimmed)
  await readSet(job, shimmed)
  await expect(job.meaning).toContainText('In band')
  await expect(page.getByText('As planned, within what measuring leaves open.')).toBeVisible()
  await job.next('Go on')

  await job.prove()
  await page.getByLabel('Signature name').fill('Day-shift millwright')
  await job.next('Sign and close')
  await expect(job.meaning).toContainText('Closed and signed')
  await expect(page.getByText('Saved', { exact: true })).toBeVisible()
  await page.goto(`/machines/${tag}`)
  await expect(page.getByText('8 bolts on 14.00 in')).toBeVisible()
  await expect(page.getByText(/^Shims: /)).toBeVisible()
  const did = page.getByRole('region', { name: 'Bolt by bolt' })
  await expect(did.getByText(/^Bolt at \d/).first()).toBeVisible()
  await expect(did.getByText(/^\+\d+\.\d$/).first()).toBeVisible()
})

test('a loose spigot is pushed by two dials, and a tight one says frame or spigot', async ({ page }) => {
  const job = new Job(page)
  await job.begun(STANDS_OFF, 'CP-22')
  await expect(job.meaning).toContainText(/Push it 0\.16\d? mm toward/)
  await job.next('Take this push')
  await page.getByLabel('To go, toward 12 is plus').fill('0')
  await page.getByLabel('To go, toward 3 is plus').fill('0')
  await job.next('Log the dials')
  await expect(job.meaning).toContainText('Both dials stand at zero')
  await page.getByLabel('To go, toward 12 is plus').fill('0.03')
  await page.getByLabel('To go, toward 3 is plus').fill('0')
  await job.next('Log the dials after tightening')
  await expect(job.meaning).toContainText('more than it may')
  await job.next('Log this push')
  await expect(job.stage('Move')).toContainText('One move made')
})

test('what a hostile stranger sends to a flange is refused with a sentence', async ({ page }) => {
  const job = new Job(page)
  await job.begun(STANDS_OFF, 'CP-22')
  const move = (change: object) => ({ units: 'metric', changes: [], pushed: null, remark: '', ...change })
  for (const payload of [
    move({ changes: [{ bolt: '9', takenOut: [], putIn: [0.1] }] }),
    move({ changes: [{ bolt: '__proto__', takenOut: [], putIn: [0.1] }] }),
    move({ changes: [{ bolt: '1', takenOut: [], putIn: [-1] }] }),
    move({ pushed: { v: 1e308, h: 'x' } }),
    move({}),
    {},
  ]) {
    const { status, body } = await job.send('flange-moved', payload)
    expect(status, body).toBeGreaterThanOrEqual(400)
    expect(status, body).toBeLessThan(500)
    expect(body).toMatch(/[a-z] [a-z]/)
  }
  const feet = await job.send('move-made', { units: 'metric', changes: [], side: [], remark: '' })
  expect([409, 422]).toContain(feet.status)
})
