import { methodToCore, type MethodGiven } from '../../core/methods/methods'
import { readByMethod } from '../../core/simulate/methodReadings'
import { fromCore, toCore } from '../../core/units/unitSystem'
import { hubsClose, feetSit, lockOut } from '../support/entries'
import { expect, Job, test } from './job'

/** Where the simulated motor stands, in the tools' own units. */
const TRUTH = { offset: { v: -8.4, h: 5.1 }, slope: { v: -0.36, h: 0.22 } }
/** What a stored position is called from behind the motor, and from behind what it drives. */
const HOURS: Readonly<Record<'motor' | 'gear unit', Readonly<Record<number, string>>>> = {
  motor: { 0: '12', 90: '3', 180: '6', 270: '9' },
  'gear unit': { 0: '12', 90: '9', 180: '6', 270: '3' },
}
/** Both ends, and both units: typed in mil from the motor's end, in mm from the other one. */
const WAYS = [
  ['motor', 'inch'],
  ['gear unit', 'metric'],
] as const

interface Walk {
  readonly name: string
  /** What is typed and chosen at the set-up: boxes by label, choices by group and word. */
  readonly boxes: Readonly<Record<string, string>>
  readonly choices?: readonly (readonly [group: string, word: string])[]
  /** The same set-up, told to the simulator (inch). */
  readonly how: MethodGiven
  /** What each circle is called on the page. */
  readonly circles: Readonly<Record<string, string>>
}
const rim = { sag: 3, turning: 'both', readingSign: 1 } as const
const face = { plunger: 'away', diameter: 8, sag: 0, readingSign: 1 } as const

const WALKS: readonly Walk[] = [
  {
    name: 'Rim and face',
    boxes: { 'Centre to rim dial': '1.5', 'Face circle, diameter': '8', 'Bar sag: it hangs': '3' },
    choices: [['Face dials', 'Two, half a turn apart']],
    how: {
      method: 'rim-face',
      given: { rim: { ...rim, carriedBy: 'movable', plane: -1.5 }, faces: [face, face] },
    },
    circles: { rim: 'Rim', face1: 'First face', face2: 'Second face' },
  },
  {
    name: 'Reverse rim',
    boxes: {
      'Centre to dial on driven hub': '3',
      'Centre to dial on motor hub': '4',
      'Sag of the motor’s bar: it hangs': '3',
      'Sag of the driven bar: it hangs': '2',
    },
    how: {
      method: 'reverse-rim',
      given: {
        onStationary: { ...rim, carriedBy: 'movable', plane: -3 },
        onMovable: { ...rim, carriedBy: 'stationary', plane: 4, sag: 2 },
      },
    },
    circles: { onStationary: 'Driven hub', onMovable: 'Motor hub' },
  },
  {
    name: 'Faces across a spacer',
    boxes: {
      'Between the flex planes': '16',
      'Driven face circle, diameter': '8',
      'Motor face circle, diameter': '8',
    },
    how: { method: 'spacer-faces', given: { spoolLength: 16, atStationary: face, atMovable: face } },
    circles: { atStationary: 'Driven face', atMovable: 'Motor face' },
  },
  {
    name: 'Gap and straightedge',
    boxes: { 'Gaps felt on a circle, diameter': '8' },
    how: { method: 'gaps', given: { diameter: 8 } },
    circles: { steps: 'Rim step', gaps: 'Gap' },
  },
  {
    name: 'Heads on both shafts',
    boxes: { 'Centre to driven head': '4', 'Centre to motor head': '5' },
    how: { method: 'heads', given: { stationaryPlane: -4, movablePlane: 5 } },
    circles: { stationary: 'Driven head', movable: 'Motor head' },
  },
  {
    name: 'Values at the coupling',
    boxes: { 'Angle told over a length of': '1' },
    choices: [['Motor high: it shows', 'Minus']],
    how: {
      method: 'values',
      given: { per: 1, signs: { high: -1, toward3: 1, endHigh: 1, endToward3: 1 } },
    },
    circles: { offset: 'Offset', angle: 'Angle over 1.00 in' },
  },
  {
    name: 'Values at two feet',
    boxes: { 'Centre to the near value': '14.25', 'Centre to the far value': '53.5' },
    how: { method: 'foot-values', given: { near: 14.25, far: 53.5, signs: { high: 1, toward3: 1 } } },
    circles: { nearPlane: 'Near feet', farPlane: 'Far feet' },
  },
]

for (const walk of WALKS)
  for (const [end, units] of WAYS)
    test(`${walk.name} from behind the ${end}, ${units}: read off the simulated machine, found where it stands`, async ({
      page,
    }) => {
      const job = new Job(page)
      await job.begun([...lockOut, feetSit, hubsClose])
      if (end === 'gear unit') await page.getByRole('button', { name: 'Seen from behind the motor' }).click()
      await expect(page.getByRole('button', { name: `Seen from behind the ${end}` })).toBeVisible()
      await job.method(walk.name)
      for (const [label, text] of Object.entries(walk.boxes))
        await page.getByLabel(label, { exact: true }).fill(text)
      for (const [group, word] of walk.choices ?? [])
        await page.getByRole('radiogroup', { name: group }).getByText(word, { exact: true }).click()
      for (const name of Object.values(walk.circles)) {
        const turned = page.getByLabel(`${name}, after the turn`)
        if (await turned.count()) await turned.fill('0')
      }
      await job.next('Log the set-up')
      await expect(job.stage('Set up')).toContainText(walk.name)

      const line = {
        offset: {
          v: toCore(TRUTH.offset.v, 'displacement', 'inch'),
          h: toCore(TRUTH.offset.h, 'displacement', 'inch'),
        },
        slope: { v: toCore(TRUTH.slope.v, 'slope', 'inch'), h: toCore(TRUTH.slope.h, 'slope', 'inch') },
      }
      const how = { method: walk.how.method, given: methodToCore(walk.how, 'inch') } as MethodGiven
      const read = readByMethod(how, line, [0, 90, 180, 270])
      if (units === 'metric') await page.getByText('mm', { exact: true }).first().click()
      const values = walk.how.method === 'values' || walk.how.method === 'foot-values'
      // An angle told over an inch is told over 25.4 mm.
      const circleOn = (circle: string) =>
        (walk.circles[circle] ?? '').replace('1.00 in', units === 'inch' ? '1.00 in' : '25.4 mm')
      for (let set = 0; set < 2; set++) {
        for (const [circle, list] of Object.entries(read))
          for (const r of list) {
            const where = values
              ? `, ${r.clock === 0 ? 'vertical' : 'horizontal'}`
              : ` at ${HOURS[end][r.clock]} o’clock`
            const shown = fromCore(r.value, 'displacement', units).toFixed(units === 'inch' ? 2 : 4)
            await page.getByLabel(`${circleOn(circle)}${where}`, { exact: true }).fill(shown)
          }
        for (const name of Object.values(walk.circles)) {
          const turned = page.getByLabel(name, { exact: true })
          if (await turned.count()) await turned.fill('0')
        }
        await job.next('Log this set')
      }
      await expect(job.meaning).toContainText('Out of band')
      const judged = page.getByRole('complementary', { name: 'What this means' })
      if (units === 'metric') await page.getByText('mil', { exact: true }).first().click()
      const toward = end === 'motor' ? 'toward 3' : 'toward 9'
      await expect(judged.getByText(toward).first()).toBeVisible()
      await expect(judged.getByText('−8.4').first()).toBeVisible()
      await expect(judged.getByText('+5.1').first()).toBeVisible()
      await expect(judged.getByText('−0.36').first()).toBeVisible()
      // In the other units it is the same machine.
      await page.keyboard.press('u')
      await expect(judged.getByText('−0.213').first()).toBeVisible()
    })

test('the method changed in mid-job: what was measured stays, and both are held against one another', async ({
  page,
}) => {
  const job = new Job(page)
  await job.measured()
  await job.stage('Set up').click()
  await job.method('Values at the coupling')
  await job.next('Log the set-up')
  await job.stage('As found').click()
  await expect(page.getByText('Second set', { exact: false }).first()).toBeVisible()
  for (const [label, text] of [
    ['Offset, vertical', '0'],
    ['Offset, horizontal', '0'],
    ['Angle over 1.00 in, vertical', '0'],
    ['Angle over 1.00 in, horizontal', '0'],
  ] as const)
    await page.getByLabel(label, { exact: true }).fill(text)
  await job.next('Log this set')
  await expect(page.getByText('Third set', { exact: false }).first()).toBeVisible()
})

test('ways round the clock: zeroed twice, one plane alone, marks on the rim', async ({ page }) => {
  const job = new Job(page)
  await job.prepared()
  const way = (name: string) => job.pick('How the set is taken', name)
  await way('zeroed at 12, again at 3')
  await expect(job.reading('Rim', '3')).toHaveValue('0')
  await job.reading('Rim', '6').fill('-23')
  await job.reading('Rim', '9').fill('-18')
  await job.reading('Face', '6').fill('3.5')
  await job.reading('Face', '9').fill('1.5')
  await expect(job.meaning).toContainText('Nothing could expose a bad reading here')
  await way('12 and 6 only')
  await expect(job.reading('Rim', '6')).toHaveValue('-23')
  await expect(job.reading('Rim', '9')).toHaveCount(0)
  await expect(page.getByText('The horizontal is not known: it was not read.')).toBeVisible()

  await page.getByRole('button', { name: 'Table' }).click()
  await page.getByLabel('Arc from the 12 mark, along the rim').fill('3.1416')
  await page.getByLabel('Rim diameter').fill('8')
  await expect(page.getByText('That is 45°.')).toBeVisible()
  await page.getByRole('button', { name: 'Read at 45°' }).click()
  await expect(page.getByLabel('Rim at 45°')).toBeVisible()
  await expect(page.getByText(/Standing 5° off would shift a reading by up to/)).toBeVisible()
})

test('written on paper first: figures in one box, read back, then logged', async ({ page }) => {
  const job = new Job(page)
  await job.prepared()
  await page.getByRole('button', { name: 'From paper' }).click()
  const dialog = page.getByRole('dialog', { name: 'Figures from the sheet, in its order' })
  const box = dialog.getByRole('textbox')
  await box.fill('0 -2.5 -23 x')
  await expect(dialog.getByText('Can’t be read: x')).toBeVisible()
  await expect(dialog.getByRole('button', { name: 'put them in the boxes' })).toBeDisabled()
  await box.fill('0 -2.5 -23 -20.5 0 1 3.5')
  await expect(dialog.getByText('Next: face, 9 o’clock.')).toBeVisible()
  await box.fill('0 -2.5 -23 -20.5 0 1 3.5 2.5 0 0')
  await expect(dialog.getByRole('cell', { name: '−20.5' })).toBeVisible()
  await dialog.getByRole('button', { name: 'put them in the boxes' }).click()
  await expect(job.reading('Rim', '9')).toHaveValue('-20.5')
  // All of them are on the device, not the first alone.
  await page.reload()
  await expect(job.reading('Face', '9')).toHaveValue('2.5')
  await job.next('Log this set')
  await expect(job.meaning).toContainText('Repeat it')
  await job.stage('Set up').click()
  const sheet = await page.getByRole('link', { name: 'filled, A4' }).getAttribute('href')
  const answer = await page.request.get(sheet ?? '')
  expect([answer.status(), answer.headers()['content-type']]).toEqual([200, 'application/pdf'])
})

test('a set turned the other way shows play and is not mixed with the others; what was checked is kept', async ({
  page,
}) => {
  const job = new Job(page)
  await job.begun([...lockOut, feetSit, hubsClose])
  await page.getByText('Dials preloaded to mid-travel').click()
  await job.setUp()
  await job.stage('Set up').click()
  await page.getByRole('button', { name: 'Correct the set-up in force' }).click()
  await expect(page.getByRole('checkbox', { name: 'Dials preloaded to mid-travel' })).toBeChecked()
  await page.getByRole('button', { name: 'Leave it as it was' }).click()
  await job.stage('As found').click()
  await job.read([0, -2.5, -23, -20.5], [0, 1, 3.5, 2.5])
  await page.getByText('Turned the other way, to find play').click()
  await job.read([0, -9.5, -23, -20.5], [0, 1, 3.5, 2.5])
  await expect(page.getByText(/Turned the other way the rim reads .* there is play/)).toBeVisible()
  await expect(page.getByText('turned the other way: for play only')).toBeVisible()
  await job.read([0, -2.5, -23, -20.5], [0, 1, 3.5, 2.5])
  await expect(job.meaning).toContainText('Out of band')
})

test('heads on a part arc: told apart by a nudge, each read at its own angle', async ({ page }) => {
  const job = new Job(page)
  await job.begun([...lockOut, feetSit, hubsClose])
  await job.method('Heads on both shafts')
  await page.getByLabel('Centre to driven head').fill('4')
  await page.getByLabel('Centre to motor head').fill('5')
  await page.getByLabel('Driven head, after the turn').fill('0')
  await page.getByLabel('Motor head, after the turn').fill('0')
  const [own, other] = [
    page.getByLabel('Nudge the motor head: its figure changes by'),
    page.getByLabel('… and the driven head’s by'),
  ]
  await own.fill('0')
  await other.fill('12')
  await expect(job.meaning).toContainText('not on their own machines')
  await expect(page.getByText('named the wrong way round')).toBeVisible()
  await own.fill('12')
  await other.fill('0.5')
  await expect(page.getByRole('checkbox', { name: /^Each head on its own machine/ })).toBeChecked()
  await job.next('Log the set-up')

  await job.pick('How the set is taken', 'part arc: 10, 12, 2')
  await page.getByText('Each head tells its own angle').click()
  // Told the other way round from the other end, and what was typed outlives going there and a reload.
  await page.getByLabel('Own angle of Motor head, stop 2 o’clock').fill('70')
  await page.getByRole('button', { name: 'Seen from behind the motor' }).click()
  await expect(page.getByLabel('Own angle of Motor head, stop 10 o’clock')).toHaveValue('290')
  await page.reload()
  await page.getByRole('button', { name: 'Seen from behind the gear unit' }).click()
  await expect(page.getByLabel('Own angle of Motor head, stop 2 o’clock')).toHaveValue('70')
  const line = {
    offset: {
      v: toCore(TRUTH.offset.v, 'displacement', 'inch'),
      h: toCore(TRUTH.offset.h, 'displacement', 'inch'),
    },
    slope: { v: toCore(TRUTH.slope.v, 'slope', 'inch'), h: toCore(TRUTH.slope.h, 'slope', 'inch') },
  }
  const how = {
    method: 'heads',
    given: methodToCore({ method: 'heads', given: { stationaryPlane: -4, movablePlane: 5 } }, 'inch'),
  } as MethodGiven
  const stops = ['10 o’clock', '12 o’clock', '2 o’clock']
  /** The motor's head hangs a few degrees behind the other. */
  const angles = { stationary: [300, 0, 60], movable: [297.5, 357, 56.5] }
  const heads = { stationary: 'Driven head', movable: 'Motor head' } as const
  for (let set = 0; set < 2; set++) {
    for (const head of ['stationary', 'movable'] as const) {
      const read = readByMethod(how, line, angles[head])[head] ?? []
      for (const [i, r] of read.entries()) {
        if (head === 'movable')
          await page.getByLabel(`Own angle of Motor head, stop ${stops[i]}`).fill(String(r.clock))
        await page
          .getByLabel(`${heads[head]} at ${stops[i]}`, { exact: true })
          .fill(fromCore(r.value, 'displacement', 'inch').toFixed(3))
      }
      await page.getByLabel(heads[head], { exact: true }).fill('0')
    }
    await job.next('Log this set')
  }
  await expect(job.meaning).toContainText('Out of band')
  const judged = page.getByRole('complementary', { name: 'What this means' })
  for (const figure of ['−8.4', '+5.1', '−0.36', '+0.22'])
    await expect(judged.getByText(figure).first()).toBeVisible()
})

test('a bar measured on a pipe; positions pressed round the hub, one in the way left out', async ({
  page,
}) => {
  const job = new Job(page)
  await job.begun([...lockOut, feetSit, hubsClose])
  await job.next('Measure it on a pipe')
  const pipe = page.getByRole('dialog', { name: 'Bar sag, measured on a pipe' })
  await pipe.getByLabel('At 6').fill('6')
  await pipe.getByLabel('Back at 12').fill('0')
  await expect(pipe.getByText('The dial gained at 6')).toBeVisible()
  await expect(pipe.getByRole('button', { name: /^Take/ })).toBeDisabled()
  await pipe.getByLabel('At 6').fill('-6')
  await pipe.getByLabel('At 6').press('Enter')
  await expect(pipe).toBeHidden()
  await expect(page.getByLabel('Bar sag: it hangs')).toHaveValue('3')
  await expect(page.getByText('measured on a pipe: −6.0 mil at 6')).toBeVisible()
  await page.getByLabel('Marked for refitting: where and how').fill('two dots on bar and collar')
  await page.getByLabel('Rim, after the turn').fill('0')
  await page.getByLabel('Face, after the turn').fill('0')
  await job.next('Log the set-up')

  await job.pick('How the set is taken', 'positions of one’s own')
  const hours = page.getByRole('group', { name: 'Positions round the hub' })
  await hours.getByRole('button', { name: 'Read at 4 o’clock too' }).click()
  await hours.getByRole('button', { name: 'Remove 3 o’clock' }).press('Enter')
  const clocks = [0, 120, 180, 270]
  const rim = { sag: 3, turning: 'both', readingSign: 1, carriedBy: 'movable', plane: -1.5 } as const
  const given = { method: 'rim-face', given: { rim, faces: [face] } } as const
  const read = readByMethod(
    { method: 'rim-face', given: methodToCore(given, 'inch') },
    {
      offset: { v: toCore(TRUTH.offset.v, 'displacement', 'inch'), h: 0 },
      slope: { v: toCore(TRUTH.slope.v, 'slope', 'inch'), h: 0 },
    },
    clocks,
  )
  for (const [circle, name] of [
    ['rim', 'Rim'],
    ['face', 'Face'],
  ] as const) {
    for (const r of read[circle] ?? [])
      await page
        .getByLabel(`${name} at ${r.clock / 30 || 12} o’clock`)
        .fill(fromCore(r.value, 'displacement', 'inch').toFixed(2))
    await page.getByLabel(name, { exact: true }).fill('0')
  }
  await job.next('Log this set')
  const judged = page.getByRole('complementary', { name: 'What this means' })
  await expect(judged.getByText('−8.4').first()).toBeVisible()
  await expect(job.stage('Set up')).toContainText('sag 3')
})
