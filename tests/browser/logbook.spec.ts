import { randomUUID } from 'node:crypto'
import { lockOut, setUp } from '../support/entries'
import { expect, Job, test } from './job'

test('the logbook finds a job by its words, narrows down by what jobs were, keeps a search, and a link repeats it', async ({
  page,
}) => {
  const job = new Job(page)
  const tag = await job.open('CP-14')
  await job.send('remark', { text: 'Quartzdust in the spacer, cleaned.' })
  await page.goto('/logbook')
  const found = page.locator('.found')
  await expect(found.getByText(/jobs? found/)).toBeVisible()
  await page.keyboard.press('/')
  const box = page.getByRole('searchbox', { name: 'Look for jobs' })
  await expect(box).toBeFocused()
  await page.keyboard.type('quartzd spacer')
  await expect(found.getByText('1 job found')).toBeVisible()
  await expect(page).toHaveURL(/words=quartzd/)
  // Down from the box is into what was found, Enter opens it.
  await page.keyboard.press('ArrowDown')
  await expect(found.getByRole('link').first()).toBeFocused()
  await page.keyboard.press('Enter')
  await page.waitForURL(/\/jobs\//)
  await expect(page.getByRole('banner').first()).toContainText(tag)
  await page.goBack()
  await expect(box).toHaveValue('quartzd spacer')

  await page.getByRole('button', { name: 'Start anew' }).click()
  await page.getByRole('checkbox', { name: /^State: closed, \d+ jobs$/ }).press('Space')
  await page.getByRole('checkbox', { name: /^Joined by: belts, \d+ jobs?$/ }).press('Space')
  await expect(page).toHaveURL(/state=closed.*kind=belt|kind=belt.*state=closed/)
  await page.getByRole('button', { name: 'Keep this search' }).click()
  await page.getByRole('textbox', { name: 'Its name' }).fill('Belts done')
  await page.getByRole('button', { name: 'Keep it' }).click()
  await expect(page.getByRole('button', { name: 'Search Belts done', exact: true })).toHaveAttribute(
    'aria-pressed',
    'true',
  )
  const many = await found.getByRole('listitem').count()
  await page.goto('/logbook')
  await page.getByRole('button', { name: 'Search Belts done', exact: true }).click()
  await expect(page).toHaveURL(/kind=belt/)
  await expect(found.getByRole('listitem')).toHaveCount(many)
  await page.getByRole('button', { name: 'Drop the search Belts done' }).click()
  await expect(page.getByRole('button', { name: 'Search Belts done', exact: true })).toHaveCount(0)

  // Nothing holds all of it: a sentence says what to do.
  await box.fill('zzzz')
  await expect(found.getByText('No job holds all of that.', { exact: false })).toBeVisible()
  // A link that somebody sends.
  await page.goto('/logbook?words=quartzdust')
  await expect(found.getByText('1 job found')).toBeVisible()
  await page.goto('/logbook?verdict=fine')
  await expect(page.getByText(/Give the verdict as one of/)).toBeVisible()

  for (const [width, height] of [
    [390, 844],
    [820, 1180],
  ] as const) {
    await page.setViewportSize({ width, height })
    await page.goto('/logbook?state=closed')
    await expect(found.getByRole('listitem').first()).toBeVisible()
    expect(
      await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth),
      `${String(width)} px`,
    ).toBeLessThanOrEqual(0)
  }
})

test('a job is taken out as a file, and comes in again from it: what it would do first, then done, then nothing more', async ({
  page,
}) => {
  const job = new Job(page)
  const tag = await job.open('CP-14')
  await job.send('remark', { text: 'Feldspar under the outboard feet.' })
  const id = page.url().split('/').at(-1) ?? ''
  const file = await (await page.request.get(`/api/jobs/${id}/job.json`)).text()
  const { entries } = JSON.parse(file) as { entries: { id: string }[] }
  const moved = [id, ...entries.map((e) => e.id)].reduce(
    (now, old) => now.replaceAll(old, randomUUID()),
    file,
  )

  await page.goto('/logbook?words=feldspar')
  await expect(page.getByText('1 job found')).toBeVisible()
  await page.getByRole('button', { name: 'Bring in' }).click()
  const dialog = page.getByRole('dialog', { name: 'Bring in from files' })
  const chosen = dialog.locator('input[type=file]')
  const choose = (text: string) =>
    chosen.setInputFiles({ name: 'x.job.json', mimeType: 'application/json', buffer: Buffer.from(text) })
  await choose(moved.replace('"kind":"remark"', '"kind":"remork"'))
  await expect(dialog.getByRole('alert')).toContainText(/Line \d+: /)
  await expect(dialog.getByRole('button', { name: 'Bring it in' })).toBeDisabled()
  await choose(moved)
  await expect(dialog.getByText(`A job on ${tag} with 2 entries. It is not here yet.`)).toBeVisible()
  await expect(dialog.getByText(`It goes to the machine ${tag} of this register`)).toBeVisible()
  await dialog.getByRole('button', { name: 'Bring it in' }).click()
  await expect(dialog.getByText('It is in the logbook.')).toBeVisible()
  await expect(page.getByText('2 jobs found')).toBeVisible()
  await choose(moved)
  await expect(dialog.getByText('There is nothing to do.', { exact: false })).toBeVisible()
  await expect(dialog.getByRole('button', { name: 'Bring it in' })).toBeDisabled()
})

test('readings and moves out of tables: what they would do is shown, then they stand in the job, in the order of their making', async ({
  page,
}) => {
  const job = new Job(page)
  const tag = await job.open('CP-14')
  for (const body of [...lockOut, setUp]) await job.send(body.kind, body.payload)
  const id = page.url().split('/').at(-1) ?? ''
  const at = (minutes: number) => new Date(Date.now() - minutes * 60_000).toISOString()
  const places = ['12', '3', '6', '9']
  const set = (madeAt: string, values: readonly number[]) =>
    ['rim', 'face'].flatMap((circle) =>
      places.map((clock, i) => `${id},${madeAt},inch,${circle},${clock},${values[i] ?? 0}`),
    )
  const readings = [
    'job,made at,units,circle,clock,value',
    ...set(at(30), [0, 1, 2, 1]),
    ...set(at(10), [0, 0, 0, 0]),
  ]
  const moves = [
    'job,made at,units,place,side,put in,moved',
    `${id},${at(20)},inch,movable inboard,left,5 + 2,`,
  ]

  await page.goto('/logbook')
  await page.getByRole('button', { name: 'Bring in' }).click()
  const dialog = page.getByRole('dialog', { name: 'Bring in from files' })
  const choose = (...files: readonly (readonly string[])[]) =>
    dialog.locator('input[type=file]').setInputFiles(
      files.map((lines, i) => ({
        name: `${i}.csv`,
        mimeType: 'text/csv',
        buffer: Buffer.from(lines.join('\n')),
      })),
    )
  // An empty table tells its columns.
  const blank = await dialog.getByRole('link', { name: 'Readings' }).getAttribute('href')
  expect(decodeURIComponent(blank ?? '')).toMatch(
    /,job,tag,machine,entry,made at,.*circle,clock,degrees,value/,
  )

  await choose(
    moves.map((line) => line.replace('movable inboard', 'the motor')),
    ['{"format":"x"}'],
  )
  await expect(dialog.getByRole('alert')).toContainText('A job’s own file comes in by itself.')
  await choose(moves.map((line) => line.replace('movable inboard', 'the motor')))
  await expect(dialog.getByRole('alert')).toContainText('moves, line 2, place')
  await expect(dialog.getByRole('button', { name: 'Nothing new to bring in' })).toBeDisabled()

  await choose(moves, readings)
  const rows = dialog.getByRole('row')
  await expect(rows).toHaveCount(4)
  await expect(rows.nth(1)).toContainText('8 readings')
  await expect(rows.nth(2)).toContainText('Move of 1 place')
  await expect(rows.nth(3)).toContainText('is added to its job')
  await dialog.getByRole('button', { name: 'Bring 3 in' }).click()
  await expect(dialog.getByRole('status')).toHaveText('3 came in, written by you.')
  await choose(moves, readings)
  await expect(rows.nth(3)).toContainText('is here already')
  await expect(dialog.getByRole('button', { name: 'Nothing new to bring in' })).toBeDisabled()
  await rows.nth(1).getByRole('link', { name: tag }).click()
  await page.waitForURL(/\/jobs\//)
  await page.getByRole('button', { name: 'Add a remark' }).click()
  await expect(page.getByText('Out of a CSV file: readings of', { exact: false })).toBeVisible()
})

test('nothing typed into the search is lost, however slowly the address follows', async ({ page }) => {
  await page.goto('/logbook')
  const box = page.getByRole('searchbox', { name: 'Look for jobs' })
  await box.focus()
  const said = 'ball mill outboard feet scraped clean'
  // At about the pace at which the address is written.
  await page.keyboard.type(said, { delay: 210 })
  await expect(box).toHaveValue(said)
  await expect(page).toHaveURL(/words=ball\+mill\+outboard\+feet\+scraped\+clean/)
  await expect(box).toHaveValue(said)
})
