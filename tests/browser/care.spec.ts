import { ALIGNED, expect, Job, LOW, test } from './job'

test('dialogs take the focus and hold the keys', async ({ page }) => {
  const job = new Job(page)
  await job.prepared()
  await job.stage('Make safe').click()
  await job.next('Power came back on')
  const dialog = page.getByRole('dialog', { name: 'Power came back on' })
  await expect(dialog.getByRole('textbox')).toBeFocused()
  // Typed at once, while the dialog is still coming up.
  await page.keyboard.type('bug hunt, gum, ? and /')
  await expect(dialog.getByRole('textbox')).toHaveValue('bug hunt, gum, ? and /')
  await expect(page).toHaveURL(/\/jobs\//)
  await dialog.getByRole('button', { name: 'Log it' }).click()
  await expect(job.meaning).toContainText('Power came back')
})

test('a broken lockout is said on every stage, with a way back to make it safe', async ({ page }) => {
  const job = new Job(page)
  await job.prepared()
  await job.stage('Make safe').click()
  await job.next('Power came back on')
  await page.getByRole('dialog').getByRole('textbox').fill('Bump test')
  await page.getByRole('dialog').getByRole('button', { name: 'Log it' }).click()
  for (const stage of ['Set up', 'As found', 'Plan', 'Move', 'Close']) {
    await job.stage(stage).click()
    await expect(page.getByRole('alert').filter({ hasText: 'Bump test' })).toBeVisible()
    await expect(page.getByRole('button', { name: 'To Make safe' })).toBeVisible()
  }
  await job.next('To Make safe')
  await expect(page.getByText('Bump test').first()).toBeVisible()
  await job.makeSafe()
  await job.stage('Set up').click()
  await expect(page.getByRole('button', { name: 'To Make safe' })).toBeHidden()
})

test('keys reach each stage; after two sets agree Enter goes on', async ({ page }) => {
  const job = new Job(page)
  await job.prepared()
  await job.read(LOW.rim, LOW.face)
  await job.read(LOW.rim, LOW.face)
  await expect(page.getByRole('button', { name: 'Go on' })).toBeFocused()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'Side view' })).toBeVisible()
  await page.locator('body').click({ position: { x: 100, y: 690 } })
  for (const [key, heading] of [
    ['1', 'Open'],
    ['2', 'Make safe'],
    ['3', 'Look and clean'],
    ['4', 'Feet, round 1'],
    ['5', 'Level and run-out'],
    ['6', 'Rough-in'],
    ['7', 'Set up the dials'],
    ['9', 'Cold target'],
    ['a', 'Move'],
    ['c', 'Prove'],
    ['d', 'Temperatures at the feet'],
    ['e', 'As found, as left'],
  ] as const) {
    await page.keyboard.press('g')
    await page.keyboard.press(key)
    await expect(page.getByRole('heading', { name: heading, exact: true })).toBeVisible()
    await page.locator('body').click({ position: { x: 100, y: 690 } })
  }
})

test('a logged move leaves an empty form, and is corrected with a reason', async ({ page }) => {
  const job = new Job(page)
  await job.measured()
  await job.stage('Plan').click()
  await job.next('Take these shims to the machine')
  await job.next('Shims as planned')
  await job.next('Sides as planned')
  await job.next('Log this move')
  await job.stage('Move').click()
  for (const box of await page.getByLabel(/put in/i).all()) await expect(box).toHaveValue('')
  await expect(page.getByRole('button', { name: 'Log this move' })).toHaveCount(0)

  await job.next('Correct the last move')
  await page.getByLabel('Inboard pushed, toward 3 is plus').fill('-3')
  await job.next('Log the correction')
  const dialog = page.getByRole('dialog')
  await dialog.getByRole('textbox').fill('Read the dial wrong')
  await dialog.getByRole('button', { name: 'Log the correction' }).click()
  await job.saved()
  await expect(job.stage('Move')).toContainText('One move made')
  await job.stage('Re-measure').click()
  await job.read(ALIGNED.rim, ALIGNED.face)
  await job.read(ALIGNED.rim, ALIGNED.face)
  await expect(page.getByText('made', { exact: true }).first()).toBeVisible()
})

test('what looks like a slip is asked about once, and never changed in silence', async ({ page }) => {
  const job = new Job(page)
  await page.goto('/machines/CP-11')
  await job.open()
  await job.makeSafe()
  await job.lookOver()
  await job.feetSit()
  await job.hubsClose()
  const inboard = page.getByLabel('Centre to inboard feet')
  for (const [typed, note] of [
    ['10 ft', /Tenfold off the register/],
    ['120 in', /Tenfold off the register/],
    ['1', /Feet for inches/],
  ] as const) {
    await inboard.fill(typed)
    await expect(page.getByText(note)).toBeVisible()
  }
  await inboard.fill('12')
  await job.setUp()
  await job.stage('Move').click()
  const putIn = page.getByLabel('Put in').first()
  await putIn.fill('999')
  await expect(page.getByText(/999/).first()).toBeVisible()
  await job.next('Log this move')
  await expect(page.getByRole('alert').first()).toBeVisible()
  await expect(job.stage('Move, to do')).toBeVisible()
  // A question goes away with what it asked about, and is asked anew of what is odd next.
  await putIn.fill('20')
  await expect(page.getByRole('alert')).toHaveCount(0)
  await putIn.fill('888')
  await job.next('Log this move')
  await expect(page.getByRole('alert').filter({ hasText: '888' })).toBeVisible()
})

for (const [width, height] of [
  [1280, 800],
  [1024, 768],
  [820, 1180],
  [390, 844],
] as const)
  test(`nothing typed is clipped at ${width}x${height}`, async ({ page }) => {
    await page.setViewportSize({ width, height })
    const job = new Job(page)
    await job.prepared()
    const clipped = (label: string | RegExp, text: string) =>
      page
        .getByLabel(label)
        .first()
        .fill(text)
        .then(() =>
          page
            .getByLabel(label)
            .first()
            .evaluate((el: HTMLInputElement) => el.scrollWidth - el.clientWidth),
        )
    for (const hour of ['3', '6', '9'])
      for (const text of ['-16.85 mil', '-0.4285 mm'])
        expect(await clipped(`Rim at ${hour} o’clock`, text), `${hour} ${text}`).toBeLessThanOrEqual(0)
    await job.stage('Move').click()
    expect(await clipped('Put in', '20 + 20 + 5')).toBeLessThanOrEqual(0)
    const wide = await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)
    expect(wide).toBeLessThanOrEqual(0)
  })

test('a corrected set-up works the sets read with it out again, after saying so', async ({ page }) => {
  const job = new Job(page)
  await job.measured()
  await job.stage('As found').click()
  const offset = page.getByRole('row', { name: /^Offset, vertical/ })
  await expect(offset).toContainText('−9.2')
  await job.stage('Set up').click()
  await job.next('Correct the set-up in force')
  await expect(page.getByRole('heading', { name: 'Set up the dials, correcting' })).toBeVisible()
  await expect(page.getByText('Two sets were read with this set-up')).toBeVisible()
  await page.getByLabel('Bar sag: it hangs').fill('6')
  await job.next('Log the correction')
  const dialog = page.getByRole('dialog', { name: 'Correct the set-up' })
  await dialog.getByRole('textbox').fill('The long bar was on')
  await dialog.getByRole('button', { name: 'Log the correction' }).click()
  // Three mil more of sag at 6 and the motor was three mil less low than it looked.
  await job.stage('As found').click()
  await expect(offset).toContainText('−6.2')
  await job.stage('Set up').click()
  await expect(page.getByLabel('Bar sag: it hangs')).toHaveValue('6')
})
