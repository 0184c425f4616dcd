import { LOW_MOTOR } from '../support/entries'
import { expect, Job, LOW, test } from './job'

test('a typed digit shows its result within a frame', async ({ page }) => {
  const job = new Job(page)
  await job.prepared([LOW_MOTOR])
  await job.type(LOW.rim, LOW.face)
  // From the key to the board laid out anew, all but the painting: 60 digits into a whole second set.
  const round = () =>
    job.reading('Rim', '6').evaluate(async (box: HTMLInputElement) => {
      const times: number[] = []
      for (let i = 0; i < 60; i++) {
        const from = performance.now()
        box.value = String(-20 - (i % 10))
        box.dispatchEvent(new Event('input', { bubbles: true }))
        for (let turn = 0; turn < 5; turn++) await Promise.resolve()
        document.body.getBoundingClientRect()
        times.push(performance.now() - from)
        await new Promise((done) => setTimeout(done, 20))
      }
      return times.sort((a, b) => a - b)
    })
  await expect(page.getByText('before').first()).toBeVisible()
  const rounds = [await round(), await round(), await round()]
  // A busy machine spoils a round now and then; the program shows in the best one.
  const best = rounds.reduce((a, b) => ((b[30] ?? Infinity) < (a[30] ?? Infinity) ? b : a))
  process.stdout.write(`digit to board: median ${best[30]?.toFixed(1)} ms, 95 % ${best[56]?.toFixed(1)} ms\n`)
  await expect(job.reading('Rim', '6')).toHaveValue('-29')
  await expect(job.meaning).not.toContainText('Two sets agree')
  expect(best[30]).toBeLessThan(16)
})
