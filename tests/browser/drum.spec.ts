import type { Misalignment } from '../../core/frame/planes'
import { lineSum } from '../../core/frame/planes'
import { lineOfMoves } from '../../core/coupling/feet'
import { DRUM_SET_UP } from '../../core/jobs/testDrum'
import type { EntryBody } from '../../core/logbook/entry'
import { EXACT_DIAL } from '../../core/simulate/dialGauge'
import { simulateFace, simulateRim } from '../../core/simulate/dialReadings'
import { LOADED_SAFETY_POINTS } from '../../core/stages/makeSafe/entries'
import { expect, Job, test } from './job'

const MIL = 0.0254
/** Zeroed at 3, read at 12 and 9. */
const HOURS = [90, 0, 270]
const FEET = [
  { id: 'inboard', x: 11.5 * 25.4 },
  { id: 'outboard', x: 23 * 25.4 },
]

/** What the rods read off CP-30's drum when the motor stands so, to the half mil. */
const dials = (line: Misalignment) => {
  const dial = { ...EXACT_DIAL, graduation: 0.5 * MIL }
  const told = (list: readonly { readonly value: number }[]) =>
    list.map((r) => Number(((r.value - (list[0]?.value ?? 0)) / MIL).toFixed(2)))
  return {
    rim: told(simulateRim(line, { carriedBy: 'movable', plane: 0, sag: 0 }, HOURS, dial)),
    face: told(simulateFace(line, { plunger: 'away', diameter: 14 * 25.4, sag: 0 }, HOURS, dial)),
  }
}
const readTwice = async (job: Job, line: Misalignment) => {
  const { rim, face } = dials(line)
  for (let n = 0; n < 2; n++) {
    for (const [i, hour] of (['12', '9'] as const).entries()) {
      await job.reading('Rim', hour).fill(String(rim[i + 1]))
      await job.reading('Face', hour).fill(String(face[i + 1]))
    }
    await job.page.getByLabel('Rim', { exact: true }).fill('0')
    await job.page.getByLabel('Face', { exact: true }).fill('0')
    await job.next('Log this set')
  }
}
const inMil = (ov: number, oh: number, sv = 0, sh = 0): Misalignment => ({
  offset: { v: ov * MIL, h: oh * MIL },
  slope: { v: sv / 1000, h: sh / 1000 },
})
/** `2 + 3` as what it adds up to. */
const added = (text: string): number => text.split('+').reduce((sum, t) => sum + Number(t.trim() || 0), 0)
/** What is to be logged of the push at both ends, toward 3 plus. */
const pushedEnds = (job: Job) =>
  Promise.all(
    ['Inboard', 'Outboard'].map(async (end) =>
      added(await job.page.getByLabel(`${end} pushed, toward 3 is plus`).inputValue()),
    ),
  )

test('CP-30: side, height, side again, then the drum, to a signed close', async ({ page }) => {
  test.slow()
  const job = new Job(page)
  const tag = await job.open('CP-30')
  for (const point of [
    'isolated',
    'locked and tagged',
    'load landed or blocked',
    'brake released and secured',
    'stored energy released',
    'tried to start',
    'guard off, shafts free',
  ])
    await job.next(`Confirm: ${point}`)
  await expect(page.getByRole('button', { name: 'Brake not looked at' })).toBeVisible()
  await job.lookOver()
  await job.feetSit()

  // Rods from the motor's own half: nobody is asked which shaft turns, nor where the rim dial runs.
  await expect(page.getByText('Only the motor turns')).toBeVisible()
  await expect(page.getByText('Turned for reading')).toHaveCount(0)
  await expect(page.getByLabel('Rim dial to inboard feet')).toHaveValue('11.5')
  await page.getByLabel('Bar sag: it hangs').fill('0')
  await page.getByLabel('Rim, after the turn').fill('0')
  await page.getByLabel('Face, after the turn').fill('0')
  await job.next('Log the set-up')

  let line = inMil(-3, 4.5)
  await readTwice(job, line)
  await expect(job.meaning).toContainText('3.0 mil low')
  await job.next('Go on')

  // Side first: pushed, read again.
  await expect(job.meaning).toContainText(
    'The motor stands 4.5 mil toward 3. Bring its side in before its height.',
  )
  await expect(page.getByText(/^Both ends alike: push 4\.5 toward 9\.$/)).toBeVisible()
  await page.getByText('Show working').click()
  await expect(page.getByText('Side, as read, rim')).toBeVisible()
  await job.next('Take this, push it')
  await job.next('Sides as planned')
  const pushed = await pushedEnds(job)
  await job.next('Log this move')
  line = lineSum(line, lineOfMoves(FEET.map((f, i) => ({ ...f, v: 0, h: (pushed[i] ?? 0) * MIL }))))
  await readTwice(job, line)
  await job.next('Go on')

  // Height next: never low.
  await expect(job.meaning).toContainText('The motor sits 3.0 mil low. That is not allowed')
  await expect(page.getByText('never low', { exact: true })).toBeVisible()
  await expect(page.getByText('Before lifting: hands stay out from under the feet')).toBeVisible()
  await job.next('Take this, lay the shims')
  await job.next('Shims as planned')
  const shims = (label: string) =>
    Promise.all(
      ['Inboard left', 'Outboard left'].map(async (foot) =>
        added(await page.getByRole('group', { name: foot }).getByLabel(label).inputValue()),
      ),
    )
  const [lifted, out] = [await shims('Put in'), await shims('Taken out')]
  await job.next('Log this move')
  const lifts = lifted.map((t, i) => t - (out[i] ?? 0))
  expect(Math.max(...lifts)).toBeGreaterThan(1)
  // Shims shift it aside, as they do.
  line = lineSum(
    lineSum(line, lineOfMoves(FEET.map((f, i) => ({ ...f, v: (lifts[i] ?? 0) * MIL, h: 0 })))),
    inMil(0, 2),
  )
  await readTwice(job, line)
  await job.next('Go on')
  await expect(job.meaning).toContainText('Shims shifted the side: it stands 2.0 mil toward 3. Push it back.')
  await job.next('Take this, push it')
  await job.next('Sides as planned')
  const back = await pushedEnds(job)
  await job.next('Log this move')
  line = lineSum(line, lineOfMoves(FEET.map((f, i) => ({ ...f, v: 0, h: (back[i] ?? 0) * MIL }))))
  await readTwice(job, line)
  await expect(job.meaning).toContainText('In band')
  await job.next('Go on')

  // The drum by itself: turned, struck, turned again.
  await expect(job.meaning).toContainText('Turn the drum under a dial before the pins go in.')
  const turn = async (by: number) => {
    for (const [i, mark] of ['12', '1:30', '3', '4:30', '6', '7:30', '9', '10:30'].entries())
      await page
        .getByLabel(`Reading at mark ${mark}`, { exact: true })
        .fill(String((by * Math.round(Math.cos(((i * 45 - 90) * Math.PI) / 180) * 2)) / 2))
    await job.next('Log the turn')
  }
  await turn(4)
  await expect(job.meaning).toContainText(
    /The rim runs out 8\.0 mil, high at 3\. Tap it there, toward the shaft\./,
  )
  await job.next('Struck at 3: log it')
  await expect(job.meaning).toContainText('It was struck. Turn it once more and read.')
  await turn(2)
  await expect(job.meaning).toContainText('It runs true within 4.0 mil')
  await job.next('On to the proof')

  await job.prove(false)
  await page.getByLabel('Signature name').fill('Day-shift millwright')
  await expect(page.getByText('4th Drum run-out')).toBeVisible()
  await job.next('Sign and close')
  await expect(job.meaning).toContainText('Closed and signed')
  await page.goto(`/machines/${tag}`)
  await expect(page.getByText('Drum run-out: true within 4.0 mil.')).toBeVisible()
})

const READY: readonly EntryBody[] = [
  ...LOADED_SAFETY_POINTS.map((point): EntryBody => ({
    kind: 'safety-confirmed',
    payload: { point, permit: '' },
  })),
  { kind: 'set-up', payload: { ...DRUM_SET_UP, feet: [] } },
]

test('without a tape one thin shim tells where the feet stand', async ({ page }) => {
  const job = new Job(page)
  const set = (line: Misalignment): EntryBody => {
    const { rim, face } = dials(line)
    const at = (values: readonly number[]) => HOURS.map((clock, i) => ({ clock, value: values[i] ?? 0 }))
    return {
      kind: 'readings-taken',
      payload: { units: 'inch', circles: { rim: at(rim), face: at(face) }, returned: { rim: 0, face: 0 } },
    }
  }
  const found = inMil(1.5, 0, 0.4)
  await job.begun([...READY, set(found), set(found)], 'CP-30')
  await job.stage('Plan').click()
  await expect(job.meaning).toContainText(
    'Nobody taped the feet. One thin shim tells how far off they stand.',
  )
  await expect(page.getByText('Where it ends nobody can tell before it is read')).toBeVisible()
  await job.next('Take this, lay the shims')
  await job.next('Shims as planned')
  await job.next('Log this move')
  const lowered = 0.1 / MIL
  await readTwice(
    job,
    lineSum(found, lineOfMoves(FEET.map((f, i) => ({ ...f, v: i === 1 ? -lowered * MIL : 0, h: 0 })))),
  )
  await job.stage('Plan').click()
  await expect(
    page.getByText(/^Feet as move 1 told: inboard \d+\.\d+ in, outboard \d+\.\d+ in/),
  ).toBeVisible()
})

test('what a hostile stranger sends to a drum is refused with a sentence', async ({ page }) => {
  const job = new Job(page)
  await job.begun(READY, 'CP-30')
  for (const [kind, payload] of [
    ['drum-tapped', { surface: 'rim', mark: 0, words: '' }],
    ['drum-tapped', { surface: '__proto__', mark: 0, words: '' }],
    ['drum-tapped', { surface: 'rim', mark: 1e308, words: '' }],
    ['drum-tapped', {}],
    [
      'runout-read',
      {
        units: 'inch',
        machine: 'movable',
        surface: 'rim',
        diameter: null,
        readings: [0, 90, 180].map((clock) => ({ clock, value: 0 })),
        limit: null,
        remark: '',
      },
    ],
    ['set-up', { ...DRUM_SET_UP, feet: DRUM_SET_UP.feet.slice(0, 1) }],
    ['flange-moved', { units: 'inch', changes: [], pushed: null, remark: '' }],
  ] as const) {
    const { status, body } = await job.send(kind, payload)
    expect(status, body).toBeGreaterThanOrEqual(400)
    expect(status, body).toBeLessThan(500)
    expect(body).toMatch(/[a-z] [a-z]/)
  }
})
