/** `npm run screenshots`: takes the pictures of the main views from a running demo (npm run demo). */
import { randomUUID } from 'node:crypto'
import { join } from 'node:path'
import { chromium } from '@playwright/test'
import { DEMO_NAMES, signIn, signInAll } from './demo/signIn.mjs'
import { ROOT } from './local/paths.mjs'
import { say } from './local/say.mjs'

const base = `http://127.0.0.1:${process.env.HC_PORT ?? 4310}`
const cookie = await signInAll(base, 'day')
const ask = async (path) => (await fetch(base + path, { headers: { cookie } })).json()
const today = await ask('/api/today')
const open = (tag) => today.open.rows.find((j) => j.tag === tag)?.id

const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu'],
})
/** A device that holds this. */
const deviceWith = async (held) => {
  const context = await browser.newContext()
  const [name, value] = held.split(/=(.*)/s)
  if (held) await context.addCookies([{ name, value, url: base }])
  return context
}
const device = await deviceWith(cookie)
const pageOf = async (on, size) => {
  const page = await on.newPage()
  await page.setViewportSize(size)
  return page
}
const newPage = ({ viewport }) => pageOf(device, viewport)
const shoot = async (
  name,
  path,
  stage,
  size = { width: 1280, height: 800 },
  button = '',
  typed = {},
  on = device,
) => {
  const page = await pageOf(on, size)
  await page.goto(base + path)
  if (stage)
    await page
      .getByRole('navigation', { name: 'Stages of this job' })
      .getByRole('button', { name: new RegExp(`^${stage}`) })
      .click()
  if (button) await page.getByRole('button', { name: button }).click()
  for (const [box, text] of Object.entries(typed)) await page.getByLabel(box, { exact: true }).fill(text)
  await page.waitForTimeout(2000)
  // Plans of a line take their time.
  await page.getByText('Working the plans out').waitFor({ state: 'hidden', timeout: 30_000 })
  await page.screenshot({ path: join(ROOT, 'docs', 'screenshots', `${name}.png`) })
  await page.close()
  say(name)
}

await shoot('sign-in', '/', '', undefined, '', {}, await deviceWith(''))
await shoot(
  'people',
  '/people',
  '',
  undefined,
  '',
  {},
  await deviceWith(await signIn(base, [DEMO_NAMES.lead])),
)
await shoot('today', '/')
await shoot('machine', '/machines/CP-11', '', { width: 1280, height: 1100 })
await shoot('logbook', '/logbook')
await shoot('calendar', '/calendar')
await shoot('stores', '/stores')
await shoot('feet', `/jobs/${open('PR-02')}`, 'Feet')
await shoot('as-found', `/jobs/${open('KY-09')}`, 'As found')
await shoot('gear', `/jobs/${open('PR-05')}`, 'Contact')
await shoot('plan', `/jobs/${open('CP-14')}`, 'Plan')
await shoot('line', `/jobs/${open('CP-40')}`, 'Plan')
const set = { 'Belt 1': '18.2', 'Belt 2': '17.6', 'Belt 3': '18.5', 'Belt 4': '17.4', 'Belt 5': '18' }
await shoot('tension', `/jobs/${open('GL-03')}`, 'Tension', undefined, '', set)
await shoot('sums', '/sums/soft-foot', '', undefined, 'Fill in the example')

// By now the device holds what was looked at; the program comes onto it once a view is at rest.
const held = await newPage({ viewport: { width: 1280, height: 800 } })
await held.goto(`${base}/device`)
await held.getByText('The program is on this device').waitFor({ timeout: 60_000 })
await held.getByRole('checkbox').first().press('Space')
await held.waitForTimeout(1000)
await held.screenshot({ path: join(ROOT, 'docs', 'screenshots', 'device.png') })
await held.close()
say('device')

// A try on the bench, the shafts a quarter on.
const bench = await newPage({ viewport: { width: 1280, height: 800 } })
await bench.goto(`${base}/practice?lesson=bracket-that-slips&seed=503`)
await bench.getByRole('button', { name: 'a quarter on' }).click()
await bench.waitForTimeout(2000)
await bench.screenshot({ path: join(ROOT, 'docs', 'screenshots', 'bench.png') })
await bench.close()
say('bench')

// What follows writes into the demo works.
const { rows: people } = await ask('/api/people').then((p) => (Array.isArray(p) ? { rows: p } : p))
const author = people.find((p) => p.role === 'millwright').id
const post = async (url, body) => {
  const answer = await fetch(url, {
    method: 'POST',
    headers: { 'content-type': 'application/json', cookie },
    body: JSON.stringify(body),
  })
  if (!answer.ok) throw new Error(`${url}: ${await answer.text()}`)
  return answer.json()
}
const entry = (kind, payload) => ({
  id: randomUUID(),
  author,
  madeAt: new Date().toISOString(),
  kind,
  payload,
})

// A sweep under way: the simulated heads of the demo on a job of their own.
const devices = `http://127.0.0.1:${Number(process.env.HC_PORT ?? 4310) + 3}`
const swept = randomUUID()
await post(`${base}/api/jobs`, {
  id: swept,
  machine: 'CP-14',
  opening: entry('job-opened', { reason: 'planned', rpm: 1480, customer: '', note: '' }),
})
const heads = { stationary: -110, movable: 120 }
for (const point of ['isolated', 'locked-tagged', 'energy-released', 'tried', 'guard-off'])
  await post(`${base}/api/jobs/${swept}/entries`, entry('safety-confirmed', { point, permit: '' }))
await post(
  `${base}/api/jobs/${swept}/entries`,
  entry('set-up', {
    units: 'metric',
    how: { method: 'heads', given: { stationaryPlane: heads.stationary, movablePlane: heads.movable } },
    told: { sag: 'hang', circle: 'diameter' },
    feet: [
      { machine: 'movable', pair: 'inboard', x: 360 },
      { machine: 'movable', pair: 'outboard', x: 1040 },
    ],
    graduation: { stationary: 0.001, movable: 0.001 },
    returned: { stationary: 0, movable: 0 },
    why: '',
  }),
)
await post(`${devices}/stand`, { machine: 'CP-14', seed: 23, lie: 'close', heads })
for (const [place, device] of [
  ['circle:stationary', 'head-a'],
  ['circle:movable', 'head-b'],
]) {
  const { code } = await post(`${base}/api/jobs/${swept}/instruments`, { place, author })
  await post(`${devices}/devices/${device}`, { do: 'pair', code })
}
const sweep = await newPage({ viewport: { width: 1280, height: 800 } })
await sweep.goto(`${base}/jobs/${swept}`)
await sweep
  .getByRole('navigation', { name: 'Stages of this job' })
  .getByRole('button', { name: /^As found/ })
  .click()
await sweep.getByRole('button', { name: 'Sweep', exact: true }).click()
await sweep.waitForTimeout(500)
const misbehave = async (how, on, which = ['head-a']) => {
  for (const head of which) await post(`${devices}/devices/${head}`, { do: 'misbehave', how, on })
}
// Rough bearings: the curve may still lie well off.
await misbehave('noise', true, ['head-a', 'head-b'])
await post(`${devices}/hands`, { act: 'turn', by: 30 })
await misbehave('beam-lost', true)
await post(`${devices}/hands`, { act: 'turn', by: 9 })
await misbehave('beam-lost', false)
await post(`${devices}/hands`, { act: 'turn', by: 61 })
await misbehave('noise', false, ['head-a', 'head-b'])
await sweep.waitForTimeout(1500)
await sweep.screenshot({ path: join(ROOT, 'docs', 'screenshots', 'sweep.png') })
await sweep.close()
say('sweep')

// A push under way, one bite taken.
const push = open('CP-14')
const log = (kind, payload) => post(`${base}/api/jobs/${push}/entries`, entry(kind, payload))
const ends = (inboard, outboard, key) =>
  Object.entries({ inboard, outboard }).map(([pair, x]) => ({ machine: 'movable', pair, [key]: x }))
await log('plan-chosen', {
  units: 'metric',
  option: 'own',
  changes: [],
  side: ends(-0.18, -0.32, 'moved'),
  sets: null,
})
await log('counts-read', { units: 'metric', when: 'pushing', counts: ends(-0.17, -0.16, 'toGo') })
await shoot('move', `/jobs/${push}`, 'Move')
await shoot('second-screen', `/mate/${push}`, '', { width: 390, height: 844 }, 'At the 3 o’clock side')
await browser.close()
