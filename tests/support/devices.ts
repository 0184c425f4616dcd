import { expect, type Page } from '@playwright/test'
import { startDevices } from '../../scripts/local/devices.mjs'
import { DEMO_NAMES, DEMO_PIN } from '../../scripts/demo/signIn.mjs'
import { freePort } from './program'

interface DeviceState {
  readonly id: string
  readonly state: string
  readonly said: string
  readonly shows: number | null
  readonly beeps: number
  readonly taken: number
}

/** The simulated instruments that ship, beside a program; and the page at which one makes them misbehave. */
export class Devices {
  private constructor(
    readonly url: string,
    private readonly child: ReturnType<typeof startDevices>,
  ) {}

  static start = async (program: { readonly url: string; readonly line: number }): Promise<Devices> => {
    const port = await freePort()
    const child = startDevices({
      program: program.url,
      line: program.line,
      port,
      signIn: `${DEMO_NAMES.day}:${DEMO_PIN}`,
      stdio: ['ignore', 'ignore', 'inherit'],
    })
    const devices = new Devices(`http://127.0.0.1:${port}`, child)
    for (let i = 0; i < 200; i++) {
      if (await devices.state().catch(() => null)) return devices
      await new Promise((r) => setTimeout(r, 100))
    }
    throw new Error('The simulated instruments did not start.')
  }

  stop(): void {
    this.child.stop()
  }

  async state(): Promise<{ readonly devices: readonly DeviceState[] }> {
    return (await (await fetch(`${this.url}/state`)).json()) as { devices: DeviceState[] }
  }
  async device(id: string): Promise<DeviceState> {
    const found = (await this.state()).devices.find((d) => d.id === id)
    if (!found) throw new Error(`no device ${id}`)
    return found
  }
  async post(path: string, body: object): Promise<void> {
    const answer = await fetch(this.url + path, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    })
    expect(answer.status, await answer.text()).toBe(200)
  }
  hands = (act: object) => this.post('/hands', act)
  misbehave = (id: string, how: string, on: boolean) =>
    this.post(`/devices/${id}`, { do: 'misbehave', how, on })
  /** Stands a machine of the register up with heads at these planes. */
  stand = (machine: string, lie: string, seed = 11) =>
    this.post('/stand', { machine, seed, lie, heads: { stationary: -110, movable: 120 } })

  /** As a person does it: a code at the job, typed at the instrument's own page. */
  async pair(board: Page, place: string, serial: string): Promise<void> {
    await board.getByRole('button', { name: /^Instruments/ }).click()
    await board.getByRole('button', { name: `Pair: ${place}` }).click()
    const told = board.getByText(/^Type [A-Z0-9]{6} at the instrument$/)
    await expect(told).toHaveCount(1)
    const [, code = ''] = /Type (\w+) at/.exec((await told.textContent()) ?? '') ?? []
    const page = await board.context().newPage()
    await page.goto(this.url)
    await page.getByLabel(`Pairing code for ${serial}`).fill(code)
    await page
      .locator('section', { has: page.getByLabel(`Pairing code for ${serial}`) })
      .getByRole('button', { name: 'Pair' })
      .click()
    await expect(page.locator('section', { hasText: serial }).locator('.speaking')).toBeVisible()
    await page.close()
    await expect(told).toHaveCount(0)
    await board.keyboard.press('Escape')
    await expect(board.getByRole('dialog')).toHaveCount(0)
  }
}
