import AxeBuilder from '@axe-core/playwright'
import { lockOut } from '../support/entries'
import { ALIGNED, expect, Job, signedIn, test } from './job'
import type { Page } from '@playwright/test'

const STAGES = [
  'Open',
  'Make safe',
  'Look and clean',
  'Feet',
  'Level and run-out',
  'Rough-in',
  'Set up',
  'As found',
  'Cold target',
  'Plan',
  'Move',
  'Re-measure',
  'Prove',
  'Hot check',
  'Close',
]

const FLANGE_STAGES = [
  'Open',
  'Make safe',
  'Look and clean',
  'Set up',
  'As found',
  'Plan',
  'Move',
  'Re-measure',
  'Prove',
  'Close',
]

const GEAR_STAGES = [
  'Make safe',
  'Look and clean',
  'Pattern as found',
  'Refit and pin',
  'Contact',
  'Backlash',
  'Tighten',
  'Turn, guard',
  'Close',
] as const
/** What a line shows of its own; its other stages are a coupling’s. */
const LINE_STAGES = ['As found', 'Growth', 'Plan', 'Move', 'Close'] as const
const DRUM_STAGES = [
  'Open',
  'Make safe',
  'Look and clean',
  'Feet',
  'Set up',
  'As found',
  'Plan',
  'Move',
  'Re-measure',
  'Drum run-out',
  'Prove',
  'Close',
]

const BELT_STAGES = [
  'Make safe',
  'Slack off',
  'Inspect',
  'Square the motor',
  'Line up sheaves',
  'Fit belts',
  'Tension',
  'Tighten and re-check',
  'Turn, guard, run',
  'Close',
]

/** What axe finds; in the dim bay only colours are otherwise than in the bright one. */
const seriousFaults = async (page: Page, bay: 'bright' | 'dim' = 'bright') => {
  // What passes is not told node by node: that takes longer than looking.
  const axe = new AxeBuilder({ page }).options({ resultTypes: ['violations'] })
  const { violations } = await (bay === 'dim' ? axe.withRules(['color-contrast']) : axe).analyze()
  return violations
    .filter((v) => v.impact === 'serious' || v.impact === 'critical')
    .map((v) => `${v.id}: ${v.nodes.map((n) => n.target.join(' ')).join(', ')}`)
}
const overflow = (page: Page) =>
  page.evaluate(() => ({
    wide: document.documentElement.scrollWidth - innerWidth,
    tall: document.documentElement.scrollHeight - innerHeight,
  }))

/** It scrolls as a page on a phone alone, and never sideways. */
const fitsEverySize = async (page: Page, what: string) => {
  for (const [width, height] of [
    [1280, 800],
    [820, 1180],
    [390, 844],
  ] as const) {
    await page.setViewportSize({ width, height })
    const { wide, tall } = await overflow(page)
    expect(wide, `${what} at ${width}`).toBeLessThanOrEqual(0)
    if (width > 640) expect(tall, `${what} at ${width}`).toBeLessThanOrEqual(0)
  }
  await page.setViewportSize({ width: 1280, height: 800 })
}

for (const bay of ['bright', 'dim'] as const) {
  const dressed = async (page: Page) => {
    await page.addInitScript((b) => localStorage.setItem('hc.bay', b), bay)
    await page.emulateMedia({ reducedMotion: 'reduce' })
  }

  test(`axe finds nothing serious on any view without a job, ${bay} bay`, async ({ page }) => {
    // Eight views, each read whole.
    await dressed(page)
    for (const path of [
      '/',
      '/machines',
      '/machines/CP-11',
      '/machines/GL-07',
      '/limits/sections',
      '/limits/belts',
      '/stores',
      '/logbook',
    ]) {
      await page.goto(path)
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
      await expect(page.getByText('Fetching')).toBeHidden()
      expect(await seriousFaults(page, bay), path).toEqual([])
    }
  })

  test(`axe finds nothing serious at any stage of a job, ${bay} bay`, async ({ page }) => {
    // A dozen stages, each read whole.
    await dressed(page)
    const job = new Job(page)
    await job.measured()
    await page
      .getByRole('alert')
      .waitFor({ state: 'detached' })
      .catch(() => null)
    for (const stage of STAGES) {
      await job.stage(stage).click()
      expect(await seriousFaults(page, bay), stage).toEqual([])
    }
  })
}

test('a belt job: axe finds nothing serious, and each stage fits laptop, tablet and phone', async ({
  page,
}) => {
  await page.emulateMedia({ reducedMotion: 'reduce' })
  const job = new Job(page)
  await job.begun([...lockOut], 'GL-07')
  for (const stage of BELT_STAGES) {
    await job.stage(stage).click()
    await expect(job.meaning).toBeVisible()
    expect(await seriousFaults(page), stage).toEqual([])
    // The stage opens at the setting of its sheave; behind it stand the places of the drive.
    if (stage === 'Inspect') {
      await expect(page.getByRole('img', { name: 'Variable sheave, upper half cut open' })).toBeVisible()
      await page.getByText('The drive', { exact: true }).click()
      expect(await seriousFaults(page), 'the drive').toEqual([])
      await page.getByText('Motor sheave’s setting', { exact: true }).click()
    }
    await fitsEverySize(page, stage)
  }
})

for (const [what, tag, stages, told] of [
  ['a motor on a flange', 'CP-21', FLANGE_STAGES, '8 bolts on 14.00 in'],
  ['a motor at a drum', 'CP-30', DRUM_STAGES, 'On its shaft: a skip.'],
  ['a gearset', 'PR-05', GEAR_STAGES, 'Limits from the site, PR-05.'],
  ['a line of machines', 'CP-40', LINE_STAGES, 'Limits, Mill coupling'],
] as const)
  test(`${what}: axe finds nothing serious, and each stage fits laptop, tablet and phone`, async ({
    page,
  }) => {
    await page.emulateMedia({ reducedMotion: 'reduce' })
    const job = new Job(page)
    await page.goto('/machines')
    await job.goToOpen(tag)
    for (const stage of stages) {
      await job.stage(stage).click()
      await expect(job.meaning).toBeVisible()
      expect(await seriousFaults(page), stage).toEqual([])
      await fitsEverySize(page, stage)
    }
    await page.goto(`/machines/${tag}`)
    await expect(page.getByText(told)).toBeVisible()
    expect(await seriousFaults(page), 'its page').toEqual([])
  })

test('a bench: axe finds nothing serious in any of its modes, and it fits laptop, tablet and phone', async ({
  page,
}) => {
  await page.emulateMedia({ reducedMotion: 'reduce' })
  await page.goto('/practice')
  await expect(page.getByRole('button', { name: /^The foot that rocks/ })).toBeVisible()
  expect(await seriousFaults(page), 'practice').toEqual([])
  await page.getByRole('button', { name: /^Back to zero, or not/ }).click()
  await page.waitForURL(/\/practice\/practice-/)
  for (const mode of ['Dials', 'Feet', 'Straightedge', 'Push', 'Run']) {
    await page.getByRole('radio', { name: mode }).check({ force: true })
    expect(await seriousFaults(page), mode).toEqual([])
    await fitsEverySize(page, mode)
  }
  await page.getByRole('link', { name: 'I am done: look back' }).click()
  await expect(page.getByRole('heading', { name: /Looking back/ })).toBeVisible()
  expect(await seriousFaults(page), 'review').toEqual([])
})

for (const [width, height] of [
  [1280, 800],
  [1024, 768],
  [820, 1180],
] as const)
  test(`working views fit ${width}x${height} without scrolling the page`, async ({ page }) => {
    await page.setViewportSize({ width, height })
    const job = new Job(page)
    await job.measured()
    for (const stage of STAGES) {
      await job.stage(stage).click()
      const { wide, tall } = await overflow(page)
      expect(wide, stage).toBeLessThanOrEqual(0)
      expect(tall, stage).toBeLessThanOrEqual(0)
    }
  })

test('nothing that is touched in the job is smaller than 44 px', async ({ page }) => {
  const job = new Job(page)
  await job.prepared()
  await job.read(ALIGNED.rim, ALIGNED.face)
  const small = await page.locator('button:visible, a:visible, .field:visible').evaluateAll((all) =>
    all
      .filter((el) => !el.closest('.skip, .home, h1'))
      // Sixteen rows of the sheet fit 800 px at 40 for a mouse; under a finger they are 44.
      .filter((el) => !el.closest('nav'))
      .map((el) => ({
        name: el.textContent?.trim().slice(0, 30),
        h: Math.round(el.getBoundingClientRect().height),
      }))
      .filter((el) => el.h < 44),
  )
  expect(small).toEqual([])
})

test('a touched box opens the big keypad', async ({ browser, program }) => {
  const context = await browser.newContext({
    hasTouch: true,
    viewport: { width: 820, height: 1180 },
    baseURL: program.url,
  })
  await signedIn(context, program)
  const page = await context.newPage()
  const job = new Job(page)
  await job.open()
  await job.makeSafe()
  await job.lookOver()
  await job.feetSit()
  await job.hubsClose()
  await page.getByLabel('Bar sag: it hangs').tap()
  const keypad = page.getByRole('region', { name: 'Keypad' })
  for (const key of ['3', '.', '5']) await keypad.getByRole('button', { name: key, exact: true }).tap()
  await expect(page.getByLabel('Bar sag: it hangs')).toHaveValue('3.5')
  await keypad.getByRole('button', { name: 'Delete the last character' }).tap()
  await keypad.getByRole('button', { name: 'Next' }).tap()
  await expect(keypad).toBeHidden()
  await context.close()
})

test('unknown jobs and machines say so and lead back', async ({ page }) => {
  await page.goto('/jobs/00000000-0000-4000-8000-000000000000')
  await expect(page.getByText('There is no such job.')).toBeVisible()
  await page.getByRole('link', { name: 'Today' }).click()
  await expect(page.getByRole('heading', { name: 'Today' })).toBeVisible()
  await page.goto('/machines/XX-99')
  await expect(page.getByText('There is no machine with the tag XX-99.')).toBeVisible()
})

test('a sheet of sixteen stages in five phases is seen whole at 800 px', async ({ page }) => {
  const job = new Job(page)
  await job.measured()
  const sheet = page.getByRole('navigation', { name: 'Stages of this job' })
  // No job has sixteen stages yet: the rows that are there are laid out again until it has.
  const [hidden, rows] = await sheet.evaluate((nav) => {
    nav.classList.add('long')
    const phases = [...nav.querySelectorAll('ol')]
    const told = nav.querySelector('.row') as Element
    for (let i = nav.querySelectorAll('.row').length; i < 16; i++)
      phases[i % phases.length]?.append(told.cloneNode(true))
    phases[0]?.after(phases[0].cloneNode(true))
    while (nav.querySelectorAll('.row').length > 16) nav.querySelector('.row:last-child')?.remove()
    return [nav.scrollHeight - nav.clientHeight, nav.querySelectorAll('.row').length]
  })
  expect(rows).toBe(16)
  expect(hidden).toBeLessThanOrEqual(0)
  await expect(sheet.getByRole('list')).toHaveCount(5)
})

/** Contrast of an element's text with what lies behind it, as drawn now. */
const contrast = (el: Element): number => {
  const numbers = (css: string) => (css.match(/[\d.]+/g) ?? []).map(Number)
  const light = (css: string) => {
    const [r = 0, g = 0, b = 0] = numbers(css).map((x) => {
      const c = x / 255
      return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4
    })
    return 0.2126 * r + 0.7152 * g + 0.0722 * b
  }
  const opaque = (css: string) => css !== 'transparent' && (numbers(css)[3] ?? 1) === 1
  let behind: Element | null = el
  while (behind && !opaque(getComputedStyle(behind).backgroundColor)) behind = behind.parentElement
  const back = light(behind ? getComputedStyle(behind).backgroundColor : 'rgb(255, 255, 255)')
  const text = light(getComputedStyle(el).color)
  return (Math.max(back, text) + 0.05) / (Math.min(back, text) + 0.05)
}

for (const bay of ['bright', 'dim'] as const)
  test(`a button under the pointer can still be read in the ${bay} bay`, async ({ page }) => {
    await page.addInitScript((b) => localStorage.setItem('hc.bay', b), bay)
    const job = new Job(page)
    await job.measured()
    await page.addStyleTag({ content: '*, *::before { transition: none !important }' })
    const pale: string[] = []
    for (const [i, stage] of STAGES.entries()) {
      await job.stage(stage).click()
      // Header and run sheet are the same on every stage: once is enough.
      const where = i === 0 ? '' : ':is(main, .board, .ledger) '
      for (const button of await page.locator(`${where}button:visible:not([disabled])`).all()) {
        await button.hover({ timeout: 1000 }).catch(() => null)
        const reads = await button.evaluate(contrast)
        if (reads < 4.5) pale.push(`${stage}: ${await button.innerText()} ${reads.toFixed(1)}`)
      }
    }
    expect(pale).toEqual([])
  })
