import { test as base, expect, type BrowserContext, type Locator, type Page } from '@playwright/test'
import { randomUUID } from 'node:crypto'
import { DEMO_NAMES, DEMO_PIN } from '../../scripts/demo/signIn.mjs'
import { MACHINES } from '../../scripts/demo/works'
import type { EntryBody } from '../../core/logbook/entry'
import { AUTHOR, draft, feetSit, hubsClose, lockOut, LOW_MOTOR, OPENING, setUp } from '../support/entries'
import { databaseOf } from '../support/cluster'
import { startProgram, type Program } from '../support/program'

const HOURS = ['12', '3', '6', '9'] as const

/** Says in the page that nothing shall be fetched unasked: most of what a page of a test would fetch is never looked at. */
const saveData = () => {
  const connection = Object.assign(new EventTarget(), { saveData: true })
  Object.defineProperty(navigator, 'connection', { value: connection })
}

/** Makes a context that of a device on which everybody has signed in; this one is writing. */
export const signedIn = async (
  context: BrowserContext,
  program: Program,
  writing: keyof typeof DEMO_NAMES = 'day',
): Promise<BrowserContext> => {
  const [name = '', value = ''] = (await program.cookieOf(DEMO_NAMES[writing])).split(/=(.*)/s)
  await context.addCookies([{ name, value, url: program.url, httpOnly: true, sameSite: 'Lax' }])
  return context
}

/** A page on a program of its own, which a test may kill and restart; it fetches ahead where a test is to lose the network. Somebody is signed in, but where `writing` is null. */
export const test = base.extend<
  { fetchesAhead: boolean; writing: keyof typeof DEMO_NAMES | null },
  { program: Program }
>({
  program: [
    // eslint-disable-next-line no-empty-pattern
    async ({}, use, info) => {
      const urlOf = databaseOf(process.env.HC_TEST_DATABASE ?? '')
      const program = await startProgram(urlOf, `browser_${info.workerIndex}`)
      await use(program)
      await program.stop()
    },
    { scope: 'worker', timeout: 120_000 },
  ],
  baseURL: async ({ program }, use) => use(program.url),
  fetchesAhead: [false, { option: true }],
  writing: ['day', { option: true }],
  context: async ({ context, fetchesAhead, writing, program }, use) => {
    if (!fetchesAhead) await context.addInitScript(saveData)
    if (writing) await signedIn(context, program, writing)
    await use(context)
  },
  request: async ({ playwright, program }, use) => {
    const cookie = await program.cookieOf(DEMO_NAMES.day)
    const request = await playwright.request.newContext({
      baseURL: program.url,
      extraHTTPHeaders: { cookie },
    })
    await use(request)
    await request.dispose()
  },
})
export { expect }

/** Passes the device on to somebody, who shows their PIN. */
export const passTo = async (page: Page, name: string) => {
  await page.getByRole('button', { name: /^Who is writing/ }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByRole('button', { name }).click()
  await dialog.getByLabel(`PIN of ${name}`).fill(DEMO_PIN)
  await page.keyboard.press('Enter')
  await expect(dialog).toBeHidden()
  await expect(page.getByRole('button', { name: /^Who is writing/ })).toContainText(name)
}

/** Picks from a select until it shows what was picked: a list that is still unfolding lets a click slip by. */
export const choose = async (within: Page | Locator, name: string, option: string) => {
  const page = 'page' in within ? within.page() : within
  const box = within.getByRole('combobox', { name })
  const shown = within.locator('.el-select', { has: page.getByRole('combobox', { name }) })
  await expect(async () => {
    const list = page.getByRole('option', { name: option, exact: true })
    if (!(await list.isVisible())) await box.press('Enter')
    await list.click({ timeout: 3000 })
    await expect(shown).toContainText(option, { timeout: 2000 })
  }).toPass({ timeout: 30_000 })
}

/** What a millwright does, in the program's own words. */
export class Job {
  constructor(readonly page: Page) {}

  /** A machine of the test's own, like one of the demo works. */
  async register(like: string) {
    const tag = `T-${randomUUID().slice(0, 8)}`
    const machine = { ...MACHINES.find((m) => m.tag === like), tag, id: randomUUID() }
    const added = await this.page.request.post('/api/machines', { data: machine })
    expect(added.status()).toBe(201)
    return tag
  }

  /** Opens a job on a machine of its own, so that no test meets another's open job. */
  async open(like = 'CP-11', reason?: string) {
    const tag = await this.register(like)
    await this.visit(tag, reason, MACHINES.find((m) => m.tag === like)?.rpm)
    return tag
  }

  /** Opens a job on this machine, its nameplate speed as registered unless one is typed. */
  async visit(tag: string, reason?: string, rpm?: number) {
    await this.page.goto(`/machines/${tag}`)
    await this.page.getByRole('button', { name: 'Start a job' }).click()
    const plate = this.page.getByLabel('Nameplate speed, rpm')
    if (rpm !== undefined) await plate.fill(String(rpm))
    if (reason !== undefined) {
      await this.page.getByRole('dialog').getByText('Planned check').first().click()
      await this.page.getByRole('option', { name: reason }).click()
    }
    await this.page.getByRole('button', { name: 'Open the job' }).click()
    await this.page.waitForURL(/\/jobs\//)
  }

  /** A job that others have brought this far through the server, opened where it stands. */
  async prepared(logged: readonly EntryBody[] = [], like = 'CP-11') {
    return this.begun([...lockOut, feetSit, hubsClose, setUp, ...logged], like)
  }

  /** A job with nothing but these entries after its opening, opened where it stands. */
  async begun(logged: readonly EntryBody[], like = 'CP-11') {
    const tag = await this.register(like)
    const id = randomUUID()
    const post = async (path: string, data: object) => {
      const answer = await this.page.request.post(path, { data })
      expect(answer.status(), await answer.text()).toBe(201)
    }
    let after = randomUUID()
    await post('/api/jobs', { id, machine: tag, opening: draft(OPENING, { id: after }) })
    for (const body of logged) {
      const entry = draft(body, { after })
      await post(`/api/jobs/${id}/entries`, entry)
      after = entry.id
    }
    await this.page.goto(`/jobs/${id}`)
    await expect(this.meaning).toBeVisible()
    return tag
  }

  /** Whatever a stranger sends to the job in view: how it is answered. */
  async send(kind: string, payload: object, supersedes: object | null = null) {
    const id = this.page.url().split('/').at(-1) ?? ''
    const entry = {
      id: randomUUID(),
      author: AUTHOR,
      madeAt: new Date().toISOString(),
      after: null,
      kind,
      payload,
      supersedes,
    }
    const answer = await this.page.request.post(`/api/jobs/${id}/entries`, { data: entry })
    return { status: answer.status(), body: await answer.text() }
  }

  /** The open job of a machine of the demo works; Today may have no room for it beside those of other tests. */
  async goToOpen(tag: string) {
    const answer = await this.page.request.get(`/api/jobs?machine=${tag}&open=yes`)
    const { rows } = (await answer.json()) as { rows: { id: string }[] }
    await this.page.goto(`/jobs/${rows.at(-1)?.id ?? ''}`)
  }

  /** As prepared, with two sets that agree: the motor low and toward 3. */
  measured() {
    return this.prepared([LOW_MOTOR, LOW_MOTOR])
  }

  async makeSafe() {
    for (const point of [
      'isolated',
      'locked and tagged',
      'stored energy released',
      'tried to start',
      'guard off, shafts free',
    ])
      await this.next(`Confirm: ${point}`)
  }

  /** Every place looked at, all of them fine. */
  async lookOver() {
    await this.next(/^All \d+ others are fine$/)
    await this.next('Go on')
  }

  /** Every foot read one at a time, none of them rocking. */
  async feetSit(rise = '1') {
    await this.page.getByText('2 One loosened: rises').click()
    for (const foot of ['f1', 'f3', 'f2', 'f4']) await this.page.getByLabel(`Rise of ${foot}`).fill(rise)
    await this.next('Log the rises')
    await this.next('Feet sit: go on')
  }

  /** A look with the straightedge at 12 and 3: close enough. */
  async hubsClose() {
    await this.page.getByLabel('rim step at 12').fill('6')
    await this.page.getByLabel('rim step at 3').fill('4')
    await this.next('Log what was felt')
    await this.next('Close enough: go on')
  }

  /** Picks the measuring method at the set-up. */
  async method(name: string) {
    await this.pick('Method', name)
  }

  /** Takes one of several that a button lays out. */
  async pick(label: string, name: string) {
    await this.page.getByRole('button', { name: new RegExp(`^${label}(:|$)`) }).press('Enter')
    await this.page
      .getByRole('dialog', { name: label, exact: true })
      .getByRole('button', { name, exact: true })
      .click()
  }

  async setUp() {
    await this.page.getByLabel('Bar sag: it hangs').fill('3')
    await this.page.getByLabel('Rim, after the turn').fill('0')
    await this.page.getByLabel('Face, after the turn').fill('0')
    await this.next('Log the set-up')
  }

  /** Nothing wired or heated, the coupling made up and left unread, everything tight, guard on. */
  async prove(byInstrument = true) {
    for (const step of [
      'Not wired in this job',
      'Greased, plug back',
      'They work',
      'It is made up',
      ...(byInstrument ? ['Leave it unread'] : []),
      'Tight',
      'At torque',
      'It turns freely',
      'The guard is on',
      'Go on',
    ])
      await this.page.getByRole('button', { name: step, exact: true }).click()
  }

  reading(dial: 'Rim' | 'Face', hour: (typeof HOURS)[number]) {
    return this.page.getByLabel(`${dial} at ${hour} o’clock`)
  }

  async type(rim: readonly number[], face: readonly number[]) {
    for (const [i, hour] of HOURS.entries()) {
      if (i === 0) continue
      await this.reading('Rim', hour).fill(String(rim[i]))
      await this.reading('Face', hour).fill(String(face[i]))
    }
  }

  async read(rim: readonly number[], face: readonly number[]) {
    await this.type(rim, face)
    await this.page.getByLabel('Rim', { exact: true }).fill('0')
    await this.page.getByLabel('Face', { exact: true }).fill('0')
    await this.next('Log this set')
  }

  /** The sheave check: tap each rim of both sheaves to what it does. */
  async touches(place: string, near: 'touch' | 'gap', far: 'touch' | 'gap') {
    for (const [rim, wanted] of [
      ['near', near],
      ['far', far],
    ] as const) {
      const contact = this.page.getByRole('button', { name: new RegExp(`^${place}, ${rim} rim`) })
      await contact.click()
      if (wanted === 'gap') await contact.click()
      await expect(contact).toHaveAccessibleName(`${place}, ${rim} rim: ${wanted}`)
    }
  }

  next(name: string | RegExp) {
    return this.page.getByRole('button', { name }).click()
  }

  stage(name: string) {
    // By how it begins: what a stage found may name another one.
    const begins = new RegExp(`^${name}`)
    return this.page
      .getByRole('navigation', { name: 'Stages of this job' })
      .getByRole('button', { name: begins })
  }

  /** What stands beside the headline. */
  get detail() {
    return this.page.getByRole('complementary', { name: 'What this means' })
  }

  get meaning() {
    return this.page.getByRole('complementary', { name: 'What this means' }).getByRole('heading').first()
  }

  saved() {
    return expect(this.page.getByRole('status').filter({ hasText: 'Saved' })).toBeVisible({ timeout: 20_000 })
  }
}

export const LOW = { rim: [0, -2.5, -23, -20.5], face: [0, 1, 3.5, 2.5] } as const
/** What the dials show on an aligned machine with 3 mil of sag. */
export const ALIGNED = { rim: [0, -3, -6, -3], face: [0, 0, 0, 0] } as const
